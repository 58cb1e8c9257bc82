import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { KeptStep } from '#core/packup/kept-plan.ts';

type StretchStep = Pick<KeptStep, 'instrumentId' | 'id' | 'part' | 'wait'>;

/** Consecutive steps of a run that are done, and said to be done, in one go. */
export type Stretch<Step> = {
  readonly steps: readonly Step[];
  /** The instrument it is on; null where it goes over several. */
  readonly instrumentId: InstrumentId | null;
  /** The parts it is mostly about, in their order, two at most. */
  readonly parts: readonly PartId[];
};

/** What goes along with the part being worked on, and is no place of its own. */
const ALONG_WITH_OTHERS: ReadonlySet<PartId> = new Set(['ligature', 'swab']);
const PARTS_NAMED = 2;
/** How many stretches: of a run on one instrument, and of each instrument among several (estimates of what a glance takes in). */
const ALONE = { least: 4, best: 5, most: 7 };
const AMONG_OTHERS = { least: 1, best: 3, most: 3 };
/** Fewer steps than this are no stretch of their own, where it can be helped. */
const FEWEST_STEPS = 2;
/** Steps to a stretch, on average, at the least (an estimate): five steps are four stretches at most. */
const STEPS_AT_LEAST = 1.5;
/** Steps of each instrument that can be called a shared beginning. */
const SHARED_PER_INSTRUMENT = 3;
/**
 * What speaks against a stretch: another part in it, a part torn in two, being shorter or longer than the others, being
 * a single step (estimates).
 */
const COST = { otherPart: 0.5, torn: 1.3, uneven: 0.8, single: 0.7 };

type Range = { readonly least: number; readonly best: number; readonly most: number };

/** The part each step counts with: a ligature goes with what came before it. */
function partsOf(steps: readonly StretchStep[]): string[] {
  let last = steps.find(({ part }) => !ALONG_WITH_OTHERS.has(part))?.part ?? 'case';
  return steps.map(({ part, instrumentId }) => {
    if (!ALONG_WITH_OTHERS.has(part)) last = part;
    return `${instrumentId}:${last}`;
  });
}

/** Does a wait that begins in these steps hold up another of them? Then they are not done in one go. */
const holdsItselfUp = (steps: readonly StretchStep[]): boolean => (heldUpFrom(steps)[0] ?? Infinity) < steps.length;

/** For each step the first one that is held up by a wait which begins there or later; Infinity where none is. */
function heldUpFrom(steps: readonly StretchStep[]): number[] {
  const first = steps.map(() => Infinity);
  for (let at = steps.length - 1; at >= 0; at--) {
    const step = steps[at];
    if (step === undefined) continue;
    const { instrumentId, wait } = step;
    const held = wait
      ? steps.findIndex((one, index) => index > at && one.instrumentId === instrumentId && wait.until.includes(one.id))
      : -1;
    first[at] = Math.min(first[at + 1] ?? Infinity, held === -1 ? Infinity : held);
  }
  return first;
}

/** Where to cut `steps` into `count` pieces, and what that costs; undefined where a wait does not let it. */
class Cuts {
  private readonly parts: readonly string[];
  private readonly heldUp: readonly number[];
  private readonly known = new Map<string, { readonly cost: number; readonly ends: readonly number[] } | undefined>();

  constructor(
    private readonly steps: readonly StretchStep[],
    private readonly best: number,
  ) {
    this.parts = partsOf(steps);
    this.heldUp = heldUpFrom(steps);
  }

  private piece(from: number, to: number): number {
    if ((this.heldUp[from] ?? Infinity) < to) return Infinity;
    const distinct = new Set(this.parts.slice(from, to)).size;
    const share = ((to - from) * this.best) / this.steps.length;
    const isTorn = from > 0 && this.parts[from - 1] === this.parts[from];
    const isSingle = to - from < FEWEST_STEPS;
    return (
      COST.otherPart * (distinct - 1) +
      COST.uneven * (share - 1) ** 2 +
      (isTorn ? COST.torn : 0) +
      (isSingle ? COST.single : 0)
    );
  }

