import {
  careClock,
  standing,
  type CareFacts,
  type CareSetting,
  type ItemClock,
  type SignNoticed,
} from '#core/care/care-clock.ts';
import { signOf, type CareItem } from '#core/book/care-item.ts';
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

/** A sign calls for its item: it is due from the moment it was seen until it is put right. */
function withSign(clock: ItemClock, facts: CareFacts): ItemClock {
  const sign = standingSign(clock.item, facts);
  const seen = signOf(clock.item);
  if (seen === undefined || sign === undefined || clock.state !== 'as-seen') return clock;
  return {
    ...clock,
    part: sign.part,
    state: 'due',
    load: 1,
    due: null,
    because: [{ rule: 'noticed', on: dayOf(sign.atWallMinute), sign: seen, item: clock.item }, ...clock.because],
  };
}

/** Care the methods in force do without. */
function withMethod(clock: ItemClock, off: Practice['off']): ItemClock {
  const chosen = off.get(clock.item.id);
  return chosen === undefined
    ? clock
    : {
        ...standing(clock.item, 'off', [
          { rule: 'method', chosen },
          { rule: 'why', item: clock.item },
        ]),
        lastDone: clock.lastDone,
      };
}

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
function withCondition(clock: ItemClock, facts: CareFacts, setting: CareSetting): ItemClock {
  const call = clock.state === 'off' ? undefined : callFor(clock.item, facts, setting);
  if (call === undefined) return clock;
  const { on } = call;
  const called: ItemClock = {
    ...clock,
    part: call.condition.part ?? clock.part,
    because: [{ rule: 'condition', call }, ...clock.because],
  };
  const due = on === null ? clock.due : { on, earliest: on, latest: on };
  if (call.kind === 'at-each-joining' || on === null) return { ...called, state: 'due', load: 1, due };
  const past = daysBetween(on, setting.today);
  if (past < 0) return { ...called, ...beforeItsOwn(clock, on, -past) };
  const load = Math.max(clock.load ?? 0, 1 + past / CONDITION_WEEK);
  return { ...called, state: stateOfLoad(load), load, due };
}

/** What is stuck keeps what needs it waiting, however long that clock has run. */
function withBlock(clock: ItemClock, items: readonly CareItem[], facts: CareFacts): ItemClock {
  const { blockedBy } = clock.item;
  if (blockedBy === undefined) return clock;
  const by = items.find(({ id }) => id === blockedBy);
  const sign = by && standingSign(by, facts);
  if (!by || !sign) return clock;
  return {
    ...clock,
    state: 'waiting',
    because: [{ rule: 'blocked', by, since: dayOf(sign.atWallMinute) }, ...clock.because],
  };
}

/** The player overrules: put off, or not done at all. */
function withDecision(clock: ItemClock, facts: CareFacts, today: LocalDate): ItemClock {
  const decision = facts.decisions.get(clock.item.id);
  if (decision === undefined || clock.item.trigger.kind === 'every-play') return clock;
  switch (decision.kind) {
    case 'resumed':
      return clock;
    case 'declined':
      return { ...clock, state: 'off', because: [{ rule: 'declined', on: decision.on }, ...clock.because] };
    case 'postponed':
      return decision.until > today
        ? {
            ...clock,
            postponedUntil: decision.until,
            because: [{ rule: 'postponed', until: decision.until }, ...clock.because],
          }
        : clock;
  }
}

/**
 * All clocks of one instrument, in the book's order: as its facts have it, then what the methods do without, what was
 * noticed, what a condition calls for, what waits for the bench, and what the player has decided.
 */
export function careClocks(
  { items, off }: Pick<Practice, 'items' | 'off'>,
  facts: CareFacts,
  setting: CareSetting,
): ItemClock[] {
  return items.flatMap((item) => {
    const own = careClock(item, facts, setting);
    if (own === null) return [];
    const called = withCondition(withSign(withMethod(own, off), facts), facts, setting);
    return [withDecision(withBlock(called, items, facts), facts, setting.today)];
  });
}
