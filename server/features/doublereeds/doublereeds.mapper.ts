import type { CrowNoted, ExaminationNoted, LookNoted, StepNoted, Told } from '#core/doublereeds/examination-noted.ts';
import { isAnswerTo, SOAK_SAID, type LookAnswer, type SoakSaid } from '#core/doublereeds/examination.ts';
import { isOneOf } from '#core/kernel/typed.ts';
import type { examinations, reedCrows, reedLooks, reedSteps } from '#server/features/doublereeds/doublereeds.table.ts';

type Row<Table extends { readonly $inferSelect: unknown }> = Table['$inferSelect'];

export const examinationFromRow = ({ factId: _factId, ...row }: Row<typeof examinations>): ExaminationNoted => row;
export const lookFromRow = ({ factId: _factId, ...row }: Row<typeof reedLooks>): LookNoted => row;
export const crowFromRow = ({ factId: _factId, ...row }: Row<typeof reedCrows>): CrowNoted => row;
export const stepFromRow = ({ factId: _factId, ...row }: Row<typeof reedSteps>): StepNoted => row;

const isSoakSaid = (answer: LookAnswer | SoakSaid): answer is SoakSaid => isOneOf(SOAK_SAID, answer);

/** What was said at the table, as the core goes by it. @throws Error where a row has an answer its look has not */
export function lookTold(key: string, { look, answer, atMs }: LookNoted): Told {
  if (look === 'soak' && isSoakSaid(answer)) return { key, event: { what: 'soak', said: answer, atMs } };
  if (look !== 'soak' && !isSoakSaid(answer) && isAnswerTo(look, answer))
    return { key, event: { what: 'look', look, answer, atMs } };
  throw new Error(`the look ${look} was answered ${answer}`);
}
export const crowTold = (key: string, { heard, cents, from, atMs }: CrowNoted): Told => ({
  key,
  event: { what: 'crow', heard, cents, from, atMs },
});
export const stepTold = (key: string, { step, tenths, atMs }: StepNoted): Told => ({
  key,
  event: { what: 'step', step, tenths, atMs },
});
