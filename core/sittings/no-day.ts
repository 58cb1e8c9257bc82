import { duration } from '#core/explain/format.ts';
import type { DueThing } from '#core/sittings/due-things.ts';

/** What keeps a thing off a day that has its minutes. */
type Hindrance = 'away' | 'audience' | 'put-off' | 'full';

function hindranceOn({ thing, away, settling }: Pick<DueThing, 'thing' | 'away' | 'settling'>, day: number): Hindrance {
  if (away.has(day)) return 'away';
  if (settling.has(day)) return 'audience';
  return day < thing.from || thing.barred.has(day) ? 'put-off' : 'full';
}

/** Of several, the one the player can do most about is told. */
const ORDER: readonly Hindrance[] = ['full', 'audience', 'away', 'put-off'];

const WORDS: Readonly<Record<Hindrance, string>> = {
  full: 'The days that are long enough are full of what is more pressing. Give one of them more time.',
  audience: 'On each day that is long enough, an audience is too near.',
  away: 'On each day that is long enough, the instrument is at the bench.',
  'put-off': 'You have put it off until later than these weeks.',
};

function causeOf(due: Pick<DueThing, 'thing' | 'away' | 'settling'>, time: readonly number[]): string {
  const longest = Math.max(0, ...time);
  if (longest === 0) return 'No day has any time: see when you have some, and what is on.';
  if (longest < due.thing.minutes) return `The longest day has ${duration(longest)}. Give one day more time.`;
  const found = new Set(time.flatMap((minutes, day) => (minutes < due.thing.minutes ? [] : [hindranceOn(due, day)])));
  return WORDS[ORDER.find((one) => found.has(one)) ?? 'full'];
}

/**
 * Why a thing finds no day in the weeks of a plan, and how long it takes.
 *
 * @param time minutes of each day
 */
export const whyNoDay = (due: Pick<DueThing, 'thing' | 'away' | 'settling'>, time: readonly number[]): string =>
  `It takes about ${duration(due.thing.minutes)}. ${causeOf(due, time)}`;
