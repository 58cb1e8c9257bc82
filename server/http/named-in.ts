import type { Request } from 'express';
import { partsOfReedId } from '#core/reeds/reed.ts';
import { fieldOf, ofInstrument, ofPlayer, type Subject } from '#core/record/fact.ts';

const textIn = (value: unknown, field: string): string[] => {
  const found = fieldOf(value, field);
  return typeof found === 'string' ? [found] : [];
};
const listIn = (value: unknown, field: string): readonly unknown[] => {
  const found = fieldOf(value, field);
  return Array.isArray(found) ? found : [];
};

/** Fields that name a fact by its key. */
const KEYS = [
  'key',
  'runKey',
  'targetKey',
  'corrects',
  'conditionKey',
  'playKey',
  'interviewKey',
  'faultKey',
  'examinationKey',
];
/** Fields that hold a list of things, each of an instrument. */
const LISTS = ['parts', 'plays', 'times'];

/**
 * Of whom a request speaks, by what it names, before anybody has looked whether it makes sense: its instruments and
 * players, and those of whom the facts tell whose keys it names.
 *
 * @param toldBy of whom a fact tells
 */
export function namedIn({ params, query, body }: Request, toldBy: (key: string) => readonly Subject[]): Subject[] {
  const places: readonly unknown[] = [params, query, body];
  const each = <Found>(find: (place: unknown) => readonly Found[]): Found[] => places.flatMap(find);
  const instruments = each((place) => [
    ...textIn(place, 'instrumentId'),
    ...listIn(place, 'instrumentIds').filter((id) => typeof id === 'string'),
    ...LISTS.flatMap((list) => listIn(place, list).flatMap((one) => textIn(one, 'instrumentId'))),
  ]);
  const players = each((place) => textIn(place, 'playerId'));
  // A reed is its box and its number: whose the box is, its fact tells.
  const boxes = each((place) => textIn(place, 'reedId').flatMap((id) => partsOfReedId(id)?.boxKey ?? []));
  const keys = [...boxes, ...each((place) => KEYS.flatMap((field) => textIn(place, field)))];
  return [...instruments.map(ofInstrument), ...players.map(ofPlayer), ...keys.flatMap(toldBy)];
}
