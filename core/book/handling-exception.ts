import type { StepId } from '#core/book/care-ids.ts';
import type { Thing } from '#core/book/deed.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Mark } from '#core/explain/explained.ts';

/** A rule of handling the trade breaks on purpose: by which step, after which, on which thing, and why. */
export type Exception = {
  /** A rule of `core/handling`; the proof fails on a name that is none. */
  readonly rule: string;
  readonly step?: StepId;
  readonly by?: StepId;
  readonly thing?: Thing;
  /** Only under these choices. */
  readonly method?: { readonly id: MethodId; readonly choices: readonly string[] };
  readonly why: string;
  readonly mark: Mark;
};
