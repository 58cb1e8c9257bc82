/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { FaultsPage, InterviewView, QuestionView, SuspectView } from '#contract/faults.ts';
import { localDate } from '#core/time/local-date.ts';
import { AskedQuestion } from '#web/features/faults/parts/AskedQuestion.tsx';
import { MayBe } from '#web/features/faults/parts/MayBe.tsx';
import { SaidSoFar } from '#web/features/faults/parts/SaidSoFar.tsx';
import { StartInterview } from '#web/features/faults/parts/StartInterview.tsx';
import { Stopped } from '#web/features/faults/parts/Stopped.tsx';
import { draw, isDead, tap, typeInto } from '#web/testing/parts.tsx';

const QUESTION: QuestionView = {
  sign: 'single-reed/rocks',
  question: 'Does the reed rock on glass?',
  options: null,
  several: false,
  how: 'Lay it flat side down.',
  part: null,
  partName: null,
  tool: null,
  isStop: false,
  why: 'It tells most for the time it takes.',
};
const SUSPECT: SuspectView = {
  cause: 'single-reed/back-bulged',
  name: 'The back of the reed has bulged',
  partName: 'Reed',
  word: 'likely',
  wordSaid: 'Likely',
  percent: 64,
  remedy: {
    handWords: 'You can do this',
    isOwn: true,
    heading: 'Flatten the back of the reed',
    how: 'Over plain paper.',
    never: null,
    inReeds: true,
    atTable: false,
    thenWords: null,
    care: null,
  },
  because: [{ text: 'It squeaks.', mark: 'yours' }],
  again: null,
  wasTried: false,
};
const INTERVIEW: InterviewView = {
  key: 'i1',
  on: localDate('2026-11-24'),
  said: [
    {
      key: null,
      sign: 'single-reed/squeak',
      words: 'It squeaks',
      question: 'Does it squeak?',
      options: null,
      several: false,
      so: ['single-reed/squeak'],
      answer: 'yes',
      noticed: true,
      stops: false,
    },
    {
      key: 'a1',
      sign: 'single-reed/tip-seen',
      words: 'The tip is chipped',
      question: 'Is the tip chipped?',
      options: null,
      several: false,
      so: [],
      answer: 'no',
      noticed: false,
      stops: false,
    },
  ],
  suspected: [SUSPECT],
  notInListPercent: 12,
  question: QUESTION,
  asked: 1,
  endWords: null,
  forChild: false,
  against: null,
  note: 'Clarinet.',
};
const PAGE = {
  noticeable: [
    {
      sign: 'single-reed/squeak',
      words: 'It squeaks',
      sense: 'hear',
      sort: 'complaint',
      notes: null,
      part: null,
      partName: null,
      also: ['goose'],
    },
    {
      sign: 'keyed/sticky',
      words: 'A key sticks',
      sense: 'feel',
      sort: 'complaint',
      notes: null,
      part: 'lower-joint',
      partName: 'Lower joint',
      also: ['glued'],
    },
  ],
} as unknown as FaultsPage;

const drawAsked = (question: QuestionView, onAnswer: () => void) =>
  draw(
    <AskedQuestion
      question={question}
      interview={INTERVIEW}
      strip={[]}
      busy={false}
      onAnswer={onAnswer}
      onBack={null}
    />,
  );

