/**
 * `npm run cases -- [--kind K] [--cases N] [--off 3] [--alike]`: invented cases, drawn from the tables themselves or from
 * worlds whose odds are all off by up to a factor, each interviewed to its end. It prints how often the cause, one of the
 * first three and the hands are right, beside what every question answered would give; how the words keep what they say;
 * and which causes are taken for one another. It fails where a stop is missed though nobody answered no to its question.
 */
import { parseArgs } from 'node:util';
import prand from 'pure-rand';
import { faultsFor, type FaultsHere } from '#core/faults/faults-for.ts';
import { CHANCE_WORDS, type ChanceWord, type Interview } from '#core/faults/interview.ts';
import {
  allAnswered,
  caseOf,
  fitOf,
  interviewed,
  worldOf,
  type Case,
  type Dice,
  type Off,
} from '#core/faults/simulate.ts';
import { isKindId, KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';

const { values } = parseArgs({
  options: {
    kind: { type: 'string' },
    cases: { type: 'string', default: '300' },
    off: { type: 'string', default: '1' },
    seed: { type: 'string', default: '27' },
    alike: { type: 'boolean', default: false },
  },
});
const kinds = values.kind === undefined ? KIND_IDS : values.kind.split(',').filter(isKindId);
if (kinds.length === 0) throw new Error(`no kind is called ${values.kind}`);
const off: Off = values.off === '3' ? 3 : 1;
const count = Number(values.cases);
const CASES_A_WORLD = 100;
const WAYS = ['sure', 'quick', 'all'] as const;

const percent = (part: number, of: number): string => `${of === 0 ? '–' : Math.round((100 * part) / of)}`.padStart(3);

/** Does somebody who has this fault, and noticed something of it, get past the question that would stop it? */
function missesStop(
  here: FaultsHere,
  { causes, noticed }: Case,
  { stopped }: Interview,
  said: ReadonlySet<string>,
): boolean {
  if (stopped !== null) return false;
  return here.stops.some(({ sign, onSigns }) => {
    const isCause = here.causes.some(
      ({ id, links }) =>
        causes.includes(id) &&
        links.some((link) => link.sign === sign && (link.word === 'usually' || link.word === 'often')) &&
        links.some((link) => noticed.includes(link.sign)),
    );
    return isCause && onSigns.some((one) => noticed.includes(one)) && !said.has(sign);
  });
}

type Tally = {
  readonly right: Record<(typeof WAYS)[number], number[]>;
  readonly asked: number[];
  readonly words: Record<ChanceWord, { said: number; so: number; meant: number }>;
  readonly alike: Map<string, number>;
  missed: number;
};

function tallied(kind: KindId): { readonly here: FaultsHere; readonly tally: Tally } {
  const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
  const generator = prand.xoroshiro128plus(Number(values.seed));
  const dice: Dice = () => prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, generator) / 2 ** 30;
  const word = () => ({ said: 0, so: 0, meant: 0 });
  const tally: Tally = {
    right: { sure: [], quick: [], all: [] },
    asked: [],
    words: { 'nearly-sure': word(), likely: word(), possible: word() },
    alike: new Map(),
    missed: 0,
  };
  let world = worldOf(here, 1, dice);
  for (let n = 0; n < count; n++) {
    // A world off the tables is another one every hundred cases.
    if (off > 1 && n % CASES_A_WORLD === 0) world = worldOf(here, off, dice);
    const one = caseOf(here, world, dice);
    for (const way of WAYS) {
      const { stands, said } = way === 'all' ? allAnswered(here, one) : interviewed(here, one, way);
      const fit = fitOf(here, one, stands);
      tally.right[way] = [fit.cause, fit.firstThree, fit.hand].map(
        (is, index) => (tally.right[way][index] ?? 0) + Number(is),
      );
      if (way === 'sure') note(tally, one, stands, fit.cause);
      if (way === 'sure' && missesStop(here, one, stands, new Set(said.map(({ sign }) => sign)))) tally.missed++;
    }
  }
  return { here, tally };
}

function note({ asked, words, alike }: Tally, one: Case, stands: Interview, isRight: boolean): void {
  asked.push(stands.asked);
  for (const { cause, chance, word } of stands.suspected) {
    words[word].said++;
    words[word].meant += chance;
    if (one.causes.includes(cause.id)) words[word].so++;
  }
  const [first] = [...stands.chances].sort((a, b) => b[1] - a[1]);
  const [truth] = one.causes;
  if (isRight || !first || truth === undefined) return;
  const pair = `${truth} taken for ${first[0]}`;
  alike.set(pair, (alike.get(pair) ?? 0) + 1);
}

const MOST_PAIRS = 8;
let missed = 0;
const all = { 'nearly-sure': [0, 0, 0], likely: [0, 0, 0], possible: [0, 0, 0] };
for (const kind of kinds) {
  const { here, tally } = tallied(kind);
  const { right, asked, words, alike } = tally;
  missed += tally.missed;
  for (const word of CHANCE_WORDS) {
    const { said, so, meant } = words[word];
    all[word] = [said, so, meant].map((one, index) => one + (all[word][index] ?? 0));
  }
  asked.sort((a, b) => a - b);
  const line = WAYS.map((way) => `${way} ${right[way].map((one) => percent(one, count)).join(' ')}`).join('   ');
  const questions = `questions ${asked[count >> 1]} (95 %: ${asked[Math.floor(count * 0.95)]})`;
  console.log(
    `${kind.padEnd(19)} ${String(here.causes.length).padStart(2)} causes ${here.signs.length} signs   ${line}   ${questions}   stops missed ${tally.missed}`,
  );
  const pairs = [...alike].sort((a, b) => b[1] - a[1]).slice(0, MOST_PAIRS);
  if (values.alike) for (const [pair, times] of pairs) console.log(`    ${times} × ${pair}`);
}
for (const word of CHANCE_WORDS) {
  const [said = 0, so = 0, meant = 0] = all[word];
  console.log(`“${word}” was so in ${percent(so, said)} of 100, and meant ${percent(meant, said)}`);
}
console.log(
  'Of each kind: the cause, one of the first three, the hands, in percent; to be sure, quickly, and all answered.',
);
if (missed > 0) process.exitCode = 1;
