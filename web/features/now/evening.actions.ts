import { counted } from '#core/explain/format.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { Said } from '#contract/fact.ts';
import { eveningFact } from '#contract/plays.ts';
import { newKey } from '#web/api/new-key.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { useLog } from '#web/record/log.actions.ts';

export type Evening = Pick<Said<typeof eveningFact>, 'endedOn' | 'endedAtMinute' | 'roomCelsius'> & {
  readonly plays: readonly {
    readonly instrumentId: InstrumentId;
    readonly minutes: number;
    readonly alone: AloneId | null;
  }[];
};
/** Due work of each instrument that comes along when it is packed up. */
export type Along = ReadonlyMap<InstrumentId, readonly CareItemId[]>;

/** Logs an evening on several instruments in one entry, and packs them up in one run if asked. */
export function useEvening(playerId: PlayerId) {
  const evening = useLog(eveningFact, { form: true });
  const { begin, busy } = useBeginRun();
  const packUp = (instruments: readonly InstrumentId[], along: Along, minutesAtHand: number | null = null) =>
    begin({
      kind: 'after',
      playerId,
      parts: instruments.map((instrumentId) => ({ instrumentId, itemIds: [...(along.get(instrumentId) ?? [])] })),
      minutesAtHand,
    });
  return {
    open: evening.open,
    problem: evening.problem,
    busy: evening.busy || busy,
    packUp,
    begin,
    log: (
      { plays, ...when }: Evening,
      after: { readonly minutesAtHand: number | null } | null,
      along: Along,
      onLogged: () => void,
    ) =>
      evening.log(
        { playerId, ...when, plays: plays.map((play) => ({ key: newKey(), ...play })) },
        {
          said: plays.length === 1 ? 'Logged.' : `${counted(plays.length, 'instrument')} logged.`,
          onLogged: () => {
            onLogged();
            if (after)
              packUp(
                plays.map(({ instrumentId }) => instrumentId),
                along,
                after.minutesAtHand,
              );
          },
        },
      ),
  };
}
