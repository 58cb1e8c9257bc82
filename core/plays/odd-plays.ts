import type { Instrument } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { playsOverlap, type Play } from '#core/plays/play.ts';

/** A play that a rule of today would refuse, and why. */
export type OddPlay = {
  readonly play: Play;
  readonly why: 'before-it-came' | 'after-it-left' | 'still-to-come' | 'overlaps';
};

/**
 * Plays of one instrument that no new one might be like: before it came, after it left, on a day still to
 * come, or running into the one before.
 *
 * @param plays in the order they ended
 * @param latest the last day that is today anywhere
 */
export const oddPlays = (plays: readonly Play[], { acquiredOn, leftOn }: Instrument, latest: LocalDate): OddPlay[] =>
  plays.flatMap((play, index): OddPlay[] => {
    const before = plays[index - 1];
    if (play.endedOn < acquiredOn) return [{ play, why: 'before-it-came' }];
    if (leftOn !== null && play.endedOn > leftOn) return [{ play, why: 'after-it-left' }];
    if (play.endedOn > latest) return [{ play, why: 'still-to-come' }];
    return before && playsOverlap(before, play) ? [{ play, why: 'overlaps' }] : [];
  });
