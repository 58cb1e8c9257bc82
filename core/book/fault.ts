import type { BuildCondition } from '#core/instruments/build.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { KindId, PartId, PartRole } from '#core/instruments/kind.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { Skill } from '#core/players/player.ts';

/** Pages of what can go wrong: one for what several kinds share, one for what a few have of their own. */
const FAULT_PAGE_IDS = [
  'any',
  'swabbed',
  'keyed',
  'wooden',
  'corked',
  'linked',
  'single-reed',
  'clarinet',
  'saxophone',
  'double-reed',
  'oboe',
  'bassoon',
  'flute',
  'flute-foot',
  'bamboo',
  'recorder',
  'pipes',
  'brass',
  'bits',
  'third-slide',
  'piston',
  'rotary',
  'hand-slide',
] as const;
export type FaultPageId = (typeof FAULT_PAGE_IDS)[number];

/** `page/words`. Ids stand in players' histories: once shipped they are never renamed or reused. */
export type SignId = `${FaultPageId}/${string}`;
export type CauseId = `${FaultPageId}/${string}`;

/** How common a cause is among complaints, in words a technician would use; what they mean in figures stands once. */
export const COMMONNESS = ['common', 'ordinary', 'uncommon', 'rare'] as const;
export type Commonness = (typeof COMMONNESS)[number];

/** How often a cause shows a sign. */
export const LINK_WORDS = ['usually', 'often', 'sometimes', 'seldom'] as const;
export type LinkWord = (typeof LINK_WORDS)[number];

/** How much likelier something in the record makes a cause. */
export type RiskWord = 'weak' | 'clear' | 'strong';

/** What is noticed without being asked; what is looked for; what is tried. */
export const SIGN_SORTS = ['complaint', 'look', 'trial'] as const;
export type SignSort = (typeof SIGN_SORTS)[number];

/** By which sense a sign is noticed: how somebody who cannot name it finds it. */
export const SENSES = ['hear', 'feel', 'see'] as const;
export type Sense = (typeof SENSES)[number];

/** Which notes a complaint is about. */
export const WHICH_NOTES = ['one', 'low', 'high', 'all'] as const;
export type WhichNotes = (typeof WHICH_NOTES)[number];

/** Something that can be heard, felt or seen, and how to find out whether it is so. */
export type FaultSign = {
  readonly id: SignId;
  readonly sort: SignSort;
  readonly sense: Sense;
  /** As it is said: "One note gurgles or bubbles". */
  readonly words: string;
  /** As it is asked; answered with yes, no, or I cannot tell. */
  readonly question: string;
  /** Where to look and what is meant. */
  readonly how?: string;
  readonly part?: PartId | PartRole;
  readonly notes?: WhichNotes;
  /** Minutes it takes to find out (estimates); a complaint that names none takes what thinking back takes. */
  readonly minutes?: number;
  /** What it needs beside the instrument. */
  readonly tool?: string;
  /** The instrument has to be taken apart for it. */
  readonly apart?: true;
  /** Not asked of a child or a pupil who is by themselves. */
  readonly notAlone?: true;
  /** Everyday words somebody may type for it. */
  readonly also?: readonly string[];
  readonly when?: BuildCondition;
  /** As care names it inside a sentence: "a joint that wobbles". Every sign that care points at has one. */
  readonly named?: string;
  readonly mark: Mark;
};

/** Several things one look shows or not, asked as one question: what is named says no to the others. */
export type SeenTogether = {
  readonly question: string;
  readonly how?: string;
  /** Minutes the look takes (estimate). */
  readonly minutes: number;
  /** The instrument has to be taken apart for it. */
  readonly apart?: true;
  /** In the order they are offered; never one that stops the instrument. */
  readonly signs: readonly SignId[];
  readonly mark: Mark;
};

/** Everything else that can be noticed, asked at once: any of it can be so. */
export type WhatElse = Omit<SeenTogether, 'signs' | 'apart'>;

/** A sign care can be called for by. */
export type NamedSign = FaultSign & { readonly named: string };

/**
 * Signs of pages by their ids, for care to point at.
 *
 * @throws Error when the pages have no such sign, or it has no name: a fault of the tables, found as they are read
 */
export const signsFrom = (pages: readonly FaultPage[], ...ids: readonly SignId[]): readonly NamedSign[] =>
  ids.map((id) => {
    const sign = pages.flatMap(({ signs }) => signs).find((one) => one.id === id);
    if (sign === undefined) throw new Error(`no sign ${id} on ${pages.map((page) => page.id).join(', ')}`);
    if (sign.named === undefined) throw new Error(`${id} has no name for inside a sentence`);
    return { ...sign, named: sign.named };
  });

/** Who puts it right. `maker`: only whoever made it. */
export const REMEDY_HANDS = ['player', 'teacher', 'bench', 'maker'] as const;
export type RemedyHand = (typeof REMEDY_HANDS)[number];

/** The right thing next. */
export type Remedy = {
  readonly hand: RemedyHand;
  /** An imperative. */
  readonly heading: string;
  readonly how: string;
  /** The care whose run does it, or who sees to it: the first of these that the instrument has. */
  readonly care?: readonly CareItemId[];
  /** It is said in the room of reeds: an end, a back rubbed flat, another reed. */
  readonly inReeds?: true;
  /** The reed is laid on the double-reed table: that leads on. */
  readonly atTable?: true;
  /** A player does it only if they have said they do such work. */
  readonly skill?: Skill;
  /** A child does it with a grown-up, a pupil with the teacher: oil, screws, valves out. */
  readonly notAlone?: true;
  /** What is not done, and why. */
  readonly never?: string;
  /** Who is next where it does not help; without it, the bench. */
  readonly then?: RemedyHand;
};

