import type { BenchAsked } from '#core/bench/bench-window.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/**
 * The day at the bench once more, from the words of its rules alone; no function or figure of the room it tests, and of the
 * program only the calendar.
 */
const FRIDAY = 4;
const weekday = (day: LocalDate): number => weekdayOfDay(dayNumber(day));
const isOpen = (day: LocalDate): boolean => weekday(day) <= FRIDAY;
const apart = (one: LocalDate, other: LocalDate): number => Math.abs(dayNumber(one) - dayNumber(other));

/** Taken on a day: there after the way, worked on so many open days, handed out on the next open one, back after the way. */
export function stayOf(on: LocalDate, { workingDays, shippingDays, settlingDays }: BenchAsked['terms']) {
  let day = addDays(on, shippingDays);
  for (let done = 0; done < workingDays; day = addDays(day, 1)) if (isOpen(day)) done++;
  while (!isOpen(day)) day = addDays(day, 1);
  const back = addDays(day, shippingDays);
  return { on, back, ready: addDays(back, settlingDays) };
}

const touches = (event: CalendarEvent, from: LocalDate, to: LocalDate): boolean => {
  const last = event.until ?? event.on;
  return event.on <= to && last >= from;
};
const isAudience = ({ what }: CalendarEvent): boolean => what === 'concert' || what === 'audition';

/** Does it make sense to take it there on a day? */
export function makesSense(on: LocalDate, { terms, events, instrumentId, kin }: BenchAsked): boolean {
  if (!isOpen(on)) return false;
  const { shippingDays } = terms;
  // A parcel that could be there before the weekend does not lie over it.
  if (shippingDays >= 1 && shippingDays <= 4 && weekday(on) + shippingDays > FRIDAY) return false;
  const { back, ready } = stayOf(on, terms);
  return !events.some((event) => {
    const mine = event.instrumentIds.includes(instrumentId);
    if (mine && isAudience(event) && touches(event, on, addDays(ready, -1))) return true;
    const away = mine || event.instrumentIds.some((id) => kin.includes(id));
    if (event.what === 'bench' && away && touches(event, on, back)) return true;
    return event.what === 'travel' && (touches(event, on, on) || touches(event, back, back));
  });
}

/**
 * The best day: late, the first that makes sense; else one with two free weeks before the next audience, where there is
 * one, then the one that loses the least, then the nearest to its date, then the earliest. Null where no day makes sense.
 */
export function bestDay(asked: BenchAsked): LocalDate | null {
  const { today, due, from, until, terms, events, instrumentId, minutesOn } = asked;
  const first = from > today ? from : today;
  const isLate = until <= today;
  const last = isLate ? addDays(first, 120) : until > first ? until : first;
  const days: LocalDate[] = [];
  for (let day = first; day <= last; day = addDays(day, 1)) if (makesSense(day, asked)) days.push(day);
  if (isLate) return days[0] ?? null;
  const lost = (day: LocalDate): number => {
    let sum = 0;
    for (let one = day; one < stayOf(day, terms).back; one = addDays(one, 1)) sum += minutesOn(dayNumber(one));
    return Math.round(sum);
  };
  const isSoon = (day: LocalDate): boolean => {
    const { ready } = stayOf(day, terms);
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
