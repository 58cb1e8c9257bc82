/** `npm run prove`: plays every run of every situation through the model of handling; any rule broken is printed. */
import { parseArgs } from 'node:util';
import { BOOK } from '#core/tables/book.ts';
import { KIND_IDS, isKindId } from '#core/instruments/kind.ts';
import { brokenWords } from '#core/handling/handling-words.ts';
import { casesOf } from '#core/testing/cases.ts';
import { proveRun } from '#core/testing/prove-run.ts';
import { severalInstruments, situationsOf, type Situation } from '#core/testing/situations.ts';

const { values } = parseArgs({ options: { kind: { type: 'string' }, cases: { type: 'string' } } });
const kinds = values.kind === undefined ? KIND_IDS : values.kind.split(',').filter(isKindId);
const excepted = new Map<string, number>();
const faults = new Map<string, { count: number; first: string }>();
let plans = 0;

function prove(situation: Situation): void {
  plans++;
  const found = proveRun(BOOK, situation);
  for (const { why } of found.excepted) excepted.set(why, (excepted.get(why) ?? 0) + 1);
  for (const one of found.broken) {
    const { run, answers, skip } = situation;
    const text = `${one.instrument.replace(/^\d+-/, '')}: ${brokenWords(one)}`;
    const first = JSON.stringify({ ...run, answers: answers && [...answers], skip });
    faults.set(text, { count: (faults.get(text)?.count ?? 0) + 1, first: faults.get(text)?.first ?? first });
  }
}

for (const kind of kinds) {
  const before = plans;
  for (const instrument of casesOf(BOOK, kind).slice(0, Number(values.cases ?? Infinity)))
    for (const situation of situationsOf(BOOK, instrument)) prove(situation);
  console.log(`${BOOK.kinds[kind].name}: ${plans - before} runs`);
}
if (values.kind === undefined) {
  const before = plans;
  for (const situation of severalInstruments()) prove(situation);
  console.log(`Two and three instruments: ${plans - before} runs`);
}
console.log(`\n${plans} runs played through.`);
for (const [why, count] of excepted) console.log(`Excepted ${count} times: ${why}`);
for (const [text, { count, first }] of faults) console.error(`BROKEN ${count} times: ${text}\n    ${first}`);
if (faults.size > 0) process.exitCode = 1;
