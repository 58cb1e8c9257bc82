import { isAnswerTo, type TableEvent } from '#core/doublereeds/examination.ts';
import { nextMove } from '#core/doublereeds/next-move.ts';
import { answersOf } from '#core/doublereeds/from-interview.ts';
import { toldInterview } from '#server/features/doublereeds/interview-beside.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import type { ReedEnd, SaidOfReed } from '#core/reeds/reed.ts';
import { lookFact } from '#contract/doublereeds.ts';
import { reedSaidFact } from '#contract/reeds.ts';
import { conflict, invalid } from '#server/failure.ts';
import { lookFromRow, lookTold } from '#server/features/doublereeds/doublereeds.mapper.ts';
import { reedLooks } from '#server/features/doublereeds/doublereeds.table.ts';
import { soakSays } from '#server/features/doublereeds/soak-says.ts';
import { tableUnder, type AtHand } from '#server/features/doublereeds/table-at-hand.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** What ends with this answer: a crack, a leak that soaking does not close; sent back, what is gone is gone. */
function endOf(event: TableEvent, { examination, setting }: AtHand): ReedEnd | null {
  const after = { ...examination, events: [...examination.events, event] };
  const move = nextMove(after, setting, event.atMs);
  if (move.move !== 'end' || setting.hasEnded) return null;
  if (move.end === 'cracked') return 'split';
  if (move.end === 'leaks') return 'leaks';
  if (move.end !== 'send-back' || event.what !== 'look') return null;
  return event.answer === 'crack' ? 'split' : event.answer === 'gone' ? 'corner-gone' : null;
}

/** The key of the end that came with a look. */
const keyOfEnd = (key: string): string => `${key}/end`;

/** One look at a reed, or what is said of its soak. A crack ends it in the same moment. */
export const lookDefinition = defineFact<Services>()(lookFact, {
  store: bodyTable(reedLooks, { toRow: (noted) => noted, fromRow: lookFromRow }),
  decide: ({ key, examinationKey, look, answer }, { now, atMs }, services) => {
    const table = tableUnder(services, examinationKey, atMs);
    if (!table.ok) return table;
    const { move, told } = table.value;
    const isSoak = look === 'soak';
    const isAsked = isSoak ? soakSays(move, table.value) === answer : move.move === 'look' && move.look === look;
    if (!isAsked) return fail(conflict('look', { code: 'not-asked-now' }));
    if (!isSoak && !isAnswerTo(look, answer)) return fail(invalid('answer', { code: 'not-asked-now' }));
    const body = { examinationKey, look, answer, atMs };
    const { event } = lookTold(key, body);
    const cause = endOf(event, table.value);
    const { playerId, reedId } = told;
    const ended: SaidOfReed = { playerId, reedId, what: 'ended', feel: null, goodFor: null, signs: [], cause };
    return succeed({
      body,
      ...now,
      belongsTo: examinationKey,
      with: [
        ...(cause === null ? [] : [{ kind: reedSaidFact.kind, key: keyOfEnd(key), body: ended, ...now }]),
        ...toldInterview(services, { interviewKey: told.interviewKey, key, answers: answersOf(event), ...now }),
      ],
    });
  },
});
