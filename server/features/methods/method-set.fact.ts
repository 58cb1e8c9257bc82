import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { readSet } from '#core/methods/method-set.ts';
import { setWords } from '#core/methods/method-words.ts';
import { methodSetFact } from '#contract/methods.ts';
import { conflict, type Failure } from '#server/failure.ts';
import { methodChoiceDefinition, onShelf } from '#server/features/methods/method-choice.fact.ts';
import { methodSets } from '#server/features/methods/methods.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { MethodSetTaken } from '#core/methods/method-set-format.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  { key, instrumentId, set }: Sending<typeof methodSetFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<MethodSetTaken>, Failure> {
  const found = onShelf(services, instrumentId);
  if (!found.ok) return found;
  const { instrument, situation } = found.value;
  const lines = readSet(set, situation(now.on).methods).filter(({ verdict }) => verdict === 'new');
  if (lines.length === 0) return fail(conflict('set', { code: 'changes-nothing' }));
  return succeed({
    body: { instrumentId: instrument.id, name: set.name, set },
    on: now.on,
    atMinute: null,
    with: lines.map(({ method, choice }) => ({
      kind: methodChoiceDefinition.kind,
      key: `${key}/${method}`,
      body: { instrumentId: instrument.id, method, choice },
      on: now.on,
      atMinute: null,
    })),
  });
}

/** What of a set is for this instrument was taken, all of it; taking the set back takes its choices back. */
export const methodSetDefinition = defineFact<Services>()(methodSetFact, {
  store: bodyTable(methodSets, {
    toRow: ({ set, ...body }) => ({ ...body, set: set ?? null }),
    fromRow: ({ instrumentId, name, set }) => ({
      instrumentId: instrumentId,
      name,
      set: set ?? undefined,
    }),
  }),
  words: ({ body }) => setWords(body.name),
  decide,
  answer: ({ key }, { methods }) => ({ key, taken: methods.takenWith(key) }),
});
