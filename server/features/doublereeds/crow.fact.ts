import { heardBy, isAsItShould, pitchFrom } from '#core/doublereeds/examination.ts';
import { answersOf } from '#core/doublereeds/from-interview.ts';
import { toldInterview } from '#server/features/doublereeds/interview-beside.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { crowFact } from '#contract/doublereeds.ts';
import { conflict, invalid } from '#server/failure.ts';
import { crowFromRow } from '#server/features/doublereeds/doublereeds.mapper.ts';
import { reedCrows } from '#server/features/doublereeds/doublereeds.table.ts';
import { tableUnder } from '#server/features/doublereeds/table-at-hand.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What a reed sounds like by itself, and how far off its pitch is. */
export const crowDefinition = defineFact<Services>()(crowFact, {
  store: bodyTable(reedCrows, { toRow: (noted) => noted, fromRow: crowFromRow }),
  decide: ({ key, examinationKey, heard, cents, from }, { now, atMs }, services) => {
    const table = tableUnder(services, examinationKey, atMs);
    if (!table.ok) return table;
    const { move, setting, told } = table.value;
    if (move.move !== 'crow') return fail(conflict('examinationKey', { code: 'not-asked-now' }));
    if (!heardBy(setting.sort).includes(heard)) return fail(invalid('heard', { code: 'not-heard-so' }));
    const readFrom = pitchFrom(setting.sort);
    const hasPitch = readFrom !== null && isAsItShould(setting.sort, heard);
    if (hasPitch !== (cents !== null)) return fail(invalid('cents', { code: 'no-pitch-there' }));
    if (from !== (readFrom ?? 'crow')) return fail(invalid('from', { code: 'pitch-from-elsewhere' }));
    return succeed({
      body: { examinationKey, heard, cents, from, atMs },
      ...now,
      belongsTo: examinationKey,
      with: toldInterview(services, {
        interviewKey: told.interviewKey,
        key,
        answers: answersOf({ what: 'crow', heard }),
        ...now,
      }),
    });
  },
});
