import { useState } from 'react';
import type { DecisionKind } from '#core/care/care-decision.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import {
  careFact,
  decisionFact,
  lastDoneFact,
  signFact,
  wetnessResetFact,
  type CareClockView,
} from '#contract/care.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { useLog } from '#web/record/log.actions.ts';

type ItemId = CareClockView['itemId'];
type Sign = CareClockView['signs'][number];

/** What was decided, and for what is left undone what that costs. */
const decidedWords = ({ name, caution }: Pick<CareClockView, 'name' | 'caution'>, kind: DecisionKind): string =>
  ({ postponed: `${name} waits.`, declined: `${name}: not done here. ${caution}`, resumed: `${name} is back.` })[kind];

/** What can be done about a care item of one instrument: do it, say it is done, notice it, let it wait, leave it. */
export function useCareActions(instrumentId: InstrumentId, playerId: PlayerId) {
  const [asked, setAsked] = useState<CareClockView | null>(null);
  const logCare = useLog(careFact, { form: true });
  const logSign = useLog(signFact);
  const logDecision = useLog(decisionFact);
  const { begin, busy } = useBeginRun();

  const doNow = (itemIds: readonly ItemId[]) =>
    begin({ kind: 'care', playerId, parts: [{ instrumentId, itemIds: [...itemIds] }] });

  const done = (doneOn: LocalDate, by: 'player' | 'bench') => {
    if (!asked) return;
    const { itemId, name } = asked;
    logCare.log({ instrumentId, itemId, doneOn, by }, { said: `${name}: noted.`, onLogged: () => setAsked(null) });
  };

  const seen = ({ itemId, part }: CareClockView, { sign, words }: Sign, seenAt = part) =>
    logSign.log({ instrumentId, itemId, sign, part: seenAt }, { said: `Noticed. ${words}.` });

  const decide = ({ itemId, name, caution }: CareClockView, kind: DecisionKind, until: LocalDate | null = null) =>
    logDecision.log({ instrumentId, itemId, kind, until }, { said: decidedWords({ name, caution }, kind) });

  const ask = (clock: CareClockView | null) => {
    logCare.open();
    setAsked(clock);
  };
  return {
    instrumentId,
    asked,
    ask,
    done,
    doNow,
    seen,
    decide,
    busy: busy || logCare.busy || logSign.busy || logDecision.busy,
    problem: logCare.problem,
  };
}
export type CareActions = ReturnType<typeof useCareActions>;

/** From here on nothing is known any more of how wet its player blows it. */
export function useForgetWetness(instrumentId: InstrumentId) {
  const { log, busy } = useLog(wetnessResetFact);
  return { busy, forget: () => log({ instrumentId }, { said: 'Forgotten. The rule of thumb counts again.' }) };
}

/** When each item was last done, as far as anybody remembers: all of it in one entry, or nothing. */
export const useLogLastDone = () => useLog(lastDoneFact, { form: true });
