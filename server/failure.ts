import type { ProblemCode } from '#contract/problem.ts';

/** What a use-case answers when it cannot do what was asked: which field, and what was wrong with it. */
export type Failure = { readonly code: ProblemCode; readonly field: string; readonly message: string };

export const notFound = (field: string, message: string): Failure => ({ code: 'not-found', field, message });
export const conflict = (field: string, message: string): Failure => ({ code: 'conflict', field, message });
export const invalid = (field: string, message: string): Failure => ({ code: 'invalid-request', field, message });

/** A log entry that was new, or had been recorded before under the same key. */
export type Logged<View> = { readonly view: View; readonly created: boolean };
