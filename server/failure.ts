import type { Refusal } from '#core/failure/refusal.ts';
import type { TouchedSubject } from '#contract/fact.ts';
import type { ProblemCode } from '#contract/problem.ts';

/** What a use-case answers when it cannot do what was asked: which field, and what was wrong with it. */
export type Failure = { readonly code: ProblemCode; readonly field: string; readonly refusal: Refusal };

const failing =
  (code: ProblemCode) =>
  (field: string, refusal: Refusal): Failure => ({ code, field, refusal });
export const notFound = failing('not-found');
export const conflict = failing('conflict');
export const invalid = failing('invalid-request');

/** Whoever asks may not see or say this. */
export const notYours = (): Failure => ({ code: 'forbidden', field: '', refusal: { code: 'not-yours' } });

/** There is no such instrument: asked for so often that it has a name. */
export const noInstrument = (field = 'instrumentId'): Failure => notFound(field, { code: 'no-such-instrument' });

/** A log entry that was new, or had been recorded before under the same key. */
export type Logged<View> = {
  readonly view: View;
  readonly created: boolean;
  /** Whose pages look again. */
  readonly touched: readonly TouchedSubject[];
};

/** Nobody waits for the answer any more: whoever asked has gone. */
export class CallerLeft extends Error {}
/** The same device has enough waiting already: it is told to come back. */
export class TooMuchAtOnce extends Error {}
