import type {
  ExaminationWay,
  Heard,
  Look,
  LookAnswer,
  Noticed,
  PitchFrom,
  ReedStep,
  SoakSaid,
} from '#core/doublereeds/examination.ts';
import { UNBOXED_NAME } from '#core/doublereeds/unboxed.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { reedId as reedIdOf, type ReedId, type Scrape } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { crowFact, examinationFact, lookFact, stepFact, type TableView } from '#contract/doublereeds.ts';
import { reedBoxFact } from '#contract/reeds.ts';
import { useLog } from '#web/record/log.actions.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';

type Beginning = {
  readonly way: ExaminationWay;
  readonly noticed: readonly Noticed[];
  readonly soakedMinutes: number;
  readonly interviewKey: string | null;
};

/** Everything that is said at the table, each by a tap. */
export function useTableActions() {
  const begin = useLog(examinationFact);
  const look = useLog(lookFact);
  const crow = useLog(crowFact);
  const step = useLog(stepFact);
  const box = useLog(reedBoxFact);
  const { withdraw, busy } = useWithdraw();
  return {
    busy: begin.busy || look.busy || crow.busy || step.busy || box.busy || busy,
    begin: (reedId: ReedId, said: Beginning, onLogged?: () => void) =>
      begin.log({ reedId, ...said, noticed: [...said.noticed] }, { ...(onLogged && { onLogged }) }),
    /** A reed nobody knows the box of: it gets one of its own, and is laid on the table. */
    unboxed: (of: { playerId: PlayerId; kind: KindId }, today: LocalDate, onBox: (reed: ReedId) => void) =>
      box.log(
        {
          ...of,
          name: UNBOXED_NAME,
          cut: null,
          strength: null,
          material: 'cane',
          breakIn: 'none',
          place: null,
          cost: null,
          cameOn: today,
          before: [null],
        },
        { onLogged: (key) => onBox(reedIdOf(key, 1)) },
      ),
    look: (examinationKey: string, what: Look, answer: LookAnswer) => look.log({ examinationKey, look: what, answer }),
    soak: (examinationKey: string, answer: SoakSaid) => look.log({ examinationKey, look: 'soak', answer }),
    crow: (examinationKey: string, said: { heard: Heard; cents: number | null; from: PitchFrom }) =>
      crow.log({ examinationKey, ...said }),
    step: (examinationKey: string, taken: { step: ReedStep; tenths: number }) =>
      step.log({ examinationKey, ...taken }, { said: 'Noted. Crow it again.' }),
    /** How its box is scraped, said once for all its reeds. */
    scrape: ({ boxKey, box: before }: NonNullable<TableView['askScrape']>, scrape: Scrape) =>
      box.log({ ...before, scrape }, { said: 'Noted for the whole box.', corrects: boxKey }),
    takeBack: (key: string) => withdraw(key),
  };
}
export type TableActions = ReturnType<typeof useTableActions>;
