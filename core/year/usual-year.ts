import { inDays, limbsOf, type ItemClock } from '#core/care/care-clock.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { CareItem, Limbs } from '#core/book/care-item.ts';
import { projectDue } from '#core/care/project-due.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { Step } from '#core/book/step.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { stepsFor } from '#core/packup/collect-steps.ts';
import { planRun } from '#core/packup/plan-run.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { addDays, dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { Wetness } from '#core/water/wetness.ts';

export const YEAR_DAYS = 365;
const WEEKS_A_YEAR = YEAR_DAYS / 7;
/** What is counted when passes are: not valves or slides. */
const SWAB_NOUNS: readonly string[] = ['pass', 'pull'];
const NOTHING_PLAYED = { minutes: 0, plays: 0 } as const;

/** What making ready or packing up is after an ordinary play. */
export type UsualRun = { readonly steps: readonly Step[]; readonly minutes: number; readonly passes: number };

/** How often one item falls due in the coming year. */
export type ItemYear = {
  readonly item: CareItem;
  readonly dates: readonly LocalDate[];
  /** What doing it once is; empty for what the bench does. */
  readonly run: UsualRun;
};

/** A year of looking after one instrument, under one set of methods. */
export type UsualYear = {
  readonly plays: number;
  readonly before: UsualRun;
  readonly after: UsualRun;
  readonly items: ReadonlyMap<CareItemId, ItemYear>;
  /** All handwork and waiting at home, minutes. */
  readonly minutes: number;
};

/** Whose year it is. */
export type YearOf = {
  readonly instrumentId: InstrumentId;
  readonly player: PlayerAbilities;
  readonly wetness: Wetness;
  readonly today: LocalDate;
};

/** Worked out already for this instrument: most choices leave most runs and most dates as they are. */
export type YearMemo = {
  readonly runs: Map<string, UsualRun>;
  readonly dates: Map<string, readonly LocalDate[]>;
};
export const yearMemo = (): YearMemo => ({ runs: new Map(), dates: new Map() });

const numbers = new WeakMap<Step | Limbs, number>();
let numbered = 0;
/** A number for each object of the book; the same words in the same place are the same object. */
function numberOf(counted: Step | Limbs): number {
  const number = numbers.get(counted) ?? ++numbered;
  numbers.set(counted, number);
  return number;
}

function runOf(situation: Situation, items: readonly CareItem[], asked: YearOf, { runs }: YearMemo): UsualRun {
  const { kind } = situation;
  const { practice } = situation.methods;
  const ids = items.map(({ id }) => id);
  const key = `${situation.conditions.usualRoomCelsius} ${practice.thirst} ${stepsFor(practice, ids).map(numberOf).join()}`;
  const known = runs.get(key);
  if (known) return known;
  const { steps, elapsedMinutes } = planRun({
    parts: [
      {
        instrumentId: asked.instrumentId,
        kind,
        practice,
        items: ids,
        playedMinutes: situation.plays.usualMinutes,
        roomCelsius: situation.conditions.usualRoomCelsius,
        wetness: asked.wetness,
        loads: new Map(),
      },
    ],
    player: asked.player,
    minutesAtHand: null,
    learned: new Map(),
  });
  const passes = steps
    .filter(({ repeats }) => repeats !== null && SWAB_NOUNS.includes(repeats.noun))
    .reduce((sum, { repeats }) => sum + (repeats?.count ?? 0), 0);
  const run = { steps: steps.map(({ step }) => step), minutes: elapsedMinutes, passes };
  runs.set(key, run);
  return run;
}

/** The days of the coming year on which an item falls due if it is done each time on its day. */
function datesOf(
  clock: ItemClock,
  situation: Situation,
  today: LocalDate,
  memo: YearMemo['dates'],
): readonly LocalDate[] {
  const limbs = limbsOf(clock.item, situation.methods);
  // What waits for the bench is counted as if it were free today: nobody knows when it will be.
  if (limbs === null || clock.state === 'off') return [];
  // The forecast is the instrument's own, whatever is chosen.
  const key = `${numberOf(limbs)} ${clock.due?.on ?? ''}`;
  const known = memo.get(key);
  if (known) return known;
  /** An interval of less than a day still leaves one day between two times. */
  const after = (day: number): LocalDate | undefined => {
    const due = projectDue({
      limbs: inDays(limbs, day),
      from: day,
      played: NOTHING_PLAYED,
      today: day,
      forecast: situation.plays.forecast,
    });
    return due === null ? undefined : dateOfDay(Math.max(dayNumber(due.on), day + 1));
  };
  const end = addDays(today, YEAR_DAYS);
  const first = clock.due?.on ?? today;
  const dates: LocalDate[] = [];
  let next: LocalDate | undefined = first < today ? today : first;
  for (; next !== undefined && next < end; next = after(dayNumber(next))) dates.push(next);
  memo.set(key, dates);
  return dates;
}

const AT_THE_BENCH: UsualRun = { steps: [], minutes: 0, passes: 0 };

const runOnce = (situation: Situation, item: CareItem, asked: YearOf, memo: YearMemo): UsualRun =>
  item.place === 'bench' ? AT_THE_BENCH : runOf(situation, [item], asked, memo);

/**
 * What the coming year asks of the player at their usual weeks: making ready and packing up after an ordinary play, how
 * often everything else falls due, and the minutes all of it takes. Minutes are estimates, dates follow the forecast.
 */
export function usualYear(situation: Situation, asked: YearOf, memo: YearMemo = yearMemo()): UsualYear {
  const { practice } = situation.methods;
  const { clocks } = situation.care;
  const everyPlay = (moment: 'before' | 'after') =>
    practice.items.filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === moment);
  const before = runOf(situation, everyPlay('before'), asked, memo);
  const after = runOf(situation, everyPlay('after'), asked, memo);
  const plays = situation.plays.forecast.week.meanPlays.reduce((sum, one) => sum + one, 0) * WEEKS_A_YEAR;
  const items = new Map<CareItemId, ItemYear>();
  for (const clock of clocks)
    if (clock.item.trigger.kind !== 'every-play')
      items.set(clock.item.id, {
        item: clock.item,
        dates: datesOf(clock, situation, asked.today, memo.dates),
        run: runOnce(situation, clock.item, asked, memo),
      });
  const periodic = [...items.values()].reduce((sum, { dates, run }) => sum + dates.length * run.minutes, 0);
  return { plays, before, after, items, minutes: plays * (before.minutes + after.minutes) + periodic };
}
