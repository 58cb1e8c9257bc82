import { entriesOf } from '#core/kernel/typed.ts';
import { FIRST_HALF, OVERPLAYED, TOO_LITTLE } from '#core/reeds/reed-numbers.ts';
import { checkNumber } from '#core/kernel/check-number.ts';

/** Minutes are planned in fives: nobody plays by the minute. */
export const UNIT_MINUTES = 5;

/** A session on a reed that is broken in is worth taking out and putting on: not under so many minutes (estimate). */
const LEAST_SESSION = 15;
/** The shortest session of a day on such a reed. */
export const leastOn = ({ minutes }: RotationDay): number => Math.min(LEAST_SESSION, minutes);

/** A reed is broken in outside the concert. */
export const breakInMinutes = ({ minutes, concertMinutes }: RotationDay): number =>
  Math.max(0, minutes - concertMinutes);

/** What a day of the plan holds. */
export type RotationDay = {
  /** Minutes that will probably be played. */
  readonly minutes: number;
  /** Minutes of a concert among them; 0 on other days. */
  readonly concertMinutes: number;
};

/** A reed as the plan takes it, on the plan's first day. */
export type RotationReed = {
  readonly id: string;
  /** Caps of the days of breaking in that are still ahead; none where it is broken in. */
  readonly ramp: readonly number[];
  /** Minutes a day once it is broken in. */
  readonly cap: number;
  /** It rests a day between two plays. */
  readonly rests: boolean;
  /** The first day of the plan on which it may play. */
  readonly from: number;
  /** The share of its life behind it, and the minutes of a whole life. */
  readonly share: number;
  readonly life: number;
  readonly isConcert: boolean;
  readonly isPracticeOnly: boolean;
  /** Sessions the player has set: minutes by day. They stay, whatever it costs. */
  readonly pinned: Readonly<Record<number, number>>;
};

export type Rotation = { readonly days: readonly RotationDay[]; readonly reeds: readonly RotationReed[] };

const DAY_MINUTES = 1440;
/** Minutes are planned in fives; no day is longer than a day. */
const IN_FIVES = { most: DAY_MINUTES, step: UNIT_MINUTES };

/** @throws RangeError for minutes that are not in fives, or a life, a share or a day that is none */
export function checkRotation({ days, reeds }: Rotation): void {
  for (const { minutes, concertMinutes } of days) {
    checkNumber('the minutes of a day', minutes, IN_FIVES);
    checkNumber('the minutes of a concert', concertMinutes, IN_FIVES);
  }
  for (const { ramp, cap, from, share, life, pinned } of reeds) {
    for (const one of [cap, ...ramp]) checkNumber('the cap of a reed', one, IN_FIVES);
    for (const one of Object.values(pinned)) checkNumber('a session that is set', one, IN_FIVES);
    checkNumber('the first day of a reed', from, { whole: true });
    checkNumber('the share of a life', share);
    checkNumber('the life of a reed', life, { least: 1 });
  }
}

/** Minutes of one reed, day by day; 0 where it lies still. */
export type ReedSchedule = readonly number[];

/**
 * The objective, in penalty minutes: how many minutes without a fit reed one would rather have. All estimates, shown
 * with every plan, and nowhere else.
 */
export const ROTATION_PENALTY = {
  /** A minute that is played without a planned reed. */
  short: 1,
  /** A minute of a concert without a ready reed, beside that. */
  unready: 2,
  /** A minute of an ordinary day on a concert reed. */
  concertReedSpent: 0.2,
  /** A minute, times the share of the reed's life behind it: wear is spread over the reeds. */
  wear: 0.3,
  /** An ordinary session on a reed that is only good for practice. */
  practiceOnly: 8,
  /** A playing day on which a reed that is being broken in lies still. */
  breakInWaits: 1,
  /** Each reed of a day beyond the first. */
  change: 2,
} as const;

/** What a plan costs, term by term. */
export type RotationCost = Readonly<Record<keyof typeof ROTATION_PENALTY, number>>;
export const totalOf = (cost: RotationCost): number => Object.values(cost).reduce((sum, one) => sum + one, 0);

/** Days it has been brought on, and minutes since it is broken in, before each day of a schedule. */
export type Reached = { readonly steps: number; readonly minutes: number };

/** Does a session of breaking in bring the reed on? An overplayed one, which only a pin can make, does not, nor one too short. */
export const bringsOn = (minutes: number, cap: number): boolean =>
  minutes >= cap * TOO_LITTLE.value && minutes <= cap * OVERPLAYED.value;

/** How far a reed has come after a session. */
export function after({ ramp }: RotationReed, { steps, minutes }: Reached, played: number): Reached {
  if (played === 0) return { steps, minutes };
  const cap = ramp[steps];
  if (cap === undefined) return { steps, minutes: minutes + played };
  return bringsOn(played, cap) ? { steps: steps + 1, minutes } : { steps, minutes };
}

/** Is it ready for a concert: graded for it, broken in, and in the first half of its life? */
export const isReady = ({ isConcert, ramp, share, life }: RotationReed, { steps, minutes }: Reached): boolean =>
  isConcert && steps >= ramp.length && share + minutes / life < FIRST_HALF.value;

/** Wear of a session: the mean share while it plays, which is exact, for the share grows evenly with the minutes. */
export const wearOf = ({ share, life }: RotationReed, minutesBefore: number, played: number): number =>
  played * (share + (minutesBefore + played / 2) / life) * ROTATION_PENALTY.wear;
/** What an ordinary day costs on a concert reed that is broken in. */
export const spentOn = ({ isConcert }: RotationReed, { concertMinutes }: RotationDay, played: number): number =>
  isConcert && concertMinutes === 0 ? played * ROTATION_PENALTY.concertReedSpent : 0;