/** What may be wrong. Named as a thing or a habit, never as a person. */
export type Cause = {
  readonly id: CauseId;
  readonly name: string;
  readonly common: Commonness;
  readonly part: PartId | PartRole;
  readonly shows: { readonly [Word in LinkWord]?: readonly SignId[] };
  /** What in the record makes it likelier, and by how much. */
  readonly likelier?: { readonly [Id in RiskId]?: RiskWord };
  readonly remedy: Remedy;
  readonly when?: BuildCondition;
  /** Kinds of the page that cannot have it. */
  readonly without?: readonly KindId[];
  readonly mark: Mark;
};

/** What the record may say that makes some causes likelier; how each is read from it is in `core/faults/risks.ts`. */
export const RISK_IDS = [
  'long-play',
  'cold-room',
  'damp-air',
  'dry-air',
  'weather-change',
  'swab-skipped',
  'pads-skipped',
  'holes-overdue',
  'key-oil-overdue',
  'valve-oil-overdue',
  'slide-care-overdue',
  'grease-overdue',
  'bath-overdue',
  'service-overdue',
  'valves-out-today',
  'new-player',
  'new-cork',
  'new-wood',
  'long-rest',
  'old-pads',
  'reed-worn',
  'reed-much-played',
  'knocked',
  'mouthpiece-knocked',
  'cold-night',
  'hot-car',
  'sweet-drink',
  'in-water',
  'rain',
] as const;
export type RiskId = (typeof RISK_IDS)[number];

/** What can happen to an instrument outside of playing and care. */
export const MISHAPS = ['knocked', 'cold-night', 'hot-car', 'sweet-drink', 'in-water', 'rain'] as const;
export type Mishap = (typeof MISHAPS)[number];

/** How an instrument stands once a rule has stopped it. */
export const STOPS = ['not-played', 'not-put-together', 'no-force'] as const;
export type StopKind = (typeof STOPS)[number];

/** Who may say that a stopped instrument is well again. */
export type ClearedBy = 'bench' | 'maker' | 'teacher' | 'self';

/**
 * Stopped by rule, never by odds: asked before anything that could worsen it. One yes stops, "I cannot tell" stops until
 * a named person has looked.
 */
export type StopRule = {
  readonly sign: SignId;
  /** Asked first once one of these is noticed … */
  readonly onSigns: readonly SignId[];
  /** … or one of these is in the record. */
  readonly onRisks?: readonly RiskId[];
  readonly stands: StopKind;
  /** A heading, and what is done meanwhile. */
  readonly heading: string;
  readonly meanwhile: string;
  readonly clearedBy: ClearedBy;
  readonly when?: BuildCondition;
  readonly mark: Mark;
};

/** A mishap that stops by itself: nothing is asked. */
export type MishapStop = Omit<StopRule, 'sign' | 'onSigns' | 'onRisks'> & {
  readonly mishap: Mishap;
  /** It lasts from an evening into a morning: said the morning after, with the date of the evening, it stops on both days. */
  readonly overNight?: true;
};

export type FaultPage = {
  readonly id: FaultPageId;
  readonly signs: readonly FaultSign[];
  readonly causes: readonly Cause[];
  readonly stops: readonly StopRule[];
  readonly mishapStops: readonly MishapStop[];
};

/** A page as a kind uses it, for every build or only for some. */
export type FaultPageUse = { readonly page: FaultPage; readonly when?: BuildCondition };

/** What the words mean in figures, once, all of them estimates. */
export type FaultFigures = {
  /** The chance of a cause among complaints, before anything is known. */
  readonly prior: Readonly<Record<Commonness, Marked>>;
  /** The chance that a cause shows a sign. */
  readonly link: Readonly<Record<LinkWord, Marked>>;
  /** The chance that a sign is there with no cause of the list. */
  readonly leak: Readonly<Record<SignSort, Marked>>;
  /** By how much the odds of a cause rise. */
  readonly risk: Readonly<Record<RiskWord, Marked>>;
  /** No cause is likelier than this before anything was said, however much speaks for it. */
  readonly mostPrior: Marked;
  /** The share of answers that are wrong, either way. */
  readonly wrong: Marked;
  /** Something that is not in the list: its chance, and the chance that it shows a complaint; no look shows it. */
  readonly notInList: Marked;
  readonly notInListShows: Marked;
  /** The least chance of "nearly sure", "likely" and "possible"; below, a cause is not shown. */
  readonly nearlySure: Marked;
  readonly likely: Marked;
  readonly possible: Marked;
  /** Effort is minutes and this; times these where it must come apart, or a tool is needed. */
  readonly effortOfAnswer: Marked;
  /** Minutes it takes to think back to a complaint nobody has named. */
  readonly thinkingBack: Marked;
  readonly effortApart: Marked;
  readonly effortTool: Marked;
  /** How many known outcomes of an instrument weigh as much as the prior. */
  readonly weightOfPrior: Marked;
  /** Days for which a mishap counts; a knock counts until the next stay at the bench. */
  readonly mishapDays: Marked;
  /** The chance that the right remedy helps. */
  readonly helps: Marked;
};

/** What can go wrong with every kind, as data. */
export type Faults = {
  readonly figures: FaultFigures;
  readonly pagesOf: Readonly<Record<KindId, readonly FaultPageUse[]>>;
  readonly together: readonly SeenTogether[];
  readonly whatElse: WhatElse;
};
