import { clashOf, type Agents } from '#core/agents/guard.ts';
import { runStepKey, type RunStep } from '#core/packup/run-step.ts';

/**
 * Steps of a run, in its order, that bring out something while what reacts with it has not been rinsed off yet. Walks
 * the finished order, apart from the rules that made it.
 */
export function clashesIn(steps: readonly RunStep[], agents: Agents): string[] {
  const open = new Map<string, RunStep['step']>();
  const found: string[] = [];
  for (const { step, key, instrumentId } of steps) {
    for (const other of open.values())
      if (clashOf(step, other, agents) !== null) found.push(`${key} while ${other.id} is out`);
    const rinsedBy = step.uses?.find((use) => use.rinsedBy !== undefined)?.rinsedBy;
    if (rinsedBy !== undefined) open.set(runStepKey(instrumentId, rinsedBy), step);
    open.delete(key);
  }
  return found;
}
