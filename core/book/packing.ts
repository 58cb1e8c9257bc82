import type { Mark } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** One line of a list to tick before an instrument goes to the bench, or when it is fetched. */
export type PackingLine = {
  readonly id: string;
  /** An imperative, or what is to be so. */
  readonly text: string;
  readonly kinds?: readonly KindId[];
  readonly when?: BuildCondition;
  /** Only where it is sent. */
  readonly sent?: true;
  readonly mark: Mark;
};

/** What is seen to before it goes, and when it is back. */
export type Packing = { readonly out: readonly PackingLine[]; readonly back: readonly PackingLine[] };
