import type { LooseThing } from '#core/book/deed.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { AloneId } from '#core/instruments/alone.ts';
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

/** Parts that may be played by themselves while the rest lies in its case, and the pieces that come out of it for that. */
export type Alone = {
  readonly id: AloneId;
  /** As it is chosen: "Mouthpiece and barrel". */
  readonly name: string;
  readonly pieces: readonly Piece[];
  /** What is needed along with them, the case as a rule and the swab: a reed has a case of its own. */
  readonly along: readonly PartId[];
  /** Ways that are gone then, whatever is chosen for the whole: a mouthpiece by itself is not pulled through with the bell. */
  readonly by?: { readonly [Id in MethodId]?: string };
  readonly when?: BuildCondition;
};

/** As a table writes it: what of it hangs on the build. */
export type AnatomyRow = Omit<Anatomy, 'staysDry' | 'pads'> & {
  readonly staysDry?: readonly Piece[] | { readonly pieces: readonly Piece[]; readonly when: BuildCondition };
  readonly pads?: true | BuildCondition;
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
  /** What of it may be played by itself; a kind without any is played whole. */
  readonly alone?: readonly Alone[];
};
