import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** What a method set says it is, and the version that is written. */
export const METHOD_SET_FORMAT = 'ulu-method-set';
export const METHOD_SET_VERSION = 2;
/** Every format that is read, and which version of it. The first one had another name; it was given away, so it is read for ever. */
export const SET_VERSIONS = { [METHOD_SET_FORMAT]: METHOD_SET_VERSION, 'ulu-school-set': 1 } as const;
export type MethodSetFormat = keyof typeof SET_VERSIONS;
/** A set is small: more than this is no set of choices. */
export const MOST_CHOICES = 200;
export const LONGEST_NAME = 120;
export const LONGEST_ID = 80;
export const LARGEST_FILE_BYTES = 65_536;

/** A teacher's choices as they are given to pupils: an open file, see docs/method-set.schema.json. */
export type MethodSet = {
  readonly format: MethodSetFormat;
  readonly version: (typeof SET_VERSIONS)[MethodSetFormat];
  readonly name: string;
  /** The kind it was made on; what other kinds are asked as well is taken by them, too. */
  readonly kind: KindId;
  readonly choices: Readonly<Record<string, string>>;
};

/** A set that was taken, as the record has it. */
export type MethodSetTaken = {
  readonly instrumentId: InstrumentId;
  readonly name: string;
  /** As it was sent; undefined where nobody kept it. */
  readonly set: MethodSet | undefined;
};
