/**
 * `npm run prove`: plays every run of every situation through the model of handling, one process for each core; every
 * rule broken is printed, and every exception the trade makes. An order that is called the shortest is looked for again
 * by a search that leaves nothing out; what it did not finish is told. `-- --kind horn,tuba` proves these only,
 * `-- --every 10` a tenth.
 */
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { brokenWords } from '#core/handling/handling-words.ts';
import { KIND_IDS, isKindId, type KindId } from '#core/instruments/kind.ts';
import { misreadWords } from '#core/reading/misread.ts';
import { BOOK } from '#core/tables/book.ts';
import { casesOf } from '#core/testing/cases.ts';
import { proveRun, type ProofChecked } from '#core/testing/prove-run.ts';
import { severalInstruments, situationsOf, type Situation } from '#core/testing/situations.ts';

const { values } = parseArgs({
  options: {
    kind: { type: 'string' },
    /** Plays only every so-manieth situation. */
    every: { type: 'string', default: '1' },
    share: { type: 'string' },
    of: { type: 'string' },
  },
});

type Tally = {
  plans: number;
  readonly counts: Record<string, number>;
  readonly excepted: Record<string, number>;
  /** What became of the orders that are called the shortest. */
  readonly proofs: Record<string, number>;
  readonly faults: Record<string, { count: number; first: string }>;
};
const SEVERAL = 'two and three instruments';
const NOT_SHORTEST = 'an order called the shortest is not';
const PROOF_WORDS = {
  'not-claimed': 'orders are not called the shortest',
  holds: 'orders are the shortest: looked for again without leaving anything out',
  'cut-short': 'orders are called the shortest; looking again was cut short',
  false: 'orders are called the shortest, and are not',
} as const satisfies Record<ProofChecked, string>;

const oneMore = (counts: Record<string, number>, what: string): void => void (counts[what] = (counts[what] ?? 0) + 1);

function prove(tally: Tally, what: string, situation: Situation): void {
  tally.plans++;
  oneMore(tally.counts, what);
  const { excepted, proof, broken, misread } = proveRun(BOOK, situation);
  for (const { why } of excepted) oneMore(tally.excepted, why);
  if (proof !== null) oneMore(tally.proofs, proof);
  const { run, answers, skip } = situation;
  const texts = broken.map((one) => `${one.instrument.replace(/^\d+-/, '')}: ${brokenWords(one)}`);
  texts.push(...misread.map(misreadWords));
  for (const text of proof === 'false' ? [...texts, NOT_SHORTEST] : texts) {
    const first = JSON.stringify({ ...run, answers: answers && [...answers], skip });
    tally.faults[text] = { count: (tally.faults[text]?.count ?? 0) + 1, first: tally.faults[text]?.first ?? first };
  }
}

/** Everything to be proved of these kinds, what it is counted under first. */
function* everything(kinds: readonly KindId[]): Generator<[what: string, situation: Situation]> {
  for (const kind of kinds)
    for (const [row, instrument] of casesOf(BOOK, kind).entries())
      for (const situation of situationsOf(BOOK, instrument, row)) yield [kind, situation];
  if (kinds.length === KIND_IDS.length) for (const situation of severalInstruments()) yield [SEVERAL, situation];
}

/** Each process takes blocks in turn: a block is about one case of a kind, so that plans shared within it are made once. */
const BLOCK = 200;

const every = Math.max(1, Number(values.every));

function proveShare(kinds: readonly KindId[], share: number, of: number): Tally {
  const tally: Tally = { plans: 0, counts: {}, excepted: {}, proofs: {}, faults: {} };
  let at = 0;
  for (const [what, situation] of everything(kinds))
    if (Math.floor(at++ / BLOCK) % of === share && at % every === 0) prove(tally, what, situation);
  return tally;
}

function inAnotherProcess(share: number, of: number): Promise<Tally> {
  const args = [
    '--import',
    'tsx',
    'tools/prove.ts',
    '--share',
    String(share),
    '--of',
    String(of),
    '--every',
    values.every,
  ];
  const child = spawn(process.execPath, values.kind === undefined ? args : [...args, '--kind', values.kind], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  child.stdout.on('data', (part: Buffer) => (said += part.toString()));
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) =>
      code === 0 ? resolve(JSON.parse(said) as Tally) : reject(new Error(`ended with ${code}`)),
    );
  });
}

const sum = (tallies: readonly Tally[], of: (tally: Tally) => Record<string, number>): [string, number][] => {
  const all = new Map<string, number>();
  for (const tally of tallies)
    for (const [name, count] of Object.entries(of(tally))) all.set(name, (all.get(name) ?? 0) + count);
  return [...all];
};

function report(tallies: readonly Tally[]): void {
  for (const [what, count] of sum(tallies, ({ counts }) => counts))
    console.log(`${String(count).padStart(7)} runs: ${what}`);
  console.log(`\n${tallies.reduce((all, { plans }) => all + plans, 0)} runs played through.`);
  for (const [proof, count] of sum(tallies, ({ proofs }) => proofs))
    console.log(`${String(count).padStart(7)} ${PROOF_WORDS[proof as ProofChecked]}.`);
  for (const [why, count] of sum(tallies, ({ excepted }) => excepted)) console.log(`Excepted ${count} times: ${why}`);
  const faults = tallies.flatMap((tally) => Object.entries(tally.faults));
  for (const [text, { count, first }] of faults) console.error(`BROKEN ${count} times: ${text}\n    ${first}`);
  if (faults.length > 0) process.exitCode = 1;
}

const kinds = values.kind === undefined ? KIND_IDS : values.kind.split(',').filter(isKindId);
if (values.share !== undefined) console.log(JSON.stringify(proveShare(kinds, Number(values.share), Number(values.of))));
else {
  const processes = Math.max(1, availableParallelism());
  report(await Promise.all(Array.from({ length: processes }, (_, share) => inAnotherProcess(share, processes))));
}
