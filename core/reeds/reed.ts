import type { SignId } from '#core/book/fault.ts';
import type { Family, KindId } from '#core/instruments/kind.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Branded } from '#core/kernel/brand.ts';
import { keysOf } from '#core/kernel/typed.ts';
import type { Money } from '#core/money/money.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A reed: its box and its number in it. It keeps both wherever it lies. */
export type ReedId = Branded<string, 'ReedId'>;
export const reedId = (boxKey: string, number: number): ReedId => `${boxKey}/${number}` as ReedId;
/** The two of which an id is made; undefined where it is none. */
export function partsOfReedId(id: string): { readonly boxKey: string; readonly number: number } | undefined {
  const at = id.lastIndexOf('/');
  const digits = id.slice(at + 1);
  // `a/01` is not another name of `a/1`, and no reed.
  const number = /^[1-9]\d{0,3}$/.test(digits) ? Number(digits) : NaN;
  return at > 0 && !Number.isNaN(number) ? { boxKey: id.slice(0, at), number } : undefined;
}

/** How a new reed is brought on. */
export const BREAK_INS = ['week', 'two-weeks', 'none'] as const;
export type BreakIn = (typeof BREAK_INS)[number];

export const REED_MATERIALS = ['cane', 'synthetic'] as const;
export type ReedMaterial = (typeof REED_MATERIALS)[number];
/** How a double reed is scraped; a bassoon's has no such choice. */
export const SCRAPES = ['long', 'short', 'unknown'] as const;
export type Scrape = (typeof SCRAPES)[number];
/** A double reed is no longer than this, nor shorter, tenths of a millimetre. */
export const DOUBLE_REED_TENTHS = { least: 400, most: 800 } as const;
/** More reeds than this are not in one box. */
export const MOST_IN_A_BOX = 50;

/** A box as it came, each reed in it with what it had been played before. */
export type ReedBox = {
  /** The key it was first entered under. */
  readonly key: string;
  readonly playerId: PlayerId;
  /** Its reeds go on any instrument of this kind. */
  readonly kind: KindId;
  readonly name: string;
  readonly cut: string | null;
  readonly strength: string | null;
  readonly material: ReedMaterial;
  /** How its reeds are scraped, where somebody said. */
  readonly scrape?: Scrape | undefined;
  /** How long each reed was as it came, tenths of a millimetre, where somebody measured. */
  readonly lengthTenths?: number | undefined;
  /** Where it lies. */
  readonly place: string | null;
  /** What the whole box cost. */
  readonly cost: Money | null;
  /** How its reeds are broken in. */
  readonly breakIn: BreakIn;
  readonly cameOn: LocalDate;
  /** Minutes each reed had been played before it was entered: 0 new, null played for nobody knows how long. */
  readonly before: readonly (number | null)[];
};

/** How much of a play lay in the highest register, which wears a reed faster. */
export const HIGH_SHARES = ['none', 'some', 'much'] as const;
export type HighShare = (typeof HIGH_SHARES)[number];

/** The minutes of one reed in one play, as that play stands now. */
export type ReedUse = {
  readonly reedId: ReedId;
  readonly on: LocalDate;
  /** When that play ended, wall minutes; null where only its day is known. */
  readonly endedAt: number | null;
  readonly minutes: number;
  readonly high: HighShare;
};

export const REED_FEELS = ['too-hard', 'right', 'too-soft'] as const;
export type ReedFeel = (typeof REED_FEELS)[number];
export const REED_USES = ['concert', 'rehearsal', 'practice'] as const;
export type ReedFor = (typeof REED_USES)[number];
/** How much a double reed resists, from soft to hard, and where it sits on the tuner: reeds in hand are unlike one another. */
export const RESISTANCES = [1, 2, 3, 4, 5] as const;
export type Resistance = (typeof RESISTANCES)[number];
export const SITS = ['flat', 'in-tune', 'sharp'] as const;
export type Sits = (typeof SITS)[number];
export type Character = { readonly resistance?: Resistance | undefined; readonly sits?: Sits | undefined };
export const REED_SIGNS = ['stuffy', 'squeaks', 'chipped', 'corner-gone', 'sank-in-pitch', 'shut'] as const;
export type ReedSign = (typeof REED_SIGNS)[number];
/** Why it is played no more. Lost and given away end nothing: nobody saw how long it would have lived. */
export const REED_ENDS = [
  'soft',
  'dark',
  'chipped',
  'split',
  'corner-gone',
  'sank-in-pitch',
  'shut',
  'leaks',
  'lost',
  'given-away',
] as const;
export type ReedEnd = (typeof REED_ENDS)[number];
export const endsALife = (cause: ReedEnd): boolean => cause !== 'lost' && cause !== 'given-away';

