import type { Instrument } from '#core/instruments/instrument.ts';
import { playsOverlap, type Play } from '#core/plays/play.ts';

/** A play that a rule of today would refuse, and why. */
export type OddPlay = { readonly play: Play; readonly why: 'before-it-came' | 'after-it-left' | 'overlaps' };

/**
 * Plays of one instrument that no new one might be like: before it came, after it left, or running into the one before.
 *
 * @param plays in the order they ended
 */
export const oddPlays = (plays: readonly Play[], { acquiredOn, leftOn }: Instrument): OddPlay[] =>
  plays.flatMap((play, index): OddPlay[] => {
    const before = plays[index - 1];
    if (play.endedOn < acquiredOn) return [{ play, why: 'before-it-came' }];
    if (leftOn !== null && play.endedOn > leftOn) return [{ play, why: 'after-it-left' }];
    return before && playsOverlap(before, play) ? [{ play, why: 'overlaps' }] : [];
  });
