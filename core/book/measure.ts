import type { CareItemId } from '#core/book/care-ids.ts';
import type { Mishap } from '#core/book/fault.ts';
import type { WorkId } from '#core/book/work.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import { PART_IDS, type KindId, type PartId, type PartRole } from '#core/instruments/kind.ts';

/** Pages of what can be measured: one for what several kinds share, one for what a few have of their own. */
const MEASURE_PAGE_IDS = [
  'any',
  'keyed',
  'held-shut',
  'wing-held-shut',
  'flute',
  'corked',
  'saxophone',
  'oboe-reed',
  'cor-anglais-reed',
  'bassoon-reed',
  'bamboo',
  'pipes',
  'brass',
  'third-slide',
  'piston',
  'rotary',
  'hand-slide',
] as const;
export type MeasurePageId = (typeof MEASURE_PAGE_IDS)[number];

/** `page/words`. Ids stand in players' histories: once shipped they are never renamed or reused. */
export type MeasureId = `${MeasurePageId}/${string}`;

/** What a reading is counted in. `degree`: a step of a scale that is told by hand, each with its words. */
export const MEASURE_UNITS = ['count', 'degree', 'seconds', 'millimetres', 'newtons', 'grams'] as const;
export type MeasureUnit = (typeof MEASURE_UNITS)[number];

/** How a reading was taken. A line drawn through readings that were taken in two ways would say nothing. */
export const WAY_IDS = [
  'by-eye',
  'by-hand',
  'feeler',
  'sucked-shut',
  'ruler',
  'feeler-gauge',
  'spring-balance',
  'spring-gauge',
  'of-ten',
  'slow-film',
  'under-water',
  'by-ear',
  'blown-full',
] as const;
export type WayId = (typeof WAY_IDS)[number];

/** Where there are several of a thing. */
const NAMED_PLACE_IDS = [
  'first-valve',
  'second-valve',
  'third-valve',
  'fourth-valve',
  'main-slide',
  'first-slide',
  'second-slide',
  'third-slide',
  'fourth-slide',
] as const;
type NamedPlaceId = (typeof NAMED_PLACE_IDS)[number];
/** A joint is named by the part it ends. */
export const PLACE_IDS = [...NAMED_PLACE_IDS, ...PART_IDS] as const;
export type PlaceId = NamedPlaceId | PartId;
export type Place = { readonly id: PlaceId; readonly name: string };

/** From a least to a most, both within; `below` is not within. */
export type Span = { readonly least?: number; readonly most?: number; readonly below?: number };

/**
 * What a reading means: within `good` it is well; within `sooner` it is looked at again before long; beyond both it is
 * work for the bench. Without `sooner` no reading of this asks for the bench by itself.
 */
export type ReadingLimits = { readonly good: Span; readonly sooner?: Span };

/** One way to take a reading. */
export type MeasureWay = {
  readonly id: WayId;
  readonly unit: MeasureUnit;
  /** What can be read: smaller, larger or finer is a slip of the finger. */
  readonly range: { readonly least: number; readonly most: number; readonly step: number };
  /** What a number of a scale, or its end, means: 5 is "stuck". */
  readonly says?: Readonly<Partial<Record<number, string>>>;
  /** An imperative or two. */
  readonly how: string;
  /** What it needs beside hands and eyes; with it, it is nothing for a child. */
  readonly tool?: string;
  readonly limits: ReadingLimits;
  readonly mark: Mark;
};

/** Who may take a reading: anybody, nobody who is a child or a pupil by themselves, or the bench alone. */
export type MeasureHands = 'player' | 'not-alone' | 'bench';

/** One line of an inspection: something a number can be put to. */
export type Measure = {
  readonly id: MeasureId;
  readonly name: string;
  readonly part: PartId | PartRole;
  readonly ways: readonly [MeasureWay, ...MeasureWay[]];
  /** Where there are several: named, or every joint with a tenon. */
  readonly places?: readonly NamedPlaceId[] | 'tenons';
  readonly hands?: MeasureHands;
  /** Days until it is looked at again, before anything has been read. */
  readonly every: Marked;
  /** However well it reads, it is looked at as often as the book says. */
  readonly neverLengthened?: true;
  /** Something else each time: no line is drawn through it. */
  readonly noLine?: true;
  /** Any rise within so many days is work for the bench, however small. */
  readonly spreads?: { readonly withinDays: Marked };
  /** What the bench does about it. */
  readonly work: WorkId;
  /** Care that renews it: after it a new line begins. */
  readonly renewedBy: readonly CareItemId[];
  /** It stops the instrument: said at once, and found in the room of faults. */
  readonly stops?: true;
  readonly when?: BuildCondition;
};

export type MeasurePage = { readonly id: MeasurePageId; readonly measures: readonly Measure[] };
/** A page as a kind uses it: for every build or only for some, without what this kind has not, at other places. */
export type MeasurePageUse = {
  readonly page: MeasurePage;
  readonly when?: BuildCondition;
  readonly without?: readonly MeasureId[];
  readonly places?: { readonly [Id in MeasureId]?: readonly PlaceId[] };
};

/** What is read again at once after something happened to an instrument, where it has it. */
export type MeasuredAfter = Readonly<Record<Mishap, readonly MeasureId[]>>;

/** What can be measured on every kind, as data. */
export type Measures = {
  readonly pagesOf: Readonly<Record<KindId, readonly MeasurePageUse[]>>;
  readonly placeNames: Readonly<Record<NamedPlaceId, string>>;
  readonly after: MeasuredAfter;
};
