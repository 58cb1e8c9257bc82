/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { LOOKS } from '#core/doublereeds/examination.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { localDate } from '#core/time/local-date.ts';
import type { MoveView, TableView } from '#contract/doublereeds.ts';
import type { TableActions } from '#web/features/doublereeds/doublereeds.actions.ts';
import { CrowMove } from '#web/features/doublereeds/parts/CrowMove.tsx';
import { LifeLine } from '#web/features/doublereeds/parts/LifeLine.tsx';
import { isDrawn, LookPair } from '#web/features/doublereeds/parts/LookPair.tsx';
import { MoveAtHand } from '#web/features/doublereeds/parts/MoveAtHand.tsx';
import { SoakMove } from '#web/features/doublereeds/parts/SoakMove.tsx';
import { StepFigure } from '#web/features/doublereeds/parts/StepFigure.tsx';
import { StepMove } from '#web/features/doublereeds/parts/StepMove.tsx';
import { AskScrape, TableStart } from '#web/features/doublereeds/parts/TableStart.tsx';
import { draw, tap } from '#web/testing/parts.tsx';

const MINUTE = 60_000;
const SOAK: NonNullable<MoveView['soak']> = {
  elapsedMs: 0,
  leastMs: 5 * MINUTE,
  usualMs: 7 * MINUTE,
  mostMs: 15 * MINUTE,
  says: 'through',
  takeOut: 'Take it out of the water: longer, it swells and warps.',
};
const CROW: NonNullable<MoveView['crow']> = {
  listenFor: 'Listen for a C and the C above it.',
  heard: [
    { heard: 'both', words: 'Both Cs, equally loud', asksPitch: true },
    { heard: 'squeal', words: 'One high squeal', asksPitch: false },
  ],
  from: 'crow',
  pitchWords: 'How far from C do they sit on the tuner?',
};
const STEP: NonNullable<MoveView['step']> = {
  step: 'clip',
  tenths: 1,
  wired: false,
  expect: 'It should come to about 16 cents flat.',
  never: 'What is cut does not come back.',
  warn: null,
  howMany: 'To pitch it is about 4 clips of that size.',
  done: 'Clipped 0.1 mm',
};
const MOVE: MoveView = {
  title: 'Are both corners of the tip there?',
  how: 'Look at the tip.',
  because: [],
  soak: null,
  look: {
    look: 'corners',
    answers: [
      { answer: 'there', words: 'Both are there' },
      { answer: 'gone', words: 'One is gone or frayed' },
      { answer: 'cannot-tell', words: 'I cannot tell' },
    ],
  },
  crow: null,
  step: null,
  end: null,
};
const TABLE: TableView = {
  playerId: 'teodor' as TableView['playerId'],
  playerName: 'Teodor',
  standing: 'grown-up',
  reedId: 'box/1' as ReedId,
  name: 'Sandling, reed 1',
  kindName: 'Oboe',
  sort: 'oboe-long',
  askScrape: null,
  scrapes: [
    { scrape: 'long', words: 'Long scrape' },
    { scrape: 'short', words: 'Short scrape' },
    { scrape: 'unknown', words: 'I do not know' },
  ],
  noticed: [
    { noticed: 'flat', words: 'It plays flat' },
    { noticed: 'hiss', words: 'It hisses at the side' },
  ],
  notApplicable: null,
  instrumentId: null,
  examination: null,
  last: null,
};
const timer = () => screen.getByRole('timer').textContent;

