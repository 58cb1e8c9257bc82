import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { NeedId } from '#core/handling/needs.ts';
import { doStep, startOf, worldOf, type Broken, type Handled } from '#core/handling/play-through.ts';
import { emptyHands } from '#core/handling/world.ts';
import type { Practice } from '#core/book/practice.ts';

/** Needs without which a deed cannot be done, or must not be; without the others it is done less well. */
const BARS: ReadonlySet<string> = new Set<NeedId>([
  'not-in-the-case',
  'not-put-away',
  'not-in-a-bath',
  'in-a-bath',
  'together',
  'apart',
  'tip-covered',
  'ends-free',
  'uncoated',
  'dry-things-off',
  'dry-things-unattached',
  'pads-shielded',
  'no-slips',
  'no-fresh-oil',
  'was-open',
  'was-out',
  'shielded',
  'locked-slide',
  'rim-bare',
  'empty-case',
  'fits-its-place',
]);

/** A step and what it finds untrue, as one word for each. */
const namesOf = (step: Step, broken: readonly Broken[]): string[] =>
  broken.filter(({ rule }) => BARS.has(rule)).map(({ rule, thing }) => `${step.id} ${rule} ${thing}`);

/** What bars steps when one of them is left out; a barred step is left out, too, and bars others in turn. */
function barredWithout(handled: Handled, steps: readonly Step[], left: Step, usual: ReadonlySet<string>) {
  let world = worldOf(handled, emptyHands());
  const barred = new Map<StepId, string[]>();
  for (const step of steps) {
    if (step === left) continue;
    const tried = world.copy();
    const bars = namesOf(step, doStep(tried, step)).filter((name) => !usual.has(name));
    if (bars.length > 0) barred.set(step.id, bars);
    else world = tried;
  }
  return barred;
}

const made = new WeakMap<Practice, Map<string, ReadonlyMap<StepId, readonly StepId[]>>>();

/**
 * What each step stands on: the steps before it without which it cannot be done. Found by playing the run through once
 * for every step, without that step. Steps are in the order of the run.
 */
export function standsOn(handled: Handled, steps: readonly Step[]): ReadonlyMap<StepId, readonly StepId[]> {
  const key = `${startOf(handled)} ${steps.map(({ id }) => id).join(' ')}`;
  const mine = made.get(handled.practice) ?? new Map<string, ReadonlyMap<StepId, readonly StepId[]>>();
  made.set(handled.practice, mine);
  const known = mine.get(key);
  if (known) return known;
  const found = new Map<StepId, StepId[]>();
  // What the run breaks as it is, nobody's leaving out is to blame for.
  const world = worldOf(handled, emptyHands());
  const usual = new Set(steps.flatMap((step) => namesOf(step, doStep(world, step))));
  for (const left of steps) {
    if (left.does.length === 0) continue;
    for (const id of barredWithout(handled, steps, left, usual).keys())
      found.set(id, [...(found.get(id) ?? []), left.id]);
  }
  mine.set(key, found);
  return found;
}
