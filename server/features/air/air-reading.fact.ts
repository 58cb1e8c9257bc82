import { checkAir, type AirRead } from '#core/air/air-record.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { airPaths, airReadingRequest, type AirReadingRequest } from '#contract/air.ts';
import { invalid, notFound } from '#server/failure.ts';
import { airReadings } from '#server/features/air/air.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type AirReadingBody = Pick<AirRead, 'celsius' | 'humidityPercent'> & { readonly playerId: PlayerId };

/** The air where somebody is: the room of what is played that day, dry air, and what reeds make of a change. */
export const airReadingFact = defineFact<Services>()<AirReadingBody, AirReadingRequest>({
  kind: 'air-reading',
  store: bodyTable(airReadings, { toRow: (read) => read, fromRow: ({ factId: _factId, ...read }) => read }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  words: ({ body: { celsius, humidityPercent } }, { format }) =>
    `The air: ${format.celsius(celsius)}, ${format.number(humidityPercent)} %.`,
  logged: {
    path: airPaths.readings,
    request: airReadingRequest,
    decide: ({ playerId, celsius, humidityPercent }, { now }, { players }) => {
      if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
      const checked = checkAir(celsius, humidityPercent);
      if (checked.ok) return succeed({ body: { playerId, ...checked.value }, ...now });
      const { field, ...fault } = checked.failure;
      return fail(invalid(field, fault));
    },
  },
});