/** How far a reed is in its life. */
export const REED_STAGES = ['new', 'breaking-in', 'in-rotation', 'practice-only', 'retired'] as const;
export type ReedStage = (typeof REED_STAGES)[number];

/** Something said of one reed. */
export type ReedSaying =
  | {
      readonly what: 'graded';
      readonly feel: ReedFeel;
      readonly goodFor: ReedFor | null;
      readonly signs: readonly ReedSign[];
      /** Of a double reed. */
      readonly resistance?: Resistance | undefined;
      readonly sits?: Sits | undefined;
    }
  /** Its back was rubbed flat. */
  | { readonly what: 'flattened' }
  | { readonly what: 'ended'; readonly cause: ReedEnd };
export type ReedSaid = ReedSaying & { readonly reedId: ReedId; readonly on: LocalDate };

/** What is said of a reed, as the record has it: what does not belong to it is null. */
export type SaidOfReed = {
  readonly playerId: PlayerId;
  readonly reedId: ReedId;
  readonly what: ReedSaying['what'];
  readonly feel: ReedFeel | null;
  readonly goodFor: ReedFor | null;
  readonly signs: readonly ReedSign[];
  readonly resistance?: Resistance | undefined;
  readonly sits?: Sits | undefined;
  readonly cause: ReedEnd | null;
};

/** The reeds of a play, as the record has them. */
export type ReedsOfPlay = {
  readonly playerId: PlayerId;
  readonly playKey: string;
  /** Minutes the play had when it was said: where they are corrected, the reeds follow. */
  readonly ofMinutes: number;
  readonly high: HighShare;
  readonly shares: readonly { readonly reedId: ReedId; readonly minutes: number }[];
};

/** How reeds of an instrument are made and kept. */
export const REED_FAMILIES = ['single', 'double', 'pipe'] as const;
export type ReedFamily = (typeof REED_FAMILIES)[number];
/** By the family of the instrument; others have none. */
const FAMILY: Readonly<Partial<Record<Family, ReedFamily>>> = {
  'Single reeds': 'single',
  'Double reeds': 'double',
  Pipes: 'pipe',
};
export const reedFamilyOf = ({ family }: { readonly family: Family }): ReedFamily | null => FAMILY[family] ?? null;

/** What may be said of the reeds of a family: which sign of the one list it is, that can be asked about. */
const SIGN_IN_LIST = {
  single: { stuffy: 'keyed/stuffy', squeaks: 'single-reed/squeak', chipped: 'single-reed/tip-seen' },
  double: {
    stuffy: 'keyed/stuffy',
    'corner-gone': 'double-reed/corners-seen',
    'sank-in-pitch': 'double-reed/fell-flat',
    shut: 'double-reed/shut-seen',
  },
  pipe: { stuffy: 'pipes/chanter-hard', squeaks: 'pipes/chanter-chirps', chipped: 'pipes/reed-edge' },
} as const satisfies Record<ReedFamily, { readonly [Said in ReedSign]?: SignId }>;
/** What may be seen of the reeds of a family. */
export const SIGNS_OF: Readonly<Record<ReedFamily, readonly ReedSign[]>> = {
  single: keysOf(SIGN_IN_LIST.single),
  double: keysOf(SIGN_IN_LIST.double),
  pipe: keysOf(SIGN_IN_LIST.pipe),
};
/** The sign of the one list that is said of a reed; undefined where this family has none. */
export const signInList = (family: ReedFamily, said: ReedSign): SignId | undefined => {
  const signs: { readonly [Said in ReedSign]?: SignId } = SIGN_IN_LIST[family];
  return signs[said];
};
export const ENDS_OF: Readonly<Record<ReedFamily, readonly ReedEnd[]>> = {
  single: ['soft', 'dark', 'chipped', 'split', 'lost', 'given-away'],
  double: ['soft', 'dark', 'split', 'corner-gone', 'sank-in-pitch', 'shut', 'leaks', 'lost', 'given-away'],
  pipe: ['soft', 'dark', 'chipped', 'split', 'lost', 'given-away'],
};
/** Signs that end a reed: a chipped tip, and one that sank in pitch overnight, for it has split (the practice book). */
const ENDING_SIGNS = ['chipped', 'sank-in-pitch'] as const satisfies readonly ReedSign[] & readonly ReedEnd[];
export const endBySign = (signs: readonly ReedSign[]): ReedEnd | null =>
  ENDING_SIGNS.find((sign) => signs.includes(sign)) ?? null;
/** Only the flat back of a single reed of cane bulges, and can be rubbed flat. */
export const hasABack = (family: ReedFamily, material: ReedMaterial): boolean =>
  family === 'single' && material === 'cane';