describe('the wait in water', () => {
  const soaked = (minutes: number, over: Partial<typeof SOAK> = {}) =>
    draw(
      <SoakMove
        soak={{ ...SOAK, elapsedMs: minutes * MINUTE, ...over }}
        answeredMs={Date.now()}
        busy={false}
        onSay={jest.fn()}
      />,
    );
  test('counts to the least, then to the usual, and says when it is too long', () => {
    soaked(2).unmount();
    const first = soaked(2);
    expect(timer()).toMatch(/^[23]:\d\d until it is wet enough/);
    first.unmount();
    const second = soaked(6);
    expect(timer()).toMatch(/^Wet enough/);
    second.unmount();
    soaked(16);
    expect(screen.getByText(/Take it out of the water/)).toBeDefined();
  });
  test('is ended by a word at any time, and nothing is said where only a step waits', () => {
    const onSay = jest.fn();
    const shown = draw(<SoakMove soak={SOAK} answeredMs={Date.now()} busy={false} onSay={onSay} />);
    tap('It is soaked through');
    expect(onSay).toHaveBeenCalledWith('through');
    shown.unmount();
    const again = soaked(20, { says: 'in' });
    tap('It is in the water');
    again.unmount();
    soaked(2, { says: null });
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

describe('the crow', () => {
  test('as it should be its pitch is dialled in steps of five, nothing typed; otherwise one tap says it', () => {
    const onCrow = jest.fn();
    draw(<CrowMove crow={CROW} busy={false} onCrow={onCrow} />);
    expect(screen.queryAllByRole('textbox')).toEqual([]);
    tap('Both Cs, equally loud');
    tap('Flatter');
    tap('Flatter');
    tap('Sharper');
    expect(screen.getByText('5 cents flat')).toBeDefined();
    tap('That is it');
    expect(onCrow).toHaveBeenLastCalledWith({ heard: 'both', cents: -5, from: 'crow' });
    tap('It sounded otherwise');
    tap('One high squeal');
    expect(onCrow).toHaveBeenLastCalledWith({ heard: 'squeal', cents: null, from: 'crow' });
  });
  test('the dial ends where a tuner does', () => {
    const onCrow = jest.fn();
    draw(<CrowMove crow={CROW} busy={false} onCrow={onCrow} />);
    tap('Both Cs, equally loud');
    for (let turn = 0; turn < 30; turn++) tap('Sharper');
    tap('That is it');
    expect(onCrow).toHaveBeenCalledWith({ heard: 'both', cents: 100, from: 'crow' });
  });
});

describe('one small step', () => {
  test('is taken as it is said, or noted as it became', () => {
    const onTaken = jest.fn();
    draw(<StepMove step={STEP} how="With flush nippers." shape="oboe" busy={false} onTaken={onTaken} />);
    tap('Clipped 0.1 mm');
    expect(onTaken).toHaveBeenLastCalledWith({ step: 'clip', tenths: 1 });
    tap('It became more');
    tap('More came off');
    tap('Note it so');
    expect(onTaken).toHaveBeenLastCalledWith({ step: 'clip', tenths: 3 });
  });
  test('what would overshoot is warned of', () => {
    const warn = 'This clip will probably bring it 2 cents sharp.';
    draw(<StepMove step={{ ...STEP, warn }} how={null} shape="oboe" busy={false} onTaken={jest.fn()} />);
    expect(screen.getByText(warn)).toBeDefined();
  });
  test('each is drawn, at the wire where it belongs there', () => {
    for (const step of ['clip', 'twist', 'close', 'open'] as const)
      for (const wired of [true, false]) {
        const shown = draw(<StepFigure step={step} shape={wired ? 'bassoon' : 'oboe'} wired={wired} />);
        const name = screen.getByRole('img').getAttribute('aria-label') ?? '';
        expect([step, wired, /wire/.test(name)]).toEqual([step, wired, wired && (step === 'close' || step === 'open')]);
        shown.unmount();
      }
  });
});

describe('the table', () => {
  const actions = () =>
    ({ busy: false, look: jest.fn(), soak: jest.fn(), crow: jest.fn(), step: jest.fn(), takeBack: jest.fn() }) as never;
  const at = (move: MoveView, its: TableActions) =>
    draw(
      <MoveAtHand
        examination={{
          key: 'e1',
          way: 'whole',
          on: localDate('2026-11-24'),
          interviewOf: null,
          said: [{ key: 's1', words: 'Soaked through' }],
          move,
        }}
        shape="oboe"
        answeredMs={0}
        actions={its}
        atEnd={<p>What now</p>}
      />,
    );
  test('one question at a time, answered by a tap, and taken back by one', () => {
    const its = actions() as unknown as Record<'look' | 'takeBack', jest.Mock>;
    at(MOVE, its as never);
    tap('One is gone or frayed');
    expect(its.look).toHaveBeenCalledWith('e1', 'corners', 'gone');
    tap('Back');
    expect(its.takeBack).toHaveBeenCalledWith('s1');
  });
  test('an end says what now', () => {
    at({ ...MOVE, look: null, end: { end: 'play', endsTheReed: false } }, actions());
    expect(screen.getByText('What now')).toBeDefined();
  });
  test('begins with the water; what is noticed may be said, what an interview knows is said already', () => {
    const onBegin = jest.fn();
    draw(<TableStart table={TABLE} busy={false} known={['flat']} onBegin={onBegin} />);
    tap('It hisses at the side');
    tap('It is in the water');
    expect(onBegin).toHaveBeenCalledWith({ noticed: ['flat', 'hiss'], soakedMinutes: 0 });
    tap('10 min ago');
    tap('It plays flat');
    tap('Go on');
    expect(onBegin).toHaveBeenLastCalledWith({ noticed: ['hiss'], soakedMinutes: 10 });
  });
  test('the scrape is asked in three answers', () => {
    const onScrape = jest.fn();
    draw(<AskScrape table={TABLE} busy={false} onScrape={onScrape} />);
    tap('Short scrape');
    expect(onScrape).toHaveBeenCalledWith('short');
  });
});

test('nine pairs of drawings, each with right and wrong named for those who hear', () => {
  const names = new Set<string>();
  for (const look of LOOKS.filter(isDrawn))
    for (const shape of ['oboe', 'bassoon'] as const) {
      if (look === 'offset' && shape === 'bassoon') continue;
      const shown = draw(<LookPair look={look} shape={shape} />);
      const [right, wrong] = screen.getAllByRole('img').map((one) => one.getAttribute('aria-label') ?? '');
      expect(right).toMatch(/^Right: /);
      expect(wrong).toMatch(/^Wrong: /);
      names.add(`${shape} ${right ?? ''} ${wrong ?? ''}`);
      shown.unmount();
    }
  expect(names.size).toBe(9);
});

test('a life is a line with a mark for each thing that was', () => {
  const line = (['came', 'first', 'look', 'step', 'grade', 'end'] as const).map((what, at) => ({
    on: localDate(`2026-11-0${at + 1}`),
    what,
    words: what,
  }));
  const { container } = draw(<LifeLine line={line} />);
  expect(container.querySelectorAll('g')).toHaveLength(6);
});