/** A session on a reed that is only good for practice. */
export const practiceOnlyOf = ({ isPracticeOnly }: RotationReed, played: number): number =>
  isPracticeOnly && played > 0 ? ROTATION_PENALTY.practiceOnly : 0;
/** A playing day on which a reed being broken in lies still. */
export const waitingOn = ({ minutes }: RotationDay, played: number): number =>
  played === 0 && minutes > 0 ? ROTATION_PENALTY.breakInWaits : 0;

type OwnTerm = 'concertReedSpent' | 'wear' | 'practiceOnly' | 'breakInWaits';
/** What one day of one reed costs by itself, whatever the others do. */
export function ownCost(
  reed: RotationReed,
  day: RotationDay,
  reached: Reached,
  played: number,
): Record<OwnTerm, number> {
  const isBreaking = reached.steps < reed.ramp.length;
  return {
    concertReedSpent: isBreaking ? 0 : spentOn(reed, day, played),
    wear: wearOf(reed, reached.minutes, played),
    practiceOnly: isBreaking ? 0 : practiceOnlyOf(reed, played),
    breakInWaits: isBreaking ? waitingOn(day, played) : 0,
  };
}

/** What a plan costs, summed from its schedules: the one place the objective is worked out. */
export function costOfPlan({ days, reeds }: Rotation, schedules: readonly ReedSchedule[]): RotationCost {
  const cost = { short: 0, unready: 0, concertReedSpent: 0, wear: 0, practiceOnly: 0, breakInWaits: 0, change: 0 };
  const reached = reeds.map((): Reached => ({ steps: 0, minutes: 0 }));
  days.forEach((day, index) => {
    let [played, ready, inUse] = [0, 0, 0];
    reeds.forEach((reed, at) => {
      const minutes = schedules[at]?.[index] ?? 0;
      const before = reached[at] ?? { steps: 0, minutes: 0 };
      for (const [term, one] of entriesOf<OwnTerm, number>(ownCost(reed, day, before, minutes))) cost[term] += one;
      played += minutes;
      if (isReady(reed, before)) ready += minutes;
      if (minutes > 0) inUse += 1;
      reached[at] = after(reed, before, minutes);
    });
    cost.short += Math.max(0, day.minutes - played) * ROTATION_PENALTY.short;
    cost.unready += Math.max(0, day.concertMinutes - ready) * ROTATION_PENALTY.unready;
    cost.change += Math.max(0, inUse - 1) * ROTATION_PENALTY.change;
  });
  return cost;
}

/** A reed that tires rests the day before and the day after. */
const restBreaches = (yesterday: number, pinnedTomorrow: number): string[] => [
  ...(yesterday > 0 ? ['has not rested'] : []),
  ...(pinnedTomorrow > 0 ? ['does not rest before a pinned session'] : []),
];

/** What is wrong with a session the player has not set. */
function sessionBreaches(
  reed: RotationReed,
  {
    day,
    holds,
    minutes,
    reached,
    yesterday,
  }: {
    readonly day: number;
    readonly holds: RotationDay;
    readonly minutes: number;
    readonly reached: Reached;
    readonly yesterday: number;
  },
): string[] {
  const cap = reed.ramp[reached.steps] ?? reed.cap;
  const isBroken = reached.steps >= reed.ramp.length;
  const most = isBroken ? holds.minutes : breakInMinutes(holds);
  return [
    ...(minutes > cap ? [`plays ${minutes}, cap ${cap}`] : []),
    ...(minutes > most ? [`plays ${minutes}, the day holds ${most}`] : []),
    ...(minutes < (isBroken ? leastOn(holds) : Math.min(cap, most)) ? [`plays only ${minutes}`] : []),
    ...(day < reed.from ? [`plays before day ${reed.from}`] : []),
    ...(reed.rests && isBroken ? restBreaches(yesterday, reed.pinned[day + 1] ?? 0) : []),
  ];
}

/**
 * What is wrong with a plan, in words for a programmer; nothing where every reed rests, before a pinned session too,
 * keeps its cap by the sessions really reached, plays no more than the day holds, is broken in outside concerts and for
 * the whole of its minutes, and every pinned session stands.
 */
export function planBreaches({ days, reeds }: Rotation, schedules: readonly ReedSchedule[]): string[] {
  if (schedules.length !== reeds.length) return [`${schedules.length} schedules for ${reeds.length} reeds`];
  return reeds.flatMap((reed, at) => {
    const schedule = schedules[at] ?? [];
    let reached: Reached = { steps: 0, minutes: 0 };
    // A day of breaking in tires nobody: the reed is broken in from the next day on.
    let tiring = 0;
    const breaches = days.flatMap((day, index): string[] => {
      const minutes = schedule[index] ?? 0;
      const pin = reed.pinned[index];
      const session = { day: index, holds: day, minutes, reached, yesterday: tiring };
      const found = pin === undefined && minutes > 0 ? sessionBreaches(reed, session) : [];
      tiring = reached.steps >= reed.ramp.length ? minutes : 0;
      reached = after(reed, reached, minutes);
      return [
        ...found,
        ...(pin !== undefined && minutes !== pin ? [`plays ${minutes}, pinned ${pin}`] : []),
        ...(minutes >= 0 ? [] : [`plays ${minutes}`]),
      ].map((what) => `${reed.id} on day ${index}: ${what}`);
    });
    return schedule.length === days.length
      ? breaches
      : [...breaches, `${reed.id}: ${schedule.length} days of ${days.length}`];
  });
}
