import { BOOK } from '#core/tables/book.ts';
import highs from 'highs';
import { lpText } from '#core/solve/lp-text.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { asMilp, chains, LAG_INSTANCES } from '#core/testing/lag-instances.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { orderSteps } from '#core/packup/order-steps.ts';
import { planRun } from '#core/packup/plan-run.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { orderedPlanOf, type AnyRun } from '#core/testing/any-run.ts';
import type { RunPart } from '#core/packup/run-plan.ts';
import { SKILLS } from '#core/players/player.ts';
import { usualWetness } from '#core/water/wetness.ts';
import { at as atShare, median, ms, times, type Row } from '#bench/measure.ts';

/** A doubler's three after a show, every-play steps and what is short and due. */
function part(kind: KindId): RunPart {
  const build = usualBuild(BOOK.kinds[kind]);
  const practice = usualPractice(BOOK, kind, build);
  const items = practice.items.filter(
    ({ trigger, withPackUp }) => (trigger.kind === 'every-play' && trigger.moment === 'after') || withPackUp,
  );
  return {
    instrumentId: kind as string as InstrumentId,
    kind: BOOK.kinds[kind],
    practice,
    items: items.map(({ id }) => id),
    playedMinutes: 90,
    roomCelsius: 20,
    wetness: usualWetness,
    loads: new Map(items.map(({ id }, index) => [id, 0.8 + (index % 5) * 0.3])),
  };
}

const plan = (minutesAtHand: number | null) =>
  planRun({
    parts: [part('clarinet'), part('alto-saxophone'), part('piccolo')],
    player: { standing: 'grown-up', does: [...SKILLS] },
    minutesAtHand,
    learned: new Map(),
  });

/** Runs of every kind: after playing, with all that can be due, in little time, and two kinds in one go. */
function* everySort(): Generator<AnyRun> {
  for (const [at, kind] of KIND_IDS.entries()) {
    const other = KIND_IDS[(at + 5) % KIND_IDS.length] ?? kind;
    for (const minutesAtHand of [null, 3, 10, 25]) {
      yield { instruments: [{ kind }], due: ['all'], minutesAtHand };
      yield { instruments: [{ kind }], due: ['after'], minutesAtHand };
      yield { instruments: [{ kind }, { kind: other }], due: ['all'], minutesAtHand };
    }
  }
}

/** How long a plan takes at worst, and how far the orders that are not proved may be from the shortest. */
function worstPlans(): Row {
  const runs = [...everySort()];
  let [unproved, gapSeconds] = [0, 0];
  const took = runs
    .map((run) => {
      const from = performance.now();
      const { proved, elapsedSeconds, boundSeconds } = orderedPlanOf(BOOK, run).ordered.schedule;
      if (!proved) [unproved, gapSeconds] = [unproved + 1, Math.max(gapSeconds, elapsedSeconds - boundSeconds)];
      return performance.now() - from;
    })
    .toSorted((a, b) => a - b);
  return {
    what: `${runs.length} plans of every kind, one and two instruments, all due or little time: p99`,
    figure: ms(atShare(took, 0.99)),
    beside: `median ${ms(median(took))}, worst ${ms(atShare(took, 1))}; ${unproved} not proved, by ${gapSeconds} s at most`,
    goal: 'p99 < 150 ms, worst < 500 ms or its gap shown',
  };
}

/** The planner on a doubler's evening, and the ordering beside an independent solver on the same instances. */
export async function plannerRows(): Promise<Row[]> {
  const full = await times(30, () => plan(null));
  const short = await times(30, () => plan(12));
  const solver = await highs();
  const instances = LAG_INSTANCES.map(([, tasks, optimum]) => ({ jobs: chains(tasks), optimum }));
  const ours = await times(20, () =>
    instances.forEach(({ jobs, optimum }) => {
      if (orderSteps(jobs).elapsedSeconds !== optimum) throw new Error('not the optimum');
    }),
  );
  const theirs = await times(3, () =>
    instances.forEach(({ jobs, optimum }) => {
      const { ObjectiveValue } = solver.solve(lpText(asMilp(jobs)), { mip_rel_gap: 0, mip_abs_gap: 0 });
      if (Math.round(ObjectiveValue) !== optimum) throw new Error('the solver found another optimum');
    }),
  );
  const { steps, leftOut } = plan(12);
  return [
    {
      what: `pack-up plan over 3 instruments, ${plan(null).steps.length} steps, all the time it takes`,
      figure: ms(median(full)),
      beside: `${ms(median(short))} in 12 min at hand: ${steps.length} steps, ${leftOut.length} left out`,
      goal: '< 100 ms',
    },
    {
      what: `shortest order of ${instances.length} check instances`,
      figure: ms(median(ours)),
      beside: `${ms(median(theirs))} for HiGHS on the same (×${(median(theirs) / median(ours)).toFixed(0)}), same optima`,
      goal: '–',
    },
    // Last, when the planner has run before, as it has on a server that is up.
    worstPlans(),
  ];
}
