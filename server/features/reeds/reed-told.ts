import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { boxNames, reedName } from '#core/reeds/reed-words.ts';
import { partsOfReedId, type ReedBox, type ReedId } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import type { ReedRecord } from '#server/features/reeds/reeds.repository.ts';
import type { Services } from '#server/services.ts';

/** The box of a reed of this player, where there is such a reed. */
export function boxOfReed(id: ReedId, field: string, { boxes }: ReedRecord): Outcome<ReedBox, Failure> {
  const parts = partsOfReedId(id);
  const box = boxes.find(({ key }) => key === parts?.boxKey);
  if (parts === undefined || box === undefined) return fail(notFound(field, { code: 'no-such-box' }));
  const count = box.before.length;
  if (parts.number > count) return fail(notFound(field, { code: 'no-such-reed', number: parts.number, count }));
  return succeed(box);
}

/** May anything be said of this reed on that day? Not before its box came, and not once it is played no more. */
export function aliveOn(id: ReedId, on: LocalDate, box: ReedBox, { said }: ReedRecord): Outcome<ReedBox, Failure> {
  if (on < box.cameOn) return fail(conflict('reedId', { code: 'box-not-here-yet', cameOn: box.cameOn }));
  const end = said.find((one) => one.reedId === id && one.what === 'ended');
  return end !== undefined && on > end.on
    ? fail(conflict('reedId', { code: 'reed-has-ended', on: end.on }))
    : succeed(box);
}

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
