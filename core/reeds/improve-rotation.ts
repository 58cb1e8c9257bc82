import prand from 'pure-rand';
import type { Stop } from '#core/solve/answer.ts';
import { bestSchedule, type Gain } from '#core/reeds/reed-schedule.ts';
import {
  after,
  checkRotation,
  costOfPlan,
  isReady,
  ROTATION_PENALTY,
  totalOf,
  type Reached,
  type ReedSchedule,
  type Rotation,
} from '#core/reeds/rotation.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

export type Schedules = readonly ReedSchedule[];

/** What the other reeds leave of each day. */
type Left = { readonly short: number[]; readonly unready: number[]; readonly inUse: number[] };

function leftBy({ days, reeds }: Rotation, schedules: Schedules, without: number): Left {
  const left: Left = {
    short: days.map(({ minutes }) => minutes),
    unready: days.map(({ concertMinutes }) => concertMinutes),
    inUse: days.map(() => 0),
  };
  reeds.forEach((reed, at) => {
    if (at === without) return;
    let reached: Reached = { steps: 0, minutes: 0 };
    (schedules[at] ?? []).forEach((minutes, day) => {
      if (minutes > 0) {
        left.short[day] = Math.max(0, (left.short[day] ?? 0) - minutes);
        if (isReady(reed, reached)) left.unready[day] = Math.max(0, (left.unready[day] ?? 0) - minutes);
        left.inUse[day] = (left.inUse[day] ?? 0) + 1;
      }
      reached = after(reed, reached, minutes);
    });
  });
  return left;
}

/** What a session gains beside the others: exactly the difference it makes to the cost of the plan. */
const gainBeside =
  ({ short, unready, inUse }: Left): Gain =>
  (day, minutes, ready) =>
    Math.min(minutes, short[day] ?? 0) * ROTATION_PENALTY.short +
    (ready ? Math.min(minutes, unready[day] ?? 0) * ROTATION_PENALTY.unready : 0) -
    ((inUse[day] ?? 0) > 0 ? ROTATION_PENALTY.change : 0);

/** The best schedule of a reed beside what the others leave. */
type Beside = (reedAt: number, left: Left) => ReedSchedule;

/** What the others leave comes again and again, the fewer reeds the more often: what is best beside it is worked out once. */
function besideOnce(rotation: Rotation): Beside {
  const known = new Map<string, ReedSchedule>();
  return (reedAt, left) => {
    const reed = rotation.reeds[reedAt];
    if (reed === undefined) return [];
    const name = [reedAt, left.short, left.unready, left.inUse.map((count) => (count > 0 ? 1 : 0))].join(';');
    const found = known.get(name) ?? bestSchedule(rotation, reed, gainBeside(left)).schedule;
    known.set(name, found);
    return found;
  };
}

/** One reed after the other takes the schedule that is best beside the others, until none changes anything. */
function settle(
  rotation: Rotation,
  from: Schedules,
  order: readonly number[],
  { beside, seen }: { readonly beside: Beside; readonly seen: (of: number, one: ReedSchedule) => void },
): Schedules {
  const schedules = [...from];
  let cost = totalOf(costOfPlan(rotation, schedules));
  for (;;) {
    for (const at of order) {
      const schedule = beside(at, leftBy(rotation, schedules, at));
      schedules[at] = schedule;
      seen(at, schedule);
    }
    const now = totalOf(costOfPlan(rotation, schedules));
    if (now >= cost - IMPROVES) return schedules;
    cost = now;
  }
}
/** Less than this is no improvement. */
const IMPROVES = 1e-6;
/** Reeds taken out at once and put back in another order. */
const TAKEN_OUT = 3;

export type Improving = {
  /** Times a few reeds are taken out and put back. */
  readonly rounds: number;
  readonly stop: Stop;
  /** Every schedule that was ever tried, by the place of its reed. */
  readonly seen?: (of: number, schedule: ReedSchedule) => void;
  /** Other dice: a second search looks elsewhere. */
  readonly seed?: number;
  /** Where to begin; with every reed lying still where nothing is given. */
  readonly start?: Schedules;
};

const NOBODY = (): void => undefined;

/**
 * A good plan by local search over whole schedules: each reed in turn is planned best beside the others; then a few are
 * taken out at random and put back in another order, and what is better is kept. The dice are seeded: the same rotation
 * gives the same plan.
 *
 * @throws RangeError for a rotation of which the numbers are none
 */
export function improveRotation(
  rotation: Rotation,
  { rounds, stop, seen = NOBODY, start, seed = 0 }: Improving,
): Schedules {
  checkRotation(rotation);
  checkNumber('the rounds of a search', rounds, { whole: true });
  const { days, reeds } = rotation;
  const dice = prand.xoroshiro128plus(seed * 100_000 + reeds.length * 1000 + days.length);
  const pick = (below: number): number => prand.unsafeUniformIntDistribution(0, below - 1, dice);
  const shuffled = (): number[] => {
    const order = reeds.map((_, at) => at);
    for (let at = order.length - 1; at > 0; at--) {
      const other = pick(at + 1);
      [order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0];
    }
    return order;
  };
  const still = reeds.map(() => days.map(() => 0));
  const how = { beside: besideOnce(rotation), seen };
  let best = settle(
    rotation,
    start ?? still,
    reeds.map((_, at) => at),
    how,
  );
  let cost = totalOf(costOfPlan(rotation, best));
  // The same reeds put back in the same order come to the same: of few reeds most rounds would be repeats.
  const inVain = new Set<string>();
  for (let round = 0; round < rounds && !stop.aborted && reeds.length > 1; round++) {
    const out = new Set(shuffled().slice(0, TAKEN_OUT));
    const without = best.map((schedule, at) => (out.has(at) ? (still[at] ?? []) : schedule));
    // Only those taken out are planned anew: the others have their turn when they are taken out.
    const order = shuffled().filter((at) => out.has(at));
    if (inVain.has(order.join())) continue;
    const tried = settle(rotation, without, order, how);
    const now = totalOf(costOfPlan(rotation, tried));
    if (now < cost - IMPROVES) {
      [best, cost] = [tried, now];
      inVain.clear();
    } else inVain.add(order.join());
  }
  return best;
}
