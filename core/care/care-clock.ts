import type { CareItemId } from '#core/book/care-ids.ts';
import { signOf, type CareItem, type Limbs } from '#core/book/care-item.ts';
import { chosenMethod } from '#core/methods/chosen-method.ts';
import type { CareDecision } from '#core/care/care-decision.ts';
import type { SignId } from '#core/book/fault.ts';
import type { DoneBy } from '#core/care/done-by.ts';
import { stateOfLoad, type CareState } from '#core/care/care-state.ts';
import { firstPlayForeseen, projectDue, type DueRange } from '#core/care/project-due.ts';
import type { ConditionCall } from '#core/conditions/condition-calls.ts';
import type { Condition } from '#core/book/condition.ts';
import type { ChosenMethod, MethodChoices, MethodContext } from '#core/book/method-setting.ts';
import type { Marked } from '#core/explain/explained.ts';
import { firstPlayedAfter, playedSince, type PlayColumns, type Played } from '#core/plays/play-columns.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import type { PlaysOfPart } from '#core/plays/plays-of-part.ts';
import { isNewWeek, type UsualWeek } from '#core/plays/usual-week.ts';
import type { PartId } from '#core/instruments/kind.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { addMonths, dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

const LIMB_NAMES = ['days', 'minutes', 'plays'] as const;
export type LimbName = (typeof LIMB_NAMES)[number];

/** One limb of a clock: how much of its interval has run. `load` = since ÷ interval. */
export type LimbReading = {
  readonly limb: LimbName;
  readonly since: number;
  readonly interval: Marked;
  readonly load: number;
};

/** From where a clock counts. */
export type Baseline =
  | { readonly kind: 'done'; readonly on: LocalDate; readonly by: DoneBy }
  | { readonly kind: 'came-new'; readonly on: LocalDate };

export type ClockReason =
  | { readonly rule: 'counted-from'; readonly baseline: Baseline }
  /** Its days count from the first play since; null where nothing has been played. */
  | { readonly rule: 'worn-by-playing'; readonly from: LocalDate | null }
  | { readonly rule: 'no-history' }
  | { readonly rule: 'limb'; readonly reading: LimbReading; readonly leading: boolean }
  | { readonly rule: 'method'; readonly chosen: ChosenMethod }
  | { readonly rule: 'every-play'; readonly playsSince: number; readonly item: CareItem }
  | { readonly rule: 'interval-words'; readonly words: string; readonly item: CareItem }
  | { readonly rule: 'when-noticed'; readonly sign: string; readonly item: CareItem }
  | { readonly rule: 'while'; readonly words: string; readonly item: CareItem }
  | { readonly rule: 'condition'; readonly call: ConditionCall }
  | { readonly rule: 'why'; readonly item: CareItem }
  | { readonly rule: 'projected'; readonly due: DueRange }
  /** The week the date is foreseen from is not well known yet. */
  | { readonly rule: 'new-week'; readonly week: UsualWeek }
  | {
      readonly rule: 'noticed';
      readonly on: LocalDate;
      readonly sign: string;
      /** Null where nobody said which of its signs it was. */
      readonly which: SignId | null;
      readonly item: CareItem;
    }
  | { readonly rule: 'blocked'; readonly by: CareItem; readonly since: LocalDate }
  | { readonly rule: 'declined'; readonly on: LocalDate }
  | { readonly rule: 'postponed'; readonly until: LocalDate };

export type ItemClock = {
  readonly item: CareItem;
  /** Where the work is: where its sign was seen, else the item's own part. */
  readonly part: PartId;
  readonly state: CareState;
  /** How far the leading limb has run; null where there is no clock or no history. 1 is due. */
  readonly load: number | null;
  readonly lastDone: { readonly on: LocalDate; readonly by: DoneBy } | null;
  readonly due: DueRange | null;
  /** The player lets it wait until this day; null when nothing was put off, or the day has come. */
  readonly postponedUntil: LocalDate | null;
  readonly because: readonly ClockReason[];
};

/** When an item was last done: wall minute, so that it orders against the plays of the same day. */
export type LastDone = { readonly atWallMinute: number; readonly by: DoneBy };

/** A sign the player has tapped, or a look in a run has found. */
export type SignNoticed = {
  /** Which of the signs that call for it; null where only that is known. */
  readonly sign: SignId | null;
  readonly atWallMinute: number;
  readonly part: PartId;
  /** What called for the same care before, the oldest first. */
  readonly earlier?: readonly Omit<SignNoticed, 'earlier'>[];
};

