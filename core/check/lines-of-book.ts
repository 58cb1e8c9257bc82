import type { Book } from '#core/book/book.ts';
import { signOf, type CareItem } from '#core/book/care-item.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { KIND_IDS, type NeverDo } from '#core/instruments/kind.ts';
import { aloneIn } from '#core/methods/practice-alone.ts';
import { sentencesOf } from '#core/reading/sentences.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';

/** A sentence somebody is shown, what it belongs to, and what must be read again when it changes. */
export type BookLine = {
  /** The step, item or choice it is said of. */
  readonly of: string;
  readonly text: string;
  /** What it was read beside: the deeds of its step. Other deeds, and it has to be read again. */
  readonly beside: string;
};

const stepLines = (step: Step): BookLine[] => {
  const beside = JSON.stringify(step.does);
  return sentencesOf(step).map(({ place, text }) => ({ of: `${step.id} ${place}`, text, beside }));
};

const itemLines = (item: CareItem): BookLine[] =>
  [item.name, item.why, signOf(item), 'words' in item.trigger ? item.trigger.words : undefined].flatMap((text) =>
    text === undefined ? [] : [{ of: item.id, text, beside: '' }],
  );

const neverLines = ({ id, text, why }: NeverDo): BookLine[] =>
  [text, why].map((one) => ({ of: id, text: one, beside: '' }));

const methodLines = (book: Book): BookLine[] =>
  Object.entries(book.methods).flatMap(([id, { question, choices, usual }]) => [
    { of: id, text: question, beside: '' },
    ...[usual, ...usual.cases].map(({ why }) => ({ of: id, text: why, beside: '' })),
    ...Object.entries(choices).flatMap(([choice, { words, cost, advice }]) =>
      [words, cost, advice].flatMap((text) =>
        text === undefined ? [] : [{ of: `${id} ${choice}`, text, beside: '' }],
      ),
    ),
  ]);

/** Every line of the runs, items and choices of every kind, each once: the pairs of builds and choices of the proof. */
export function linesOfBook(book: Book): BookLine[] {
  const lines = new Map<string, BookLine>();
  const seen = new Set<object>();
  /** The same step is in thousands of practices, and is one object in all of them. */
  const addOf = <Row extends object>(rows: readonly Row[], linesOf: (row: Row) => BookLine[]): void => {
    for (const row of rows) {
      if (seen.has(row)) continue;
      seen.add(row);
      for (const line of linesOf(row)) lines.set(keyOf(line), line);
    }
  };
  const addPractice = ({ steps, items, neverDos }: Practice): void => {
    addOf(steps, stepLines);
    addOf(items, itemLines);
    addOf(neverDos, neverLines);
  };
  for (const kind of KIND_IDS)
    for (const instrument of casesOf(book, kind)) {
      const practice = practiceOf(book, instrument);
      addPractice(practice);
      for (const { id } of aloneIn(practice)) addPractice(practiceOf(book, { ...instrument, alone: id }));
    }
  for (const line of methodLines(book)) lines.set(keyOf(line), line);
  return [...lines].toSorted(([one], [other]) => (one < other ? -1 : 1)).map(([, line]) => line);
}

/** What a line is known by once it has been read. */
export const keyOf = ({ of, text, beside }: BookLine): string => [of, text, beside].join('\n');
