import highs, { type Highs } from 'highs';
import { checkedSolver, type Answer, type Limits, type SolveMilp } from '#core/solve/answer.ts';
import type { Program } from '#core/solve/program.ts';
import { solveWithHighs } from '#core/solve/with-highs.ts';
import { planRotation, type RotationPlan } from '#core/reeds/plan-rotation.ts';
import type { Rotation } from '#core/reeds/rotation.ts';
import { planSittings, roughSittings, type PlannedSittings, type SittingsAsked } from '#core/sittings/plan-sittings.ts';
import { readCalendar, type IcsCalendar, type IcsRefusal } from '#core/ics/read-calendar.ts';
import type { ReadingIcs } from '#core/ics/ics-times.ts';
import type { Outcome } from '#core/kernel/outcome.ts';
import type { AtWork, LongWorks } from '#server/work/long-work.ts';

let loading: Promise<Highs> | undefined;
const NEVER = { aborted: false };

/** The solver of this thread, loaded when it is first asked for; its answers are checked before anybody sees them. */
const solveMilp: SolveMilp = checkedSolver(async (program, limits, stop = NEVER) => {
  loading ??= highs();
  return solveWithHighs(await loading, program, limits, () => stop.aborted);
});

/** Everything the server computes in a thread of its own, by name. */
export const WORKS = {
  /** A program of its own. */
  solve: (
    { program, limits }: { readonly program: Program; readonly limits: Limits },
    { stop }: AtWork,
  ): Promise<Answer> => solveMilp(program, limits, stop),
  /** Which reed plays when: each better plan is told as it is found. */
  rotation: (rotation: Rotation, { stop, report }: AtWork): Promise<RotationPlan> =>
    planRotation(rotation, { solve: solveMilp, stop, onPlan: report }),
  /** What falls due, packed into few sittings. */
  sittings: (asked: SittingsAsked, { stop }: AtWork): Promise<PlannedSittings> =>
    Promise.resolve(planSittings(asked, stop)),
  /** The same at once, as well as a search finds it. */
  roughSittings: ({ problem }: SittingsAsked): Promise<PlannedSittings> => Promise.resolve(roughSittings(problem)),
  /** The dates of a calendar file. */
  ics: (reading: ReadingIcs): Promise<Outcome<IcsCalendar, IcsRefusal>> => Promise.resolve(readCalendar(reading)),
} as const satisfies LongWorks;
export type Works = typeof WORKS;
