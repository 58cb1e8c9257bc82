import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { CauseId, Remedy } from '#core/book/fault.ts';
import type { Deed } from '#core/book/deed.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { LineWhen, StepText, Words } from '#core/book/words.ts';
import type { MethodId, MethodMoment } from '#core/book/method-ids.ts';

/** What a default may depend on. Every condition named must hold. */
export type MethodCase = {
  readonly kinds?: readonly KindId[];
  readonly build?: BuildCondition;
  /** The instrument came new, fewer than this many days ago. */
  readonly newerThanDays?: number;
  /** The player's forecast week is above this many minutes. */
  readonly weeklyMinutesAbove?: number;
  /** One of these is in force today. */
  readonly conditions?: readonly ConditionId[];
};

/** A rule for the default: the first case that holds, else `otherwise`. */
export type MethodDefault = {
  readonly cases: readonly {
    readonly of: MethodCase;
    readonly choice: string;
    readonly why: string;
    readonly mark: Mark;
  }[];
  readonly otherwise: string;
  readonly why: string;
};

/** Heading, words and deeds of a step together: whoever writes other deeds writes other words. */
export type WholeStep = StepText & { readonly heading: string; readonly how: Words; readonly does: readonly Deed[] };

/** How a step is said under a choice: lines are added to it, or it is another step altogether. */
export type StepWords = { readonly when?: LineWhen } & (
  { readonly adds: StepText; readonly whole?: never } | { readonly whole: WholeStep; readonly adds?: never }
);

/** One way of doing it, with everything it changes besides the steps and intervals that name it themselves. */
export type MethodChoice = {
  readonly words: string;
  readonly mark: Mark;
  /** Offered only on these kinds. */
  readonly kinds?: readonly KindId[];
  /** Offered only on such builds. */
  readonly when?: BuildCondition;
  /** Not together with these choices of another question. */
  readonly notWith?: { readonly method: MethodId; readonly choices: readonly string[]; readonly why: string };
  /** Pairs of steps, the first before the second wherever both are in a run. */
  readonly order?: readonly (readonly [StepId, StepId])[];
  /** Several for one step only where they cannot hold together. */
  readonly says?: { readonly [Id in StepId]?: StepWords | readonly StepWords[] };
  /** Steps this way does not have. */
  readonly without?: readonly StepId[];
  /** Care this way does not do at all. */
  readonly off?: readonly CareItemId[];
  /** Thirst of the cloth beside silk: it multiplies what a pass takes (on the logarithm). */
  readonly thirst?: Marked;
  /** What it costs or risks, in the trade's words. */
  readonly cost?: string;
  /** How it is done, where no step of a run says it. */
  readonly advice?: string;
  /** Who puts right what is wrong, and how, where that is another than usual. */
  readonly remedies?: { readonly [Id in CauseId]?: Partial<Remedy> };
};

export type Method = {
  readonly question: string;
  readonly moment: MethodMoment;
  /** The instruments it is asked about: any of these. */
  readonly askedOf: readonly { readonly kinds: readonly KindId[]; readonly build?: BuildCondition }[];
  readonly choices: Readonly<Record<string, MethodChoice>>;
  readonly usual: MethodDefault;
};
