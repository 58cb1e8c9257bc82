import { practiceFor } from '#core/care/practice-book.ts';
import { situationOf, type Situation } from '#core/care/situation.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Services } from '#server/repositories.ts';

/** How an instrument stands on a day, from the facts of the record. */
export function situationIn({ plays, care }: Services, instrument: Instrument, today: LocalDate): Situation {
  const items = practiceFor(instrument.kind, instrument.build).items.map(({ id }) => id);
  return situationOf(
    instrument,
    {
      plays: plays.columns(instrument.id),
      lastDone: care.lastDone(instrument.id, items),
      signs: care.signs(instrument.id),
      decisions: care.decisions(instrument.id),
    },
    {},
    today,
  );
}
