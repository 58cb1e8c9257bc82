import type { SignId } from '#core/book/fault.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { isNoticed, noticedSign } from '#core/care/what-matters.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';

/** How one instrument stands, as far as a day's list asks. */
export type StandsToday = {
  readonly id: InstrumentId;
  /** It is at the bench: its care waits until it is back. */
  readonly isAway: boolean;
  /** It goes there today and is not packed yet: what stands wet is packed up first. */
  readonly goesToday: boolean;
  /** It is stopped: not to be played, and its care waits; or only not to be forced. */
  readonly stopped: 'laid-by' | 'with-care' | null;
  /** Something is wrong with it, and it is still being asked what: the signs that are so; null where nothing is asked. */
  readonly asked: readonly SignId[] | null;
  readonly openRunKey: string | null;
  readonly awaitsPackUp: boolean;
  /** When the last play ended, wall minutes; null where only its day is known, or nothing was played. */
  readonly playedAt: number | null;
  /** Water left by it, g. */
  readonly grams: number;
  /** Cased damp since this wall minute; null where it is not. */
  readonly dampSince: number | null;
  /** It goes to the bench and is to be packed, or is to be back from there. */
  readonly handover: 'pack' | 'fetch' | null;
  /** It is new to its player: it is looked over before it is played. */
  readonly isToBeLookedOver: boolean;
  /** So many things on it are to be measured again by now. */
  readonly looksDue: number;
  /** One of them because something happened to it. */
  readonly isKnocked: boolean;
  readonly leftForLater: readonly ItemClock[];
  /** The periodic clocks that call, most pressing first. */
  readonly calling: readonly ItemClock[];
};

/**
 * A line of today's list: a run under way, an instrument that is stopped, one that stands wet or lies cased damp, one
 * with which something is wrong, what must happen before it is played again, what is due.
 */
export type TodayLine =
  | { readonly what: 'run'; readonly id: InstrumentId; readonly runKey: string }
  | { readonly what: 'stopped' | 'wrong' | 'first-note' | 'measure' | 'pack' | 'fetch'; readonly id: InstrumentId }
  /** `wetMinutes` null: since a day whose hour nobody said. */
  | { readonly what: 'wet'; readonly id: InstrumentId; readonly wetMinutes: number | null; readonly grams: number }
  | { readonly what: 'damp'; readonly id: InstrumentId; readonly sinceWallMinute: number }
  | { readonly what: 'first' | 'due'; readonly id: InstrumentId; readonly clock: ItemClock };

export type Today = {
  readonly lines: readonly TodayLine[];
  readonly fine: readonly InstrumentId[];
  /** Without a line, but of some of their care nothing is known: not fine, and not due either. */
  readonly unknown: readonly InstrumentId[];
  readonly away: readonly InstrumentId[];
};

const isDue = ({ state }: ItemClock): boolean => state === 'overdue' || state === 'due' || state === 'waiting';
const hasUnknown = ({ calling }: StandsToday): boolean => calling.some(({ state }) => state === 'unknown');
/** What was noticed is being asked about: that line leads on, and one thing is said once. */
function isAskedIn(asked: StandsToday['asked'], clock: ItemClock): boolean {
  const sign = asked === null ? null : noticedSign(clock);
  return sign !== null && asked?.includes(sign) === true;
}
const loadOf = ({ load }: ItemClock): number => load ?? 1;

/**
 * One ordered list over several instruments: runs under way, then what is stopped, then what stands wet (the longest
 * first), what lies cased damp, what goes to the bench or comes from there, what is asked about, what is looked over because it was knocked, what was noticed or left
 * from packing up, what is looked over before its first note, then what is due, the furthest over first, and last what is
 * to be measured again. What has no line is fine, unless nothing is known of some of its care. What is at the bench is
 * only named, but for being packed and fetched; on the morning it goes its run, its stop and its water are still said.
 * Of what is laid by nothing else is asked.
 *
 * @param now wall minute of the player's clock
 */