/** Everything the clocks of one instrument are computed from. */
export type CareFacts = {
  readonly plays: PlayColumns;
  readonly lastDone: ReadonlyMap<CareItemId, LastDone>;
  readonly acquiredOn: LocalDate;
  readonly cameNew: boolean;
  /** The latest sign of each item; empty where nothing was seen. */
  readonly signs: ReadonlyMap<CareItemId, SignNoticed>;
  /** The latest decision about each item. */
  readonly decisions: ReadonlyMap<CareItemId, CareDecision>;
};

export type CareSetting = {
  readonly today: LocalDate;
  readonly forecast: Forecast;
  /** What was played and is foreseen of a part; the whole, where nobody says. */
  readonly ofPart?: (part: PartId) => PlaysOfPart;
  readonly choices: MethodChoices;
  readonly context: MethodContext;
  readonly conditions: readonly Condition[];
};

/**
 * Limbs with their months as the days they are, counted from this day: the end of the month before the end of the
 * interval where both limbs are there.
 */
export function inDays({ months, ...limbs }: Limbs, from: number): Limbs {
  if (months === undefined) return limbs;
  const days = dayNumber(addMonths(dateOfDay(from), months.value)) - from;
  return { ...limbs, days: { value: Math.min(days, limbs.days?.value ?? Infinity), mark: months.mark } };
}

function readLimbs(limbs: Limbs, days: number, played: Played): LimbReading[] {
  const since: Record<LimbName, number> = { days, minutes: played.minutes, plays: played.plays };
  return LIMB_NAMES.flatMap((limb) => {
    const interval = limbs[limb];
    return interval === undefined ? [] : [{ limb, since: since[limb], interval, load: since[limb] / interval.value }];
  });
}

/** From where to count: the last time it was done, else the day a new instrument came. */
function baselineOf(item: CareItem, facts: CareFacts): { baseline: Baseline; atWallMinute: number } | null {
  const last = facts.lastDone.get(item.id);
  if (last) {
    const on = dateOfDay(Math.floor(last.atWallMinute / MINUTES_PER_DAY));
    return { baseline: { kind: 'done', on, by: last.by }, atWallMinute: last.atWallMinute };
  }
  if (!facts.cameNew) return null;
  const atWallMinute = dayNumber(facts.acquiredOn) * MINUTES_PER_DAY - 1;
  return { baseline: { kind: 'came-new', on: facts.acquiredOn }, atWallMinute };
}

function everyPlayClock(item: CareItem, facts: CareFacts): ItemClock {
  const last = facts.lastDone.get(item.id);
  const { plays } = playedSince(facts.plays, last?.atWallMinute ?? -Infinity);
  return {
    item,
    part: item.part,
    state: stateOfLoad(plays),
    load: plays,
    lastDone: last ? { on: dateOfDay(Math.floor(last.atWallMinute / MINUTES_PER_DAY)), by: last.by } : null,
    due: null,
    postponedUntil: null,
    because: [
      { rule: 'every-play', playsSince: plays, item },
      { rule: 'why', item },
    ],
  };
}

/** A clock of which no limb runs. */
export const standing = (item: CareItem, state: CareState, because: readonly ClockReason[]): ItemClock => ({
  item,
  part: item.part,
  state,
  load: null,
  lastDone: null,
  due: null,
  postponedUntil: null,
  because,
});

/** The date foreseen; and, where playing decides it and the player's week is hardly known, that it is. */
function projectedReasons(due: DueRange, limbs: Limbs, { week }: Forecast): ClockReason[] {
  const isByPlaying = limbs.minutes !== undefined || limbs.plays !== undefined;
  return [{ rule: 'projected', due }, ...(isByPlaying && isNewWeek(week) ? [{ rule: 'new-week', week } as const] : [])];
}

/** From which day the days of a clock count; null where that day is not in sight. */
type Counting = { readonly first: number | null; readonly because: readonly ClockReason[] };

/**
 * What playing wears counts as everything does, from the day it was done, where it was played again before its time was
 * over; else from the first play since, for it has been as it was until then.
 */
function countingFrom(
  { wornBy }: CareItem,
  { baseline, atWallMinute }: NonNullable<ReturnType<typeof baselineOf>>,
  { limbs, facts, setting }: { readonly limbs: Limbs; readonly facts: CareFacts; readonly setting: CareSetting },
): Counting {
  const done = dayNumber(baseline.on);
  if (wornBy !== 'playing') return { first: done, because: [] };
  const played = firstPlayedAfter(facts.plays, atWallMinute);
  const next = played ?? firstPlayForeseen(dayNumber(setting.today), setting.forecast);
  const days = inDays(limbs, done).days?.value ?? Infinity;
  if (next !== null && next - done < days) return { first: done, because: [] };
  return { first: next, because: [{ rule: 'worn-by-playing', from: played === null ? null : dateOfDay(played) }] };
}

