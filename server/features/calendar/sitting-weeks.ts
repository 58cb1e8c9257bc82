import { randomUUID } from 'node:crypto';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofInstrument, ofPlayer, type Subject } from '#core/record/fact.ts';
import { fittingPlan } from '#core/sittings/fit-sittings.ts';
import { carriedOn, freshSittings, shownAgain, type LastDoneOn, type ShownSitting } from '#core/sittings/shown-plan.ts';
import { costOfSittings, sittingBreaches, type SittingPlan } from '#core/sittings/sittings.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';
import { recordTrouble } from '#server/db/record-trouble.ts';
import type { Failure } from '#server/failure.ts';
import { minutesBy } from '#server/features/calendar/sitting-minutes.ts';
import type { AnsweredSittings, StoredSittings } from '#server/features/calendar/stored-sittings.ts';
import { questionOf, readWeeks, type WeeksRead } from '#server/features/calendar/weeks-read.ts';
import type { Services } from '#server/services.ts';
import { plannedToday } from '#server/wall-clock.ts';

/** The weeks as they are shown: what was read, the plan, and the sittings under their names. */
export type Weeks = WeeksRead & {
  readonly plan: SittingPlan;
  readonly gap: number | null;
  readonly shown: readonly ShownSitting[];
};

/** A plan that was shown, read beside today's record; null where it does not fit it. */
function keptPlan({ due, of }: WeeksRead, { days: kept }: AnsweredSittings): SittingPlan | null {
  const days = new Map(kept.map(({ id, days: its }) => [id, its]));
  const plan = due.map(({ thing }) => days.get(thing.id) ?? []);
  return days.size === due.length && sittingBreaches(of, plan).length === 0 ? plan : null;
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
  const { plan, gap, minutes } = await fittingPlan(read.of, {
    planned: (asked, isRough) => services.desk.ask(isRough ? 'roughSittings' : 'sittings', asked),
    minutesOf: minutesBy(services, read),
  });
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
  const known = readWeeks(services, playerId, today);
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

export const costOfWeeks = ({ of, plan }: Weeks) => costOfSittings(of, plan);
