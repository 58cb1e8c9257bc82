import { CASED_DAMP, LOOK_OVER, type StepId } from '#core/book/care-ids.ts';
import { itemIn } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { startOf } from '#core/handling/play-through.ts';
import { precedence } from '#core/packup/collect-steps.ts';
import type { PlannedStep, RunPart } from '#core/packup/run-plan.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';

/** A step with all the planner needs to know of it. */
export type Candidate = Omit<PlannedStep, 'startsAtMinute' | 'standsOn' | 'away'> & {
  readonly part: RunPart;
  readonly workSeconds: number;
};

/** What cannot wait leads: reeds off and water out of every instrument, then one instrument after the other. */
export const isUrgent = ({ step }: Candidate): boolean =>
  step.reaches?.some((milestone) => milestone === 'reed-off' || milestone === 'water-out') === true;

/** What is done in one round over all instruments before hands turn to any of them: once for all, or what cannot wait. */
export const isFirstOfAll = (candidate: Candidate): boolean =>
  candidate.step.oncePerRun === true || isUrgent(candidate);

/** What lies in its case is taken out of it before anything else is done to it. */
const openingOf = (part: RunPart, steps: readonly Step[]): StepId[] =>
  startOf(part) === 'damp' ? steps.filter(({ reaches = [] }) => reaches.includes('case-open')).map(({ id }) => id) : [];

/** What is looked over is so before any care that comes at its time. */
function lookedOverBefore(
  { practice }: RunPart,
  steps: readonly Step[],
): (id: StepId, before: ReadonlySet<StepId>) => readonly StepId[] {
  const looks = steps.filter(({ item }) => item === LOOK_OVER).map(({ id }) => id);
  const later = new Set(
    steps
      .filter(({ item }) => item !== LOOK_OVER && item !== CASED_DAMP)
      .filter(({ item }) => itemIn(practice, item)?.trigger.kind !== 'every-play')
      .map(({ id }) => id),
  );
  // Whatever comes after such care comes after the looks as well: what comes before a step is all of it.
  return (id, before) => (later.has(id) || [...before].some((one) => later.has(one)) ? looks : []);
}

export type Before = ReadonlyMap<RunStepKey, readonly RunStepKey[]>;

/** What must come before each step, by the book and the methods of its instrument. */
export function beforeOf(candidates: readonly Candidate[], parts: readonly RunPart[]): Map<RunStepKey, RunStepKey[]> {
  const before = new Map<RunStepKey, RunStepKey[]>();
  for (const part of parts) {
    const mine = candidates.filter(({ instrumentId }) => instrumentId === part.instrumentId);
    const steps = mine.map(({ step }) => step);
    const standIns = new Map(mine.map(({ step, unless }) => [step.id, new Set(unless)] as const));
    const opening = openingOf(part, steps);
    const looks = lookedOverBefore(part, steps);
    for (const [id, earlier] of precedence(part.practice, steps, standIns))
      before.set(
        runStepKey(part.instrumentId, id),
        [...new Set([...earlier, ...looks(id, earlier), ...(opening.includes(id) ? [] : opening)])].map((one) =>
          runStepKey(part.instrumentId, one),
        ),
      );
  }
  return before;
}

/** Does this step lay down what hangs from a strap or a shoulder while it is played? */
const laysDown = ({ step, part }: Candidate): boolean =>
  step.does.some((deed) => deed.do === 'lay' && deed.thing === part.practice.anatomy.hangsPlayed);

/**
 * Where hands turn between instruments, what is worn is laid down as soon as may be: nothing of it is done before that
 * could be done after. Else a saxophone hangs from its player while a tuba is brushed.
 */
export function setDownFirst(
  candidates: readonly Candidate[],
  parts: readonly RunPart[],
  before: Map<RunStepKey, RunStepKey[]>,
): void {
  for (const part of parts) {
    if (startOf(part) !== 'after') continue;
    const mine = candidates.filter(({ instrumentId }) => instrumentId === part.instrumentId);
    const [first] = mine
      .filter(laysDown)
      .map(({ key }) => ({ key, leading: before.get(key) ?? [] }))
      .toSorted((a, b) => a.leading.length - b.leading.length);
    if (first === undefined) continue;
    const up = [...first.leading, first.key];
    for (const one of mine)
      if (!up.includes(one.key) && !isUrgent(one))
        before.set(one.key, [...new Set([...(before.get(one.key) ?? []), ...up])]);
  }
}

/** Is an instrument of this run lifted, or does it hang from a strap? */
const isHeavy = ({ step }: Candidate): boolean => step.does.some((deed) => deed.do === 'hold' || deed.do === 'hang');

/** Is this instrument made ready and set aside? */
const isForLater = (block: readonly Candidate[]): boolean => block.some(({ step }) => step.readyFor === 'later');

/** Hands are washed before any reed is touched, and no instrument is taken on while another stands with its reed on or its water in. */
function firstOfAllFirst(candidates: readonly Candidate[], before: Map<RunStepKey, RunStepKey[]>): void {
  const first = candidates.filter(isFirstOfAll).map(({ key }) => key);
  // A wait is begun as soon as may be.
  const early = [...first, ...candidates.filter(({ step }) => step.wait !== undefined).map(({ key }) => key)];
  const leading = new Set([...early, ...early.flatMap((key) => before.get(key) ?? [])]);
  const once = candidates.filter(({ step }) => step.oncePerRun).map(({ key }) => key);
  const beforeOnce = new Set([...once, ...once.flatMap((key) => before.get(key) ?? [])]);
  for (const { key } of candidates) {
    const wanted = leading.has(key) ? (beforeOnce.has(key) ? [] : once) : first;
    if (wanted.length > 0) before.set(key, [...new Set([...(before.get(key) ?? []), ...wanted])]);
  }
}

/**
 * What a hand or a strap carries is one block of work: one instrument is made ready to its end before the next is
 * begun. Only what begins a wait, a reed laid to soak, and what cannot wait comes first on all of them. What is made
 * ready to be set aside is made so in its own turn, its soak too: nothing hurries it.
 */
export function keepBlocks(candidates: readonly Candidate[], before: Map<RunStepKey, RunStepKey[]>): void {
  firstOfAllFirst(candidates, before);
  const blocks = [...new Set(candidates.map(({ instrumentId }) => instrumentId))].map((id) =>
    candidates.filter(({ instrumentId }) => instrumentId === id),
  );
  blocks.forEach((block, at) => {
    const begins = block
      .filter((one) => (one.step.wait !== undefined && !isForLater(block)) || isUrgent(one))
      .map(({ key }) => key);
    const early = new Set([...begins, ...begins.flatMap((key) => before.get(key) ?? [])]);
    for (const earlier of blocks.slice(0, at)) {
      if (!isForLater(earlier) && !earlier.some(isHeavy) && !block.some(isHeavy)) continue;
      const keys = earlier.map(({ key }) => key);
      for (const { key } of block) if (!early.has(key)) before.set(key, [...(before.get(key) ?? []), ...keys]);
    }
  });
}