  upTo(to: number, count: number): { readonly cost: number; readonly ends: readonly number[] } | undefined {
    const key = `${to} ${count}`;
    if (this.known.has(key)) return this.known.get(key);
    let best: { readonly cost: number; readonly ends: readonly number[] } | undefined;
    for (let from = count - 1; from < to; from += 1) {
      const before = count === 1 ? (from === 0 ? { cost: 0, ends: [] } : undefined) : this.upTo(from, count - 1);
      const cost = before ? before.cost + this.piece(from, to) : Infinity;
      if (before && cost < (best?.cost ?? Infinity)) best = { cost, ends: [...before.ends, to] };
    }
    this.known.set(key, best);
    return best;
  }
}

/** Cuts into as many pieces as suits best; into more than `most` only where waits leave no other way. */
function cut<Step extends StretchStep>(steps: readonly Step[], { least, best, most }: Range): Step[][] {
  const fitting = Math.ceil(steps.length / STEPS_AT_LEAST);
  const cuts = new Cuts(steps, Math.min(best, fitting));
  let chosen: { readonly cost: number; readonly ends: readonly number[] } | undefined;
  for (let count = steps.length > least ? Math.min(least, fitting) : 1; count <= steps.length; count += 1) {
    if (count > Math.min(most, fitting) && chosen) break;
    const found = cuts.upTo(steps.length, count);
    if (found && found.cost < (chosen?.cost ?? Infinity)) chosen = found;
  }
  const ends = chosen?.ends ?? [steps.length];
  return ends.map((end, index) => steps.slice(ends[index - 1] ?? 0, end));
}

/** From where on each instrument's steps lie together. */
function fromWhereTogether(steps: readonly StretchStep[]): number {
  const seen = new Set<InstrumentId>();
  let from = steps.length;
  let last: InstrumentId | null = null;
  for (const { instrumentId } of steps.toReversed()) {
    if (instrumentId !== last && seen.has(instrumentId)) return from;
    seen.add(instrumentId);
    last = instrumentId;
    from -= 1;
  }
  return 0;
}

/** Steps that lie beside each other on one instrument, each lot for itself. */
function byInstrument<Step extends StretchStep>(steps: readonly Step[]): Step[][] {
  const lots: Step[][] = [];
  for (const step of steps) {
    const lot = lots.at(-1);
    if (lot?.[0]?.instrumentId === step.instrumentId) lot.push(step);
    else lots.push([step]);
  }
  return lots;
}

function stretchOf<Step extends StretchStep>(steps: readonly Step[]): Stretch<Step> {
  const [first] = steps;
  const isOnOne = steps.every(({ instrumentId }) => instrumentId === first?.instrumentId);
  const counts = new Map<PartId, number>();
  const own = steps.filter(({ part }) => !ALONG_WITH_OTHERS.has(part));
  for (const { part } of own.length > 0 ? own : steps) counts.set(part, (counts.get(part) ?? 0) + 1);
  const named = new Set(
    [...counts]
      .toSorted(([, one], [, other]) => other - one)
      .slice(0, PARTS_NAMED)
      .map(([part]) => part),
  );
  return {
    steps,
    instrumentId: isOnOne ? (first?.instrumentId ?? null) : null,
    parts: [...counts.keys()].filter((part) => named.has(part)),
  };
}

/**
 * The stretches of a run, in its own order: consecutive steps, cut where the part changes, and where a wait would hold
 * up a step of the same stretch. Four to seven for one instrument (fewer where it has few steps); of several, one shared
 * stretch for what comes before any of them is taken apart, then one to three each. Least cost over all cuts, found by
 * dynamic programming; weights are estimates.
 */
export function stretchesOf<Step extends StretchStep>(steps: readonly Step[]): Stretch<Step>[] {
  if (steps.length === 0) return [];
  const instruments = new Set(steps.map(({ instrumentId }) => instrumentId)).size;
  if (instruments === 1) return cut(steps, ALONE).map(stretchOf);
  const from = fromWhereTogether(steps);
  const beginning = steps.slice(0, from);
  const isShared = beginning.length <= SHARED_PER_INSTRUMENT * instruments && !holdsItselfUp(beginning);
  const shared = beginning.length === 0 ? [] : isShared ? [beginning] : cutLots(beginning);
  return [...shared, ...cutLots(steps.slice(from))].map(stretchOf);
}

const cutLots = <Step extends StretchStep>(steps: readonly Step[]): Step[][] =>
  byInstrument(steps).flatMap((lot) => cut(lot, AMONG_OTHERS));