export function todayList(all: readonly StandsToday[], now: number): Today {
  const there = all.filter(({ isAway }) => !isAway);
  const instruments = there.filter(({ stopped }) => stopped !== 'laid-by');
  // No bench is glad of a wet instrument in a shut case.
  const stillHere = all.filter(({ isAway, goesToday }) => !isAway || goesToday);
  const toDry = stillHere.filter(({ stopped, openRunKey }) => stopped !== 'laid-by' && openRunKey === null);
  const runs = stillHere.flatMap(({ id, openRunKey }): TodayLine[] =>
    openRunKey === null ? [] : [{ what: 'run', id, runKey: openRunKey }],
  );
  const stops = stillHere
    .filter(({ stopped }) => stopped !== null)
    .map(({ id }): TodayLine => ({ what: 'stopped', id }));
  const wrong = instruments
    .filter(({ asked, stopped }) => asked !== null && stopped === null)
    .map(({ id }): TodayLine => ({ what: 'wrong', id }));
  // It is at the bench from the morning on which it goes there: what is away is packed and fetched all the same.
  const handovers = all.flatMap(({ id, handover }): TodayLine[] => (handover === null ? [] : [{ what: handover, id }]));
  const since = ({ playedAt }: StandsToday): number | null => (playedAt === null ? null : Math.max(0, now - playedAt));
  const wet = toDry
    .filter(({ awaitsPackUp }) => awaitsPackUp)
    .toSorted((a, b) => (since(b) ?? Infinity) - (since(a) ?? Infinity) || b.grams - a.grams)
    .map((one): TodayLine => ({ what: 'wet', id: one.id, wetMinutes: since(one), grams: one.grams }));
  const damp = toDry
    .flatMap(({ id, dampSince }): Extract<TodayLine, { what: 'damp' }>[] =>
      dampSince === null ? [] : [{ what: 'damp', id, sinceWallMinute: dampSince }],
    )
    .toSorted((a, b) => a.sinceWallMinute - b.sinceWallMinute);
  const first = instruments.flatMap(({ id, asked, calling, leftForLater }) =>
    [...calling.filter((clock) => isNoticed(clock) && !isAskedIn(asked, clock)), ...leftForLater].map(
      (clock): TodayLine => ({ what: 'first', id, clock }),
    ),
  );
  const due = instruments
    .flatMap(({ id, calling }) =>
      calling
        .filter((clock) => isDue(clock) && !isNoticed(clock))
        .map((clock) => ({ what: 'due' as const, id, clock })),
    )
    .toSorted((a, b) => loadOf(b.clock) - loadOf(a.clock));
  const firstNotes = instruments
    .filter(({ isToBeLookedOver, openRunKey }) => isToBeLookedOver && openRunKey === null)
    .map(({ id }): TodayLine => ({ what: 'first-note', id }));
  const measured = instruments.filter(({ looksDue, openRunKey }) => looksDue > 0 && openRunKey === null);
  const measure = ({ id }: StandsToday): TodayLine => ({ what: 'measure', id });
  const knocked = measured.filter(({ isKnocked }) => isKnocked).map(measure);
  // Nothing is harmed by a number read tomorrow: it comes last.
  const measures = measured.filter(({ isKnocked }) => !isKnocked).map(measure);
  const beforeAll = [...runs, ...stops, ...wet, ...damp, ...handovers];
  const lines = [...beforeAll, ...wrong, ...knocked, ...first, ...firstNotes, ...due, ...measures];
  const named = new Set(lines.map(({ id }) => id));
  const rest = there.filter(({ id }) => !named.has(id));
  const ids = (stands: readonly StandsToday[]) => stands.map(({ id }) => id);
  return {
    lines,
    fine: ids(rest.filter((one) => !hasUnknown(one))),
    unknown: ids(rest.filter(hasUnknown)),
    away: ids(all.filter(({ id, isAway }) => isAway && !named.has(id))),
  };
}
