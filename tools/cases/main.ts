/**
 * `npm run cases -- [--kind K] [--cases N] [--off 3]`: invented cases, drawn from the tables themselves or from a world whose
 * odds are all off by up to a factor, each interviewed to its end. It prints how often the cause, one of the first three
 * and the hands are right, beside what every question answered would give, and which causes are taken for one another.
 */
import { parseArgs } from 'node:util';
import prand from 'pure-rand';
import { faultsFor } from '#core/faults/faults-for.ts';
import { allAnswered, caseOf, fitOf, interviewed, worldOf, type Dice, type Off } from '#core/faults/simulate.ts';
import { isKindId, KIND_IDS } from '#core/instruments/kind.ts';
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
const percent = (count: number, of: number) => `${Math.round((100 * count) / of)}`.padStart(3);

const CASES_A_WORLD = 100;
const WAYS = ['sure', 'quick', 'all'] as const;
for (const kind of kinds) {
  const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
  const generator = prand.xoroshiro128plus(Number(values.seed));
  const dice: Dice = () => prand.unsafeUniformIntDistribution(0, 2 ** 30 - 1, generator) / 2 ** 30;
  const right: Record<(typeof WAYS)[number], number[]> = { sure: [], quick: [], all: [] };
  let world = worldOf(here, 1, dice);
  const asked: number[] = [];
  const alike = new Map<string, number>();
  const count = Number(values.cases);
  let stopped = 0;
  for (let n = 0; n < count; n++) {
    // A world off the tables is another one every hundred cases.
    if (off > 1 && n % CASES_A_WORLD === 0) world = worldOf(here, off, dice);
    const one = caseOf(here, world, dice);
    for (const way of WAYS) {
      const stands = way === 'all' ? allAnswered(here, one) : interviewed(here, one, way);
      const fit = fitOf(here, one, stands);
      right[way] = [fit.cause, fit.firstThree, fit.hand].map((is, index) => (right[way][index] ?? 0) + Number(is));
      if (way !== 'sure') continue;
      asked.push(stands.asked);
      if (stands.stopped) stopped++;
      const [first] = [...stands.chances].sort((a, b) => b[1] - a[1]);
      if (!fit.cause && first)
        for (const cause of one.causes.slice(0, 1))
          alike.set(`${cause} taken for ${first[0]}`, (alike.get(`${cause} taken for ${first[0]}`) ?? 0) + 1);
    }
  }
  asked.sort((a, b) => a - b);
  const line = WAYS.map((way) => `${way} ${right[way].map((one) => percent(one, count)).join(' ')}`).join('   ');
  console.log(
    `${kind.padEnd(19)} ${String(here.causes.length).padStart(2)} causes ${here.signs.length} signs   ${line}   questions ${asked[count >> 1]} (95 %: ${asked[Math.floor(count * 0.95)]})  stopped ${stopped}`,
  );
  if (values.alike)
    for (const [pair, times] of [...alike].sort((a, b) => b[1] - a[1]).slice(0, 10))
      console.log(`    ${times} × ${pair}`);
}
