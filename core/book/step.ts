import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { SignId } from '#core/book/fault.ts';
import type { Deed } from '#core/book/deed.ts';
import type { Milestone } from '#core/book/milestone.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { SurfaceId } from '#core/book/agent.ts';
import type { Skill } from '#core/players/player.ts';
import type { PartId } from '#core/instruments/kind.ts';

/** An agent a step calls for, where it goes, and the step that rinses it off, where one does. */
export type AgentUse = { readonly agent: string; readonly on: SurfaceId; readonly rinsedBy?: StepId };

/** How often a step is repeated, and where the number comes from. */
export type Repeats =
  /** Swab passes by the water model, never under `least` nor over `most`. */
  | {
      readonly kind: 'passes-by-water';
      readonly least: Marked;
      readonly most: Marked;
      /** Another ceiling after a play longer than this; `orOwn`: also for a player whose own cloth has answered. */
      readonly mostBeyond?: { readonly minutes: number; readonly most: Marked; readonly orOwn?: true };
      readonly usual: string;
      readonly mark: Mark;
    }
  /** A fixed number of pulls, pistons or slides. */
  | { readonly kind: 'fixed'; readonly count: Marked; readonly noun: string };

/** What a look may find. `notice` is the sign it puts in the record; `endsItem` stops the rest of the item. */
export type LookAnswer = {
  readonly id: string;
  readonly words: string;
  readonly notice?: SignId;
  /** The care of this instrument that its sign calls for; worked out, never written in the tables. */
  readonly calls?: CareItemId;
  readonly endsItem?: true;
  /** Other items it stops as well: a stuck slide holds the mouthpipe brush. */
  readonly alsoEnds?: readonly CareItemId[];
};

/** A look that decides what comes after it. */
export type Look = { readonly question: string; readonly answers: readonly LookAnswer[] };

/** Where along a part a key is held: towards the mouth, in the middle or towards the bell. */
export const ALONG_A_PART = ['mouth-end', 'middle', 'bell-end'] as const;

/** What a free hand holds or presses while the step is done, and where it lies on the tube. */
export type HeldKey = {
  readonly words: string;
  readonly part: PartId;
  readonly at: (typeof ALONG_A_PART)[number];
};

/** Of several instruments made ready one is played first and stays in the hands; the others are set aside for later. */
export type ReadyFor = 'playing' | 'later';

/** Something done with the hands, once, on one part. Order is in `after`; the book's own order breaks ties. */
export type Step = {
  readonly id: StepId;
  readonly item: CareItemId;
  readonly part: PartId;
  readonly heading: string;
  readonly how?: string;
  /** Handwork in minutes at a practised pace, for one repeat. Estimates, all of them. */
  readonly minutes: number;
  /** What it takes a child who has just begun, until their own ticks say otherwise; without it, twice the practised pace. */
  readonly beginnerMinutes?: Marked;
  readonly repeats?: Repeats;
  /** A passive time that starts when the handwork ends; only the steps named in `until` wait for it. */
  readonly wait?: {
    readonly minutes: Marked;
    /** Not longer than this: what soaks is not left lying. Without it, it may take as long as it does. */
    readonly most?: Marked;
    readonly why: string;
    readonly until: readonly StepId[];
  };
  /** Steps that must come first, where they are part of the run. */
  readonly after: readonly StepId[];
  /** Comes after every step of the run that leads up to these. */
  readonly needs?: readonly Milestone[];
  /** What this step leads up to. */
  readonly reaches?: readonly Milestone[];
  /** Comes after every step that is not closing: casing and what follows it. */
  readonly closing?: true;
  /** Done once however many instruments are in the run: hands are washed once. */
  readonly oncePerRun?: true;
  /** Where several instruments are made ready: done only on what is set aside for later, or only on what is played first. */
  readonly readyFor?: ReadyFor;
  /**
   * Where only parts are played: done with these and never else; with these as well, though its part lies in the case or a
   * way of the whole leaves it out; or never, though it touches nothing else, for its words speak of the whole.
   */
  readonly alone?: { readonly only: readonly AloneId[] } | { readonly also: readonly AloneId[] } | 'never';
  /** Done by a child or a pupil only with somebody beside them, whatever the rest of its item asks for. */
  readonly skill?: Skill;
  /**
   * Where it is packed up on the way: it waits for home though it is a must, is done only then, or is done then as well.
   * Without it, what cannot wait is done and the rest waits.
   */
  readonly away?: 'now' | 'waits' | 'only';
  /** Left out only with a reason, and the harm is said. */
  readonly must?: true;
  /** Done only if a look says so; the words are the question. */
  readonly onlyIf?: string;
  /** A look whose answer decides which later steps are called for. */
  readonly look?: Look;
  /** Called for only by one of these answers to that look. */
  readonly calledBy?: { readonly look: StepId; readonly answers: readonly string[] };
  readonly why?: string;
  /** What goes wrong when it is left out, done too early or forced. */
  readonly harm?: string;
  readonly cautions?: readonly string[];
  readonly supplies?: readonly string[];
  readonly when?: BuildCondition;
  /** Belongs to these choices of a method; without it the step is common to all. */
  readonly method?: { readonly id: MethodId; readonly choices: readonly string[] };
  /** Comes after these by the method in force, where both are in the run; it could be done without them. */
  readonly laterThan?: readonly StepId[];
  /** What it brings to which surface; judged against the build before the step is ever offered. */
  readonly uses?: readonly AgentUse[];
  /** The way of the cloth: the part it goes in at and the part it comes out of; the same part for to and fro. */
  readonly thread?: { readonly in: PartId; readonly out: PartId };
  /** The key to hold meanwhile, where there is one. */
  readonly holds?: HeldKey;
  /** What it does to things, in this order; what each verb needs and leaves is in `core/handling`. */
  readonly does: readonly Deed[];
  /** Other items this step settles as well: the bath's grease is also the monthly grease. */
  readonly alsoDoes?: readonly CareItemId[];
  readonly mark: Mark;
};

/** Is it done only where parts are played by themselves? */
export const isOnlyAlone = ({ alone }: Pick<Step, 'alone'>): boolean => typeof alone === 'object' && 'only' in alone;

/** Is it an answer that only says how a run goes on, and neither puts a sign in the record nor ends anything? */
export const leadsOn = ({ notice, endsItem, alsoEnds }: LookAnswer): boolean =>
  notice === undefined && endsItem === undefined && (alsoEnds ?? []).length === 0;
