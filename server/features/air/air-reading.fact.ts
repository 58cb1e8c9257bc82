import { checkAir } from '#core/air/air-record.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { airReadingFact } from '#contract/air.ts';
import { invalid, notFound } from '#server/failure.ts';
import { airReadings } from '#server/features/air/air.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** The air where somebody is: the room of what is played that day, dry air, and what reeds make of a change. */
export const airReadingDefinition = defineFact<Services>()(airReadingFact, {
  store: bodyTable(airReadings, { toRow: (read) => read, fromRow: ({ factId: _factId, ...read }) => read }),
  words: ({ body: { celsius, humidityPercent } }, { format }) =>
    `The air: ${format.celsius(celsius)}, ${format.number(humidityPercent)} %.`,
  decide: ({ playerId, celsius, humidityPercent }, { moment: { on, atMinute } }, { players }) => {
    if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
    const checked = checkAir(celsius, humidityPercent);
    if (checked.ok) return succeed({ body: { playerId, ...checked.value }, on, atMinute });
    const { field, ...refusal } = checked.failure;
    return fail(invalid(field, refusal));
  },
});
