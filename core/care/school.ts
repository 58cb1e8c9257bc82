import type { Mark } from '#core/explain/explained.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** Points on which good practitioners differ. Ids are stable: never renamed or reused. */
export const SCHOOL_IDS = [
  'clarinet-swab-path',
  'clarinet-join-order',
  'wetting-single-reeds',
  'mouthpiece-wash-interval',
  'swab-wash',
  'key-oil',
  'bore-oil-interval',
  'bore-oil-passes',
  'tenon-grease',
  'service-interval',
  'brass-bath-interval',
  'mouthpipe-brushing',
  'valve-oil-method',
] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/** What a default may depend on. Every condition named must hold. */
export type SchoolCase = {
  readonly kinds?: readonly KindId[];
  readonly build?: BuildCondition;
  /** The instrument came new, fewer than this many days ago. */
  readonly newerThanDays?: number;
  /** The player's forecast week is above this many minutes. */
  readonly weeklyMinutesAbove?: number;
};

/** A rule for the default: the first case that holds, else `otherwise`. */
export type SchoolDefault = {
  readonly cases: readonly {
    readonly of: SchoolCase;
    readonly choice: string;
    readonly why: string;
    readonly mark: Mark;
  }[];
  readonly otherwise: string;
  readonly why: string;
};

export type School = {
  readonly question: string;
  readonly choices: Readonly<Record<string, { readonly words: string; readonly mark: Mark }>>;
  readonly usual: SchoolDefault;
};

/** What a player has chosen; what is missing follows the default. */
export type SchoolChoices = { readonly [Id in SchoolId]?: string };
