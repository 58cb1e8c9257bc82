import { shareRange } from '#core/reeds/beta-share.ts';
import type { Money } from '#core/money/money.ts';
import { goodShareOf, lifetimeOf } from '#core/reeds/reed-life.ts';
import { CANE_LIFE, SYNTHETIC_LIFE } from '#core/reeds/reed-numbers.ts';
import { priceOfOne } from '#core/reeds/reed-price.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { ReedFamily, ReedId } from '#core/reeds/reed.ts';
import { lifeBelief } from '#core/reeds/weibull-life.ts';

/** Fewer than so many graded reeds, or lives watched, say nothing of a make (estimate). */
export const LEAST_SEEN = 3;
/** The range a share is shown with. */
const CHANCE = 0.9;
const HALF = 0.5;
const MINUTES_AN_HOUR = 60;

/** What the reeds of one make have come to. */
export type Make = {
  /** As its boxes are called, with their strength. */
  readonly name: string;
  readonly reeds: number;
  readonly graded: number;
  /** Of those that were looked at as they came, how many were sent back; null where none was. */
  readonly asCame: { readonly looked: number; readonly back: number } | null;
  /** The share of concert grade with its range of 90 %; null while too few were graded. */
  readonly concert: { readonly mean: number; readonly low: number; readonly high: number } | null;
  /** What half of them outlive, minutes; null while too few were watched. */
  readonly lifeMinutes: number | null;
  /** What an hour on a reed of concert grade costs; null where the share, the life or the price is not known. */
  readonly goodHour: Money | null;
};

const nameOf = ({ box }: ReedState): string => `${box.name}${box.strength === null ? '' : ` ${box.strength}`}`;

/** How reeds looked as they came, by their ids: true where one was sent back. */
export type AsCame = ReadonlyMap<ReedId, boolean>;
const asCameOf = (reeds: readonly ReedState[], asCame: AsCame): Make['asCame'] => {
  const looked = reeds.flatMap(({ id }) => asCame.get(id) ?? []);
  return looked.length === 0 ? null : { looked: looked.length, back: looked.filter((one) => one).length };
};

function makeOf(name: string, reeds: readonly ReedState[], family: ReedFamily): Omit<Make, 'asCame'> {
  const { good, bad, graded } = goodShareOf(reeds, family);
  const concert = graded < LEAST_SEEN ? null : shareRange(good, bad, CHANCE);
  const lives = reeds.flatMap((reed) => lifetimeOf(reed) ?? []);
  const ended = lives.filter((life) => life.ended).length;
  const prior = reeds[0]?.box.material === 'synthetic' ? SYNTHETIC_LIFE : CANE_LIFE;
  const lifeMinutes = ended < LEAST_SEEN ? null : lifeBelief(lives, prior).ageAt(HALF);
  const price = priceOfOne(reeds);
  const hours = concert && lifeMinutes && concert.mean * (lifeMinutes / MINUTES_AN_HOUR);
  return {
    name,
    reeds: reeds.length,
    graded,
    concert,
    lifeMinutes,
    goodHour: hours && price ? { ...price, minor: price.minor / hours } : null,
  };
}

/**
 * Which make again: what the reeds of each name of box have come to, those with the best share of concert grade first, and
 * after them those of which too little is known.
 */
export function makesOf(reeds: readonly ReedState[], family: ReedFamily, asCame: AsCame = new Map()): Make[] {
  const names = [...new Set(reeds.map(nameOf))];
  return names
    .map((name): Make => {
      const own = reeds.filter((reed) => nameOf(reed) === name);
      return { ...makeOf(name, own, family), asCame: asCameOf(own, asCame) };
    })
    .sort((a, b) => (b.concert?.mean ?? -1) - (a.concert?.mean ?? -1) || a.name.localeCompare(b.name));
}
