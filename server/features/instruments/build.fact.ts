import type { Build } from '#core/instruments/build.ts';
import { buildWords } from '#core/instruments/build-words.ts';
import { checkBuild } from '#core/instruments/check-build.ts';
import { builtWords } from '#core/instruments/instrument-words.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Book } from '#core/book/book.ts';
import { buildFact } from '#contract/instruments.ts';
import { conflict, invalid, noInstrument, type Failure } from '#server/failure.ts';
import { builds } from '#server/features/instruments/instruments.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** The build somebody filled in, if the kind can be built so. */
export function buildOf(
  { kinds }: Book,
  kind: KindId,
  given: Readonly<Record<string, string>>,
): Outcome<Build, Failure> {
  const checked = checkBuild(kinds[kind], given);
  if (checked.ok) return checked;
  const { field, allowed } = checked.failure;
  return fail(invalid(`build.${field}`, { code: 'built-otherwise', kind, allowed }));
}

/** How an instrument is built from now on. Its history stays; what no longer applies is shown as closed. */
export const buildDefinition = defineFact<Services>()(buildFact, {
  store: bodyTable(builds, {
    toRow: (built) => built,
    fromRow: ({ instrumentId, build }) => ({ instrumentId, build }),
  }),
  words: ({ body }, { instruments, book }) => {
    const kind = instruments.find(body.instrumentId)?.kind;
    return builtWords(kind === undefined ? [] : buildWords(book.kinds[kind], body.build));
  },
  keeps: ({ belongsTo }) => (belongsTo === null ? null : conflict('targetKey', { code: 'came-built-like-this' })),
  decide: ({ instrumentId, build }, { now }, { instruments, book }) => {
    const instrument = instruments.find(instrumentId);
    if (!instrument) return fail(noInstrument());
    const checked = buildOf(book, instrument.kind, build);
    if (!checked.ok) return checked;
    return succeed({ body: { instrumentId: instrument.id, build: checked.value }, on: now.on, atMinute: null });
  },
});
