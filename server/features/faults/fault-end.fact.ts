import type { ClearedBy } from '#core/book/fault.ts';
import type { EndedBy } from '#core/faults/fault-record.ts';
import type { StopStanding } from '#core/faults/faults-standing.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { faultEndFact } from '#contract/faults.ts';
import { conflict, notFound } from '#server/failure.ts';
import { faultEnds } from '#server/features/faults/faults.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** Who may clear what only this hand, or a surer one, clears. */
const MAY_CLEAR: Readonly<Record<ClearedBy, readonly EndedBy[]>> = {
  maker: ['maker', 'bench'],
  bench: ['bench', 'maker'],
  teacher: ['teacher', 'bench', 'maker'],
  self: ['self', 'teacher', 'bench', 'maker'],
};

/** What nobody could tell is cleared by anybody with a name but the player; what was seen, by whom the rule names. */
function mayClear({ rule, unsure }: StopStanding, by: EndedBy): boolean {
  return MAY_CLEAR[unsure ? 'teacher' : rule.clearedBy].includes(by);
}

/** Somebody has looked at it, or it is let be. A stopped instrument is cleared by whom its rule names. */
export const faultEndDefinition = defineFact<Services>()(faultEndFact, {
  store: bodyTable(faultEnds, { toRow: (end) => end, fromRow: ({ faultKey, by }) => ({ faultKey, by }) }),
  decide: ({ faultKey, by }, { now }, { faults, readings }) => {
    const id = faults.instrumentOf(faultKey);
    const reading = id === undefined ? undefined : readings.of(id);
    if (!reading) return fail(notFound('faultKey', { code: 'no-such-interview' }));
    const stop = reading.situation(now.on).faults.stops.find(({ key }) => key === faultKey);
    if (stop && !mayClear(stop, by)) return fail(conflict('by', { code: 'not-cleared-so' }));
    return succeed({ body: { faultKey, by }, ...now, belongsTo: faultKey });
  },
});
