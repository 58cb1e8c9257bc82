import type { DueThing } from '#core/sittings/due-things.ts';
import type { DueTime } from '#core/sittings/sitting-pin.ts';
import { dueBefore, mayBeOn, type SittingPlan } from '#core/sittings/sittings.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** A thing in a sitting as it was shown, and when it had last been done then: so it is known whether it was done since. */
export type ShownThing = DueTime & { readonly lastDone: LocalDate | null };

export const SITTING_STATES = ['planned', 'done'] as const;
/** A sitting that has been shown: calendars know it again by its `uid`. */
export type ShownSitting = {
  readonly uid: string;
  readonly state: (typeof SITTING_STATES)[number];
  readonly on: LocalDate;
  readonly minutes: number;
  readonly things: readonly ShownThing[];
};

/** Days for which a sitting that was done is still told of. */
const TOLD_FOR = 14;

type Thing = Pick<DueTime, 'instrumentId' | 'itemId'>;
const sameThing = (one: Thing, other: Thing): boolean =>
  one.instrumentId === other.instrumentId && one.itemId === other.itemId;
const isAhead = ({ state, on }: ShownSitting, today: LocalDate): boolean => state === 'planned' && on >= today;

/** The same things with the days on which each has been shown, where it may still be on them. */
export function withShownDays(due: readonly DueThing[], shown: readonly ShownSitting[], asked: LookedAt): DueThing[] {
  const ahead = shown.filter((one) => isAhead(one, asked.today));
  return due.map((one) => {
    const days = ahead
      .filter(({ things }) => things.some((thing) => sameThing(thing, { ...one, itemId: one.clock.item.id })))
      .map(({ on }) => daysBetween(asked.today, on))
      .filter((day) => mayBeOn(asked, one.thing, day));
    return { ...one, thing: { ...one.thing, shown: [...new Set(days)].sort((a, b) => a - b) } };
  });
}
export type LookedAt = { readonly today: LocalDate; readonly time: readonly number[] };

/** A sitting of the new plan before it is known which of the old ones it is. */
export type FreshSitting = Pick<ShownSitting, 'on' | 'minutes' | 'things'>;

/** The sittings of a plan, earliest first. */
export function freshSittings(
  due: readonly DueThing[],
  plan: SittingPlan,
  { today }: Pick<LookedAt, 'today'>,
): FreshSitting[] {
  const days = [...new Set(plan.flat())].sort((a, b) => a - b);
  return days.map((day) => {
    const mine = due.flatMap((one, at) => (plan[at]?.includes(day) ? [{ ...one, days: plan[at] }] : []));
    return {
      on: addDays(today, day),
      minutes: mine.reduce((sum, { thing }) => sum + thing.minutes, 0),
      things: mine.map(({ instrumentId, clock, thing, days: its }) => ({
        instrumentId,
        itemId: clock.item.id,
        dueOn:
          day === its[0] && clock.due !== null && clock.due.on <= today
            ? clock.due.on
            : addDays(today, dueBefore(thing, its, day)),
        lastDone: clock.lastDone?.on ?? null,
      })),
    };
  });
}

/** How much of a sitting is in another, from 0 to 1, and a little for lying on the same day. */
function likeness(one: FreshSitting, other: FreshSitting): number {
  const both = one.things.filter((thing) => other.things.some((its) => sameThing(its, thing))).length;
  if (both === 0) return 0;
  return (2 * both) / (one.things.length + other.things.length) + (one.on === other.on ? 1 : nearness(one, other));
}
/** What comes every week is in many sittings: the one nearest in time is the same. */
const nearness = (one: FreshSitting, other: FreshSitting): number =>
  0.5 / (1 + Math.abs(daysBetween(one.on, other.on)));

