import type { Format } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { DAILY_CAP, RAMP } from '#core/reeds/reed-numbers.ts';
import { shareOfLife } from '#core/reeds/reed-life.ts';
import { rotationWhy, rotationWords } from '#core/reeds/reed-plan-words.ts';
import type { RotationPlan } from '#core/reeds/plan-rotation.ts';
import { leftOfSet, type SetSessions } from '#core/reeds/reed-pin.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { UNIT_MINUTES, type Rotation, type RotationReed } from '#core/reeds/rotation.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { addDays, dayNumber, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { proposalOf, reedsOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import type { Services } from '#server/services.ts';

/** Days of plan, and of record before it. */
const DAYS = 28;
/** A reed that knows no cap is planned as if nobody played longer. */
const NO_CAP = 1440;
/** More reeds in turn than anybody keeps: the plan takes those with the least behind them. */
const MOST_PLANNED = 16;

/** Caps of breaking in that are still ahead; the last ones of the ramp, each held as often as its way says. */
function rampOf({ breakIn }: ReedState): number[] {
  if (breakIn === null) return [];
  const held = breakIn.of / RAMP.length;
  return RAMP.flatMap(({ value }) => Array.from({ length: held }, () => value)).slice(breakIn.reached);
}

/** The first day of the plan on which it may play: the day after, or one more where it has to rest. */
function firstDay({ lastPlayedOn, breakIn, box }: ReedState, today: LocalDate): number {
  if (lastPlayedOn === null || box.material === 'synthetic') return 0;
  const rest = breakIn === null ? 2 : 1;
  return Math.max(0, rest - daysBetween(lastPlayedOn, today));
}

/** Sessions set by hand, by day of the plan; of today's what is left of it. */
function setByHand({ id, playedToday }: ReedState, set: SetSessions, today: LocalDate): Record<number, number> {
  const pinned: Record<number, number> = {};
  for (const [on, minutes] of set.get(id) ?? []) {
    const day = daysBetween(today, on);
    const left = day === 0 ? leftOfSet(set, id, today, playedToday) : minutes;
    if (day >= 0 && day < DAYS && left !== null) pinned[day] = left;
  }
  return pinned;
}

function planReed(reed: ReedState, { lives, set }: OfKind, today: LocalDate): RotationReed {
  const isCane = reed.box.material === 'cane';
  return {
    id: reed.id,
    ramp: rampOf(reed),
    cap: isCane ? DAILY_CAP.value : NO_CAP,
    rests: isCane,
    from: firstDay(reed, today),
    share: shareOfLife(reed, lives),
    life: lives[reed.box.material].belief.median.mean,
    isConcert: isConcertReed(reed),
    isPracticeOnly: reed.stage === 'practice-only',
    pinned: setByHand(reed, set, today),
  };
}

const inFives = (minutes: number): number => Math.round(minutes / UNIT_MINUTES) * UNIT_MINUTES;

/**
 * What is proposed for now stands in the plan: the two never say different things of today. What the player has set
 * stands already; the proposal has what is left of the day.
 */
function proposedOf(of: OfKind, now: WallClock, minutes: number): ReadonlyMap<string, number> {
  const { first, choices } = proposalOf(of, now);
  const pins = new Map<string, number>();
  let left = minutes;
  const fittest = choices.find(({ because }) => because.every(({ rule }) => rule !== 'set'));
  for (const { reed, minutes: cap } of [...first, ...(fittest ? [fittest] : [])]) {
    const session = Math.min(left, Math.floor(cap / UNIT_MINUTES) * UNIT_MINUTES);
    if (session <= 0) continue;
    pins.set(reed.id, session);
    left -= session;
  }
  return pins;
}

/** What is planned: the reeds in use, and the minutes the days will probably hold less what today has had. */
function rotationOf(of: OfKind, reeds: readonly ReedState[], now: WallClock): Rotation {
  const today = now.on;
  const day = dayNumber(today);
  const had = of.reeds.reduce((sum, { playedToday }) => sum + playedToday, 0);
  const days = Array.from({ length: DAYS }, (_, index) => ({
    minutes: inFives(Math.max(0, of.minutesOn(day + index) - (index === 0 ? had : 0))),
    concertMinutes: inFives(of.concerts.get(day + index) ?? 0),
  }));
  const planned = reeds.map((reed) => planReed(reed, of, today));
  const isSet = planned.reduce((sum, { pinned }) => sum + (pinned[0] ?? 0), 0);
  const proposed = proposedOf(of, now, Math.max(0, (days[0]?.minutes ?? 0) - isSet));
  return {
    days,
    reeds: planned.map((reed) => {
      const session = proposed.get(reed.id);
      return session === undefined || reed.pinned[0] !== undefined
        ? reed
        : { ...reed, pinned: { ...reed.pinned, 0: session } };
    }),
  };
}

