import type { Limits, SolveMilp, Stop } from '#core/solve/answer.ts';
import { draftProgram, type Program, type Term } from '#core/solve/program.ts';
import { bestSchedule, type Gain } from '#core/reeds/reed-schedule.ts';
import {
  after,
  checkRotation,
  isReady,
  ownCost,
  ROTATION_PENALTY,
  type Reached,
  type ReedSchedule,
  type Rotation,
  type RotationReed,
} from '#core/reeds/rotation.ts';

/** A whole schedule of one reed, as a column of the master program. */
type Column = {
  readonly of: number;
  readonly schedule: ReedSchedule;
  readonly cost: number;
  /** Minutes of each day on which it was ready for a concert. */
  readonly ready: ReedSchedule;
};

function columnOf({ days }: Rotation, reed: RotationReed, reedAt: number, schedule: ReedSchedule): Column {
  let cost = 0;
  let reached: Reached = { steps: 0, minutes: 0 };
  const ready = days.map((day, index) => {
    const minutes = schedule[index] ?? 0;
    const before = reached;
    cost += Object.values(ownCost(reed, day, before, minutes)).reduce((sum, one) => sum + one, 0);
    reached = after(reed, before, minutes);
    return isReady(reed, before) ? minutes : 0;
  });
  return { of: reedAt, schedule, cost, ready };
}

type Master = { readonly program: Program; readonly columns: readonly number[]; readonly rows: Rows };
type Rows = { readonly cover: number[]; readonly concert: number[]; readonly change: number[]; readonly one: number[] };

/** One schedule for each reed, so that the days are covered: the columns are whole schedules. */
function masterOf({ days, reeds }: Rotation, all: readonly Column[]): Master {
  const { column, row, program } = draftProgram();
  const columns = all.map(({ of, cost }, at) => column({ name: `schedule ${at} of reed ${of}`, cost, most: 1 }));
  const place = (at: number): number => columns[at] ?? 0;
  const terms = (times: (one: Column) => number): Term[] =>
    all.flatMap((one, at): Term[] => (times(one) === 0 ? [] : [[place(at), times(one)]]));
  const rows: Rows = { cover: [], concert: [], change: [], one: [] };
  days.forEach(({ minutes, concertMinutes }, day) => {
    const short = column({ name: `short on day ${day}`, cost: ROTATION_PENALTY.short });
    rows.cover.push(
      row({ name: `day ${day}`, terms: [...terms(({ schedule }) => schedule[day] ?? 0), [short, 1]], least: minutes }),
    );
    const unready = column({ name: `unready on day ${day}`, cost: ROTATION_PENALTY.unready });
    rows.concert.push(
      row({
        name: `concert ${day}`,
        terms: [...terms(({ ready }) => ready[day] ?? 0), [unready, 1]],
        least: concertMinutes,
      }),
    );
    const extra = column({ name: `changes on day ${day}`, cost: ROTATION_PENALTY.change });
    const uses = terms(({ schedule }) => ((schedule[day] ?? 0) > 0 ? 1 : 0));
    rows.change.push(row({ name: `changes ${day}`, terms: [...uses, [extra, -1]], most: 1 }));
  });
  reeds.forEach((_, reedAt) =>
    rows.one.push(
      row({ name: `reed ${reedAt}`, terms: terms((one) => (one.of === reedAt ? 1 : 0)), least: 1, most: 1 }),
    ),
  );
  return { program: program(), columns, rows };
}

/** What the prices of the rows make a session worth. */
const gainAt =
  (prices: readonly number[], { cover, concert, change }: Rows): Gain =>
  (day, minutes, ready) =>
    minutes * (prices[cover[day] ?? -1] ?? 0) +
    (ready ? minutes * (prices[concert[day] ?? -1] ?? 0) : 0) +
    (prices[change[day] ?? -1] ?? 0);

export type Bounding = {
  readonly solve: SolveMilp;
  readonly stop: Stop;
  /** Schedules to begin with, by reed; the ones of a good plan are the best beginning. */
  readonly start: readonly (readonly ReedSchedule[])[];
  /** Times the master is solved at most. */
  readonly rounds: number;
  readonly onBound?: (bound: number) => void;
};

/** What was found: no plan costs less than `bound`; and a plan near the linear one, null where it was stopped. */
export type Bounded = { readonly bound: number; readonly schedules: readonly ReedSchedule[] | null };

/** Reduced costs above this are none. */
const NEARLY = 1e-6;
/** Close enough to the bound to stop: a share of it. A tenth of that takes a third longer and moves no plan. */
const CLOSE = 1e-2;
/** Far more than a linear master of four weeks takes; the last stop is there for a machine that stands still. */
const LINEAR: Limits = { gap: 0, iterations: 50_000, nodes: 0, seconds: 60 };

/**
 * A lower bound of every plan, by columns that are whole schedules: a linear master shares out days and concerts, its
 * prices say what a session is worth, and dynamic programming finds for each reed the schedule that would pay best. At
 * every round the master's cost less what the reeds would still save is a bound (Lagrange); at the end it is the
 * master's own. Dantzig and Wolfe 1960; the bound as in Lübbecke and Desrosiers 2005, Oper. Res. 53:1007–1023.
 */
export async function boundRotation(rotation: Rotation, bounding: Bounding): Promise<Bounded> {
  checkRotation(rotation);
  const { reeds } = rotation;
  const { solve, stop, rounds, onBound } = bounding;
  const columns: Column[] = [];
  const known = new Set<string>();
  const add = (reedAt: number, schedule: ReedSchedule): void => {
    const reed = reeds[reedAt];
    const key = `${reedAt} ${schedule.join()}`;
    if (reed === undefined || known.has(key)) return;
    known.add(key);
    columns.push(columnOf(rotation, reed, reedAt, schedule));
  };
  bounding.start.forEach((some, reedAt) => some.forEach((schedule) => add(reedAt, schedule)));
  let bound = 0;
  let shares: readonly number[] = [];
  for (let round = 0; round < rounds && !stop.aborted; round++) {
    const master = masterOf(rotation, columns);
    const answer = await solve(master.program, LINEAR, stop);
    if (answer.kind === 'none' || answer.prices === null) break;
    const { prices, cost } = answer;
    shares = master.columns.map((at) => answer.values[at] ?? 0);
    const gain = gainAt(prices, master.rows);
    let saved = 0;
    reeds.forEach((reed, reedAt) => {
      const { schedule, value } = bestSchedule(rotation, reed, gain);
      const reduced = value - (prices[master.rows.one[reedAt] ?? -1] ?? 0);
      if (reduced < -NEARLY) {
        saved -= reduced;
        add(reedAt, schedule);
      }
    });
    if (cost - saved > bound) {
      bound = cost - saved;
      onBound?.(bound);
    }
    if (saved < Math.max(NEARLY, cost * CLOSE)) break;
  }
  return { bound, schedules: stop.aborted ? null : surest(rotation, columns, shares) };
}

/** A plan near the linear one: of each reed the schedule that has the largest share. */
function surest({ reeds, days }: Rotation, columns: readonly Column[], shares: readonly number[]): ReedSchedule[] {
  return reeds.map((_, reedAt) => {
    const mine = columns.flatMap((one, at) => (one.of === reedAt ? [{ one, share: shares[at] ?? 0 }] : []));
    const [first] = mine.toSorted((a, b) => b.share - a.share);
    return first?.one.schedule ?? days.map(() => 0);
  });
}
