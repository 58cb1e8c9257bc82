import type { PlayerId } from '#core/instruments/instrument.ts';
import { boxNames, reedName } from '#core/reeds/reed-words.ts';
import { partsOfReedId, type ReedId } from '#core/reeds/reed.ts';
import type { Services } from '#server/services.ts';

/** What a reed of a player is called. */
export type ReedNamer = (playerId: PlayerId, id: ReedId) => string;

/** Reeds by their names; what a player has is read once. */
export function reedNamer({ reeds }: Pick<Services, 'reeds'>): ReedNamer {
  const boxesOf = new Map<PlayerId, ReadonlyMap<string, string>>();
  return (playerId, id) => {
    const names = boxesOf.get(playerId) ?? boxNames(reeds.boxes(playerId));
    boxesOf.set(playerId, names);
    const parts = partsOfReedId(id);
    const boxName = names.get(parts?.boxKey ?? '');
    return boxName !== undefined && parts ? reedName({ boxName, number: parts.number }) : 'A reed';
  };
}
