import highs from 'highs';
import { median, ms, type Row } from '#bench/measure.ts';
import { checkedSolver } from '#core/solve/answer.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';
import { planSittings } from '#core/sittings/plan-sittings.ts';
import { eachOnItsOwnDate, searchSittings } from '#core/sittings/search-sittings.ts';
import type { SittingPlan } from '#core/sittings/sittings.ts';
import { readCalendar } from '#core/ics/read-calendar.ts';
import { hostileCalendars } from '#core/testing/hostile-calendars.ts';
import { localDate } from '#core/time/local-date.ts';
import { sixWeeks } from '#core/testing/sittings.ts';

const INSTANCES = 20;
const daysOf = (plan: SittingPlan): number => new Set(plan.filter((day) => day !== null)).size;

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

/** Six weeks of forty things: when a plan is there, how far it may be from the best, and how many sittings it saves. */
export async function sittingRows(): Promise<Row[]> {
  const runtime = await highs();
  const solve = checkedSolver((program, limits, stop) =>
    Promise.resolve(solveWithHighs(runtime, program, limits, () => stop?.aborted ?? false)),
  );
  const [first, whole, gaps, fewer]: [number[], number[], number[], number[]] = [[], [], [], []];
  for (let seed = 1; seed <= INSTANCES; seed++) {
    const of = sixWeeks(seed);
    const start = performance.now();
    searchSittings(of);
    first.push(performance.now() - start);
    const begun = performance.now();
    const { plan, gap } = await planSittings(of, { solve, stop: { aborted: false } });
    whole.push(performance.now() - begun);
    gaps.push((gap ?? 1) * 100);
    fewer.push((1 - daysOf(plan) / daysOf(eachOnItsOwnDate(of))) * 100);
  }
  return [
    {
      what: `sittings of 40 things over six weeks, ${INSTANCES} instances: done, worst`,
      figure: ms(Math.max(...whole)),
      beside: `${ms(median(whole))} in the middle, by search alone ${ms(median(first))}; gap ${median(gaps).toFixed(1)} % in the middle, ${Math.max(...gaps).toFixed(1)} % at worst; at least ${Math.min(...fewer).toFixed(0)} % fewer sittings`,
      goal: '< 2 s, gap ≤ 5 %, 40 % fewer',
    },
  ];
}
