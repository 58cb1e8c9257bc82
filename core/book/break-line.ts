import type { Mark, Marked } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

type Where = { readonly kinds: readonly KindId[]; readonly build?: BuildCondition };

/** One thing to be done when it is put down for a break. Nothing is ticked. */
export type BreakLine = Where & {
  readonly id: string;
  readonly say: string;
  readonly why?: string;
  readonly mark: Mark;
};

/** Something that happens while it is played, and what may be done before it is taken apart. */
export type Meanwhile = Where & {
  readonly id: string;
  readonly sign: string;
  /** It is a key: which ones are the likely ones is said with it. */
  readonly ofKeys?: true;
  /** What may be done at once, by whoever is no child. */
  readonly now: readonly string[];
  /** What waits until it is at home, and what for the bench. */
  readonly later: string;
  /** What a child does, and leaves alone. */
  readonly child: string;
  readonly mark: Mark;
};

/** Where a thing that happens is to be looked for: the keys that are shut at rest and stick. */
export type LikelyKeys = Where & { readonly say: string; readonly mark: Mark };

export type Breaks = {
  readonly lines: readonly BreakLine[];
  readonly meanwhile: readonly Meanwhile[];
  readonly likelyKeys: readonly LikelyKeys[];
  /** Minutes after which a reed that was wet has dried, on the kinds played with one. */
  readonly reedDries: Where & { readonly minutes: Marked };
};
