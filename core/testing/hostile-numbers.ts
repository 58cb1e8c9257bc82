import { benchDays, type BenchAsked } from '#core/bench/bench-days.ts';
import { stayFrom } from '#core/bench/stay.ts';
import { gradeOf } from '#core/inspections/grade.ts';
import { theilSen } from '#core/inspections/theil-sen.ts';
import { trendOf } from '#core/inspections/trend.ts';
import { usualBench } from '#core/bench/bench-terms.ts';
import { plannedDays, type CalendarEvent } from '#core/calendar/event.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { checkAir } from '#core/air/air-record.ts';
import { recurred } from '#core/ics/recur.ts';
import { chooseSteps } from '#core/packup/choose-steps.ts';
import { learnMinutes } from '#core/packup/learn-minutes.ts';
import { fitsWithin, orderSteps } from '#core/packup/order-steps.ts';
import { checkPlay } from '#core/plays/play.ts';
import { alphaOfHalfLife, shrunk, usualWeek } from '#core/plays/usual-week.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { chanceOfGood, fewestToOpen } from '#core/reeds/good-reeds.ts';
import { improveRotation } from '#core/reeds/improve-rotation.ts';
import type { RotationReed } from '#core/reeds/rotation.ts';
import { readinessFor } from '#core/reeds/readiness.ts';
import { livesOf } from '#core/reeds/reed-life.ts';
import { checkPins } from '#core/reeds/reed-pin.ts';
import { reedId } from '#core/reeds/reed.ts';
import { supplyOf } from '#core/reeds/supply.ts';
import { drawnCurve, kaplanMeier } from '#core/reeds/survival.ts';
import { lifeBelief } from '#core/reeds/weibull-life.ts';
import { planSittings } from '#core/sittings/plan-sittings.ts';
import type { Book } from '#core/book/book.ts';
import { aReed } from '#core/testing/rotations.ts';
import { weeksOf } from '#core/testing/sittings.ts';
import { addDays, addMonths, dateOfDay, localDate } from '#core/time/local-date.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { ianaZone } from '#core/time/zone.ts';
import { condensate } from '#core/water/condensation.ts';
import { letOutAfter } from '#core/water/let-out.ts';
import { passesFor } from '#core/water/passes.ts';
import { afterTap, chanceDry, dryingPerPass, usualWetness, wetnessMoments } from '#core/water/wetness.ts';

/** Numbers nobody means. */
const HOSTILE = [NaN, Infinity, -Infinity, -1, -0.5, 0.1, 0, 1e9, 1e15, 1.5e300];
const today = localDate('2026-11-27');
const lives = livesOf([]);
const PRIOR = { median: 20, medianSpread: 0.5, shape: 2.5, shapeSpread: 0.35 };
const marked = (value: number) => ({ value, mark: 'estimate' }) as const;
const rotation = (over: Partial<RotationReed>, minutes = 60, concertMinutes = 0) =>
  improveRotation(
    {
      days: Array.from({ length: 4 }, () => ({ minutes, concertMinutes })),
      reeds: [aReed(over), aReed({ id: 'other' })],
    },
    { rounds: 2, stop: { aborted: false } },
  );
const sittings = (over: Parameters<typeof weeksOf>[1], time = 30) =>
  planSittings({ problem: weeksOf([time, 30, 30, 30], over, { id: 'b' }) });
const jobs = (workSeconds: number, waitSeconds = 3, mostSeconds?: number) => [
  { workSeconds: 5, after: [] },
  { workSeconds, after: [{ job: 0, waitSeconds, ...(mostSeconds !== undefined && { mostSeconds }) }] },
];
const choose = (over: { limitSeconds?: number; value?: number }) =>
  chooseSteps({
    jobs: jobs(4),
    must: [0],
    units: [{ jobs: [1], value: over.value ?? 2 }],
    requires: [[], []],
    limitSeconds: over.limitSeconds ?? 20,
  });
const event = (minutes: number): CalendarEvent => ({
  key: 'k',
  playerId: 'p' as CalendarEvent['playerId'],
  what: 'concert',
  on: today,
  until: null,
  atMinute: null,
  minutes,
  minutesOf: [],
  repeats: null,
  name: null,
  instrumentIds: ['i' as InstrumentId],
  stay: null,
  origin: null,
});
const asked = (over: Partial<BenchAsked>): BenchAsked => ({
  today,
  instrumentId: 'i' as InstrumentId,
  jobs: [{ due: addDays(today, 20), from: today, severity: 'function' }],
  away: usualBench,
  shut: new Map(),
  noShippingMonths: [],
  isAwayOnHolidays: false,
  events: [],
  kin: [],
  minutesOn: () => 30,
  ...over,
});
const tap = { passes: 3, found: 'dry', lambda: 0.7, logWaterOverDry: 1 } as const;
const learnt = (atMs: number, repeats = 1) => [
  ...learnMinutes(
    [{ startedAtMs: 0, ticks: [{ stepId: 's' as never, atMs, repeats, byItself: true }] }],
    new Map([['s' as never, 2]]),
  ).values(),
];
const play = (minutes: number) =>
  checkPlay(
    { endedOn: today, endedAtMinute: null, minutes },
    { on: today, atMinute: 600 },
    { acquiredOn: today, leftOn: null },
    [],
  );
