import type { MethodId } from '#core/book/method-ids.ts';
import type { SurfaceId } from '#core/book/agent.ts';
import type { Thing, Verb } from '#core/book/deed.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId, PartId } from '#core/instruments/kind.ts';

/** What an instrument must have for a word to be said of it: any of these. */
export type Has = {
  readonly parts?: readonly PartId[];
  /** Pieces that come apart, and loose things around it. */
  readonly pieces?: readonly Thing[];
  readonly builds?: readonly BuildCondition[];
  readonly kinds?: readonly KindId[];
  readonly pads?: true;
  /** A way the player has chosen. */
  readonly chosen?: { readonly method: MethodId; readonly choices: readonly string[] };
};

/** A noun of the trade: where it may be said, and which things it names. `\b` stands on both sides of it. */
export type Noun = {
  readonly says: string;
  readonly has: Has;
  readonly names?: readonly Thing[];
  /** What it is made of, which a warning may name though the instrument is of something else. */
  readonly material?: true;
};

/** Something that hands do, as an order is given: at the head of a clause. */
export type Order = { readonly says: string; readonly deeds: readonly Verb[] };

/** A sentence that says how things stand, before the step is done or after it. */
export type Standing = {
  readonly says: string;
  readonly is:
    | { readonly hangs: true }
    | { readonly joined: readonly [Thing, Thing] }
    | { readonly apart: readonly [Thing, Thing] }
    | { readonly open: Thing }
    | { readonly shut: Thing }
    | { readonly dry: Thing }
    | { readonly held: false }
    | { readonly laid: true }
    | { readonly done: Verb };
  readonly when: 'before' | 'after';
};

/** How many there are of something, where the build does not say otherwise. */
export type Count = { readonly says: string; readonly counts: readonly number[]; readonly has?: Has };

/** What a supply is for: the deeds or surfaces one of which its step has. */
export type Supply = {
  readonly deeds?: readonly Verb[];
  readonly uses?: readonly SurfaceId[];
  readonly words?: string;
};

/** The words of the trade and what they mean for hands. A reader holds the printed runs against it. */
export type Lexicon = {
  readonly nouns: readonly Noun[];
  readonly orders: readonly Order[];
  /** What a sentence may call each deed. */
  readonly sayings: Readonly<Record<Verb, string>>;
  readonly standings: readonly Standing[];
  readonly counts: readonly Count[];
  readonly supplies: Readonly<Record<string, Supply>>;
  /** What a heading promises by its first word: one of these deeds. */
  readonly headings: Readonly<Record<string, readonly Verb[]>>;
  /** What hands do that the model of handling does not know: it is read, and not held against deeds. */
  readonly beyond: string;
  /** Words that contradict each other within one step. */
  readonly opposites: readonly (readonly [string, string])[];
};
