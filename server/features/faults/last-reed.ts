import { reedRisks } from '#core/faults/reed-risks.ts';
import type { RiskNoted } from '#core/faults/risks.ts';
import { livesOf } from '#core/reeds/reed-life.ts';
import { reedStates } from '#core/reeds/reed-state.ts';
import { boxNames } from '#core/reeds/reed-words.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

function read({ book, reeds: told }: Services, { instrument, player }: Reading, today: LocalDate): RiskNoted[] {
  const family = reedFamilyOf(book.kinds[instrument.kind]);
  if (family === null) return [];
  const { boxes, uses, said } = told.record(player.id);
  const names = boxNames(boxes);
  const reeds = boxes
    .filter(({ kind }) => kind === instrument.kind)
    .flatMap((box) => {
      const isIn = ({ reedId }: { readonly reedId: string }) => reedId.startsWith(`${box.key}/`);
      const boxName = names.get(box.key) ?? box.name;
      return reedStates({ box, boxName, uses: uses.filter(isIn), said: said.filter(isIn) }, { today, family });
    });
  return reedRisks(reeds, livesOf(reeds), today);
}

/** What the reed that was played last makes likelier: worked out once for each state of the record. */
export const lastReedRisks = (services: Services, reading: Reading, today: LocalDate): readonly RiskNoted[] => {
  const { instrument, player } = reading;
  const subjects = [ofPlayer(player.id), ofInstrument(instrument.id)];
  return services.remembered.of({ name: `last reed ${instrument.id}`, subjects, day: today }, () =>
    read(services, reading, today),
  );
};
