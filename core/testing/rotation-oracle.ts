import type { Rotation, RotationReed } from '#core/reeds/rotation.ts';

/**
 * The rotation once more, from the words of its objective and its rules alone; it takes the types of the question, and no
 * function or figure of the planner. Every schedule of every reed is tried: for small questions only.
 */

/** What a reed has behind it in the plan. */
type Behind = { readonly brokenIn: number; readonly minutes: number };

/** A day of breaking in counts where it came to half its cap, and was not overplayed by more than a quarter. */
function onwards(reed: RotationReed, behind: Behind, played: number): Behind {
  if (played === 0) return behind;
  if (behind.brokenIn === reed.ramp.length) return { ...behind, minutes: behind.minutes + played };
  const cap = reed.ramp[behind.brokenIn] ?? NaN;
  return played >= cap / 2 && played <= cap * 1.25 ? { ...behind, brokenIn: behind.brokenIn + 1 } : behind;
}

/** Graded for concerts, broken in, and less than half of its life behind it. */
const isFit = (reed: RotationReed, behind: Behind): boolean =>
  reed.isConcert && behind.brokenIn === reed.ramp.length && reed.share + behind.minutes / reed.life < 0.5;

/** A day of a reed: which, what is behind it, and whether it played as one broken in the day before. */
type Morning = {
  readonly of: Rotation;
  readonly reed: RotationReed;
  readonly day: number;
  readonly behind: Behind;
  readonly tired: boolean;
};
const dayOf = ({ of, day }: Morning) => of.days[day] ?? { minutes: 0, concertMinutes: 0 };
const isBreaking = ({ reed, behind }: Morning): boolean => behind.brokenIn < reed.ramp.length;

/** Broken in outside the concert, and for the whole of its minutes. */
function breakingSizes(morning: Morning): number[] {
  const { minutes, concertMinutes } = dayOf(morning);
  const whole = Math.min(morning.reed.ramp[morning.behind.brokenIn] ?? 0, minutes - concertMinutes);
  return whole > 0 ? [0, whole] : [0];
}

/** Minutes a reed may be played on a day, as a rule has it; what is set by hand stands instead. */
function mayPlay(morning: Morning): number[] {
  const { reed, day, tired } = morning;
  const set = reed.pinned[day];
  if (set !== undefined) return [set];
  const { minutes } = dayOf(morning);
  if (day < reed.from || minutes === 0) return [0];
  if (isBreaking(morning)) return breakingSizes(morning);
  // One that tires rests the day after it has played, and the day before it is set to play.
  if (reed.rests && (tired || (reed.pinned[day + 1] ?? 0) > 0)) return [0];
  const sizes = [0];
  for (let size = 5; size <= minutes && size <= reed.cap; size += 5)
    if (size >= Math.min(15, minutes)) sizes.push(size);
  return sizes;
}

type Played = { readonly minutes: readonly number[]; readonly fit: readonly boolean[]; readonly cost: number };

/** What one day of one reed costs by itself, in penalty minutes. */
function costAlone(morning: Morning, played: number): number {
  const { reed, behind } = morning;
  const { minutes, concertMinutes } = dayOf(morning);
  // Wear: each minute times the share of the life behind it at that minute.
  const wear = 0.3 * played * (reed.share + (behind.minutes + played / 2) / reed.life);
  if (isBreaking(morning)) return wear + (played === 0 && minutes > 0 ? 1 : 0);
  const spent = reed.isConcert && concertMinutes === 0 ? 0.2 * played : 0;
  return wear + spent + (reed.isPracticeOnly && played > 0 ? 8 : 0);
}

/** Every schedule of one reed that keeps the rules. */
function schedulesOf(rotation: Rotation, reed: RotationReed): Played[] {
  const found: Played[] = [];
  const goOn = (so: Played, behind: Behind, tired: boolean): void => {
    const day = so.minutes.length;
    if (day === rotation.days.length) {
      found.push(so);
      return;
    }
    const morning = { of: rotation, reed, day, behind, tired };
    for (const played of mayPlay(morning)) {
      const next = {
        minutes: [...so.minutes, played],
        fit: [...so.fit, isFit(reed, behind)],
        cost: so.cost + costAlone(morning, played),
      };
      // A day of breaking in tires nobody.
      goOn(next, onwards(reed, behind, played), played > 0 && !isBreaking(morning));
    }
  };
  goOn({ minutes: [], fit: [], cost: 0 }, { brokenIn: 0, minutes: 0 }, false);
  return found;
}

/** What a plan costs: each reed by itself, and what the days are short of. */
function costOf({ days }: Rotation, plan: readonly Played[]): number {
  let cost = plan.reduce((sum, one) => sum + one.cost, 0);
  days.forEach(({ minutes, concertMinutes }, day) => {
    const played = plan.map((one) => one.minutes[day] ?? 0);
    const fit = plan.map((one, at) => (one.fit[day] === true ? (played[at] ?? 0) : 0));
    const sum = (of: readonly number[]): number => of.reduce((all, one) => all + one, 0);
    cost += Math.max(0, minutes - sum(played));
    cost += 2 * Math.max(0, concertMinutes - sum(fit));
    cost += 2 * Math.max(0, played.filter((one) => one > 0).length - 1);
  });
  return cost;
}

/** The least any plan costs. */
export function leastRotation(rotation: Rotation): number {
  const all = rotation.reeds.map((reed) => schedulesOf(rotation, reed));
  let least = Infinity;
  const choose = (plan: readonly Played[]): void => {
    const next = all[plan.length];
    if (next === undefined) least = Math.min(least, costOf(rotation, plan));
    else for (const one of next) choose([...plan, one]);
  };
  choose([]);
  return least;
}

/** What a given plan costs; null where it breaks a rule. */
export function rotationCost(rotation: Rotation, schedules: readonly (readonly number[])[]): number | null {
  const plan = rotation.reeds.map((reed, at) =>
    schedulesOf(rotation, reed).find(({ minutes }) => minutes.join() === schedules[at]?.join()),
  );
  const whole = plan.filter((one) => one !== undefined);
  return whole.length === plan.length ? costOf(rotation, whole) : null;
}