/**
 * The clock of one item with limbs: load = max(days since ÷ D, minutes since ÷ M, plays since ÷ N); fresh below 0.75,
 * soon below 1, due below 1.5, else overdue. Calendar days are local dates; a play counts from the minute it ended.
 */
function limbClock(
  item: CareItem,
  { limbs: given, interval }: { readonly limbs: Limbs; readonly interval: ClockReason },
  facts: CareFacts,
  setting: CareSetting,
): ItemClock {
  const from = baselineOf(item, facts);
  if (from === null) return standing(item, 'unknown', [{ rule: 'no-history' }, interval, { rule: 'why', item }]);
  const today = dayNumber(setting.today);
  const { first, because } = countingFrom(item, from, { limbs: given, facts, setting });
  const limbs = inDays(given, first ?? today);
  const days = first === null ? 0 : Math.max(0, today - first);
  const played = playedSince(facts.plays, from.atWallMinute);
  const readings = readLimbs(limbs, days, played);
  const load = Math.max(0, ...readings.map((reading) => reading.load));
  const due = first === null ? null : projectDue({ limbs, from: first, played, today, forecast: setting.forecast });
  return {
    item,
    part: item.part,
    state: stateOfLoad(load),
    load,
    lastDone: from.baseline.kind === 'done' ? { on: from.baseline.on, by: from.baseline.by } : null,
    due,
    postponedUntil: null,
    because: [
      { rule: 'counted-from', baseline: from.baseline },
      ...because,
      ...readings.map((reading) => ({ rule: 'limb', reading, leading: reading.load === load && load > 0 }) as const),
      interval,
      { rule: 'why', item },
      ...(due === null ? [] : projectedReasons(due, limbs, setting.forecast)),
    ],
  };
}

/** The limbs an item's clock runs on under the methods in force; null where none runs. */
export function limbsOf(
  { trigger }: Pick<CareItem, 'trigger'>,
  { choices, context }: Pick<CareSetting, 'choices' | 'context'>,
): Limbs | null {
  if (trigger.kind === 'clock') return trigger.limbs;
  if (trigger.kind !== 'clock-by-method') return null;
  const limbs = trigger.limbs[chosenMethod(trigger.method, choices, context).choice];
  return limbs === undefined || typeof limbs === 'string' ? null : limbs;
}

type ByMethod = Extract<CareItem['trigger'], { readonly kind: 'clock-by-method' }>;

/** The clock whose interval is the one of the method in force. */
function clockByMethod(item: CareItem, trigger: ByMethod, facts: CareFacts, setting: CareSetting): ItemClock {
  const chosen = chosenMethod(trigger.method, setting.choices, setting.context);
  const limbs = trigger.limbs[chosen.choice];
  if (limbs === undefined) throw new Error(`${item.id} has no interval for ${trigger.method}/${chosen.choice}`);
  const reason: ClockReason = { rule: 'method', chosen };
  if (limbs === 'off') return standing(item, 'off', [reason, { rule: 'why', item }]);
  if (limbs === 'when-seen') return standing(item, 'as-seen', [reason, { rule: 'why', item }]);
  return limbClock(item, { limbs, interval: reason }, facts, setting);
}

/**
 * The clock of one item. Items done before playing have none: they belong to the putting-together. Nor has what is done on
 * the spot: it is over when it is packed up.
 */
export function careClock(item: CareItem, facts: CareFacts, setting: CareSetting): ItemClock | null {
  const { trigger } = item;
  switch (trigger.kind) {
    case 'every-play':
      return trigger.moment === 'after' ? everyPlayClock(item, facts) : null;
    case 'on-the-spot':
      return null;
    case 'while':
      return standing(item, 'as-seen', [
        { rule: 'while', words: trigger.words, item },
        { rule: 'why', item },
      ]);
    case 'when-so':
      return standing(item, 'as-seen', [
        { rule: 'while', words: `for ${trigger.words}`, item },
        { rule: 'why', item },
      ]);
    case 'when-noticed':
      return standing(item, 'as-seen', [
        { rule: 'when-noticed', sign: signOf(item) ?? item.name, item },
        { rule: 'why', item },
      ]);
    case 'clock':
      return limbClock(
        item,
        { limbs: trigger.limbs, interval: { rule: 'interval-words', words: trigger.words, item } },
        facts,
        setting,
      );
    case 'clock-by-method':
      return clockByMethod(item, trigger, facts, setting);
  }
}
