export type NumberLimits = {
  readonly least?: number;
  readonly most?: number;
  /** A whole number. */
  readonly whole?: boolean;
  /** A multiple of this. */
  readonly step?: number;
};

const ANY = { least: 0, most: Number.MAX_SAFE_INTEGER, whole: false, step: 0 };

/**
 * What is no number, or without end, neither compares nor comes to an end in a loop: a computation refuses it where it
 * comes in. Zero is the least unless something else is said.
 *
 * @param name what it is, for the programmer who reads the refusal
 * @throws RangeError where it is none, or none within the limits
 */
export function checkNumber(name: string, value: number, limits: NumberLimits = {}): void {
  const { least, most, whole, step } = { ...ANY, ...limits };
  const isWithin = value >= least && value <= most && Number.isFinite(value);
  const isOfItsKind = (!whole || Number.isInteger(value)) && (step === 0 || value % step === 0);
  if (!isWithin || !isOfItsKind)
    throw new RangeError(`${name} is ${value}, not ${whole ? 'a whole number ' : ''}from ${least} to ${most}`);
}
