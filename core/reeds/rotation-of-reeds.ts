import { shareOfLife, type LivesOf } from '#core/reeds/reed-life.ts';
import { DAILY_CAP } from '#core/reeds/reed-numbers.ts';
import { leftOfSet, type SetSessions } from '#core/reeds/reed-pin.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { UNIT_MINUTES, type Rotation, type RotationReed } from '#core/reeds/rotation.ts';
import { isConcertReed, type ReedChoice } from '#core/reeds/which-reed.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Days of a plan. */
export const PLAN_DAYS = 28;
/** A reed that knows no cap is planned as if nobody played longer. */
const NO_CAP = 1440;
/** More reeds in turn than anybody keeps: the plan takes those with the least behind them. */
const MOST_PLANNED = 16;

/** What a plan is made from: the record of today, and what the days will probably hold. */
export type ToPlan = {
  readonly today: LocalDate;
  readonly reeds: readonly ReedState[];
  readonly lives: LivesOf;
  /** Sessions set by hand. */
  readonly set: SetSessions;
  /** Minutes that will probably be played so many days from today, and those of a concert among them. */
  readonly minutesIn: (days: number) => number;
  readonly concertMinutesIn: (days: number) => number;
  /** What is proposed for now, reed after reed: it is what the plan begins with. */
  readonly proposed: readonly ReedChoice[];
};

/** The first day of the plan on which it may play: the day after, or one more where it has to rest. */
function firstDay({ lastPlayedOn, breakIn, leftToday }: ReedState, today: LocalDate): number {
  if (lastPlayedOn === null || leftToday === null) return 0;
  const rest = breakIn === null ? 2 : 1;
  return Math.max(0, rest - daysBetween(lastPlayedOn, today));
}

/** Sessions of a reed set by hand, by day of the plan; of today's what is left of it. */
export function setByHand(
  { id, playedToday }: ReedState,
  { set, today }: Pick<ToPlan, 'set' | 'today'>,
): Readonly<Record<number, number>> {
  const pinned: Record<number, number> = {};
  for (const [on, minutes] of set.get(id) ?? []) {
    const day = daysBetween(today, on);
    const left = day === 0 ? leftOfSet(set, id, today, playedToday) : minutes;
    if (day >= 0 && day < PLAN_DAYS && left !== null) pinned[day] = left;
  }
  return pinned;
}

function planReed(reed: ReedState, asked: ToPlan): RotationReed {
  const hasLimits = reed.leftToday !== null;
  return {
    id: reed.id,
    ramp: reed.breakIn?.ahead ?? [],
    cap: hasLimits ? DAILY_CAP.value : NO_CAP,
    rests: hasLimits,
    from: firstDay(reed, asked.today),
    share: shareOfLife(reed, asked.lives),
    life: asked.lives[reed.box.material].usualMinutes,
    isConcert: isConcertReed(reed),
    isPracticeOnly: reed.stage === 'practice-only',
    pinned: setByHand(reed, asked),
  };
}

const inFives = (minutes: number): number => Math.round(minutes / UNIT_MINUTES) * UNIT_MINUTES;

/**
 * What is proposed for now stands in the plan: the two never say different things of today. What the player has set
 * stands already; the proposal has what is left of the day.
 */
function proposedToday(proposed: readonly ReedChoice[], minutes: number): ReadonlyMap<string, number> {
  const sessions = new Map<string, number>();
  let left = minutes;
  for (const { reed, minutes: cap, because } of proposed) {
    if (because.some(({ rule }) => rule === 'set')) continue;
    const session = Math.min(left, Math.floor(cap / UNIT_MINUTES) * UNIT_MINUTES);
    if (session <= 0) continue;
    sessions.set(reed.id, session);
    left -= session;
  }
  return sessions;
}

/** Those in use, those opened today, and those the player has set, were they not opened yet; by name. */
function plannedReeds(asked: ToPlan): ReedState[] {
  const isSet = (reed: ReedState): boolean =>
    asked.proposed.some((one) => one.reed === reed) || Object.keys(setByHand(reed, asked)).length > 0;
  return asked.reeds
    .filter((reed) => reed.stage !== 'retired' && (reed.stage !== 'new' || isSet(reed)))
    .toSorted(
      (a, b) => Number(isSet(b)) - Number(isSet(a)) || shareOfLife(a, asked.lives) - shareOfLife(b, asked.lives),
    )
    .slice(0, MOST_PLANNED)
    .sort((a, b) => a.id.localeCompare(b.id));
}

/** What is planned: the reeds in use, and the minutes the days will probably hold less what today has had. */
export function rotationOfReeds(asked: ToPlan): { readonly rotation: Rotation; readonly reeds: readonly ReedState[] } {
  const reeds = plannedReeds(asked);
  const had = asked.reeds.reduce((sum, { playedToday }) => sum + playedToday, 0);
  const days = Array.from({ length: PLAN_DAYS }, (_, index) => ({
    minutes: inFives(Math.max(0, asked.minutesIn(index) - (index === 0 ? had : 0))),
    concertMinutes: inFives(asked.concertMinutesIn(index)),
  }));
  const planned = reeds.map((reed) => planReed(reed, asked));
  const isSet = planned.reduce((sum, { pinned }) => sum + (pinned[0] ?? 0), 0);
  const proposed = proposedToday(asked.proposed, Math.max(0, (days[0]?.minutes ?? 0) - isSet));
  const withProposed = planned.map((reed) => {
    const session = proposed.get(reed.id);
    return session === undefined || reed.pinned[0] !== undefined
      ? reed
      : { ...reed, pinned: { ...reed.pinned, 0: session } };
  });
  return { rotation: { days, reeds: withProposed }, reeds };
}