/** The core's functions that take numbers from outside, each with the place of the number that is tried. */
const CALLS: Readonly<Record<string, (n: number) => unknown>> = {
  'orderSteps work': (n) => orderSteps(jobs(n)),
  'orderSteps wait': (n) => orderSteps(jobs(4, n)),
  'orderSteps nodes': (n) => orderSteps(jobs(4), { nodes: n }),
  'orderSteps change': (n) => orderSteps(jobs(4), { changeSeconds: n }),
  'orderSteps most': (n) => orderSteps(jobs(4, 1, n)),
  'fitsWithin limit': (n) => fitsWithin(jobs(4), n),
  'chooseSteps limit': (n) => choose({ limitSeconds: n }),
  'chooseSteps value': (n) => choose({ value: n }),
  'learnMinutes at': (n) => learnt(n),
  'learnMinutes repeats': (n) => learnt(60_000, n),
  'dryingPerPass share': (n) => dryingPerPass(n),
  'afterTap passes': (n) => wetnessMoments(afterTap(usualWetness, { ...tap, passes: n })),
  'afterTap first dry': (n) => wetnessMoments(afterTap(usualWetness, { ...tap, found: 'first-dry', passes: n })),
  'afterTap lambda': (n) => wetnessMoments(afterTap(usualWetness, { ...tap, lambda: n })),
  'afterTap water': (n) => wetnessMoments(afterTap(usualWetness, { ...tap, logWaterOverDry: n })),
  'chanceDry passes': (n) => chanceDry(usualWetness, n, 0.7, 1),
  'kaplanMeier left': (n) => kaplanMeier([{ entered: 0, left: n, ended: true }]),
  'kaplanMeier entered': (n) => drawnCurve([{ entered: n, left: 20, ended: true }]),
  'lifeBelief left': (n) => lifeBelief([{ entered: 0, left: n, ended: true }], PRIOR).median,
  'lifeBelief age': (n) => lifeBelief([], PRIOR).having(n).outlives(0.5),
  'lifeBelief chance': (n) => lifeBelief([], PRIOR).ageAt(n),
  'lifeBelief survival': (n) => lifeBelief([], PRIOR).having(10).lasts(n),
  'chanceOfGood opened': (n) => chanceOfGood(n, 2, { good: 2, bad: 2 }),
  'chanceOfGood wanted': (n) => chanceOfGood(10, n, { good: 2, bad: 2 }),
  'chanceOfGood good': (n) => chanceOfGood(10, 2, { good: n, bad: 2 }),
  'chanceOfGood bad': (n) => chanceOfGood(10, 2, { good: 2, bad: n }),
  'fewestToOpen wanted': (n) => fewestToOpen(n, { good: 2, bad: 2 }, 0.9),
  'fewestToOpen chance': (n) => fewestToOpen(2, { good: 2, bad: 2 }, n),
  'readinessFor wanted': (n) =>
    readinessFor({ on: addDays(today, 30), wanted: n, today, reeds: [], lives, minutesUntil: 600, breakIn: 'week' }),
  'readinessFor minutes': (n) =>
    readinessFor({ on: addDays(today, 30), wanted: 1, today, reeds: [], lives, minutesUntil: n, breakIn: 'week' }),
  'supplyOf minutes': (n) => supplyOf({ today, family: 'single', reeds: [], lives, minutesADay: n }),
  'rotation life': (n) => rotation({ life: n }),
  'rotation share': (n) => rotation({ share: n }),
  'rotation cap': (n) => rotation({ cap: n }),
  'rotation ramp': (n) => rotation({ ramp: [n, 10] }),
  'rotation from': (n) => rotation({ from: n }),
  'rotation pin': (n) => rotation({ pinned: { 1: n } }),
  'rotation minutes': (n) => rotation({}, n),
  'rotation concert': (n) => rotation({}, 60, n),
  'checkPins minutes': (n) => checkPins([{ reedId: reedId('b', 1), on: today, minutes: n }], today),
  'sittings minutes': (n) => sittings({ minutes: n }),
  'sittings due': (n) => sittings({ due: n }),
  'sittings from': (n) => sittings({ from: n }),
  'sittings overdue': (n) => sittings({ overdue: n }),
  'sittings interval': (n) => sittings({ interval: n }),
  'sittings late': (n) => sittings({ lateDay: n }),
  'sittings set': (n) => sittings({ set: [n] }),
  'sittings shown': (n) => sittings({ shown: [n] }),
  'sittings time': (n) => sittings({}, n),
  'sittings again': (n) => sittings({ again: Array.from({ length: 4 }, () => n) }),
  'plannedDays minutes': (n) => [...plannedDays([event(n), event(900)], 'i' as InstrumentId).values()],
  'stayFrom working': (n) => stayFrom(today, { ...usualBench, workingDays: n }, new Map()),
  'stayFrom shipping': (n) => stayFrom(today, { ...usualBench, shippingDays: n }, new Map()),
  'stayFrom settling': (n) => stayFrom(today, { ...usualBench, settlingDays: n }, new Map()),
  'benchDays minutes': (n) => benchDays(asked({ minutesOn: () => n })),
  'gradeOf value': (n) => gradeOf({ good: { most: 2 } }, n),
  'theilSen value': (n) => theilSen([n, 2, 3].map((value, day) => ({ day, value }))),
  'theilSen day': (n) => theilSen([n, 2, 3].map((day) => ({ day, value: 1 }))),
  'trendOf today': (n) =>
    trendOf(
      [1, 2, 3, 4, 5].map((day) => ({ day, value: day })),
      () => 9,
      n,
    ),
  'checkAir celsius': (n) => checkAir(n, 50),
  'checkAir humidity': (n) => checkAir(20, n),
  'checkPlay minutes': (n) => play(n),
  'alphaOfHalfLife weeks': (n) => alphaOfHalfLife(n),
  'shrunk seen': (n) => shrunk(30, n, 20),
  'shrunk weight': (n) => shrunk(30, 3, 20, n),
  'usualWeek today': (n) => usualWeek(playColumns(Int32Array.of(1440), Int32Array.of(30)), n),
  'dateOfDay day': (n) => dateOfDay(n),
  'addDays days': (n) => addDays(today, n),
  'addMonths months': (n) => addMonths(today, n),
  'instantOfMs ms': (n) => instantOfMs(n),
  'zone wall': (n) => ianaZone('Europe/Berlin')?.toMs(n),
  'recurred start': (n) => recurred({ start: n, rule: 'FREQ=DAILY', from: 0, until: 1e12, fromMs: (ms) => ms }),
  'recurred until': (n) => recurred({ start: 0, rule: 'FREQ=DAILY', from: 0, until: n, fromMs: (ms) => ms }),
  'recurred from': (n) => recurred({ start: 0, rule: 'FREQ=DAILY', from: n, until: 1e12, fromMs: (ms) => ms }),
};

