import type { WrittenFact } from '#core/data/document.ts';
import { fieldOf } from '#core/record/fact.ts';

/** Players of another record who are somebody of this one: the id there → the id here. */
export type Aliases = ReadonlyMap<string, string>;

/** The fields in which a fact names a player. */
const PLAYER_FIELDS = ['playerId', 'minderId'] as const;
/** What a player is and how they go about it: here they are as this record says. */
const OF_THE_PLAYER: readonly string[] = ['profile', 'run-way', 'minder'];

/** A fact as it is said here; null where it tells who somebody is whom this record knows by another id. */
export function aliasOf(fact: WrittenFact, aliases: Aliases): WrittenFact | null {
  if (aliases.size === 0) return fact;
  const { kind, body } = fact;
  if (kind === 'player' && aliases.has(String(fieldOf(body, 'id')))) return null;
  if (OF_THE_PLAYER.includes(kind) && aliases.has(String(fieldOf(body, 'playerId')))) return null;
  const named = PLAYER_FIELDS.flatMap((field) => {
    const other = fieldOf(body, field);
    const here = typeof other === 'string' ? aliases.get(other) : undefined;
    return here === undefined ? [] : [[field, here] as const];
  });
  return named.length === 0 ? fact : { ...fact, body: { ...(body as object), ...Object.fromEntries(named) } };
}
