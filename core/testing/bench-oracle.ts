import type { BenchAsked } from '#core/bench/bench-window.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/**
 * The day at the bench once more, from the words of its rules alone; no function or figure of the room it tests, and of the
 * program only the calendar.
 */
const FRIDAY = 4;
const weekday = (day: LocalDate): number => weekdayOfDay(dayNumber(day));
type Shut = BenchAsked['shut'];
const isOpen = (day: LocalDate, shut: Shut): boolean => weekday(day) <= FRIDAY && !shut.has(dayNumber(day));
/** On which a parcel is sent that is a few days on the way: each of them is a working day. */
function isSentOn(day: LocalDate, days: number, shut: Shut): boolean {
  for (let at = 1; days <= 4 && at <= days; at++) if (!isOpen(addDays(day, at), shut)) return false;
  return true;
}
const apart = (one: LocalDate, other: LocalDate): number => Math.abs(dayNumber(one) - dayNumber(other));

/** Taken on a day: there after the way, worked on so many open days, sent on the next open one, back on an open one. */
export function stayOf(on: LocalDate, { workingDays, shippingDays, settlingDays }: BenchAsked['terms'], shut: Shut) {
  let day = addDays(on, shippingDays);
  for (let done = 0; done < workingDays; day = addDays(day, 1)) if (isOpen(day, shut)) done++;
  while (!(isOpen(day, shut) && isSentOn(day, shippingDays, shut))) day = addDays(day, 1);
  let back = addDays(day, shippingDays);
  while (!isOpen(back, shut)) back = addDays(back, 1);
  return { on, back, ready: addDays(back, settlingDays) };
}

const touches = (event: CalendarEvent, from: LocalDate, to: LocalDate): boolean => {
  const last = event.until ?? event.on;
  return event.on <= to && last >= from;
};
const isAudience = ({ what }: CalendarEvent): boolean => what === 'concert' || what === 'audition';

/** Does it make sense to take it there on a day? */
export function makesSense(
  on: LocalDate,
  { terms, shut, isAwayOnHolidays, events, instrumentId, kin }: BenchAsked,
): boolean {
  if (!isOpen(on, shut)) return false;
  // A parcel that could be there before a weekend or a holiday does not lie over it.
  if (!isSentOn(on, terms.shippingDays, shut)) return false;
  const { back, ready } = stayOf(on, terms, shut);
  return !events.some((event) => {
    const mine = event.instrumentIds.includes(instrumentId);
    if (mine && isAudience(event) && touches(event, on, addDays(ready, -1))) return true;
    const away = mine || event.instrumentIds.some((id) => kin.includes(id));
    if (event.what === 'bench' && away && touches(event, on, back)) return true;
    const takesAway = event.what === 'travel' || (isAwayOnHolidays && event.what === 'holiday');
    return takesAway && (touches(event, on, on) || touches(event, back, back));
  });
}

/**
 * The best day: late, the first that makes sense; else one with two free weeks before the next audience, where there is
 * one, then the one that loses the least, then the nearest to its date, then the earliest. Null where no day makes sense.
 */
export function bestDay(asked: BenchAsked): LocalDate | null {
  const { today, due, from, until, terms, shut, events, instrumentId, minutesOn } = asked;
  const first = from > today ? from : today;
  const isLate = until <= today;
  const last = isLate ? addDays(first, 120) : until > first ? until : first;
  const days: LocalDate[] = [];
  for (let day = first; day <= last; day = addDays(day, 1)) if (makesSense(day, asked)) days.push(day);
  if (isLate) return days[0] ?? null;
  const lost = (day: LocalDate): number => {
    let sum = 0;
    for (let one = day; one < stayOf(day, terms, shut).back; one = addDays(one, 1)) sum += minutesOn(dayNumber(one));
    return Math.round(sum);
  };
  const isSoon = (day: LocalDate): boolean => {
    const { ready } = stayOf(day, terms, shut);
    return events.some(
      (event) =>
        isAudience(event) && event.instrumentIds.includes(instrumentId) && touches(event, ready, addDays(ready, 13)),
    );
  };
  const rank = (day: LocalDate): readonly [number, number, number] => [isSoon(day) ? 1 : 0, lost(day), apart(day, due)];
  const better = (a: LocalDate, b: LocalDate): number => {
    const [one, other] = [rank(a), rank(b)];
    return one[0] - other[0] || one[1] - other[1] || one[2] - other[2] || (a < b ? -1 : 1);
  };
  return days.toSorted(better)[0] ?? null;
}
