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
import { dueItems, needless, reachable, sittingsOf, timeOf, type DueItem } from '#core/sittings/due-items.ts';
import { carriedOn, freshSittings, withShownDays, type ShownSitting } from '#core/sittings/shown-plan.ts';
import { costOfSittings, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { AnsweredSittings, StoredSittings } from '#server/features/calendar/stored-sittings.ts';
import type { Failure } from '#server/failure.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import type { Reading } from '#server/readings.ts';
import { inTurns } from '#server/turns.ts';
import type { Services } from '#server/services.ts';
import { plannedToday } from '#server/wall-clock.ts';

/** More than this at once is a fleet's plan: the most pressing are planned. */
const MOST_PLANNED = 80;
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
  readonly due: readonly DueItem[];
  readonly of: Sittings;
  readonly said: readonly number[] | null;
};

/** The weeks as they are shown: what was read, the plan, and the sittings under their names. */
export type Weeks = WeeksRead & {
  readonly plan: SittingPlan;
  readonly gap: number | null;
  readonly ranOut: boolean;
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
    .flatMap(({ situation, player }) => reachable(dueItems(situation(today), { events, pins }, player), time))
    .toSorted((a, b) => a.item.due - b.item.due || b.item.lateDay - a.item.lateDay)
    .slice(0, MOST_PLANNED);
  const due = withShownDays(all, calendar.shownTo(playerId)?.sittings ?? [], { today, time });
  return { playerId, today, own, events, due, said: ownTime, of: sittingsOf(due, time) };
}

/** What is asked of a plan, as a digest: two questions that differ in nothing but where things lay before are one. */
function questionOf({ today, due, of }: WeeksRead): string {
  const items = due.map(({ item, clock }) => [
    { ...item, shown: null, until: item.until === Infinity ? null : item.until, barred: [...item.barred] },
    clock.lastDone?.on ?? null,
  ]);
  return createHash('sha256')
    .update(JSON.stringify([today, of.time, items]))
    .digest('hex');
}

