import { breakingIn, firstDays, type BreakingIn, type DayOfUse, type Ramping } from '#core/reeds/breaking-in.ts';
import { DAILY_CAP, FIRST_DAYS, REST_HOURS, WEAR } from '#core/reeds/reed-numbers.ts';
import {
  endBySign,
  hasABack,
  reedId,
  type ReedBox,
  type ReedEnd,
  type ReedFamily,
  type ReedFor,
  type ReedId,
  type ReedSaid,
  type ReedSaying,
  type ReedSign,
  type ReedStage,
  type ReedUse,
} from '#core/reeds/reed.ts';
import { MINUTES_PER_DAY, wallMinute } from '#core/plays/play.ts';
import type { LocalDate } from '#core/time/local-date.ts';

export type ReedGrade = Omit<Extract<ReedSaying, { what: 'graded' }>, 'what'> & { readonly on: LocalDate };

/** One reed as the record has it, on a day. */
export type ReedState = {
  readonly id: ReedId;
  readonly box: ReedBox;
  /** What the box is called among those of its player. */
  readonly boxName: string;
  readonly number: number;
  readonly stage: ReedStage;
  /** Minutes in this record, and the same with high playing counted as it wears. */
  readonly playedMinutes: number;
  readonly wornMinutes: number;
  /** Minutes before it was entered; null where nobody knows. */
  readonly beforeMinutes: number | null;
  /** Days on which it was played, oldest first. */
  readonly days: readonly DayOfUse[];
  readonly firstPlayedOn: LocalDate | null;
  readonly lastPlayedOn: LocalDate | null;
  readonly playedToday: number;
  /** The wall minute from which it is rested; null where it was not played, or needs no rest. */
  readonly restedFrom: number | null;
  readonly breakIn: BreakingIn | null;
  /** What it may still play today; null without a limit. */
  readonly leftToday: number | null;
  readonly grade: ReedGrade | null;
  /** It was graded for concerts once. */
  readonly wasConcert: boolean;
  /** "Too hard" with a back that has not been rubbed flat is no grade yet. */
  readonly ungraded: boolean;
  readonly flattenedOn: LocalDate | null;
  readonly ended: { readonly on: LocalDate; readonly cause: ReedEnd } | null;
};

function daysOf(uses: readonly ReedUse[]): DayOfUse[] {
  const days = new Map<LocalDate, number>();
  for (const { on, minutes } of uses) days.set(on, (days.get(on) ?? 0) + minutes);
  return [...days].map(([on, minutes]) => ({ on, minutes })).sort((a, b) => (a.on < b.on ? -1 : 1));
}

/** How often on end it was last found too soft. */
function softTimesOf(sayings: readonly ReedSaid[]): number {
  const feels = sayings.flatMap((one) => (one.what === 'graded' ? [one.feel] : []));
  return feels.length - 1 - feels.findLastIndex((feel) => feel !== 'too-soft');
}

type Graded = Extract<ReedSaid, { what: 'graded' }>;
const gradeOf = ({ feel, goodFor, signs, resistance, sits, on }: Graded): ReedGrade => ({
  feel,
  goodFor,
  signs,
  on,
  ...(resistance && { resistance }),
  ...(sits && { sits }),
});

/** What has been said of a reed, the latest of each. */
function saidOf(sayings: readonly ReedSaid[]) {
  let [grade, flattenedOn, hardFrom, rightFrom, ended]: [
    ReedGrade | null,
    LocalDate | null,
    LocalDate | null,
    LocalDate | null,
    ReedState['ended'],
  ] = [null, null, null, null, null];
  let wasConcert = false;
  for (const one of sayings) {
    if (one.what === 'flattened') flattenedOn = one.on;
    else if (one.what === 'ended') ended = { on: one.on, cause: one.cause };
    else {
      grade = gradeOf(one);
      const end = endBySign(one.signs);
      if (end !== null) ended ??= { on: one.on, cause: end };
      wasConcert ||= one.goodFor === 'concert' && one.feel !== 'too-soft';
      if (one.feel === 'too-hard' && flattenedOn !== null) hardFrom ??= one.on;
      // Too hard again, it is still closing.
      rightFrom = one.feel === 'too-hard' ? null : one.on;
    }
  }
  return { grade, flattenedOn, hardFrom, rightFrom, ended, wasConcert, softTimes: softTimesOf(sayings) };
}

const PRACTICE: ReedFor = 'practice';
/** Found too soft so many times on end, it is only good for practice: once may be the weather, or how it was set (estimate). */
const SOFT_FOR_GOOD = 2;

function stageOf(
  state: Pick<ReedState, 'ended' | 'breakIn' | 'grade' | 'firstPlayedOn' | 'beforeMinutes'> & {
    readonly softTimes: number;
  },
): ReedStage {
  const { ended, breakIn, grade, firstPlayedOn, beforeMinutes } = state;
  if (ended !== null) return 'retired';
  if (firstPlayedOn === null && beforeMinutes === 0) return 'new';
  if (breakIn !== null) return 'breaking-in';
  return grade?.goodFor === PRACTICE || state.softTimes >= SOFT_FOR_GOOD ? 'practice-only' : 'in-rotation';
}

