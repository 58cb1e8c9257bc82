import { LOOK_OVER, type CareItemId } from '#core/book/care-ids.ts';
import type { CareFacts, ItemClock } from '#core/care/care-clock.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { lastPlayedOn, type PlayColumns } from '#core/plays/play-columns.ts';
import { dateOfDay, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What came so lately and was never played is new to its player; what came longer ago was played before it was logged (estimate). */
const NEW_FOR_DAYS = 60;
/** So long not played is a long rest (estimate). */
const LONG_REST_DAYS = 60;

export type FirstNote = {
  readonly why: { readonly rule: 'never-played' } | { readonly rule: 'rested'; readonly days: number };
  /** What is done before it is played, in the book's order. */
  readonly itemIds: readonly CareItemId[];
  /** Nothing is known of when a bench last saw it. */
  readonly benchUnknown: boolean;
};

type Asked = {
  readonly plays: PlayColumns;
  readonly acquiredOn: LocalDate;
  readonly today: LocalDate;
  /** When each item was last done. */
  readonly lastDone: CareFacts['lastDone'];
};

function whyOf({ plays, acquiredOn, today }: Asked): FirstNote['why'] | null {
  const last = lastPlayedOn(plays);
  if (last === null) return daysBetween(acquiredOn, today) <= NEW_FOR_DAYS ? { rule: 'never-played' } : null;
  const days = daysBetween(last, today);
  return days >= LONG_REST_DAYS ? { rule: 'rested', days } : null;
}

const isFresh = ({ state }: ItemClock): boolean => state === 'fresh' || state === 'soon' || state === 'off';

/**
 * What comes before the first note of an instrument that is new to its player or has rested long: looked over, oiled and
 * greased in any case, and whatever else is not known to be fresh. Null once it has been looked over since, or played.
 */
export function firstNoteOf(clocks: readonly ItemClock[], asked: Asked): FirstNote | null {
  const why = whyOf(asked);
  const looked = asked.lastDone.get(LOOK_OVER)?.atWallMinute;
  const since = why?.rule === 'rested' ? lastPlayedOn(asked.plays) : asked.acquiredOn;
  const isLooked = looked !== undefined && since !== null && dateOfDay(Math.floor(looked / MINUTES_PER_DAY)) >= since;
  if (why === null || isLooked || !clocks.some(({ item }) => item.id === LOOK_OVER)) return null;
  const wanted = clocks.filter(
    (clock) =>
      clock.state !== 'off' &&
      clock.state !== 'waiting' &&
      (clock.item.firstNote === 'always' || (clock.item.firstNote === 'unless-fresh' && !isFresh(clock))),
  );
  return {
    why,
    itemIds: wanted.map(({ item }) => item.id),
    benchUnknown: clocks.some(({ item, state }) => item.id === 'wind/bench-service' && state === 'unknown'),
  };
}
