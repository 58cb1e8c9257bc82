import {
  documentLines,
  RECORD_FORMAT,
  RECORD_VERSION,
  type DocumentHead,
  type WrittenFact,
  type WrittenOtherKey,
} from '#core/data/document.ts';
import { readingBeside } from '#server/features/data/beside.ts';
import { createWholeRecord } from '#server/features/data/document.repository.ts';
import { historyOf } from '#server/features/data/history-of.repository.ts';
import type { AnyFact } from '#server/record/define-fact.ts';

const head = (instrument: string | null): DocumentHead => ({
  format: RECORD_FORMAT,
  version: RECORD_VERSION,
  instrument,
});

/** A list of a document, as its elements come. */
async function* list(elements: AsyncGenerator<readonly object[]>): AsyncGenerator<string> {
  let isFirst = true;
  for await (const some of elements) {
    let text = '';
    for (const one of some) {
      text += documentLines.element(one, isFirst);
      isFirst = false;
    }
    yield text;
  }
  yield documentLines.closes;
}

async function* document(
  instrument: string | null,
  facts: AsyncGenerator<WrittenFact[]>,
  otherKeys: AsyncGenerator<WrittenOtherKey[]>,
): AsyncGenerator<string> {
  yield documentLines.head(head(instrument)) + documentLines.opens('facts');
  yield* list(facts);
  yield documentLines.opens('otherKeys');
  yield* list(otherKeys);
  yield documentLines.end;
}

async function* none(): AsyncGenerator<WrittenOtherKey[]> {}

/**
 * A record as one open document (docs/record.schema.json), piece by piece: every fact in the order it arrived, taken back
 * or not. Of any length; what is written meanwhile is not in it.
 *
 * @param file the record
 */
export const writtenRecord = <Told>(file: string, definitions: readonly AnyFact<Told>[]): AsyncGenerator<string> =>
  readingBeside(file, async function* ({ db }) {
    const whole = createWholeRecord(db, definitions);
    yield* document(null, whole.facts(), whole.otherKeys());
  });

/**
 * What a record says of one instrument, to be handed on with it: as it stands, without what was said of other instruments
 * along with it, and without what is its player's own.
 */
export const writtenHistory = <Told>(
  file: string,
  definitions: readonly AnyFact<Told>[],
  instrumentId: string,
): AsyncGenerator<string> =>
  readingBeside(file, async function* ({ db }) {
    const whole = createWholeRecord(db, definitions);
    yield* document(instrumentId, historyOf(db, whole, instrumentId), none());
  });
