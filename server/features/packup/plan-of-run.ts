import type { InstrumentId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { keptOf, type KeptPlan } from '#core/packup/kept-plan.ts';
import { planForBuild, stepFor, type BuiltAs } from '#core/packup/plan-for-build.ts';
import { conflict, type Failure } from '#server/failure.ts';
import type { RecordedRun } from '#server/features/packup/packup.mapper.ts';
import { readPlan } from '#server/features/packup/stored-plan.ts';
import type { Services } from '#server/services.ts';

/** The plan of a run as it was made, without what an instrument's build has lost since. Asks the record once for each. */
export function planOf(
  { instruments, book }: Pick<Services, 'instruments' | 'book'>,
  run: RecordedRun,
): Outcome<KeptPlan, Failure> {
  const known = new Map<InstrumentId, BuiltAs | undefined>();
  const builtAs = (id: InstrumentId): BuiltAs | undefined => {
    if (!known.has(id)) known.set(id, instruments.builtAs(id));
    return known.get(id);
  };
  const plan = readPlan(run.plan, (id, step) => {
    const built = builtAs(id);
    const found = built && stepFor(book, built, step);
    return found && keptOf(found);
  });
  return plan === undefined
    ? fail(conflict('key', { code: 'unreadable-plan' }))
    : succeed(planForBuild(book, plan, builtAs));
}
