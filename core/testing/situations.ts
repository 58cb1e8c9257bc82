import { CASED_DAMP, type StepId } from '#core/book/care-ids.ts';
import type { Book } from '#core/book/book.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { aloneIn } from '#core/methods/practice-alone.ts';
import {
  homeCare,
  onTheSpot,
  planOf,
  practiceOf,
  type AnyInstrument,
  type AnyRun,
  type Due,
} from '#core/testing/any-run.ts';

/** A run to be played through: what is planned, what its looks find and what is skipped. */
export type Situation = {
  readonly run: AnyRun;
  readonly answers?: ReadonlyMap<StepId, string>;
  readonly skip?: StepId;
};

const SHORT = [0, 3, 4, 6, 10, 25] as const;

/** Every answer of every look of a run but the usual one, each alone. */
function* otherAnswers(book: Book, run: AnyRun): Generator<Situation> {
  for (const { step } of planOf(book, run).steps)
    for (const { id } of step.look?.answers.slice(1) ?? []) yield { run, answers: new Map([[step.id, id]]) };
}

/**
 * The usual case of a kind is asked everything. Of its other cases each is asked a share of what there is most of, steps
 * skipped and pairs of items, another share from case to case: so many of them ask it all, many times over.
 */
const SKIPS_SHARED = 4;
const PAIRS_SHARED = 12;
const isMine = (index: number, row: number, shared: number): boolean => row === 0 || (index + row) % shared === 0;

/** Steps of a run skipped, each alone. */
function* skipped(book: Book, run: AnyRun, row: number): Generator<Situation> {
  for (const [index, { step }] of planOf(book, run).steps.entries())
    if (isMine(index, row, SKIPS_SHARED)) yield { run, skip: step.id };
}

function* pairsOf(items: readonly Due[], row: number): Generator<Due[]> {
  for (let one = 0; one < items.length; one++)
    for (let other = one + 1; other < items.length; other++) {
      if (!isMine(one * items.length + other, row, PAIRS_SHARED)) continue;
      const pair = [items[one], items[other]].filter((due) => due !== undefined);
      yield pair;
      yield ['after', ...pair];
    }
}

/** Packed up on the way, and laid out at home after it, of every kind that can be. */
function* onTheWay(book: Book, instrument: AnyInstrument, row: number): Generator<Situation> {
  const instruments = [instrument];
  if (practiceOf(book, instrument).items.every(({ id }) => id !== CASED_DAMP)) return;
  for (const place of ['on-the-way', 'back-home'] as const) {
    const run: AnyRun = { instruments, due: ['after'], place };
    yield { run };
    yield { run: { ...run, minutesAtHand: 3 } };
    yield* otherAnswers(book, run);
    yield* skipped(book, run, row);
  }
}

/** Parts of it played by themselves, as each of them is made ready and put away. */
function* playedInParts(book: Book, instrument: AnyInstrument, row: number): Generator<Situation> {
  for (const { id: alone } of aloneIn(practiceOf(book, instrument)))
    for (const due of ['before', 'after'] as const) {
      const run: AnyRun = { instruments: [{ ...instrument, alone }], due: [due] };
      yield { run };
      yield { run: { ...run, standing: 'child' } };
      for (const minutesAtHand of [0, 3]) yield { run: { ...run, minutesAtHand } };
      yield* otherAnswers(book, run);
      yield* skipped(book, run, row);
    }
}

/** All that may be asked of one instrument; `row` is which of its kind's cases it is, the usual one first. */
export function* situationsOf(book: Book, instrument: AnyInstrument, row = 0): Generator<Situation> {
  const instruments = [instrument];
  const care: Due[] = homeCare(practiceOf(book, instrument)).map(({ id }) => id);
  const whole: AnyRun[] = [['before'], ['after'], ['all'], care].flatMap((due) =>
    due.length === 0 ? [] : [{ instruments, due: due as Due[] }],
  );
  for (const run of whole) {
    yield { run };
    yield* otherAnswers(book, run);
    yield* skipped(book, run, row);
    yield { run: { ...run, standing: 'child' } };
    yield { run: { ...run, playedMinutes: 200 } };
    for (const minutesAtHand of SHORT) yield { run: { ...run, minutesAtHand } };
  }
  for (const { id } of onTheSpot(practiceOf(book, instrument))) {
    const run: AnyRun = { instruments, due: [id] };
    yield { run };
    yield { run: { ...run, standing: 'child' } };
    yield* otherAnswers(book, run);
    yield* skipped(book, run, 0);
  }
  yield* playedInParts(book, instrument, row);
  yield* onTheWay(book, instrument, row);
  for (const [index, due] of care.entries()) {
    const run: AnyRun = { instruments, due: [due] };
    yield { run };
    if (!isMine(index, row, SKIPS_SHARED)) continue;
    yield* otherAnswers(book, run);
    yield* skipped(book, run, row);
    for (const minutesAtHand of [0, 6]) yield { run: { instruments, due: ['after', due], minutesAtHand } };
  }
  for (const due of pairsOf(care, row)) {
    const run: AnyRun = { instruments, due };
    yield { run };
    yield* otherAnswers(book, run);
  }
}

/** Two and three instruments in one run, of which the first is of this kind: it with each other, and with a third. */
export function* severalInstruments(kind: KindId): Generator<Situation> {
  const at = KIND_IDS.indexOf(kind);
  for (const other of KIND_IDS.slice(at)) {
    const third = KIND_IDS[(at + KIND_IDS.indexOf(other) + 1) % KIND_IDS.length] ?? kind;
    for (const due of ['before', 'after', 'all'] as const)
      for (const kinds of [
        [kind, other],
        [kind, other, third],
      ])
        yield { run: { instruments: kinds.map((one) => ({ kind: one })), due: [due] } };
    for (const minutesAtHand of [3, 6, 10])
      yield { run: { instruments: [{ kind }, { kind: other }], due: ['all'], minutesAtHand } };
  }
}