describe('what is asked', () => {
  test('one question, three answers of one weight, the reason a tap away', () => {
    const onAnswer = jest.fn();
    drawAsked(QUESTION, onAnswer);
    for (const name of ['Yes', 'No', 'I cannot tell']) tap(name);
    expect(onAnswer.mock.calls).toEqual([
      ['yes', undefined],
      ['no', undefined],
      ['cannot-tell', undefined],
    ]);
    expect(screen.queryByText(QUESTION.why)).toBeNull();
    tap('Why this one: this question');
    expect(screen.getByText(QUESTION.why, { exact: false })).toBeTruthy();
  });

  test('what was said can be said otherwise', () => {
    const onAnswer = jest.fn();
    draw(<SaidSoFar interview={INTERVIEW} onAnswer={onAnswer} />);
    tap('Change: The tip is chipped');
    tap('Yes');
    expect(onAnswer).toHaveBeenCalledWith(INTERVIEW.said[1], 'yes', undefined);
  });

  test('several things that one look shows: one is named, none, or nobody can tell; and it can be said otherwise', () => {
    const options = [
      { sign: 'keyed/cork-gone' as const, words: 'A cork is missing' },
      { sign: 'keyed/seen-bent' as const, words: 'A key is bent' },
    ];
    const onAnswer = jest.fn();
    const question = { ...QUESTION, sign: 'keyed/seen-bent' as const, question: 'What do you see?', options };
    drawAsked(question, onAnswer);
    expect(screen.queryByRole('button', { name: 'Yes' })).toBeNull();
    for (const name of ['A cork is missing', 'None of these', 'I cannot tell']) tap(name);
    expect(onAnswer.mock.calls).toEqual([
      ['yes', ['keyed/cork-gone']],
      ['no', undefined],
      ['cannot-tell', undefined],
    ]);
    cleanup();
    const [, second] = INTERVIEW.said;
    if (second === undefined) throw new Error('nothing was answered');
    const line = { ...second, ...question, answer: 'yes' as const };
    draw(<SaidSoFar interview={{ ...INTERVIEW, said: [line] }} onAnswer={onAnswer} />);
    expect(screen.getByText(/A key is bent/)).toBeTruthy();
    tap('Change: What do you see?');
    expect(screen.getByRole('button', { name: 'A key is bent' }).getAttribute('aria-pressed')).toBe('true');
    tap('A cork is missing');
    expect(onAnswer).toHaveBeenLastCalledWith(line, 'yes', ['keyed/cork-gone']);
  });

  test('everything else at once: all that is so is chosen, and the rest is not; it can be said otherwise', () => {
    const options = [
      { sign: 'keyed/sticky' as const, words: 'A key sticks' },
      { sign: 'keyed/rattle' as const, words: 'A key rattles' },
      { sign: 'keyed/stuffy' as const, words: 'It is stuffy' },
    ];
    const onAnswer = jest.fn();
    const asked = { sign: 'keyed/sticky' as const, question: 'What else?', options, several: true };
    const question = { ...QUESTION, ...asked };
    drawAsked(question, onAnswer);
    tap('Nothing else');
    tap('A key rattles');
    tap('It is stuffy');
    tap('A key rattles');
    tap('A key rattles');
    tap('That is all');
    tap('I cannot tell');
    expect(onAnswer.mock.calls).toEqual([['no'], ['yes', ['keyed/stuffy', 'keyed/rattle']], ['cannot-tell']]);
    cleanup();
    const [, second] = INTERVIEW.said;
    if (second === undefined) throw new Error('nothing was answered');
    const so = ['keyed/rattle' as const, 'keyed/stuffy' as const];
    const line = { ...second, ...asked, sign: 'keyed/rattle' as const, answer: 'yes' as const, so };
    const nothing = { ...line, answer: 'no' as const, so: [] };
    draw(<SaidSoFar interview={{ ...INTERVIEW, said: [line] }} onAnswer={onAnswer} />);
    expect(screen.getByText(/A key rattles; It is stuffy/)).toBeTruthy();
    tap('Change: What else?');
    expect(screen.getByRole('button', { name: 'A key rattles' }).getAttribute('aria-pressed')).toBe('true');
    tap('It is stuffy');
    tap('That is all');
    expect(onAnswer).toHaveBeenLastCalledWith(line, 'yes', ['keyed/rattle']);
    cleanup();
    draw(<SaidSoFar interview={{ ...INTERVIEW, said: [nothing] }} onAnswer={onAnswer} />);
    expect(screen.getByText(/· nothing/)).toBeTruthy();
  });

  test('an answer that stops the instrument is not taken back by one tap', () => {
    const onAnswer = jest.fn();
    const [first] = INTERVIEW.said;
    if (first === undefined) throw new Error('nothing was said');
    const said = [{ ...first, words: 'A line in the wood', answer: 'yes' as const, stops: true }];
    draw(<SaidSoFar interview={{ ...INTERVIEW, said }} onAnswer={onAnswer} />);
    tap('Change: A line in the wood');
    tap('No');
    expect(onAnswer).not.toHaveBeenCalled();
    tap('Leave it stopped');
    tap('Change: A line in the wood');
    tap('No');
    tap('It was a mistake');
    expect(onAnswer.mock.calls).toEqual([[said[0], 'no']]);
    // To be unsure of it is said at once: it stays stopped.
    tap('Change: A line in the wood');
    tap('I cannot tell');
    expect(onAnswer).toHaveBeenLastCalledWith(said[0], 'cannot-tell', undefined);
  });

  test('an answer that goes against an earlier one is said', () => {
    draw(
      <SaidSoFar
        interview={{ ...INTERVIEW, against: { sign: 'single-reed/squeak', words: 'It squeaks' } }}
        onAnswer={() => undefined}
      />,
    );
    expect(screen.getByText(/goes against an earlier one: “It squeaks”/)).toBeTruthy();
  });

  test('words first, figures under Why', () => {
    draw(<MayBe interview={INTERVIEW} />);
    expect(screen.getByText(/Likely · reed · you can do this/)).toBeTruthy();
    expect(screen.queryByText(/64 in 100/)).toBeNull();
    tap('Why: The back of the reed has bulged');
    expect(screen.getByText(/About 64 in 100/)).toBeTruthy();
  });
});

