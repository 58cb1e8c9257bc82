import { newestOfDays, type AirRead } from '#core/air/air-record.ts';
import type { Condition } from '#core/book/condition.ts';
import { DRY_BELOW_PERCENT } from '#core/conditions/check-condition.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

const isDry = ({ humidityPercent }: AirRead): boolean => humidityPercent < DRY_BELOW_PERCENT;

/** Dry air as the readings show it: from the first dry one until the day before one that is not. */
function drySpells(days: readonly AirRead[]): Condition[] {
  const spells: Condition[] = [];
  for (const read of days) {
    const open = spells.at(-1);
    const isOpen = open !== undefined && open.endsOn === null;
    const { key, on, celsius, humidityPercent } = read;
    if (isDry(read) && !isOpen)
      spells.push({
        key,
        id: 'dry-air',
        beginsOn: on,
        endsOn: null,
        part: null,
        alone: null,
        air: { celsius, humidityPercent },
      });
    else if (!isDry(read) && isOpen) spells[spells.length - 1] = { ...open, endsOn: addDays(on, -1) };
  }
  return spells;
}

const covers = ({ id, beginsOn, endsOn }: Condition, day: LocalDate): boolean =>
  id === 'dry-air' && beginsOn <= day && (endsOn === null || day <= endsOn);

/**
 * What readings of the air make of the conditions in the record: dry air that was entered ends when the air is read not
 * to be dry any more, and a dry reading brings it on where nobody has entered it. Such a one has the key of its reading.
 */
export function withAir(
  entered: readonly Condition[],
  reads: readonly AirRead[],
): { readonly entered: readonly Condition[]; readonly read: readonly Condition[] } {
  const days = newestOfDays(reads);
  const ended = entered.map((one): Condition => {
    const over = one.id === 'dry-air' ? days.find((read) => read.on > one.beginsOn && !isDry(read)) : undefined;
    const last = over && addDays(over.on, -1);
    return last && (one.endsOn === null || last < one.endsOn) ? { ...one, endsOn: last } : one;
  });
  return {
    entered: ended,
    read: drySpells(days).filter(({ beginsOn }) => !ended.some((one) => covers(one, beginsOn))),
  };
}