export type ReedsOf = {
  readonly box: ReedBox;
  readonly boxName: string;
  /** Of this box, in the order of the plays. */
  readonly uses: readonly ReedUse[];
  /** Of this box, in the order it was said. */
  readonly said: readonly ReedSaid[];
};
export type ReedSetting = {
  readonly today: LocalDate;
  readonly family: ReedFamily;
};

/** How far it is broken in; null where it is, or needs none. What was played for nobody knows how long has its first week behind it. */
function rampOf(
  box: ReedBox,
  before: number | null,
  days: readonly DayOfUse[],
  setting: ReedSetting & Pick<Ramping, 'hardFrom' | 'rightFrom'>,
) {
  const { family, today, hardFrom, rightFrom } = setting;
  if (box.material === 'cane' && family === 'double' && before === 0)
    return firstDays(days, today, FIRST_DAYS[box.kind] ?? []);
  return box.material === 'cane' && family === 'single' && before !== null
    ? breakingIn(days, today, { breakIn: box.breakIn, before, hardFrom, rightFrom })
    : null;
}

/** What it has been played, in this record. */
const playedOf = (uses: readonly ReedUse[], days: readonly DayOfUse[], today: LocalDate) => ({
  playedMinutes: uses.reduce((sum, { minutes }) => sum + minutes, 0),
  wornMinutes: uses.reduce((sum, { minutes, high }) => sum + minutes * WEAR[high].value, 0),
  days,
  firstPlayedOn: days[0]?.on ?? null,
  lastPlayedOn: days.at(-1)?.on ?? null,
  playedToday: days.find(({ on }) => on === today)?.minutes ?? 0,
});

/**
 * What it may still be played, and from when: a synthetic reed has neither cap nor rest, nor has a pipe reed, which stays in
 * its pipe and is rotated less; one being broken in has its ramp.
 */
function limitsOf(
  { box, family }: { readonly box: ReedBox; readonly family: ReedFamily },
  ramp: BreakingIn | null,
  last: ReedUse | undefined,
  playedToday: number,
) {
  if (box.material === 'synthetic' || family === 'pipe') return { restedFrom: null, leftToday: null };
  const cap = ramp?.cap.value ?? DAILY_CAP.value;
  return {
    restedFrom: last === undefined || ramp !== null ? null : restedFrom(last),
    leftToday: Math.max(0, cap - playedToday),
  };
}

/** Signs that a bulged back may be to blame for. */
const OF_THE_BACK: readonly ReedSign[] = ['stuffy', 'squeaks'];

/**
 * Where a back can bulge, "too hard", stuffy and squeaking say nothing before it has been rubbed flat; and once it has, the
 * reed is another one, to be tried anew.
 */
function isUngraded(grade: ReedGrade | null, flattenedOn: LocalDate | null): boolean {
  if (grade === null) return false;
  if (flattenedOn !== null) return flattenedOn > grade.on;
  return grade.feel === 'too-hard' || grade.signs.some((sign) => OF_THE_BACK.includes(sign));
}

function reedState({ box, boxName, uses, said }: ReedsOf, number: number, setting: ReedSetting): ReedState {
  const days = daysOf(uses);
  const { hardFrom, rightFrom, softTimes, ...told } = saidOf(said);
  const beforeMinutes = box.before[number - 1] ?? null;
  const breakIn = rampOf(box, beforeMinutes, days, { ...setting, hardFrom, rightFrom });
  const played = playedOf(uses, days, setting.today);
  const limits = limitsOf({ box, family: setting.family }, breakIn, uses.at(-1), played.playedToday);
  const known = { ...told, ...played, ...limits, beforeMinutes, breakIn };
  return {
    ...known,
    id: reedId(box.key, number),
    box,
    boxName,
    number,
    stage: stageOf({ ...known, softTimes }),
    ungraded: hasABack(setting.family, box.material) && isUngraded(told.grade, told.flattenedOn),
  };
}

/** A play whose hour nobody knows may have ended at midnight. */
function restedFrom({ on, endedAt }: ReedUse): number {
  const ended = endedAt ?? wallMinute(on, MINUTES_PER_DAY);
  return ended + REST_HOURS.value * 60;
}

/** Every reed of a box on a day, by number. */
export function reedStates(record: ReedsOf, setting: ReedSetting): ReedState[] {
  return record.box.before.map((_, index) => {
    const id = reedId(record.box.key, index + 1);
    const mine = <One extends { readonly reedId: ReedId }>(all: readonly One[]) =>
      all.filter((one) => one.reedId === id);
    return reedState({ ...record, uses: mine(record.uses), said: mine(record.said) }, index + 1, setting);
  });
}

/** Is it alive, rested and allowed to play at that moment? */
export const mayPlay = (reed: ReedState, nowWall: number): boolean =>
  reed.stage !== 'retired' && reed.leftToday !== 0 && (reed.restedFrom === null || reed.restedFrom <= nowWall);
