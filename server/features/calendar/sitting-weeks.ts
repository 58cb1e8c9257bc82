import { isLaidBy } from '#core/faults/faults-standing.ts';
import { createHash, randomUUID } from 'node:crypto';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { succeed, type Outcome } from '#core/kernel/outcome.ts';
import { planRun } from '#core/packup/plan-run.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { ofInstrument, ofPlayer, type Subject } from '#core/record/fact.ts';
import { runPartOf } from '#core/situation/run-part-of.ts';
import { lessTime, tooLong } from '#core/sittings/fit-sittings.ts';
import { dueThings, sittingsOf, timeOf, type DueThing } from '#core/sittings/due-things.ts';
import {
  carriedOn,
  freshSittings,
  shownAgain,
  withShownDays,
  type LastDoneOn,
  type ShownSitting,
} from '#core/sittings/shown-plan.ts';
import type { PlannedSittings } from '#core/sittings/plan-sittings.ts';
import { costOfSittings, sittingBreaches, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';
import { addDays, dayNumber, daysBetween, weekdayOfDay, type LocalDate } from '#core/time/local-date.ts';
import type { AnsweredSittings, StoredSittings } from '#server/features/calendar/stored-sittings.ts';
import type { Failure } from '#server/failure.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import type { Reading } from '#server/readings.ts';
import { inTurns } from '#server/turns.ts';
import type { Services } from '#server/services.ts';
import { plannedToday } from '#server/wall-clock.ts';

/** More than this at once is a fleet's plan: the most pressing are planned, and it is said where that stops. */
const MOST_PLANNED = 240;
/** Days back that are told. */
const DAYS_TOLD = 14;
/** Times a plan is made anew because the planner of runs needs longer than the day has: first by search alone. */
const ROUGH_ROUNDS = 2;
const MOST_ROUNDS = 4;

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

/** The weeks as they are shown: what was read, the plan, and the sittings under their names. */
export type Weeks = WeeksRead & {
  readonly plan: SittingPlan;
  readonly gap: number | null;
  readonly shown: readonly ShownSitting[];
};

function read({ readings, instruments, calendar }: Services, playerId: PlayerId, today: LocalDate): WeeksRead {
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
    .flatMap(({ situation, player }) => dueThings(situation(today), { events, pins }, player))
    .toSorted((a, b) => a.thing.due - b.thing.due || b.thing.lateDay - a.thing.lateDay);
  const pressing = all.slice(0, MOST_PLANNED);
  const due = withShownDays(pressing, calendar.shownTo(playerId)?.sittings ?? [], { today, time });
  const beyond = all.length - pressing.length;
  const startsAt = calendar.startsOf(playerId);
  return { playerId, today, own, events, due, beyond, said: ownTime, startsAt, of: sittingsOf(due, time) };
}

/** What is asked of a plan, as a digest: two questions that differ in nothing but where things lay before are one. */
function questionOf({ today, due, of }: WeeksRead): string {
  const things = due.map(({ thing, clock }) => [
    { ...thing, shown: [], barred: [...thing.barred] },
    clock.lastDone?.on ?? null,
  ]);
  return createHash('sha256')
    .update(JSON.stringify([today, of.time, things]))
    .digest('hex');
}

/** A plan that was shown, read beside today's record; null where it does not fit it. */
function keptPlan({ due, of }: WeeksRead, { days: kept }: AnsweredSittings): SittingPlan | null {
  const days = new Map(kept.map(({ id, days: its }) => [id, its]));
  const plan = due.map(({ thing }) => days.get(thing.id) ?? []);
  return days.size === due.length && sittingBreaches(of, plan).length === 0 ? plan : null;
}

type LearnedOf = Services['packup']['learnedMinutes'];

/** The minutes learned of each instrument, read once for all the sittings it is in. */
function learnedOnce({ packup }: Services): LearnedOf {
  const known = new Map<string, ReturnType<LearnedOf>>();
  return (parts, player) =>
    new Map(
      parts.flatMap((part) => {
        const mine = known.get(part.instrumentId) ?? packup.learnedMinutes([part], player);
        known.set(part.instrumentId, mine);
        return [...mine];
      }),
    );
}

/** What a sitting takes by the planner of runs, which knows what is opened once for two things, and what waits. */
function minutesOfRun({ own, today }: WeeksRead, things: readonly DueThing[], learnedOf: LearnedOf): number {
  const parts = own.flatMap(({ instrument, situation, wetness }) => {
    const mine = things.filter(({ instrumentId }) => instrumentId === instrument.id).map(({ clock }) => clock.item.id);
    const share = { items: [...new Set(mine)], play: null, wetness: wetness() };
    return mine.length === 0 ? [] : [runPartOf(situation(today), share)];
  });
  const [first] = own;
  const player: (PlayerAbilities & { readonly id: PlayerId }) | undefined = first?.player;
  if (player === undefined || parts.length === 0) return 0;
  return planRun({ parts, player, minutesAtHand: null, learned: learnedOf(parts, player) }).elapsedMinutes;
}

/** A plan with what each of its sittings takes, by its day. */
type Timed = Pick<PlannedSittings, 'plan' | 'gap'> & { readonly minutes: ReadonlyMap<number, number> };

/** The minutes of each sitting of a plan, by its day. */
async function timed(known: WeeksRead, plan: SittingPlan, learnedOf: LearnedOf): Promise<Timed['minutes']> {
  const found = await inTurns([...new Set(plan.flat())], (day) => {
    const things = known.due.filter((_, at) => plan[at]?.includes(day));
    return [[day, minutesOfRun(known, things, learnedOf)] as const];
  });
  return new Map(found);
}

/**
 * A plan whose sittings fit their days by the planner of runs: minutes of things are added up to plan them, and where a
 * sitting then takes longer than its day has, that day is given so much less and the plan is made anew. A search finds
 * most of that out, before the plan is made as well as it can be.
 */
async function fittingPlan(read: WeeksRead, services: Services): Promise<Timed> {
  const learnedOf = learnedOnce(services);
  const wholeTime = read.of.time;
  let time = wholeTime;
  for (let round = 1; ; round++) {
    const isRough = round <= ROUGH_ROUNDS;
    const work = isRough ? 'roughSittings' : 'sittings';
    const { plan, gap } = await services.desk.ask(work, { problem: { ...read.of, time }, wholeTime });
    const minutes = await timed(read, plan, learnedOf);
    const over = tooLong(read.of, minutes);
    if (!isRough && (over.length === 0 || round >= MOST_ROUNDS)) return { plan, gap, minutes };
    if (over.length > 0) time = lessTime(read.of, plan, { over, time });
    else round = Math.max(round, ROUGH_ROUNDS);
  }
}

/** What the weeks hang on. */
const subjectsOf = ({ instruments }: Services, playerId: PlayerId): Subject[] => {
  const own = instruments.ofPlayer(playerId);
  return [ofPlayer(playerId), ...own.map(({ id }) => ofInstrument(id))];
};

/** Plans that are remembered besides the one that is shown. */
const MOST_EARLIER = 6;
const plainCopy = (shown: readonly ShownSitting[]): AnsweredSittings['sittings'] =>
  shown.map((one) => ({ ...one, things: one.things.map((thing) => ({ ...thing })) }));

/** The plan that is shown, and those before it, the last first. */
function plansOf(stored: StoredSittings | undefined): AnsweredSittings[] {
  if (stored === undefined) return [];
  const { earlier, ...last } = stored;
  return [last, ...earlier];
}

/** When a thing was last done, as the record says today. */
const lastDoneIn =
  ({ own, today }: WeeksRead): LastDoneOn =>
  ({ instrumentId, itemId }) => {
    const reading = own.find(({ instrument }) => instrument.id === instrumentId);
    return reading?.situation(today).care.clocks.find(({ item }) => item.id === itemId)?.lastDone?.on ?? null;
  };

/** The same question was answered before: it is shown as it was, beside what has been done since. */
function asBefore(read: WeeksRead, question: string, stored: StoredSittings | undefined): Weeks | null {
  const before = plansOf(stored).find((one) => one.question === question);
  const plan = before && keptPlan(read, before);
  if (!before || !stored || !plan) return null;
  const shown =
    stored.question === question ? stored.sittings : shownAgain(stored.sittings, before.sittings, lastDoneIn(read));
  return { ...read, plan, gap: before.gap, shown };
}

/** Plans the weeks anew, each sitting under the name of the one it was before. */
async function planned(services: Services, read: WeeksRead, stored: StoredSittings | undefined): Promise<Weeks> {
  const { today } = read;
  const { plan, gap, minutes } = await fittingPlan(read, services);
  const fresh = freshSittings(read.due, plan, { today }).map((one) => ({
    ...one,
    minutes: Math.max(1, Math.round(minutes.get(daysBetween(today, one.on)) ?? one.minutes)),
  }));
  const asked = { today, mint: () => randomUUID(), lastDoneOn: lastDoneIn(read) };
  return { ...read, plan, gap, shown: carriedOn(stored?.sittings ?? [], fresh, asked) };
}

/**
 * Keeps what is shown. Where the file cannot be written the weeks are shown all the same: whoever watches over the file has
 * noticed, and says so where something is logged.
 */
export function keptIfItCan(keep: () => void): void {
  try {
    keep();
  } catch (error) {
    if (recordTrouble(error) === null) throw error;
  }
}

/** What is shown, planned anew or as it was, and kept. */
async function shownWeeks(services: Services, playerId: PlayerId, today: LocalDate): Promise<Weeks> {
  const { calendar, atOnce } = services;
  const known = read(services, playerId, today);
  const question = questionOf(known);
  const stored = calendar.shownTo(playerId);
  const weeks = asBefore(known, question, stored) ?? (await planned(services, known, stored));
  if (question !== stored?.question) {
    const others = plansOf(stored).filter((one) => one.question !== question);
    const days = weeks.due.map(({ thing }, at) => ({ id: thing.id, days: [...(weeks.plan[at] ?? [])] }));
    const kept = { question, days, gap: weeks.gap, sittings: plainCopy(weeks.shown) };
    keptIfItCan(() => atOnce(() => calendar.show(playerId, { ...kept, earlier: others.slice(0, MOST_EARLIER) })));
  }
  return weeks;
}

/**
 * The six weeks of a player, from today: worked out once for each state of the record, for all who ask, and kept. Of
 * another day there are none.
 */
export async function weeksOf(
  services: Services,
  playerId: PlayerId,
  asked: LocalDate,
): Promise<Outcome<Weeks, Failure>> {
  const today = plannedToday(asked, services.nowMs());
  if (!today.ok) return today;
  const what = { name: `sittings ${playerId}`, subjects: subjectsOf(services, playerId), day: today.value };
  const weeks = services.remembered.work(what, (wanted) => {
    const desk: Services['desk'] = {
      ask: (name, input, asking) => services.desk.ask(name, input, { ...asking, signal: wanted }),
    };
    return { done: shownWeeks({ ...services, desk }, playerId, today.value) };
  });
  return succeed(await weeks.wait(services.caller.left, ({ done }) => done));
}

/** The minute of the day at which a sitting begins; null where nobody has said. */
export const startOn = ({ startsAt }: Pick<Weeks, 'startsAt'>, on: LocalDate): number | null =>
  startsAt?.[weekdayOfDay(dayNumber(on))] ?? null;

export const costOfWeeks = ({ of, plan }: Weeks) => costOfSittings(of, plan);