const inUse = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';

type Planned = {
  readonly plan: RotationPlan;
  readonly rotation: Rotation;
  readonly reeds: readonly ReedState[];
  readonly set: SetSessions;
};

function viewOf(
  { plan, rotation, reeds, set }: Planned,
  today: LocalDate,
  format: Format,
): Omit<ReedPlanView, 'isFinal'> {
  const from = addDays(today, -DAYS);
  const first = dayNumber(from);
  const setOf = (reed: ReedState) => {
    const ofReed = setByHand(reed, set, today);
    return rotation.days.map((_, day) => ofReed[day] ?? null);
  };
  return {
    from,
    today,
    expected: rotation.days.map(({ minutes }) => minutes),
    concerts: rotation.days.map(({ concertMinutes }) => concertMinutes > 0),
    rows: reeds.map((reed, at) => {
      const played = Array.from({ length: DAYS }, () => 0);
      for (const { on, minutes } of reed.days) {
        const index = dayNumber(on) - first;
        if (index >= 0 && index < DAYS) played[index] = minutes;
      }
      const planned = [...(plan.schedules[at] ?? [])];
      let step = 0;
      const ramp = rotation.reeds[at]?.ramp ?? [];
      const caps = planned.map((minutes) => (minutes > 0 ? (ramp[step++] ?? null) : null));
      return { reedId: reed.id, number: reed.number, boxName: reed.boxName, played, planned, caps, set: setOf(reed) };
    }),
    words: rotationWords(plan, format),
    because: rotationWhy(plan, format),
  };
}

/** Nobody waits longer for a plan that is there but may still become better, ms. */
const PATIENCE_MS = 1000;
const patience = (): Promise<void> => new Promise((resolve) => void setTimeout(resolve, PATIENCE_MS).unref());

/** A plan in the making: the best so far is told soon, and the last one once it is there. */
function planningOf({ desk, remembered }: Services, rotation: Rotation) {
  let latest: RotationPlan | undefined;
  let isFinal = false;
  let begun: () => void = () => undefined;
  const first = new Promise<void>((resolve) => {
    begun = resolve;
  });
  const done = desk
    .ask('rotation', rotation, {
      onProgress: (plan) => {
        latest = plan as RotationPlan;
        begun();
      },
    })
    .then((plan) => {
      [latest, isFinal] = [plan, true];
    })
    .catch((error: unknown) => {
      // A plan that failed is not kept as one.
      remembered.forget();
      throw error;
    });
  // Where nobody waits for it any more, its end is nobody's fault.
  done.catch(() => undefined);
  return {
    soon: async (): Promise<{ readonly plan: RotationPlan; readonly isFinal: boolean }> => {
      await Promise.race([done, Promise.all([first, patience()])]);
      if (latest === undefined) throw new Error('a plan of reeds came to an end without one');
      return { plan: latest, isFinal };
    },
  };
}

/** Which reed plays when in the next four weeks, beside what the last four were; worked out once for each state of the record. */
export async function reedPlanOf(
  services: Services,
  playerId: PlayerId,
  { kind, now }: { readonly kind: KindId; readonly now: WallClock },
): Promise<Outcome<ReedPlanView, Failure>> {
  const today = now.on;
  const of = reedsOf(services, playerId, today).find((one) => one.kind === kind);
  if (of === undefined) return fail(notFound('kind', { code: 'no-reeds-on-it' }));
  // What the player has set is planned for, be it a reed that is not opened yet.
  const isSet = (reed: ReedState): boolean => Object.keys(setByHand(reed, of.set, today)).length > 0;
  const reeds = of.reeds
    .filter((reed) => inUse(reed) || (isSet(reed) && reed.stage === 'new'))
    .toSorted((a, b) => Number(isSet(b)) - Number(isSet(a)) || shareOfLife(a, of.lives) - shareOfLife(b, of.lives))
    .slice(0, MOST_PLANNED)
    .sort((a, b) => a.id.localeCompare(b.id));
  const rotation = rotationOf(of, reeds, now);
  const pins = rotation.reeds.map(({ pinned }) => pinned[0] ?? 0).join();
  const subjects = [ofPlayer(playerId), ...of.instruments.map(({ instrument }) => ofInstrument(instrument.id))];
  const planning = services.remembered.of(`reed plan ${playerId} ${kind}`, subjects, `${today} ${pins}`, () =>
    planningOf(services, rotation),
  );
  const { plan, isFinal } = await planning.soon();
  return succeed({ ...viewOf({ plan, rotation, reeds, set: of.set }, today, services.format), isFinal });
}
