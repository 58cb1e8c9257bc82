import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import { oilsOrGreases, touchesForTheLips } from '#core/handling/clean-fingers.ts';
import type { Milestone } from '#core/book/milestone.ts';
import type { Practice } from '#core/book/practice.ts';
import { itemIn } from '#core/book/practice.ts';
import type { ReadyFor, Step } from '#core/book/step.ts';

/** The items named, and those they bring along; bench items and items of another build drop out. */
function withIncluded(practice: Practice, itemIds: readonly CareItemId[]): Set<CareItemId> {
  const wanted = new Set<CareItemId>();
  const queue = [...itemIds];
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    const item = itemIn(practice, id);
    if (item === undefined || item.place === 'bench' || wanted.has(id)) continue;
    wanted.add(id);
    queue.push(...(item.includes ?? []));
  }
  return wanted;
}

/** The steps that do the items named, in the book's order; of those that make it ready the ones to play it, or to set it aside. */
export function stepsFor(practice: Practice, itemIds: readonly CareItemId[], ready: ReadyFor = 'playing'): Step[] {
  const wanted = withIncluded(practice, itemIds);
  return practice.steps.filter(({ item, readyFor = ready }) => wanted.has(item) && readyFor === ready);
}

/** Everything reached from each step by going back along `direct`, through any number of others. */
function closureOf(direct: ReadonlyMap<StepId, readonly StepId[]>): ReadonlyMap<StepId, ReadonlySet<StepId>> {
  const reached = new Map<StepId, ReadonlySet<StepId>>();
  const before = (id: StepId): ReadonlySet<StepId> => {
    const seen = reached.get(id);
    if (seen) return seen;
    const found = new Set<StepId>();
    reached.set(id, found);
    for (const earlier of direct.get(id) ?? []) {
      found.add(earlier);
      for (const furtherBack of before(earlier)) found.add(furtherBack);
    }
    return found;
  };
  for (const id of direct.keys()) before(id);
  return reached;
}

type Closure = ReadonlyMap<StepId, ReadonlySet<StepId>>;

/** Every step of the chain that must come before each step: by name, by its method, and by the milestones it needs. */
function everythingBefore({ chain }: Practice): Closure {
  const leadingTo = new Map<Milestone, StepId[]>();
  for (const { id, reaches = [] } of chain)
    for (const milestone of reaches) leadingTo.set(milestone, [...(leadingTo.get(milestone) ?? []), id]);
  const direct = new Map(
    chain.map(({ id, after, laterThan = [], needs = [] }) => {
      const leading = needs.flatMap((milestone) => leadingTo.get(milestone) ?? []).filter((one) => one !== id);
      return [id, [...after, ...laterThan, ...leading]] as const;
    }),
  );
  return withLipsFirst(chain, direct);
}

/**
 * What goes to the lips is done before anything is oiled or greased: the same fingers do both (common practice). What the
 * book puts behind an oiling all the same stays there.
 */
function withLipsFirst(chain: readonly Step[], direct: ReadonlyMap<StepId, readonly StepId[]>): Closure {
  const before = closureOf(direct);
  const soiling = new Set(chain.filter(oilsOrGreases).map(({ id }) => id));
  const lips = chain
    .filter((step) => touchesForTheLips(step) && !soiling.has(step.id))
    .map(({ id }) => id)
    .filter((id) => ![...(before.get(id) ?? [])].some((one) => soiling.has(one)));
  if (lips.length === 0 || soiling.size === 0) return before;
  return closureOf(new Map([...direct].map(([id, ids]) => [id, soiling.has(id) ? [...ids, ...lips] : ids])));
}

const enablingOf = new WeakMap<Practice, Closure>();

/**
 * What each step cannot be done without: the steps it names, and theirs. Milestones only order: keys can be wiped
 * without every joint having been swabbed, but a joint cannot be swabbed before it is parted.
 */
export function enabling(practice: Practice): Closure {
  const made = enablingOf.get(practice) ?? closureOf(new Map(practice.chain.map(({ id, after }) => [id, after])));
  enablingOf.set(practice, made);
  return made;
}

/** The same order with every step after those it waits for to see whether they do it too. */
function withStandIns(before: Closure, standIns: Closure): Closure {
  const after = [...standIns].filter(([, ids]) => ids.size > 0);
  if (after.length === 0) return before;
  const direct = new Map([...before].map(([id, ids]) => [id, [...ids]]));
  for (const [id, ids] of after) for (const one of ids) if (!before.get(one)?.has(id)) direct.get(id)?.push(one);
  return closureOf(direct);
}

const beforeOf = new WeakMap<Practice, Closure>();

/**
 * What must come before each of `steps`, among `steps`: by name, and by the milestones it needs. A precedence that runs
 * through a step that is not in the run holds all the same: dry sockets come after swabbing even when nothing is
 * parted in between. Closing steps come after every step that is not closing.
 *
 * @param standIns steps that come after others because those may do them as well
 */
export function precedence(
  practice: Practice,
  steps: readonly Step[],
  standIns: Closure = new Map(),
): ReadonlyMap<StepId, ReadonlySet<StepId>> {
  const reached = beforeOf.get(practice) ?? everythingBefore(practice);
  beforeOf.set(practice, reached);
  const here = new Set(steps.map(({ id }) => id));
  const opening = steps.filter(({ closing }) => !closing).map(({ id }) => id);
  const before = new Map(
    steps.map((step) => {
      const mine = [...(reached.get(step.id) ?? [])].filter((id) => here.has(id));
      return [step.id, new Set(step.closing ? [...opening, ...mine] : mine)] as const;
    }),
  );
  return withStandIns(before, standIns);
}
