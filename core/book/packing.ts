import type { Mark } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** Before an instrument goes to the bench, and when it is fetched from there. */
export const HANDOVER_LISTS = ['out', 'back'] as const;
export type HandoverList = (typeof HANDOVER_LISTS)[number];

/** One line of a list to go through before an instrument goes to the bench, or when it is fetched. */
export type PackingLine = {
  readonly id: string;
  /** An imperative, or what is to be so. */
  readonly text: string;
  /** What to do where it is not so. */
  readonly amiss: string;
  readonly kinds?: readonly KindId[];
  readonly when?: BuildCondition;
  /** Only where it is sent. */
  readonly sent?: true;
  readonly mark: Mark;
};

/** What is seen to before it goes, and when it is back. */
export type Packing = Readonly<Record<HandoverList, readonly PackingLine[]>>;
