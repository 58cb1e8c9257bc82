import { costOf, sumOf, type Program } from '#core/solve/program.ts';

/**
 * How far may be looked, and with what distance from the best one is content. In work, not in time: the same question has
 * the same answer, however busy the machine is.
 */
export type Limits = {
  /** A share of the cost. */
  readonly gap: number;
  /** Simplex iterations of a program without whole columns. */
  readonly iterations: number;
  /** Parts of the choices that are looked at where columns are whole. */
  readonly nodes: number;
  /** The last stop: whoever gets here gets an answer that another run need not give, and is told so. */
  readonly seconds: number;
};

/** What ended a search: it was finished, had looked as far as it may, ran into the last stop of time, or was stopped. */
export type EndedBy = 'finished' | 'work' | 'time' | 'stopped';

/**
 * What a solver found. `bound`: no choice can cost less. `prices` (of a program without whole columns): by how much the
 * cost would rise if the row were asked for one more.
 */
export type Answer =
  | {
      readonly kind: 'found';
      readonly values: readonly number[];
      readonly cost: number;
      readonly bound: number;
      readonly prices: readonly number[] | null;
      readonly endedBy: EndedBy;
    }
  | { readonly kind: 'none'; readonly why: 'impossible' | 'without-limit' | 'out-of-work' | 'out-of-time' | 'stopped' };
export type Found = Extract<Answer, { kind: 'found' }>;

/** Turns true when the answer is no longer wanted. */
export type Stop = { readonly aborted: boolean };

/**
 * A solver that remembers whether any of its answers was cut off by time: whoever puts several together says so of the
 * whole.
 */
export function watchingTime(solve: SolveMilp): { readonly solve: SolveMilp; readonly ranOut: () => boolean } {
  let ranOut = false;
  return {
    solve: async (program, limits, stop) => {
      const answer = await solve(program, limits, stop);
      if (answer.kind === 'found' ? answer.endedBy === 'time' : answer.why === 'out-of-time') ranOut = true;
      return answer;
    },
    ranOut: () => ranOut,
  };
}

/** Solves a program within limits, away from whoever asks. Rejects only for a fault of the solver itself. */
export type SolveMilp = (program: Program, limits: Limits, stop?: Stop) => Promise<Answer>;

/** How far the answer may be from the best, as a share of its cost; 0 is proved. */
export const gapOf = ({ cost, bound }: Pick<Found, 'cost' | 'bound'>): number =>
  cost - bound <= SLACK ? 0 : (cost - bound) / Math.max(Math.abs(cost), SLACK);

/** What arithmetic in doubles may leave over in a row of ordinary size. */
const SLACK = 1e-6;

/**
 * What is wrong with an answer, in words for a programmer; nothing where it keeps every row, every limit and every whole
 * number, costs what it says and is not below its own bound. Checked by our own arithmetic, whoever solved.
 */
export function answerBreaches(program: Program, { values, cost, bound }: Found): string[] {
  const { columns, rows } = program;
  if (values.length !== columns.length) return [`${values.length} values for ${columns.length} columns`];
  const breaches: string[] = [];
  columns.forEach(({ name, least, most, whole }, index) => {
    const value = values[index] ?? NaN;
    if (!(value >= least - SLACK && value <= most + SLACK))
      breaches.push(`${name} is ${value}, not ${least} to ${most}`);
    if (whole && Math.abs(value - Math.round(value)) > SLACK) breaches.push(`${name} is ${value}, not whole`);
  });
  for (const row of rows) {
    const sum = sumOf(row, values);
    const slack = SLACK * Math.max(1, ...row.terms.map(([column, times]) => Math.abs(times * (values[column] ?? 0))));
    if (!(sum >= row.least - slack && sum <= row.most + slack))
      breaches.push(`${row.name} is ${sum}, not ${row.least} to ${row.most}`);
  }
  const slack = SLACK * Math.max(1, Math.abs(cost));
  if (!(Math.abs(costOf(program, values) - cost) <= slack))
    breaches.push(`costs ${costOf(program, values)}, not ${cost}`);
  if (!(bound <= cost + slack)) breaches.push(`costs ${cost}, less than its bound ${bound}`);
  return breaches;
}

/**
 * A solver whose answers are checked before anybody sees them, with whole numbers made whole.
 *
 * @throws Error where an answer breaks a rule of its own program
 */
export const checkedSolver =
  (solve: SolveMilp): SolveMilp =>
  async (program, limits, stop) => {
    const answer = await solve(program, limits, stop);
    if (answer.kind === 'none') return answer;
    const [breach] = answerBreaches(program, answer);
    if (breach !== undefined) throw new Error(`the solver's answer breaks its program: ${breach}`);
    const values = answer.values.map((value, index) => (program.columns[index]?.whole ? Math.round(value) : value));
    return { ...answer, values };
  };