describe('what is noticed', () => {
  const start = (part: string | null = null, sign: string | null = null) => {
    const onBegin = jest.fn();
    const words = { title: 'What is it?', action: 'Find out' };
    draw(<StartInterview page={PAGE} part={part} sign={sign} busy={false} {...words} onBegin={onBegin} />);
    return onBegin;
  };
  test('by their own words, several at once', () => {
    const onBegin = start();
    expect(isDead('Find out')).toBe(true);
    typeInto('In your own words', 'like a goose');
    tap('It squeaks');
    typeInto('In your own words', 'glued');
    tap(/A key sticks/);
    tap('Find out');
    expect(onBegin).toHaveBeenCalledWith(['single-reed/squeak', 'keyed/sticky']);
  });
  test('what was noticed elsewhere stands first, and is said already', () => {
    const onBegin = start(null, 'keyed/sticky');
    expect(screen.getAllByRole('button', { name: /A key sticks|It squeaks/ })[0]?.textContent).toContain(
      'A key sticks',
    );
    tap('Find out');
    expect(onBegin).toHaveBeenCalledWith(['keyed/sticky']);
    cleanup();
    start(null, 'piston/slow');
    expect(isDead('Find out')).toBe(true);
  });
  test('words nobody knows are said to be unknown', () => {
    start();
    typeInto('In your own words', 'xyzzy');
    expect(screen.getByText(/goes by these words/)).toBeTruthy();
  });
  test('where it was tapped, what can be noticed there comes alone', () => {
    start('lower-joint');
    expect(screen.queryByRole('button', { name: 'It squeaks' })).toBeNull();
    tap(/show everything/);
    expect(screen.getByRole('button', { name: 'It squeaks' })).toBeTruthy();
  });
});

test('what is stopped says who may clear it', () => {
  const onCleared = jest.fn();
  draw(
    <Stopped
      stop={{
        key: 's',
        heading: 'Leave it',
        meanwhile: 'In its case.',
        why: 'The bench says when.',
        mayBePlayed: false,
        clearedBy: 'bench',
        clearedWords: 'The bench has seen to it',
        since: localDate('2026-11-23'),
      }}
      busy={false}
      onCleared={onCleared}
    />,
  );
  expect(screen.getByText(/Stopped: not to be played since/)).toBeTruthy();
  tap('The bench has seen to it');
  expect(onCleared).toHaveBeenCalled();
});
