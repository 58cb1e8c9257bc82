import { createHash } from 'node:crypto';
import type { Format } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { rotationWhy, rotationWords } from '#core/reeds/reed-plan-words.ts';
import type { RotationPlan } from '#core/reeds/plan-rotation.ts';
import type { SetSessions } from '#core/reeds/reed-pin.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { after, type Reached, type ReedSchedule, type Rotation, type RotationReed } from '#core/reeds/rotation.ts';
import { PLAN_DAYS, rotationOfReeds, setByHand } from '#core/reeds/rotation-of-reeds.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { ReedPlanView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { reedsOf } from '#server/features/reeds/reeds-of-kind.ts';
import { reedsTodayOf } from '#server/features/reeds/reeds-today.views.ts';
import type { Services } from '#server/services.ts';
import { plannedToday } from '#server/wall-clock.ts';

type Planned = {
  readonly plan: RotationPlan;
  readonly rotation: Rotation;
  readonly reeds: readonly ReedState[];
  readonly set: SetSessions;
};

/** Caps of breaking in on the days it is planned, by how far it will have come. */
function capsOf(reed: RotationReed | undefined, planned: ReedSchedule): (number | null)[] {
  let reached: Reached = { steps: 0, minutes: 0 };
  return planned.map((minutes) => {
    const cap = minutes > 0 ? (reed?.ramp[reached.steps] ?? null) : null;
    if (reed) reached = after(reed, reached, minutes);
    return cap;
  });
}

function viewOf(
  { plan, rotation, reeds, set }: Planned,
  today: LocalDate,
  format: Format,
): Omit<ReedPlanView, 'isFinal'> {
  const from = addDays(today, -PLAN_DAYS);
  const first = dayNumber(from);
  const setOf = (reed: ReedState) => {
    const ofReed = setByHand(reed, { set, today });
    return rotation.days.map((_, day) => ofReed[day] ?? null);
  };
  return {
    from,
    today,
    expected: rotation.days.map(({ minutes }) => minutes),
    concerts: rotation.days.map(({ concertMinutes }) => concertMinutes > 0),
    rows: reeds.map((reed, at) => {
      const played = Array.from({ length: PLAN_DAYS }, () => 0);
      for (const { on, minutes } of reed.days) {
        const index = dayNumber(on) - first;
        if (index >= 0 && index < PLAN_DAYS) played[index] = minutes;
      }
      const planned = [...(plan.schedules[at] ?? [])];
      const caps = capsOf(rotation.reeds[at], planned);
      return { reedId: reed.id, number: reed.number, boxName: reed.boxName, played, planned, caps, set: setOf(reed) };
    }),
    words: rotationWords(plan, format),
    because: rotationWhy(plan, format),
  };
}

/** A screen takes the best there is soon and asks again; what goes out for good waits for the last. */
export type PlanWait = 'soon' | 'last';

/** Nobody waits longer for a plan that is there but may still become better, ms. */
const PATIENCE_MS = 1000;
const patience = (): Promise<void> => new Promise((resolve) => void setTimeout(resolve, PATIENCE_MS).unref());

/** A plan in the making: the best so far is told soon, and the last one once it is there. */
function planningOf({ desk }: Services, rotation: Rotation, wanted: AbortSignal) {
  let latest: RotationPlan | undefined;
  let isFinal = false;
  let begun: () => void = () => undefined;
  const first = new Promise<void>((resolve) => {
    begun = resolve;
  });
  const done = desk
    .ask('rotation', rotation, {
      signal: wanted,
      onProgress: (plan) => {
        latest = plan;
        begun();
      },
    })
    .then((plan) => {
      [latest, isFinal] = [plan, true];
    });
  return {
    done,
    last: async (): Promise<{ readonly plan: RotationPlan; readonly isFinal: boolean }> => {
      await done;
      if (latest === undefined) throw new Error('a plan of reeds came to an end without one');
      return { plan: latest, isFinal };
    },
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
  { kind, now, wait = 'soon' }: { readonly kind: KindId; readonly now: WallClock; readonly wait?: PlanWait },
): Promise<Outcome<ReedPlanView, Failure>> {
  const day = plannedToday(now.on, services.nowMs());
  if (!day.ok) return day;
  const today = day.value;
  const ofKind = reedsOf(services, playerId, today).find((one) => one.kind === kind);
  if (ofKind === undefined) return fail(notFound('kind', { code: 'no-reeds-on-it' }));
  const first = dayNumber(today);
  const { rotation, reeds } = rotationOfReeds({
    ...ofKind,
    today,
    minutesIn: (days) => ofKind.minutesOn(first + days),
    concertMinutesIn: (days) => ofKind.concerts.get(first + days) ?? 0,
    proposed: reedsTodayOf(ofKind, now).play,
  });
  // A plan hangs on its question alone: what is played on another instrument does not have it worked out again.
  const question = createHash('sha256').update(JSON.stringify(rotation)).digest('base64');
  const what = { name: `reed plan ${question}`, subjects: [], day: today };
  const planning = services.remembered.work(what, (wanted) => planningOf(services, rotation, wanted));
  const { plan, isFinal } = await planning.wait(services.caller.left, (one) => one[wait]());
  return succeed({ ...viewOf({ plan, rotation, reeds, set: ofKind.set }, today, services.format), isFinal });
}
