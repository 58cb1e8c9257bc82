/** What is left to do at one instrument, in seconds. */
export type LeftAt = {
  readonly work: number;
  /** The least it takes when hands do nothing else between its first job and its last, waits sat out. */
  readonly inOneGo: number;
};

/** The same where hands are now. */
export type LeftHere = LeftAt & {
  /** The least where it is begun at once, and what waits already has not waited any longer. */
  readonly atOnce: number;
};

/**
 * How long work, turning and sitting out waits take at least, from now on. Of `n` instruments with something left each
 * turn more than there must be breaks one stay in two: with `extra` turns more at least `n − extra` of them are seen to in
 * one go, and sit out their own waits. No order is in none of these cases, so the least of them bounds all.
 *
 * Source: counted out here; checked against enumeration in `turning-bound.test.ts`.
 *
 * @param here what is left at the instrument where hands are; null where that is nothing
 */
export function turningBound(changeSeconds: number, here: LeftHere | null, elsewhere: readonly LeftAt[]): number {
  const left = here === null ? elsewhere : [here, ...elsewhere];
  const work = left.reduce((sum, one) => sum + one.work, 0);
  // No turn more than must be: it is gone on with here, and nothing has waited longer by then.
  const now = here === null ? 0 : here.atOnce - here.work;
  const idle = left.map((one) => one.inOneGo - one.work).toSorted((a, b) => a - b);
  const idleOf = (stays: number): number => idle.slice(0, stays).reduce((sum, seconds) => sum + seconds, 0);
  let least = elsewhere.reduce((sum, one) => sum + one.inOneGo - one.work, now);
  for (let extra = 1; extra <= left.length; extra++)
    least = Math.min(least, extra * changeSeconds + idleOf(left.length - extra));
  return work + elsewhere.length * changeSeconds + least;
}
