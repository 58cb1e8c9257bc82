import {
  careClock,
  standing,
  type CareFacts,
  type CareSetting,
  type ClockReason,
  type ItemClock,
  type SignNoticed,
} from '#core/care/care-clock.ts';
import { signOf, signsOf, type CareItem } from '#core/book/care-item.ts';
import { stateOfLoad, type CareState } from '#core/care/care-state.ts';
import type { Practice } from '#core/book/practice.ts';
import { conditionCalls, type ConditionCall } from '#core/conditions/condition-calls.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { dateOfDay, daysBetween, type LocalDate } from '#core/time/local-date.ts';

const dayOf = (wallMinute: number): LocalDate => dateOfDay(Math.floor(wallMinute / MINUTES_PER_DAY));

/** The sign that still stands: seen after the item was last put right. */
function standingSign({ id }: CareItem, { signs, lastDone }: CareFacts): SignNoticed | undefined {
  const sign = signs.get(id);
  const done = lastDone.get(id);
  return sign && (done === undefined || done.atWallMinute < sign.atWallMinute) ? sign : undefined;
}

/** What a rule makes of a clock: what it changes, and why. The reasons stand before those that are there. */
type Verdict = Partial<Omit<ItemClock, 'item' | 'because'>> & { readonly because: readonly ClockReason[] };
type Asked = {
  readonly practice: Pick<Practice, 'items' | 'off'>;
  readonly facts: CareFacts;
  readonly setting: CareSetting;
};
/** Looks at a clock as the rules before it leave it; null where it has nothing to say. */
type Rule = (clock: ItemClock, asked: Asked) => Verdict | null;

/** A sign calls for its item: it is due from the moment it was seen until it is put right. */
const bySign: Rule = ({ item, state }, { facts }) => {
  const sign = standingSign(item, facts);
  const which = signsOf(item).find(({ id }) => id === sign?.sign);
  const seen = which?.named ?? signOf(item);
  if (seen === undefined || sign === undefined || state !== 'as-seen') return null;
  const on = dayOf(sign.atWallMinute);
  const because = [{ rule: 'noticed', on, sign: seen, which: which?.id ?? null, item } as const];
  return { part: sign.part, state: 'due', load: 1, due: null, because };
};

/** What falls due by a condition runs over by a whole interval in a week (estimate). */
const CONDITION_WEEK = 7;
/** What a condition asks for within so many days is soon (estimate). */
const SOON_DAYS = 2;
/** States in which nothing of an item's own is running, so that a condition alone decides. */
const IDLE: readonly CareState[] = ['as-seen', 'unknown', 'fresh', 'soon'];

/** What the conditions in force ask of an item, the most pressing call. */
function callFor(item: CareItem, facts: CareFacts, setting: CareSetting): ConditionCall | undefined {
  const { today, choices, context, conditions } = setting;
  if (conditions.length === 0) return undefined;
  const done = facts.lastDone.get(item.id);
  const lastDoneOn = done === undefined ? null : dayOf(done.atWallMinute);
  return conditionCalls(item.id, conditions, { today, lastDoneOn, methods: { choices, context } })[0];
}

/** A day a condition asks for that is still to come: it counts where it comes before the item's own. */
function beforeItsOwn(clock: ItemClock, on: LocalDate, daysAhead: number): Partial<ItemClock> {
  const isFirst = clock.due === null || on < clock.due.on;
  if (!isFirst || !IDLE.includes(clock.state)) return {};
  const isSoon = daysAhead <= SOON_DAYS && clock.state !== 'unknown';
  return { state: isSoon ? 'soon' : clock.state, due: { on, earliest: on, latest: on } };
}

/** A condition in force calls for it: at each joining, or on its day, where that comes before its own clock. */
const byCondition: Rule = (clock, { facts, setting }) => {
  const call = clock.state === 'off' ? undefined : callFor(clock.item, facts, setting);
  if (call === undefined) return null;
  const { on } = call;
  const called = { part: call.condition.part ?? clock.part, because: [{ rule: 'condition', call } as const] };
  const due = on === null ? clock.due : { on, earliest: on, latest: on };
  if (call.kind === 'at-each-joining' || on === null) return { ...called, state: 'due', load: 1, due };
  const past = daysBetween(on, setting.today);
  if (past < 0) return { ...called, ...beforeItsOwn(clock, on, -past) };
  const load = Math.max(clock.load ?? 0, 1 + past / CONDITION_WEEK);
  return { ...called, state: stateOfLoad(load), load, due };
};

/** What is stuck keeps what needs it waiting, however long that clock has run. */
const byBlock: Rule = ({ item: { blockedBy } }, { practice, facts }) => {
  if (blockedBy === undefined) return null;
  const by = practice.items.find(({ id }) => id === blockedBy);
  const sign = by && standingSign(by, facts);
  if (!by || !sign) return null;
  return { state: 'waiting', because: [{ rule: 'blocked', by, since: dayOf(sign.atWallMinute) }] };
};

/** The player overrules: put off, or not done at all. */
const byDecision: Rule = ({ item }, { facts, setting }) => {
  const decision = facts.decisions.get(item.id);
  if (decision === undefined || item.trigger.kind === 'every-play') return null;
  switch (decision.kind) {
    case 'resumed':
      return null;
    case 'declined':
      return { state: 'off', because: [{ rule: 'declined', on: decision.on }] };
    case 'postponed':
      return decision.until > setting.today
        ? { postponedUntil: decision.until, because: [{ rule: 'postponed', until: decision.until }] }
        : null;
  }
};

/** From the weakest to the one that overrules all others. */
const RULES: readonly Rule[] = [bySign, byCondition, byBlock, byDecision];

const judged = (own: ItemClock, asked: Asked): ItemClock =>
  RULES.reduce((clock, rule) => {
    const verdict = rule(clock, asked);
    return verdict === null ? clock : { ...clock, ...verdict, because: [...verdict.because, ...clock.because] };
  }, own);

/** The clock as the facts alone have it; off where the methods in force do without the item. */
function ownClock(item: CareItem, { practice, facts, setting }: Asked): ItemClock | null {
  const { plays, forecast } = setting.ofPart?.(item.part) ?? { plays: facts.plays, forecast: setting.forecast };
  const clock = careClock(item, { ...facts, plays }, { ...setting, forecast });
  const chosen = practice.off.get(item.id);
  if (clock === null || chosen === undefined) return clock;
  const because: readonly ClockReason[] = [
    { rule: 'method', chosen },
    { rule: 'why', item },
  ];
  return { ...standing(item, 'off', because), lastDone: clock.lastDone };
}

/**
 * All clocks of one instrument, in the book's order: as its facts and methods have it, then what was noticed, what a
 * condition calls for, what waits for the bench, and what the player has decided.
 */
export function careClocks(
  practice: Pick<Practice, 'items' | 'off'>,
  facts: CareFacts,
  setting: CareSetting,
): ItemClock[] {
  const asked = { practice, facts, setting };
  return practice.items.flatMap((item) => {
    const own = ownClock(item, asked);
    return own === null ? [] : [judged(own, asked)];
  });
}
