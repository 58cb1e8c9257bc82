import type { LooseThing } from '#core/book/deed.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { PartId } from '#core/instruments/kind.ts';

export type Piece = PartId | LooseThing;

/** A place where two pieces come together and apart by hand. */
export type Coupling = {
  readonly of: readonly [Piece, Piece];
  /**
   * Is it together while the instrument is played, and while it lies in its case? `either`: apart as a rule, `usually`:
   * together as a rule, and both may be otherwise.
   */
  readonly played: boolean;
  readonly cased: boolean | 'either' | 'usually';
  readonly when?: BuildCondition;
  /** Only under these choices; several rows of one coupling tell the choices apart. */
  readonly method?: { readonly id: MethodId; readonly choices: readonly string[] };
};

/** What hands find when they take an instrument of a kind: what comes apart, what must stay dry, what is pulled out. */
export type Anatomy = {
  readonly couplings: readonly Coupling[];
  /** Pieces a bore oil goes through. */
  readonly bores?: readonly Piece[];
  readonly slides?: readonly Piece[];
  /** What never goes under water, nor anything it sits on. */
  readonly staysDry?: readonly Piece[];
  /** Pieces a cloth is never drawn through on such a build: it could not be drawn back. */
  readonly neverDrawn?: { readonly pieces: readonly Piece[]; readonly when: BuildCondition };
  /** Pieces with one open end: a cloth comes out the way it went in. */
  readonly closed?: readonly Piece[];
  /** Slides that stand at their marks while it is played. */
  readonly pulled?: readonly Piece[];
  /** Locks and screws that are open while it is played, and those that are shut. */
  readonly openPlayed?: readonly LooseThing[];
  /** A piece that needs a hand or a strap while it stands. */
  readonly hangsPlayed?: Piece;
  /** False where nobody bends down with it on: it would tip over. */
  readonly bendsDown?: false;
  /** The piece rotors sit in: water through it washes the oil out of them. */
  readonly rotors?: { readonly in: Piece; readonly when?: BuildCondition };
  /** The keys close pads that oil ruins. */
  readonly pads?: true;
};
