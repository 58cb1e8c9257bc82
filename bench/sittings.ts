import { median, ms, type Row } from '#bench/measure.ts';
import { planSittings, roughSittings } from '#core/sittings/plan-sittings.ts';
import { onOwnDates, type SittingPlan, type Sittings } from '#core/sittings/sittings.ts';
import { BOOK } from '#core/tables/book.ts';
import { readCalendar } from '#core/ics/read-calendar.ts';
import { hostileCalendars } from '#core/testing/hostile-calendars.ts';
import { localDate } from '#core/time/local-date.ts';
import { sixWeeks, weeksOfTheBook } from '#core/testing/sittings.ts';

const INSTANCES = 20;
const daysOf = (plan: SittingPlan): number => new Set(plan.flat()).size;

/** Calendar files of 200 kB that mean no good: none is refused as a whole, and none takes long. */
export function hostileRow(): Row {
  const today = localDate('2026-11-27');
  const took = hostileCalendars()
    .map(({ about, text }) => {
      const start = performance.now();
      const read = readCalendar({ text, zone: 'Europe/Berlin', today });
      if (!read.ok) throw new Error(`${about}: ${read.failure.code}`);
      return { about, time: performance.now() - start };
    })
    .sort((a, b) => b.time - a.time);
  const [worst] = took;
  return {
    what: `${took.length} hostile calendar files of 200 kB: worst`,
    figure: ms(worst?.time ?? NaN),
    beside: `${ms(median(took.map(({ time }) => time).toSorted((a, b) => a - b)))} in the middle; the worst has ${worst?.about}`,
    goal: '< 2 s',
  };
}

type Planned = { readonly first: number; readonly whole: number; readonly gap: number; readonly fewer: number };

function planned(problem: Sittings): Planned {
  const start = performance.now();
  roughSittings(problem);
  const begun = performance.now();
  const { plan, gap } = planSittings({ problem });
  return {
    first: begun - start,
    whole: performance.now() - begun,
    gap: (gap ?? 1) * 100,
    fewer: (1 - daysOf(plan) / daysOf(onOwnDates(problem))) * 100,
  };
}

function rowOf(what: string, all: readonly Planned[], goal: string): Row {
  const of = (figure: keyof Planned) => all.map((one) => one[figure]).toSorted((a, b) => a - b);
  const percent = (figure: number | undefined) => (figure ?? NaN).toFixed(1);
  return {
    what: `${what}, ${all.length} instances: done, worst`,
    figure: ms(Math.max(...of('whole'))),
    beside: `${ms(median(of('whole')))} in the middle; a first plan ${ms(median(of('first')))}, worst ${ms(Math.max(...of('first')))}; gap ${percent(median(of('gap')))} % in the middle, ${percent(of('gap').at(-1))} % at worst; ${percent(median(of('fewer')))} % fewer sittings than each on its own date`,
    goal,
  };
}

/** Six weeks of forty things, and of everything that is done on two to eight instruments of the book. */
export function sittingRows(): Row[] {
  const seeds = Array.from({ length: INSTANCES }, (_, at) => at + 1);
  const ofTheBook = (weekday: number) =>
    [2, 3, 5, 8].flatMap((instruments) =>
      seeds.slice(0, INSTANCES / 2).map((seed) => planned(weeksOfTheBook(BOOK, seed, { instruments, weekday }))),
    );
  return [
    rowOf(
      'sittings of 40 things over six weeks',
      seeds.map((seed) => planned(sixWeeks(seed))),
      '< 2 s, 40 % fewer',
    ),
    rowOf('sittings of 2 to 8 instruments, 4 h a weekday', ofTheBook(240), 'first < 500 ms, gap ≤ 5 %'),
    rowOf('sittings of 2 to 8 instruments, 30 min a weekday', ofTheBook(30), 'first < 500 ms, gap ≤ 15 % after 5 s'),
  ];
}
