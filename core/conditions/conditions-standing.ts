import { airOn, type AirRead } from '#core/air/air-record.ts';
import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Condition } from '#core/book/condition.ts';
import { concerns, conditionKind, idsInForce, roomRead } from '#core/conditions/in-force.ts';
import { contextOf, type MethodsOf } from '#core/methods/methods-standing.ts';

/** The conditions an instrument and its player are in. */
export type ConditionsStanding = {
  /** Those the instrument, as it is built now, can be in; begun or still to come. */
  readonly standing: readonly Condition[];
  /** Those in force today. */
  readonly ids: readonly ConditionId[];
  /** The room it is played in: as read off today, or while a condition holds, else the usual one, °C. */
  readonly roomCelsius: number;
  /** The usual one: as the player says, else as most are. */
  readonly usualRoomCelsius: number;
};

/**
 * @param entered every condition of the instrument and of its player that has not been taken back
 * @param air what was read of the air
 * @param usualRoom the room the player usually plays in, °C; null where they have not said
 */
export function conditionsStanding(
  asked: MethodsOf,
  entered: readonly Condition[],
  air: readonly AirRead[],
  usualRoom: number | null = null,
): ConditionsStanding {
  const { book, instrument, today, choices } = asked;
  const standing = entered.filter(({ id }) => concerns(conditionKind(book, id), instrument.kind, instrument.build));
  const ids = idsInForce(standing, today, { choices, context: contextOf(asked, []) });
  const room = airOn(air, today)?.celsius ?? roomRead(standing, today, { choices, context: contextOf(asked, ids) });
  const usualRoomCelsius = usualRoom ?? USUAL_ROOM_CELSIUS;
  return { standing, ids, roomCelsius: room ?? usualRoomCelsius, usualRoomCelsius };
}
