import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { KeptLeftOut } from '#core/packup/kept-plan.ts';
import { careDoneBy, careWaiting, type CareDone } from '#core/packup/run-care.ts';
import { foldRun, type RunNow, type StepNow } from '#core/packup/run-log.ts';
import type { RunView, StepWords } from '#contract/packup.ts';

/** A step as it stands, with the book's words. */
export type ShownStep = StepNow & Omit<StepWords, 'key'>;

/** What did not fit the minutes at hand, by name, with what it costs to let it wait. */
export type ShownLeftOut = KeptLeftOut & {
  readonly name: string;
  readonly instrumentName: string;
  readonly cost: string | null;
};

/** A run as it is shown: what was sent folded, and what is still unsent with it. */
export type ShownRun = Omit<RunView, 'plan' | 'log' | 'words' | 'items' | 'done'> &
  Pick<RunView['plan'], 'activeMinutes' | 'elapsedMinutes' | 'because'> &
  Omit<RunNow, 'steps' | 'leftOut'> & {
    readonly steps: readonly ShownStep[];
    readonly leftOut: readonly ShownLeftOut[];
    /** The key of the end, once there is one. */
    readonly finishKey: string | null;
    /** What it has done and what still waits, by name; as the record has it where it is in the record already. */
    readonly doneNames: readonly string[];
    readonly waitingNames: readonly string[];
  };

const NO_WORDS: Omit<StepWords, 'key'> = {
  instrumentName: '',
  itemName: '',
  partName: '',
  how: null,
  why: null,
  harm: null,
  cautions: [],
  supplies: [],
  hands: 'player',
  onlyIf: null,
  repeats: null,
  way: [],
  thread: null,
  holds: null,
};

/** Care by name, each name once; with its instrument where the run has several. */
function namesOf({ items, parts }: RunView, care: readonly CareDone[]): string[] {
  const names = care.map(({ instrumentId, itemId }) => {
    const name = items.find((one) => one.instrumentId === instrumentId && one.itemId === itemId)?.name ?? itemId;
    const instrumentName = parts.find((one) => one.instrumentId === instrumentId)?.name;
    return parts.length > 1 && instrumentName !== undefined
      ? `${name.toLowerCase()} (${instrumentName})`
      : name.toLowerCase();
  });
  return [...new Set(names)];
}

/**
 * Folds the plan and the log of a run into what is shown.
 *
 * @param unsent what happened and has not been confirmed; what is in the log by now is not counted twice
 */
export function shownRun(view: RunView, unsent: readonly LoggedRunEvent[] = []): ShownRun {
  const { plan, log, words, items, done, ...run } = view;
  const sent = new Set(log.map(({ key }) => key));
  const all = [...log, ...unsent.filter(({ key }) => !sent.has(key))];
  const now = foldRun(
    plan,
    all.map(({ event }) => event),
  );
  const wordsOf = new Map(words.map(({ key, ...rest }) => [key, rest]));
  const steps = now.steps.map((step) => ({ ...step, ...(wordsOf.get(step.key) ?? NO_WORDS) }));
  const leftOut = now.leftOut.map((one): ShownLeftOut => {
    const [first] = one.steps;
    const words = (first && wordsOf.get(first.key)) ?? NO_WORDS;
    // What belongs to every play waits step by step; anything else waits whole.
    const single = items.some(({ itemId, everyPlay }) => everyPlay && itemId === first?.item);
    const name = single || words.itemName === '' ? (first?.heading ?? '') : words.itemName;
    return { ...one, name, instrumentName: words.instrumentName, cost: words.harm ?? words.why };
  });
  const care = done ?? careDoneBy(now);
  return {
    ...run,
    activeMinutes: plan.activeMinutes,
    elapsedMinutes: plan.elapsedMinutes,
    because: plan.because,
    isAway: now.isAway,
    finishedAt: now.finishedAt,
    finishKey: all.find(({ event }) => event.kind === 'finished')?.key ?? null,
    steps,
    leftOut,
    doneNames: namesOf(view, care),
    waitingNames: namesOf(view, careWaiting(now, care)),
  };
}
