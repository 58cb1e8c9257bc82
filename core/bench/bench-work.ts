import type { Stretch } from '#core/bench/bench-window.ts';
import { OVERDUE_AT, SOON_AT } from '#core/care/care-state.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import type { Situation } from '#core/situation/situation.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** Nobody plans a stay further ahead. */
const BENCH_HORIZON_DAYS = 182;

/** What an instrument has for the bench: all of it is done in one stay. */
export type BenchWork = {
  /** The most pressing first. */
  readonly clocks: readonly ItemClock[];
  readonly due: LocalDate;
  /** Not too early from here on, and overdue after: both from the most pressing. */
  readonly from: LocalDate;
  readonly until: LocalDate;
};

const isForTheBench = ({ item, state }: ItemClock, player: PlayerAbilities): boolean =>
  item.trigger.kind !== 'every-play' &&
  state !== 'off' &&
  (item.place === 'bench' || handsFor(item.skill, player) === 'bench');

/** From where a clock counts: the last time, else the day a new instrument came; null where neither is known. */
function countedFrom({ because }: ItemClock): LocalDate | null {
  const found = because.find((reason) => reason.rule === 'counted-from');
  return found?.rule === 'counted-from' ? found.baseline.on : null;
}

/**
 * From when it is not too early any more, and when it is overdue: the days on which three quarters and one and a half of
 * its interval have run. What is due already has its date today: its load says how long its interval is. What a sign
 * calls for is not put off.
 */
function spanOf(clock: ItemClock, today: LocalDate): Stretch {
  const { due, load } = clock;
  const from = countedFrom(clock);
  if (due === null || from === null) return { from: today, to: today };
  const interval = load !== null && load >= 1 ? daysBetween(from, today) / load : daysBetween(from, due.on);
  const at = (share: number): LocalDate => addDays(from, Math.round(share * Math.max(1, interval)));
  return { from: at(SOON_AT), to: at(OVERDUE_AT) };
}

/** The work of an instrument that will be due within half a year, or is; null where there is none. */
export function benchWork({ care, today }: Situation, player: PlayerAbilities): BenchWork | null {
  const last = addDays(today, BENCH_HORIZON_DAYS);
  const clocks = care.clocks
    .filter((clock) => isForTheBench(clock, player))
    .flatMap((clock) => {
      const isCalled = clock.due === null && (clock.state === 'due' || clock.state === 'overdue');
      const due = isCalled ? today : clock.due?.on;
      return due === undefined || due > last ? [] : [{ clock, due }];
    })
    .toSorted((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : 0));
  const [first] = clocks;
  if (first === undefined) return null;
  const { from, to } = spanOf(first.clock, today);
  return { clocks: clocks.map(({ clock }) => clock), due: first.due, from, until: to };
}

/** Bench work of which nobody knows when it was last done. */
export const unknownBenchWork = ({ care }: Situation, player: PlayerAbilities): ItemClock[] =>
  care.clocks.filter((clock) => clock.state === 'unknown' && isForTheBench(clock, player));
