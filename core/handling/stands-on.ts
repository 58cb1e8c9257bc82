import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import type { NeedId } from '#core/handling/needs.ts';
import { doStep, startOf, worldOf, type Broken, type Handled } from '#core/handling/play-through.ts';
import { emptyHands, type World } from '#core/handling/world.ts';
import type { Verb } from '#core/book/deed.ts';
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
  'taken-apart',
  'in-place',
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
  'valves-in',
  'fits-its-place',
]);

/** A step and what it finds untrue, as one word for each. */
const namesOf = (step: Step, broken: readonly Broken[]): string[] =>
  broken.filter(({ rule }) => BARS.has(rule)).map(({ rule, thing }) => `${step.id} ${rule} ${thing}`);

/** Verbs after which nothing is where it was not before: leaving them out bars nobody. */
const CHANGES_NOTHING: ReadonlySet<Verb> = new Set<Verb>([
  'blot',
  'brush',
  'drain',
  'dry',
  'look',
  'prop',
  'to-and-fro',
  'turn',
  'wipe',
  'work',
]);

/** The steps that can no longer be done when one before them is left out; a barred one is left out, too, and bars others in turn. */
function barredAfter(before: World, rest: readonly Step[], usual: ReadonlySet<string>): StepId[] {
  let world = before;
  return rest.flatMap((step) => {
    const tried = world.copy();
    if (namesOf(step, doStep(tried, step)).some((name) => !usual.has(name))) return [step.id];
    world = tried;
    return [];
  });
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
  const world = worldOf(handled, emptyHands());
  const befores: World[] = [];
  // What the run breaks as it is, nobody's leaving out is to blame for.
  const usual = new Set<string>();
  for (const step of steps) {
    befores.push(world.copy());
    for (const name of namesOf(step, doStep(world, step))) usual.add(name);
  }
  steps.forEach(({ id: left, does }, at) => {
    const before = befores[at];
    if (before === undefined || does.every((deed) => CHANGES_NOTHING.has(deed.do))) return;
    for (const id of barredAfter(before, steps.slice(at + 1), usual)) found.set(id, [...(found.get(id) ?? []), left]);
  });
  mine.set(key, found);
  return found;
}
