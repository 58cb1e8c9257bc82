import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Deed } from '#core/book/deed.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { BuildCondition } from '#core/instruments/build.ts';

/** Where a line is said. Everything named must hold. */
export type LineWhen = {
  readonly build?: BuildCondition;
  /** Under these choices of a method. */
  readonly method?: { readonly id: MethodId; readonly choices: readonly string[] };
  /** While this is in force. */
  readonly condition?: ConditionId;
};

/** A line of a step's words. `of`: the deed it speaks of; where the step does not do that, the line is not said. */
export type Line = { readonly say: string; readonly when?: LineWhen; readonly of?: Deed };

/** Words of a step as a page writes them: the same for everybody, or line by line. */
export type Words = string | Line | readonly (string | Line)[];

/** What is said of a step beside its heading. */
export const SAID_OF_A_STEP = ['how', 'why', 'harm', 'cautions', 'supplies'] as const;
export type SaidOfAStep = (typeof SAID_OF_A_STEP)[number];

/** The words of a step, line by line. */
export type StepText = { readonly [Said in SaidOfAStep]?: Words };

const asLine = (line: string | Line): Line => (typeof line === 'string' ? { say: line } : line);

export const linesOf = (words: Words | undefined): readonly Line[] =>
  words === undefined ? [] : [words].flat().map(asLine);
