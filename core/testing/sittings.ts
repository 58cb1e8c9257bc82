import prand from 'pure-rand';
import type { Book } from '#core/book/book.ts';
import type { MethodContext } from '#core/book/method-setting.ts';
import { SEVERITY_WEIGHT, type CareItem } from '#core/book/care-item.ts';
import { inDays, limbsOf } from '#core/care/care-clock.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { minutesOfItem } from '#core/packup/item-minutes.ts';
import { earliestOf, type SittingThing, type Sittings } from '#core/sittings/sittings.ts';

const WEEKS = 42;

/** Ten minutes of oil, due in three days, once a month. */
export function aThing({
  every = 30,
  ...over
}: Partial<SittingThing> & { readonly every?: number } = {}): SittingThing {
  return {
    id: 'oil',
    minutes: 10,
    due: 3,
    overdue: (over.due ?? 3) + Math.ceil(every / 2),
    from: 0,
    interval: every,
    again: Array.from({ length: WEEKS }, (_, day) => day + every),
    lateDay: 2,
    barred: new Set(),
    set: [],
    shown: [],
    ...over,
  };
}

/** A question of these things in days with this time. */
export const weeksOf = (time: readonly number[], ...things: Parameters<typeof aThing>[0][]): Sittings => ({
  time,
  things: things.map((over, at) => {
    const thing = aThing({ id: `t${at}`, ...over });
    return { ...thing, again: thing.again.slice(0, time.length) };
  }),
});

/** Forty things over six weeks with clocks of one to twelve weeks, half an hour on most days, a tour. */
export function sixWeeks(seed: number): Sittings {
  const dice = prand.xoroshiro128plus(seed * 7919);
  const whole = (least: number, most: number) => prand.unsafeUniformIntDistribution(least, most, dice);
  const away = whole(5, 30);
  const time = Array.from({ length: WEEKS }, (_, day) => (whole(0, 9) < 3 ? 0 : day % 7 > 4 ? 60 : whole(4, 9) * 5));
  const things = Array.from({ length: 40 }, (_, at) => ({
    minutes: whole(2, 18),
    due: whole(0, 45),
    every: whole(1, 12) * 7,
    lateDay: whole(1, 3),
    barred: new Set(at % 3 === 0 ? Array.from({ length: 6 }, (__, day) => away + day) : []),
  }));
  return weeksOf(time, ...things);
}

const GROWN_UP = { standing: 'grown-up', does: [] } as const;
/** What is played on a usual day of the questions, minutes. */
const PLAYED = 40;

/** Days between two times of an item; null where it has no clock. */
function usualDays(item: CareItem, context: MethodContext): number | null {
  const limbs = limbsOf(item, { choices: {}, context });
  if (limbs === null) return null;
  const { days, minutes, plays } = inDays(limbs, 0);
  // What is counted in plays belongs to playing.
  if (plays !== undefined) return null;
  const shortest = Math.min(days?.value ?? Infinity, (minutes?.value ?? Infinity) / PLAYED);
  return shortest === Infinity ? null : Math.max(1, Math.ceil(shortest));
}

/** Everything that is done at home again and again on so many instruments of the book's kinds, so many minutes a weekday. */
export function weeksOfTheBook(
  book: Book,
  seed: number,
  { instruments, weekday }: { instruments: number; weekday: number },
): Sittings {
  const dice = prand.xoroshiro128plus(seed * 7919 + instruments);
  const whole = (least: number, most: number) => prand.unsafeUniformIntDistribution(least, most, dice);
  const kinds = Object.values(book.kinds);
  const things = Array.from({ length: instruments }).flatMap(() => {
    const kind = kinds[whole(0, kinds.length - 1)];
    if (kind === undefined) return [];
    const build = usualBuild(kind);
    const practice = usualPractice(book, kind.id, build);
    const context = { book, kind: kind.id, build, ageDays: null, weeklyMinutes: 7 * PLAYED, conditions: [] };
    return practice.items.flatMap((item) => {
      const every = item.place === 'bench' ? null : usualDays(item, context);
      const due = every === null ? Infinity : Math.max(0, whole(-1, every));
      if (every === null || due >= WEEKS) return [];
      const asked = { kind, practice, usualMinutes: PLAYED, roomCelsius: 20 };
      const minutes = Math.max(1, Math.ceil(minutesOfItem(asked, item.id, GROWN_UP)));
      return [
        {
          minutes,
          due,
          every,
          from: Math.max(0, earliestOf(due, every)),
          lateDay: SEVERITY_WEIGHT[item.severity].value,
        },
      ];
    });
  });
  return weeksOf(
    Array.from({ length: WEEKS }, (_, day) => (day % 7 > 4 ? 2 * weekday : weekday)),
    ...things,
  );
}
