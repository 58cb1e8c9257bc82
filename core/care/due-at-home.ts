import type { ItemClock } from '#core/care/care-clock.ts';
import type { Hands } from '#core/players/player.ts';

/** In whose hands an item is, and whether the instrument is within their reach. */
export type AtHome = {
  readonly hands: Hands;
  /** It is at the bench. */
  readonly isAway: boolean;
  /** It is laid by until somebody has looked at it: its care waits. */
  readonly isLaidBy: boolean;
};

/**
 * Is this done at home in one go with whatever else is due? Not what belongs to every play, which is packing up; not the
 * bench's work; not what was put off; and nothing of an instrument that is at the bench, or laid by.
 */
export const isDueAtHome = ({ item, state, postponedUntil }: ItemClock, { hands, isAway, isLaidBy }: AtHome): boolean =>
  (state === 'due' || state === 'overdue') &&
  item.trigger.kind !== 'every-play' &&
  item.place !== 'bench' &&
  hands !== 'bench' &&
  postponedUntil === null &&
  !isAway &&
  !isLaidBy;

/** Is it short enough to come along when the instrument is packed up, and due? */
export const goesAlong = (clock: ItemClock, at: AtHome): boolean =>
  clock.item.withPackUp === true && isDueAtHome(clock, at);
