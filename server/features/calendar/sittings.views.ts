import type { CalendarEvent } from '#core/calendar/event.ts';
import { eventWords, lastDayOf } from '#core/calendar/event.ts';
import { duration } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { dueItems, reachable, sittingsOf, timeOf, type DueItem } from '#core/sittings/due-items.ts';
import type { PlannedSittings } from '#core/sittings/plan-sittings.ts';
import { eachOnItsOwnDate } from '#core/sittings/search-sittings.ts';
import { SITTING_DAYS, USUAL_TIME } from '#core/sittings/sitting-numbers.ts';
import { handsFor } from '#core/players/player.ts';
import { handsWords, placedWords, sittingMinutes, sittingsWhy, sittingsWords } from '#core/sittings/sitting-words.ts';
import { minutesOfDay, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** More than this at once is a fleet's plan: the most pressing are planned. */
const MOST_PLANNED = 80;

/** What is planned for one player, read once. */
type Read = {
  readonly own: readonly Reading[];
  readonly events: readonly CalendarEvent[];
  readonly due: readonly DueItem[];
  readonly of: Sittings;
  readonly said: readonly number[] | null;
};

function read({ readings, instruments, calendar }: Services, playerId: PlayerId, today: LocalDate): Read {
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  const events = calendar.of(playerId).filter((event) => lastDayOf(event) >= today);
  const said = calendar.timeOf(playerId);
  const time = timeOf(said, events, today);
  const due = own
    .flatMap(({ situation, player }) => reachable(dueItems(situation(today), events, player), time))
    .toSorted((a, b) => a.item.due - b.item.due || b.item.lateDay - a.item.lateDay)
    .slice(0, MOST_PLANNED);
  return { own, events, due, said, of: sittingsOf(due, time) };
}

const countOf = (plan: SittingPlan): number => new Set(plan.filter((day) => day !== null)).size;

/** When it falls due. A later time of the same thing is counted from the days before it: nobody knows its range. */
function dueOf({ clock, item, instrumentId }: DueItem, today: LocalDate) {
  const isFirst = item.id === `${instrumentId}:${clock.item.id}`;
  const { on = null, earliest = null, latest = null } = (isFirst ? clock.due : null) ?? {};
  return { dueOn: isFirst ? on : addDays(today, item.due), earliest, latest };
}

function placedView(
  one: DueItem,
  day: number | null,
  { own, today }: Read & { readonly today: LocalDate },
): PlacedItemView {
  const { clock, item, instrumentId } = one;
  const reading = own.find(({ instrument }) => instrument.id === instrumentId);
  const hands = reading ? handsWords[handsFor(clock.item.skill, reading.player)] : '';
  const words = day === null ? `It takes ${sittingMinutes(item.minutes)}.` : placedWords(day, item.due);
  return {
    instrumentId,
    instrumentName: reading?.instrument.name ?? '',
    itemId: clock.item.id,
    name: clock.item.name,
    words: `${words}${hands}`,
    ...dueOf(one, today),
  };
}

/** The sittings of a plan, earliest first. */
function sittingViews(has: Read, plan: SittingPlan, today: LocalDate): SittingsView['sittings'] {
  const days = [...new Set(plan.filter((day) => day !== null))].sort((a, b) => a - b);
  return days.map((day) => {
    const minutes = Math.round(minutesOfDay(has.of, plan, day));
    const items = has.due.flatMap((one, at) => (plan[at] === day ? [placedView(one, day, { ...has, today })] : []));
    return { on: addDays(today, day), minutes, words: sittingMinutes(minutes), items };
  });
}

function eventView(event: CalendarEvent): SittingsView['events'][number] {
  const { key, what, on, minutes } = event;
  const words = `${eventWords(event)}${minutes === null ? '' : `, ${duration(minutes)}`}`;
  return { key, what, on, until: lastDayOf(event), words: words.charAt(0).toUpperCase() + words.slice(1) };
}

function viewOf(
  has: Read,
  { plan, cost, gap }: PlannedSittings,
  { playerId, today, services }: { playerId: PlayerId; today: LocalDate; services: Services },
): SittingsView {
  const { format } = services;
  const last = addDays(today, SITTING_DAYS - 1);
  const left = has.due.filter((_, at) => plan[at] === null);
  const told = {
    count: countOf(plan),
    apart: countOf(eachOnItsOwnDate(has.of)),
    left: left.length,
    gap,
    hasTime: has.of.time.some((minutes) => minutes > 0),
  };
  return {
    playerId,
    today,
    said: has.said && [...has.said],
    usual: USUAL_TIME.map(({ value }) => value),
    time: [...has.of.time],
    sittings: sittingViews(has, plan, today),
    left: left.map((one) => placedView(one, null, { ...has, today })),
    events: has.events.filter(({ on }) => on <= last).map(eventView),
    instruments: has.own.map(({ instrument: { id, name } }) => ({ instrumentId: id, name })),
    words: sittingsWords(told, format),
    because: sittingsWhy(cost, format),
  };
}

/** Six weeks of a player: what falls due, packed into few sittings; worked out once for each state of the record. */
export async function sittingsPageOf(
  services: Services,
  playerId: PlayerId,
  today: LocalDate,
): Promise<Outcome<SittingsView, Failure>> {
  if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const own = services.instruments.all().filter((one) => one.playerId === playerId);
  const subjects = [ofPlayer(playerId), ...own.map(({ id }) => ofInstrument(id))];
  const { has, planned } = services.remembered.of(`sittings ${playerId}`, subjects, today, () => {
    const found = read(services, playerId, today);
    const work = services.desk.ask('sittings', found.of);
    // A plan that failed is not kept as one.
    work.catch(() => services.remembered.forget());
    return { has: found, planned: work };
  });
  return succeed(viewOf(has, await planned, { playerId, today, services }));
}
