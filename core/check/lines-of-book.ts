import type { Book } from '#core/book/book.ts';
import { signOf, type CareItem } from '#core/book/care-item.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
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

const practiceLines = (practice: Practice): BookLine[] => [
  ...practice.steps.flatMap(stepLines),
  ...practice.items.flatMap(itemLines),
  ...practice.neverDos.flatMap(({ id, text, why }) => [text, why].map((one) => ({ of: id, text: one, beside: '' }))),
];

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
  const add = (line: BookLine) => lines.set(keyOf(line), line);
  for (const kind of KIND_IDS)
    for (const instrument of casesOf(book, kind)) {
      const practice = practiceOf(book, instrument);
      practiceLines(practice).forEach(add);
      for (const { id } of aloneIn(practice))
        practiceLines(practiceOf(book, { ...instrument, alone: id })).forEach(add);
    }
  methodLines(book).forEach(add);
  return [...lines.values()].toSorted((one, other) => (keyOf(one) < keyOf(other) ? -1 : 1));
}

/** What a line is known by once it has been read. */
export const keyOf = ({ of, text, beside }: BookLine): string => [of, text, beside].join('\n');
