import type { CareItemId } from '#core/book/care-ids.ts';
import type { Severity } from '#core/book/care-item.ts';
import type { CauseId } from '#core/book/fault.ts';
import type { Marked } from '#core/explain/explained.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** What a bench does, by names that stand in players' bills: once shipped they are never renamed or reused. */
export const WORK_IDS = [
  'service',
  'pad',
  'pads',
  'repad',
  'key-cork',
  'recork',
  'key-straightened',
  'crack',
  'neck-straightened',
  'dent',
  'slide-freed',
  'hand-slide-trued',
  'mouthpiece-freed',
  'shank-trued',
  'water-key-cork',
  'spring',
  'rotor-string',
  'valve-fit',
  'mouthpipe',
  'bag',
  'case',
  'look',
] as const;
export type WorkId = (typeof WORK_IDS)[number];

/** From a least to a most. */
export type Between = { readonly least: Marked; readonly most: Marked };

/** One piece of work at the bench: how long it takes there, how long one gets used to it, and what it costs. */
export type Work = {
  readonly name: string;
  /** Working days there, beside the queue. */
  readonly workingDays: Between;
  /** Days to get used to it before an audience. */
  readonly settlingDays: Marked;
  /** In boxes of ten clarinet reeds; by kind where it depends on the instrument. */
  readonly boxes: Between;
  readonly boxesOf?: Readonly<Partial<Record<KindId, Between>>>;
  /** What it costs to go on without it, for the choice of days. */
  readonly severity: Severity;
  /** Care of the book that is done by it: its clock counts anew once the stay is told. */
  readonly care: readonly CareItemId[];
};

/** Which work a care item of the bench is, or a cause that was found. */
export type BenchWorks = {
  readonly works: Readonly<Record<WorkId, Work>>;
  readonly ofCare: { readonly [Id in CareItemId]?: WorkId };
  readonly ofCause: { readonly [Id in CauseId]?: WorkId };
  /** There and back with its insurance, in boxes. */
  readonly shippingBoxes: Marked;
  /** One double reed, which is bought by the piece. */
  readonly doubleReedBoxes: Marked;
};
