/**
 * `npm run prove`: plays every run of every situation through the model of handling, one process for each core; every
 * rule broken is printed, and every exception the trade makes. An order that is called the shortest is looked for again
 * by a search that leaves nothing out; what it did not finish is told. What a kind came to is printed as soon as it is
 * known. `-- --kind horn,tuba` proves these only, `-- --every 10` a tenth.
 */
import { fork } from 'node:child_process';
import { once } from 'node:events';
import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { KIND_IDS, isKindId } from '#core/instruments/kind.ts';
import type { ProofChecked } from '#core/testing/prove-run.ts';
import { partsOf, type Part } from '#tools/prove/part.ts';
import { added, emptyTally, type Tally } from '#tools/prove/tally.ts';

const { values } = parseArgs({
  options: {
    kind: { type: 'string' },
    /** Plays only every so-manieth situation. */
    every: { type: 'string', default: '1' },
  },
});

const PROOF_WORDS = {
  'not-claimed': 'orders are not called the shortest',
  holds: 'orders are the shortest: looked for again without leaving anything out',
  'cut-short': 'orders are called the shortest; looking again was cut short',
  false: 'orders are called the shortest, and are not',
} as const satisfies Record<ProofChecked, string>;

const secondsSince = (from: number): string => `${((performance.now() - from) / 1000).toFixed(0)} s`;
const wide = (count: number): string => String(count).padStart(7);

function reportPart({ kind, several }: Part, { plans, faults }: Tally, begun: number): void {
  console.log(`${wide(plans)} runs: ${kind}${several ? ' with others' : ''} (${secondsSince(begun)})`);
  for (const [text, { count, first }] of Object.entries(faults))
    console.error(`BROKEN ${count} times: ${text}\n    ${first}`);
}

/** Parts are taken by whichever process is free. */
async function proveParts(queue: Part[], every: number): Promise<Tally> {
  const child = fork('tools/prove/worker.ts', { execArgv: ['--import', 'tsx'] });
  const ended = once(child, 'exit').then(([code]): never => {
    throw new Error(`a process ended with ${code}`);
  });
  // Told no more, it ends: by then nobody waits for it.
  ended.catch(() => undefined);
  let tally = emptyTally();
  for (let part = queue.shift(); part !== undefined; part = queue.shift()) {
    const begun = performance.now();
    child.send({ part, every });
    const [found] = (await Promise.race([once(child, 'message'), ended])) as [Tally];
    reportPart(part, found, begun);
    tally = added(tally, found);
  }
  child.disconnect();
  return tally;
}

const wanted = values.kind?.split(',') ?? KIND_IDS;
const unknown = wanted.filter((kind) => !isKindId(kind));
if (unknown.length > 0) throw new Error(`no such kind: ${unknown.join(', ')}. Known: ${KIND_IDS.join(', ')}`);
const begun = performance.now();
const queue = partsOf(wanted.filter(isKindId));
const shares = Array.from({ length: Math.max(1, availableParallelism()) }, () =>
  proveParts(queue, Math.max(1, Number(values.every))),
);
const { plans, proofs, excepted, faults } = (await Promise.all(shares)).reduce(added);
console.log(`\n${plans} runs played through in ${secondsSince(begun)}.`);
for (const [proof, count] of Object.entries(proofs) as [ProofChecked, number][])
  console.log(`${wide(count)} ${PROOF_WORDS[proof]}.`);
for (const [why, count] of Object.entries(excepted)) console.log(`Excepted ${count} times: ${why}`);
if (Object.keys(faults).length > 0) process.exitCode = 1;
