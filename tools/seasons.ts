/**
 * `npm run seasons`: half years of playing, the same days and the same reeds for every way of playing: as Ulu plans it,
 * round robin, and one reed until it is spent. `-- --seasons 500 --seed 1 --wanted 1` says how many and which; `-- --told 10`
 * holds the chance that was told ten days before each concert against what came of it.
 */
import { parseArgs } from 'node:util';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { bandOfMean, differenceOf, seasonsOf, type Band } from '#core/reeds/compare-seasons.ts';
import type { SeasonResult } from '#core/reeds/play-season.ts';
import { SEASON_RATES } from '#core/reeds/reed-season.ts';
import { asPlanned, oneReedUntilSpent, roundRobin } from '#core/reeds/ways-of-playing.ts';
import { toldAndTrue } from '#core/reeds/told-and-true.ts';
import { localDate } from '#core/time/local-date.ts';

const { values } = parseArgs({
  options: {
    seasons: { type: 'string', default: '500' },
    seed: { type: 'string', default: '1' },
    wanted: { type: 'string', default: '1' },
    told: { type: 'string' },
  },
});
const [count, seed, wanted] = [Number(values.seasons), Number(values.seed), Number(values.wanted)];
if (!Number.isInteger(count) || count < 2) throw new Error(`--seasons is 2 or more, not ${values.seasons}`);
if (!Number.isInteger(seed)) throw new Error(`--seed is a whole number, not ${values.seed}`);
if (!Number.isInteger(wanted) || wanted < 1 || wanted > 9) throw new Error(`--wanted is 1 to 9, not ${values.wanted}`);

/** Whatever day it is: a season begins on this Monday. */
const BEGINS = localDate('2026-01-05');
const seeds = Array.from({ length: count }, (_, index) => seed + index);
const told = ({ mean, low, high }: Band): string =>
  `${PLAIN_FORMAT.number(mean)} (${PLAIN_FORMAT.number(low)} to ${PLAIN_FORMAT.number(high)})`;
const ready = (result: SeasonResult): number => result.ready;
const opened = (result: SeasonResult): number => result.opened;

/** What was told in tenths, and how often it came. */
function holdToldAgainstTrue(ahead: number): void {
  const all = toldAndTrue(() => asPlanned(wanted), seeds, { begins: BEGINS, ahead, wanted });
  console.log(`${all.length} concerts in ${count} seasons: told ${ahead} days before, and come true`);
  for (let tenth = 0; tenth < 10; tenth++) {
    const mine = all.filter(({ told: chance }) => Math.min(9, Math.floor(chance * 10)) === tenth);
    const share = mine.filter(({ isTrue }) => isTrue).length / mine.length;
    if (mine.length > 0)
      console.log(
        `  told ${tenth * 10} to ${tenth * 10 + 10} %: ${mine.length} concerts, true of ${(share * 100).toFixed(0)} %`,
      );
  }
}

function compareWays(): void {
  console.log(`${count} seasons of ${SEASON_RATES.weeks} weeks from seed ${seed}; means with their band of 90 %\n`);
  const ways = {
    'as Ulu plans it': () => asPlanned(wanted),
    'round robin': () => roundRobin,
    'one reed until it is spent': () => oneReedUntilSpent,
  };
  const results = Object.entries(ways).map(([name, way]) => {
    const all = seasonsOf(way, seeds, BEGINS);
    const concerts = all.reduce((sum, one) => sum + one.concerts, 0) / count;
    console.log(
      `${name}: ${told(bandOfMean(all.map(ready)))} of ${PLAIN_FORMAT.number(concerts)} concerts on a ready reed, ` +
        `${told(bandOfMean(all.map(opened)))} reeds opened`,
    );
    return { name, all };
  });
  const [planned, ...others] = results;
  if (planned)
    for (const { name, all } of others)
      console.log(
        `\nagainst ${name}: ${told(differenceOf(planned.all, all, ready))} more concerts on a ready reed, ` +
          `${told(differenceOf(planned.all, all, opened))} more reeds opened`,
      );
}

if (values.told === undefined) compareWays();
else holdToldAgainstTrue(Number(values.told));
