import type { KindId } from '#core/instruments/kind.ts';

/** What a school set says it is, and the one version there is. */
export const SCHOOL_SET_FORMAT = 'ulu-school-set';
export const SCHOOL_SET_VERSION = 1;
/** A set is small: more than this is no set of choices. */
export const MOST_CHOICES = 200;
export const LONGEST_NAME = 120;
export const LONGEST_ID = 80;
export const LARGEST_FILE_BYTES = 65_536;

/** A teacher's choices as they are given to pupils: an open file, see docs/school-set.schema.json. */
export type SchoolSet = {
  readonly format: typeof SCHOOL_SET_FORMAT;
  readonly version: typeof SCHOOL_SET_VERSION;
  readonly name: string;
  /** The kind it was made on; what other kinds are asked as well is taken by them, too. */
  readonly kind: KindId;
  readonly choices: Readonly<Record<string, string>>;
};