/** Those that ask for the water of an instrument. */
function ofWater({ kinds }: Book): typeof CALLS {
  const { water } = kinds.clarinet;
  const passes = (over: Partial<Parameters<typeof passesFor>[0]>) =>
    passesFor({ water, minutes: 60, roomCelsius: 20, least: marked(1), most: marked(9), ...over });
  return {
    'condensate minutes': (n) => condensate(water, n, 20),
    'condensate room': (n) => condensate(water, 60, n),
    'letOutAfter room': (n) => letOutAfter(kinds.trumpet.water, n),
    'passesFor minutes': (n) => passes({ minutes: n }),
    'passesFor room': (n) => passes({ roomCelsius: n }),
    'passesFor thirst': (n) => passes({ thirst: n }),
    'passesFor confidence': (n) => passes({ confidence: n }),
  };
}

/** Where something that is no number stands in an answer; null where all is well. What is without end may be meant. */
function notANumber(value: unknown, at = ''): string | null {
  if (typeof value === 'number') return Number.isNaN(value) ? at || 'the answer' : null;
  if (typeof value === 'string') return /NaN|Infinity|undefined/.test(value) ? `${at} ${value}` : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, one] of Object.entries(value)) {
    const found = notANumber(one, `${at}.${key}`);
    if (found !== null) return found;
  }
  return null;
}

const answerOf = (call: (n: number) => unknown, n: number): string => {
  try {
    return notANumber(call(n)) ?? 'ok';
  } catch (error) {
    return error instanceof RangeError ? 'refused' : String(error);
  }
};

/** How many calls were made, and what did neither of what is expected. */
export type Called = { readonly calls: number; readonly wrong: readonly string[] };

/**
 * Calls each with numbers nobody means, one at a time. What is expected: it refuses with a `RangeError`, or answers
 * without anything that is no number. A loop without end ends only with its process.
 *
 * @param begins told before each call
 * @returns what did neither
 */
export function callAll(book: Book, begins: (what: string) => void): Called {
  let calls = 0;
  const wrong: string[] = [];
  for (const [name, call] of Object.entries({ ...CALLS, ...ofWater(book) }))
    for (const n of HOSTILE) {
      begins(`${name} ${n}`);
      calls++;
      const answer = answerOf(call, n);
      if (answer !== 'ok' && answer !== 'refused') wrong.push(`${name} ${n}: ${answer}`);
    }
  return { calls, wrong };
}
