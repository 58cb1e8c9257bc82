import type { AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';

export const LEAST_PLAY_MINUTES = 1;
/** A day has 24 h; nobody plays longer in one go. */
export const MOST_PLAY_MINUTES = 1440;
export const MINUTES_PER_DAY = 1440;

/** One spell of playing, ended by packing up. `endedAtMinute` is the wall-clock minute of the day, null if not known. */
export type PlaySpan = {
  readonly endedOn: LocalDate;
  readonly endedAtMinute: number | null;
  readonly minutes: number;
};

/** A play as the record has it. A corrected play keeps the key it was first logged under. */
export type Play = PlaySpan & {
  readonly key: string;
  readonly instrumentId: InstrumentId;
  readonly playerId: PlayerId;
  /** The room it was played in, °C; null where nobody said. */
  readonly roomCelsius: number | null;
  /** Only these parts of it were played; null: all of it. */
  readonly alone: AloneId | null;
};

/** Where the player's wall clock stands. */
export type WallClock = { readonly on: LocalDate; readonly atMinute: number };

/** Wall-clock minutes since 1970-01-01T00:00, the same clock for every play of an instrument. */
export const wallMinute = (on: LocalDate, atMinute: number): number => dayNumber(on) * MINUTES_PER_DAY + atMinute;

export type PlayRefusal =
  | { readonly code: 'in-the-future'; readonly field: 'endedOn' | 'endedAtMinute' }
  | { readonly code: 'before-it-came'; readonly field: 'endedOn'; readonly acquiredOn: LocalDate }
  | { readonly code: 'after-it-left'; readonly field: 'endedOn'; readonly leftOn: LocalDate }
  | { readonly code: 'overlaps'; readonly field: 'minutes'; readonly other: PlaySpan }
  | { readonly code: 'day-is-full'; readonly field: 'minutes'; readonly alreadyMinutes: number };

/** When it ended, on that clock; null where its hour is not known. */
export const endOf = ({ endedOn, endedAtMinute }: Omit<PlaySpan, 'minutes'>): number | null =>
  endedAtMinute === null ? null : wallMinute(endedOn, endedAtMinute);

/** From when to when it went on. */
export const spanOf = (play: PlaySpan): readonly [number, number] | null => {
  const end = endOf(play);
  return end === null ? null : [end - play.minutes, end];
};

/** Do two plays of one instrument run at the same time? A play whose hour is not known overlaps nothing. */
export function playsOverlap(a: PlaySpan, b: PlaySpan): boolean {
  const [one, other] = [spanOf(a), spanOf(b)];
  return one !== null && other !== null && one[0] < other[1] && other[0] < one[1];
}

/**
 * May this play be written down? It must lie in the past, within the time the instrument was on the shelf, beside
 * no other play of the same instrument, and a day holds at most 24 h.
 *
 * @param near the instrument's plays of the days before, on and after the play's own day
 */
export function checkPlay(
  play: PlaySpan,
  now: WallClock,
  shelf: { readonly acquiredOn: LocalDate; readonly leftOn: LocalDate | null },
  near: readonly PlaySpan[],
): Outcome<PlaySpan, PlayRefusal> {
  if (play.endedOn > now.on) return fail({ code: 'in-the-future', field: 'endedOn' });
  if (play.endedOn === now.on && play.endedAtMinute !== null && play.endedAtMinute > now.atMinute)
    return fail({ code: 'in-the-future', field: 'endedAtMinute' });
  if (play.endedOn < shelf.acquiredOn)
    return fail({ code: 'before-it-came', field: 'endedOn', acquiredOn: shelf.acquiredOn });
  if (shelf.leftOn !== null && play.endedOn > shelf.leftOn)
    return fail({ code: 'after-it-left', field: 'endedOn', leftOn: shelf.leftOn });
  if (!(play.minutes >= LEAST_PLAY_MINUTES && play.minutes <= MOST_PLAY_MINUTES))
    return fail({ code: 'day-is-full', field: 'minutes', alreadyMinutes: 0 });
  const other = near.find((candidate) => playsOverlap(candidate, play));
  if (other) return fail({ code: 'overlaps', field: 'minutes', other });
  const alreadyMinutes = near
    .filter(({ endedOn }) => endedOn === play.endedOn)
    .reduce((sum, { minutes }) => sum + minutes, 0);
  if (alreadyMinutes + play.minutes > MINUTES_PER_DAY)
    return fail({ code: 'day-is-full', field: 'minutes', alreadyMinutes });
  return succeed(play);
}