/** A plan that was shown, read beside today's record; null where it does not fit it. */
function keptPlan(known: WeeksRead, { days: kept }: AnsweredSittings): Pick<Timed, 'has' | 'plan'> | null {
  const days = new Map(kept.map(({ id, day }) => [id, day]));
  const left = without(known, new Set(known.due.filter(({ item }) => !days.has(item.id))));
  if (left.due.length !== days.size) return null;
  return { has: left, plan: left.due.map(({ item }) => days.get(item.id) ?? null) };
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
function minutesOfRun({ own, today }: WeeksRead, items: readonly DueItem[], learnedOf: LearnedOf): number {
  const parts = own.flatMap(({ instrument, situation, wetness }) => {
    const mine = items.filter(({ instrumentId }) => instrumentId === instrument.id).map(({ clock }) => clock.item.id);
    const share = { items: [...new Set(mine)], play: null, wetness: wetness() };
    return mine.length === 0 ? [] : [runPartOf(situation(today), share)];
  });
  const [first] = own;
  const player: (PlayerAbilities & { readonly id: PlayerId }) | undefined = first?.player;
  if (player === undefined || parts.length === 0) return 0;
  return planRun({ parts, player, minutesAtHand: null, learned: learnedOf(parts, player) }).elapsedMinutes;
}

type Timed = {
  readonly has: WeeksRead;
  readonly plan: SittingPlan;
  /** Null where nothing is known of the best, or the days were given less time than they have: then it is of another question. */
  readonly gap: number | null;
  readonly ranOut: boolean;
  /** What each sitting takes, by its day. */
  readonly minutes: ReadonlyMap<number, number>;
};

/** The minutes of each sitting of a plan, by its day. */
async function timed(known: WeeksRead, plan: SittingPlan, learnedOf: LearnedOf): Promise<Timed['minutes']> {
  const days = [...new Set(plan.filter((day) => day !== null))];
  const found = await inTurns(days, (day) => {
    const items = known.due.filter((_, at) => plan[at] === day);
    return [[day, minutesOfRun(known, items, learnedOf)] as const];
  });
  return new Map(found);
}

/** The same weeks without what need not be done. */
function without(known: WeeksRead, needlessOnes: ReadonlySet<DueItem>): WeeksRead {
  const due = known.due.filter((one) => !needlessOnes.has(one));
  return { ...known, due, of: sittingsOf(due, known.of.time) };
}

/** What is planned: the weeks, and the minutes each day may be filled with. */
type Ground = { readonly has: WeeksRead; readonly time: readonly number[] };

/** The same with less time on days that were filled too full, and without what need not be; null where all is well. */
function corrected({ has, time }: Ground, found: Timed): Ground | null {
  const over = tooLong(found.has.of, found.plan, found.minutes);
  const needlessOnes = needless(has.due, found.plan);
  if (over.length === 0 && needlessOnes.size === 0) return null;
  return { has: without(has, needlessOnes), time: lessTime(has.of, found.plan, { over, time }) };
}

/**
 * A plan whose sittings fit their days by the planner of runs, and in which nothing comes twice for once: minutes of
 * things are added up to plan them, and where a sitting then takes longer than its day has, that day is given so much
 * less and the plan is made anew. A search finds most of that out, before the plan is made as well as it can be.
 */
async function fittingPlan(read: WeeksRead, services: Services): Promise<Timed> {
  const learnedOf = learnedOnce(services);
  let ground: Ground = { has: read, time: read.of.time };
  for (let round = 1; ; round++) {
    const { has, time } = ground;
    const isRough = round <= ROUGH_ROUNDS;
    const asked = await services.desk.ask(isRough ? 'roughSittings' : 'sittings', { ...has.of, time });
    const { plan, ranOut } = asked;
    // A day that was given less time may hold more of something else: what is best then is not best of the whole.
    const gap = time.every((minutes, day) => minutes === read.of.time[day]) ? asked.gap : null;
    const found = { has, plan, gap, ranOut, minutes: await timed(has, plan, learnedOf) };
    const next = corrected(ground, found);
    if (!isRough && (next === null || round >= MOST_ROUNDS)) return found;
    if (next !== null) ground = next;
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

/** The same question was answered before: it is shown as it was, beside what has been done since. */
function asBefore(read: WeeksRead, question: string, stored: StoredSittings | undefined): Weeks | null {
  const before = plansOf(stored).find((one) => one.question === question);
  const kept = before && keptPlan(read, before);
  if (!before || !stored || !kept) return null;
  const shown =
    stored.question === question
      ? stored.sittings
      : [
          ...stored.sittings.filter(({ state }) => state === 'done'),
          ...before.sittings.filter(({ state }) => state === 'planned'),
        ];
  return { ...kept.has, plan: kept.plan, gap: before.gap, ranOut: before.ranOut ?? false, shown };
}

/** Plans the weeks anew, each sitting under the name of the one it was before. */
async function planned(services: Services, read: WeeksRead, stored: StoredSittings | undefined): Promise<Weeks> {
  const { today, own } = read;
  const { has, plan, gap, ranOut, minutes } = await fittingPlan(read, services);
  const fresh = freshSittings(has.due, plan, { ...has.of, today }).map((one) => ({
    ...one,
    minutes: Math.max(1, Math.round(minutes.get(daysBetween(today, one.on)) ?? one.minutes)),
  }));
  const lastDoneOn = (thing: { readonly instrumentId: string; readonly itemId: string }): LocalDate | null => {
    const reading = own.find(({ instrument }) => instrument.id === thing.instrumentId);
    const clock = reading?.situation(today).care.clocks.find(({ item }) => item.id === thing.itemId);
    return clock?.lastDone?.on ?? null;
  };
  const shown = carriedOn(stored?.sittings ?? [], fresh, { today, mint: () => randomUUID(), lastDoneOn });
  return { ...has, plan, gap, ranOut, shown };
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
    const days = weeks.due.map(({ item }, index) => ({ id: item.id, day: weeks.plan[index] ?? null }));
    const kept = { question, days, gap: weeks.gap, ranOut: weeks.ranOut, sittings: plainCopy(weeks.shown) };
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

export const costOfWeeks = ({ of, plan }: Weeks) => costOfSittings(of, plan);
