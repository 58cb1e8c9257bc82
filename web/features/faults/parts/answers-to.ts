import type { SignId } from '#core/book/fault.ts';
import type { Answer } from '#core/faults/stops.ts';
import type { QuestionView } from '#contract/faults.ts';

/** An answer as it is offered; `so` is what is named, of several that one look shows. */
type OfferedAnswer = {
  readonly value: string;
  readonly words: string;
  readonly answer: Answer;
  readonly so?: readonly SignId[];
};

const CANNOT_TELL: OfferedAnswer = { value: 'cannot-tell', words: 'I cannot tell', answer: 'cannot-tell' };
const YES_OR_NO: readonly OfferedAnswer[] = [
  { value: 'yes', words: 'Yes', answer: 'yes' },
  { value: 'no', words: 'No', answer: 'no' },
  CANNOT_TELL,
];

/** The answers to a question: yes or no; where one look shows several things, one of them or none. */
export const answersTo = (options: QuestionView['options']): readonly OfferedAnswer[] =>
  options === null
    ? YES_OR_NO
    : [
        ...options.map(({ sign, words }): OfferedAnswer => ({ value: sign, words, answer: 'yes', so: [sign] })),
        { value: 'no', words: 'None of these', answer: 'no' },
        CANNOT_TELL,
      ];
