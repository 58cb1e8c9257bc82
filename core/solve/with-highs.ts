import type { Highs, Model, ModelData } from 'highs';
import type { Answer, EndedBy, Limits } from '#core/solve/answer.ts';
import type { Program } from '#core/solve/program.ts';

/** The columns and rows of a program as the solver takes them: one long list by rows. */
function asModel({ columns, rows }: Program, { constants }: Highs): ModelData {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [column, times] of terms) {
      indices.push(column);
      values.push(times);
    }
    starts.push(indices.length);
  }
  const { integer, continuous } = constants.variableType;
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ least }) => least),
    colUpper: columns.map(({ most }) => most),
    rowLower: rows.map(({ least }) => least),
    rowUpper: rows.map(({ most }) => most),
    matrix: { format: 'csr', numRows: rows.length, numCols: columns.length, starts, indices, values },
    ...(columns.some(({ whole }) => whole) && {
      integrality: columns.map(({ whole }) => (whole ? integer : continuous)),
    }),
  };
}

/** Is there a choice that keeps all rows? 2 is what the solver calls "feasible". */
const FEASIBLE = 2;

/** By what a search was ended, as the solver tells it. */
function endOf(model: Model, { constants }: Highs): EndedBy {
  const { optimal, timeLimit, iterationLimit, solutionLimit } = constants.modelStatus;
  const status = model.getModelStatus();
  if (status === optimal) return 'finished';
  if (status === timeLimit) return 'time';
  // A limit of nodes is one of solutions to the solver.
  return status === iterationLimit || status === solutionLimit ? 'work' : 'stopped';
}

const NOTHING_FOUND = { finished: 'impossible', work: 'out-of-work', time: 'out-of-time', stopped: 'stopped' } as const;

function answerOf(model: Model, runtime: Highs, isWhole: boolean): Answer {
  const status = model.getModelStatus();
  const { infeasible, unbounded } = runtime.constants.modelStatus;
  if (status === infeasible) return { kind: 'none', why: 'impossible' };
  if (status === unbounded) return { kind: 'none', why: 'without-limit' };
  const end = endOf(model, runtime);
  const isFound = Number(model.info.get('primal_solution_status')) === FEASIBLE;
  // A program without whole numbers has a bound only once it is solved.
  if (!isFound || (!isWhole && end !== 'finished')) return { kind: 'none', why: NOTHING_FOUND[end] };
  const { colValue, rowDual } = model.getSolution();
  const cost = model.getObjectiveValue();
  return {
    kind: 'found',
    values: [...colValue],
    cost,
    bound: isWhole ? Number(model.info.get('mip_dual_bound')) : cost,
    prices: isWhole ? null : [...rowDual],
    endedBy: end,
  };
}

/**
 * Solves a program with HiGHS, in the thread that asks: its persistent model tells the bound, which its one-shot `solve`
 * does not. Called in a worker, never where requests or taps are answered. An empty program costs nothing.
 *
 * @param stopped asked again and again while it works; true ends the search with what has been found
 * @throws what the solver throws where the program is malformed
 */
export function solveWithHighs(runtime: Highs, program: Program, limits: Limits, stopped: () => boolean): Answer {
  if (program.columns.length === 0)
    return program.rows.every(({ least, most }) => least <= 0 && most >= 0)
      ? {
          kind: 'found',
          values: [],
          cost: 0,
          bound: 0,
          prices: program.rows.map(() => 0),
          endedBy: 'finished',
        }
      : { kind: 'none', why: 'impossible' };
  const isWhole = program.columns.some(({ whole }) => whole);
  const { callbackType } = runtime.constants;
  return runtime.withModel(asModel(program, runtime), (model) => {
    model.options.set({
      output_flag: false,
      time_limit: Math.max(0, limits.seconds),
      simplex_iteration_limit: Math.max(0, limits.iterations),
      mip_max_nodes: Math.max(0, limits.nodes),
      mip_rel_gap: Math.max(0, limits.gap),
      mip_abs_gap: 0,
      // Programs of columns that are thought of as it goes on are small: looking for what can be left out takes longer.
      ...(!isWhole && { presolve: 'off' }),
    });
    const ask = (event: { interrupt: () => void }): undefined => {
      if (stopped()) event.interrupt();
    };
    const run = () => model.run({ [callbackType.mipInterrupt]: ask, [callbackType.simplexInterrupt]: ask });
    run();
    // Presolve may see that there is no best without seeing why: the search itself tells the two apart.
    if (model.getModelStatus() === runtime.constants.modelStatus.unboundedOrInfeasible) {
      model.options.set('presolve', 'off');
      run();
    }
    return answerOf(model, runtime, isWhole);
  });
}
