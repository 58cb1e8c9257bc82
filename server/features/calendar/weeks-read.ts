import { createHash } from 'node:crypto';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { isLaidBy } from '#core/faults/faults-standing.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { dueThings, fallingDue, morePressing, sittingsOf, timeOf, type DueThing } from '#core/sittings/due-things.ts';
import { MOST_PLANNED } from '#core/sittings/sitting-numbers.ts';
import { withShownDays } from '#core/sittings/shown-plan.ts';
import type { Sittings } from '#core/sittings/sittings.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** Days back that are told. */
const DAYS_TOLD = 14;

/** Everything the six weeks of one player are planned from, read once. */
export type WeeksRead = {
  readonly playerId: PlayerId;
  readonly today: LocalDate;
  readonly own: readonly Reading[];
  /** Those of the last two weeks among them. */
  readonly events: readonly CalendarEvent[];
  readonly due: readonly DueThing[];
  /** Things that fall due, too, and are not planned: others are more pressing. */
  readonly beyond: number;
  readonly of: Sittings;
  readonly said: readonly number[] | null;
  /** The minute of the day at which one begins, by weekday; null where nobody has said. */
  readonly startsAt: readonly (number | null)[] | null;
};

/** Reads what falls due in six weeks, and the time there is for it. */
export function readWeeks(
  { readings, instruments, calendar }: Services,
  playerId: PlayerId,
  today: LocalDate,
): WeeksRead {
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  const events = calendar.of(playerId).filter((event) => lastDayOf(event) >= addDays(today, -DAYS_TOLD));
  const pins = calendar.pinsOf(playerId);
  const ownTime = calendar.timeOf(playerId);
  const time = timeOf(ownTime, events, today);
  const all = own
    // What is laid by waits until somebody has looked at it.
    .filter(({ situation }) => !isLaidBy(situation(today).faults))
    .flatMap((reading) => fallingDue(reading.situation(today), reading.player).map((falling) => ({ reading, falling })))
    .toSorted((a, b) => morePressing(a.falling, b.falling));
  const pressing = all.slice(0, MOST_PLANNED);
  const things = pressing.flatMap(({ reading: { situation, player }, falling }) =>
    dueThings(situation(today), { events, pins }, { player, falling: [falling] }),
  );
  const due = withShownDays(things, calendar.shownTo(playerId)?.sittings ?? [], { today, time });
  const beyond = all.length - pressing.length;
  const startsAt = calendar.startsOf(playerId);
  return { playerId, today, own, events, due, beyond, said: ownTime, startsAt, of: sittingsOf(due, time) };
}

/** What is asked of a plan, as a digest: two questions that differ in nothing but where things lay before are one. */
export function questionOf({ today, due, of }: WeeksRead): string {
  const things = due.map(({ thing, clock }) => [
    { ...thing, shown: [], barred: [...thing.barred] },
    clock.lastDone?.on ?? null,
  ]);
  return createHash('sha256')
    .update(JSON.stringify([today, of.time, things]))
    .digest('hex');
}

/** The minute of the day at which a sitting begins; null where nobody has said. */
export const startOn = ({ startsAt }: Pick<WeeksRead, 'startsAt'>, on: LocalDate): number | null =>
  startsAt?.[weekdayOfDay(dayNumber(on))] ?? null;
