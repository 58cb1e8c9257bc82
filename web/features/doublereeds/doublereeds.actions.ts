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
import type { ReedId, Scrape } from '#core/reeds/reed.ts';
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
    begin: (reedId: ReedId, said: Beginning) => begin.log({ reedId, ...said, noticed: [...said.noticed] }),
    look: (examinationKey: string, what: Look, answer: LookAnswer) => look.log({ examinationKey, look: what, answer }),
    soak: (examinationKey: string, answer: SoakSaid) => look.log({ examinationKey, look: 'soak', answer }),
    crow: (examinationKey: string, said: { heard: Heard; cents: number | null; from: PitchFrom }) =>
      crow.log({ examinationKey, ...said }),
    step: (examinationKey: string, taken: { step: ReedStep; tenths: number }) =>
      step.log({ examinationKey, ...taken }, { said: 'Noted. What is cut does not come back: crow it again.' }),
    /** How its box is scraped, said once for all its reeds. */
    scrape: ({ boxKey, box: before }: NonNullable<TableView['askScrape']>, scrape: Scrape) =>
      box.log({ ...before, scrape }, { said: 'Noted for the whole box.', corrects: boxKey }),
    takeBack: (key: string) => withdraw(key),
  };
}
export type TableActions = ReturnType<typeof useTableActions>;
