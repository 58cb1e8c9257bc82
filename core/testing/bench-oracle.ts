import type { BenchAsked } from '#core/bench/bench-days.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import { addDays, dayNumber, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';

/**
 * The days at the bench once more, from the words of its rules alone; no function or figure of the room it tests, and of
 * the program only the calendar.
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
const each = (from: LocalDate, to: LocalDate): LocalDate[] => {
  const days: LocalDate[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) days.push(day);
  return days;
};

/** Taken on a day: there after the way, worked on so many open days, sent on the next open one, back on an open one. */
export function stayOf(on: LocalDate, { workingDays, shippingDays, settlingDays }: BenchAsked['away'], shut: Shut) {
  let day = addDays(on, shippingDays);
  for (let done = 0; done < workingDays; day = addDays(day, 1)) if (isOpen(day, shut)) done++;
  while (!(isOpen(day, shut) && isSentOn(day, shippingDays, shut))) day = addDays(day, 1);
  const sentBack = day;
  let back = addDays(day, shippingDays);
  while (!isOpen(back, shut)) back = addDays(back, 1);
  return { on, back, ready: addDays(back, settlingDays), sentBack };
}

const touches = (event: CalendarEvent, from: LocalDate, to: LocalDate): boolean => {
  const last = event.until ?? event.on;
  return event.on <= to && last >= from;
};
const isAudience = ({ what }: CalendarEvent): boolean => what === 'concert' || what === 'audition';
const monthOf = (day: LocalDate): number => Number(day.split('-')[1]);

/** Does it make sense to take it there on a day: is none of what is never done done? */
export function makesSense(on: LocalDate, asked: BenchAsked): boolean {
  const { away, shut, isAwayOnHolidays, events, instrumentId, kin, noShippingMonths } = asked;
  if (!isOpen(on, shut)) return false;
  // A parcel that could be there before a weekend or a holiday does not lie over it.
  if (!isSentOn(on, away.shippingDays, shut)) return false;
  const { back, ready, sentBack } = stayOf(on, away, shut);
  const onTheWay = () => [...each(on, addDays(on, away.shippingDays)), ...each(sentBack, back)];
  if (
    away.shippingDays > 0 &&
    noShippingMonths.length > 0 &&
    onTheWay().some((day) => noShippingMonths.includes(monthOf(day)))
  )
    return false;
  // While it is away, one of its kind is at home on each day, where there are others.
  const stays = events.filter(({ what }) => what === 'bench');
  const isOut = (id: string, day: LocalDate): boolean =>
    stays.some((event) => event.instrumentIds.some((one) => one === id) && touches(event, day, day));
  if (kin.length > 0 && stays.length > 0 && each(on, back).some((day) => kin.every((id) => isOut(id, day))))
    return false;
  return !events.some((event) => {
    const mine = event.instrumentIds.includes(instrumentId);
    if (mine && isAudience(event) && (touches(event, on, back) || touches(event, on, addDays(ready, -1)))) return true;
    if (event.what === 'bench' && mine && touches(event, on, back)) return true;
    const takesAway = event.what === 'travel' || (isAwayOnHolidays && event.what === 'holiday');
    return takesAway && (touches(event, on, on) || touches(event, back, back));
  });
}

/** What a day costs in minutes of playing, as the practice book exchanges it. */
export function priceOf(on: LocalDate, asked: BenchAsked): Readonly<Record<string, number>> {
  const { away, shut, jobs, kin, events, instrumentId, minutesOn } = asked;
  const { back, ready, sentBack } = stayOf(on, away, shut);
  let played = 0;
  for (let day = dayNumber(on); day < dayNumber(back); day++) played += minutesOn(day);
  const severity = { person: 3, lasting: 3, function: 2, looks: 1 };
  let [overdue, early] = [0, 0];
  for (const job of jobs) {
    if (on > job.due) overdue += (apart(on, job.due) / 7) * 20 * severity[job.severity];
    if (job.from !== null && on < job.from) early += (apart(on, job.from) / 7) * 10;
  }
  const isMine = ({ what, instrumentIds }: CalendarEvent) =>
    what === 'rehearsal' && instrumentIds.includes(instrumentId);
  const own = ({ minutes, minutesOf }: CalendarEvent) =>
    minutesOf.find((one) => one.instrumentId === instrumentId)?.minutes ?? minutes ?? 0;
  const settling = events.filter((event) => isMine(event) && event.on >= back && event.on < ready);
  const rehearsed = settling.reduce((sum, event) => sum + own(event), 0);
  return {
    lost: Math.round(played * (kin.length > 0 ? 0.3 : 1)),
    overdue: Math.round(overdue),
    settling: Math.round(rehearsed * 0.5),
    shipping: 10 * (away.shippingDays + apart(back, sentBack)),
    early: Math.round(early),
  };
}

const total = (costs: Readonly<Record<string, number>>): number => Object.values(costs).reduce((a, b) => a + b, 0);

/**
 * The three best days of the year from today on, each at least a week from those before it: the least sum, then the
 * nearest to the first date, then the earliest.
 */
export function bestDays(asked: BenchAsked): LocalDate[] {
  const { today, jobs } = asked;
  const due = jobs.reduce((first, job) => (job.due < first ? job.due : first), jobs[0]?.due ?? today);
  const left = each(today, addDays(today, 365))
    .filter((day) => makesSense(day, asked))
    .map((day) => ({ day, sum: total(priceOf(day, asked)) }));
  const taken: LocalDate[] = [];
  while (taken.length < 3) {
    const free = left.filter(({ day }) => taken.every((one) => apart(one, day) >= 7));
    if (free.length === 0) break;
    const [best] = free.sort(
      (a, b) => a.sum - b.sum || apart(a.day, due) - apart(b.day, due) || (a.day < b.day ? -1 : 1),
    );
    if (best) taken.push(best.day);
  }
  return taken;
}