/** Which of the old sittings each new one is: the most alike first. */
function oldOf(fresh: readonly FreshSitting[], old: readonly ShownSitting[]): ReadonlyMap<FreshSitting, ShownSitting> {
  const pairs = fresh
    .flatMap((one) => old.map((other) => ({ one, other, like: likeness(one, other) })))
    .filter(({ like }) => like > 0)
    .toSorted((a, b) => b.like - a.like);
  const found = new Map<FreshSitting, ShownSitting>();
  const taken = new Set<ShownSitting>();
  for (const { one, other } of pairs) {
    if (found.has(one) || taken.has(other)) continue;
    found.set(one, other);
    taken.add(other);
  }
  return found;
}

/** When each thing was last done, as the record says today. */
export type LastDoneOn = (thing: Thing) => LocalDate | null;

/**
 * The sittings that have been done: those of which most things were done since they were shown. What was done counts for
 * the first sitting it is in, for the next ones it comes again.
 */
function doneSittings(open: readonly ShownSitting[], lastDoneOn: LastDoneOn): ReadonlyMap<ShownSitting, LocalDate> {
  const counted = new Set<string>();
  const done = new Map<ShownSitting, LocalDate>();
  for (const sitting of open.toSorted((a, b) => (a.on < b.on ? -1 : 1))) {
    const days = sitting.things.flatMap((thing) => {
      const on = lastDoneOn(thing);
      const name = `${thing.instrumentId}:${thing.itemId}`;
      if (on === null || (thing.lastDone !== null && on <= thing.lastDone) || counted.has(name)) return [];
      counted.add(name);
      return [on];
    });
    if (days.length > 0 && days.length * 2 >= sitting.things.length) done.set(sitting, mostOften(days));
  }
  return done;
}

/** The day that comes most often, the latest among equals. */
function mostOften(days: readonly LocalDate[]): LocalDate {
  const count = (day: LocalDate): number => days.filter((one) => one === day).length;
  return days.reduce((best, day) => ((count(day) - count(best) || (day > best ? 1 : -1)) > 0 ? day : best));
}

/** Has most of a sitting that was done been taken back since? */
function isUndone({ things }: ShownSitting, lastDoneOn: LastDoneOn): boolean {
  const done = things.filter((thing) => {
    const on = lastDoneOn(thing);
    return on !== null && (thing.lastDone === null || on > thing.lastDone);
  });
  return done.length * 2 < things.length;
}

/**
 * A plan of before that is shown again, beside what has been done since: each under its name once. What was taken back is
 * planned again, not done and planned.
 *
 * @param shown what is shown now
 * @param before what was shown when the plan was
 */
export function shownAgain(
  shown: readonly ShownSitting[],
  before: readonly ShownSitting[],
  lastDoneOn: LastDoneOn,
): ShownSitting[] {
  const done = shown.filter((one) => one.state === 'done' && !isUndone(one, lastDoneOn));
  const names = new Set(done.map(({ uid }) => uid));
  return [...done, ...before.filter(({ state, uid }) => state === 'planned' && !names.has(uid))];
}

/**
 * The sittings that are shown from now on: each new one goes on under the name of the old one it is; what was done is
 * told for a while, what of that was taken back is one of the old ones again, and what is no longer planned is gone.
 *
 * @param mint a name nobody has had yet
 */
export function carriedOn(
  shown: readonly ShownSitting[],
  fresh: readonly FreshSitting[],
  { today, mint, lastDoneOn }: { today: LocalDate; mint: () => string; lastDoneOn: LastDoneOn },
): ShownSitting[] {
  const before = shown.filter((one) => one.state === 'done' && !isUndone(one, lastDoneOn));
  const open = shown.filter((one) => !before.includes(one));
  const done = doneSittings(open, lastDoneOn);
  const olds = oldOf(
    fresh,
    open.filter((one) => !done.has(one)),
  );
  const planned = fresh.map((one): ShownSitting => ({ ...one, uid: olds.get(one)?.uid ?? mint(), state: 'planned' }));
  const over = [...done].map(([one, on]): ShownSitting => ({ ...one, on, state: 'done' }));
  return [...before, ...over].filter(({ on }) => daysBetween(on, today) <= TOLD_FOR).concat(planned);
}
