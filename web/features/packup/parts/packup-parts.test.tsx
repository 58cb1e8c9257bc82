/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { ShownLeftOut, ShownRun, ShownStep } from '#contract/shown-run.ts';
import { LeftOut } from '#web/features/packup/parts/LeftOut.tsx';
import { RunEnd } from '#web/features/packup/parts/RunEnd.tsx';
import { SkipDialog } from '#web/features/packup/parts/SkipDialog.tsx';
import { StepAtHand } from '#web/features/packup/parts/StepAtHand.tsx';
import { FinishSheet } from '#web/features/packup/parts/FinishSheet.tsx';
import { StepDrawing } from '#web/features/packup/parts/StepDrawing.tsx';
import { StretchList } from '#web/features/packup/parts/StretchList.tsx';
import { shownStretches, stretchAtHand, type ShownStretch } from '#web/features/packup/run-stretches.ts';
import { MemoryRouter } from 'react-router';
import { draw, tap } from '#web/testing/parts.tsx';

afterEach(cleanup);

const NOW = Date.parse('2026-11-24T20:00:00.000Z');
const clarinet = 'clarinet' as InstrumentId;
const keyOf = (id: string) => `clarinet:clarinet/${id}` as RunStepKey;
const step = (id: string, over: Partial<ShownStep> = {}): ShownStep => ({
  key: keyOf(id),
  instrumentId: clarinet,
  id: `clarinet/${id}`,
  item: 'clarinet/swab-bore',
  part: 'upper-joint',
  heading: `Do ${id}`,
  must: false,
  closing: false,
  look: null,
  onlyLooks: false,
  calledBy: null,
  unless: [],
  standsOn: [],
  wait: null,
  alsoDoes: [],
  away: 'now',
  expects: null,
  passes: false,
  count: null,
  activeMinutes: 1,
  startsAtMinute: 0,
  state: 'open',
  counted: 0,
  tickedAt: null,
  answer: null,
  skipReason: null,
  along: null,
  called: 'yes',
  waitsUntilMs: null,
  mostUntilMs: null,
  lastPass: null,
  instrumentName: 'Clarinet',
  itemName: 'Swab the bore',
  partName: 'Upper joint',
  how: null,
  why: null,
  harm: 'Wood swells and cracks',
  cautions: [],
  supplies: [],
  hands: 'player',
  onlyIf: null,
  repeats: null,
  way: [],
  thread: null,
  holds: null,
  ...over,
});
const look = {
  question: 'Do all slides move?',
  answers: [
    { id: 'move', words: 'They move', sign: null, notice: null, endsItem: false, alsoEnds: [] },
    { id: 'stuck', words: 'One is stuck', sign: null, notice: null, endsItem: true, alsoEnds: [] },
  ],
};

describe('the step at hand', () => {
  const show = (one: ShownStep) => {
    const said = {
      onTick: jest.fn(),
      onSkip: jest.fn(),
      onNotNeeded: jest.fn(),
      onAnswer: jest.fn<(answer: string) => void>(),
      onCount: jest.fn<(count: number) => void>(),
    };
    draw(<StepAtHand step={one} several={false} nowMs={NOW} {...said} />);
    return said;
  };

  test('is ticked by one tap, or left out by another', () => {
    const said = show(step('swab'));
    tap('Done');
    tap('Skip…');
    expect([said.onTick.mock.calls.length, said.onSkip.mock.calls.length]).toEqual([1, 1]);
    expect(said.onNotNeeded).not.toHaveBeenCalled();
  });

  test('a look is answered and cannot be ticked', () => {
    const said = show(step('look', { look }));
    expect(screen.queryByRole('button', { name: 'Done' })).toBeNull();
    tap('One is stuck: to the bench');
    expect(said.onAnswer.mock.calls).toEqual([['stuck']]);
  });

  test('while it waits it cannot be ticked, and says how long', () => {
    const said = show(step('rinse', { waitsUntilMs: NOW + 65_000 }));
    const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Waits 1:05' });
    fireEvent.click(button);
    expect([button.disabled, said.onTick.mock.calls.length]).toEqual([true, 0]);
  });

  test('passes are counted one by one, and taken back one by one', () => {
    const said = show(step('swab', { count: 3, counted: 1, repeats: { noun: 'pass', because: [] } }));
    tap(/^pass 2/);
    tap(/one pass fewer/);
    expect(said.onCount.mock.calls).toEqual([[2], [0]]);
  });

  test('what is done only if need be is settled by saying that it is not', () => {
    const said = show(step('oil', { onlyIf: 'Does it grate?' }));
    expect(screen.getByText('Does it grate?')).toBeTruthy();
    tap('No, not needed');
    expect(said.onNotNeeded).toHaveBeenCalledTimes(1);
  });
});

describe('the drawing of a step', () => {
  const tube = (part: 'upper-joint' | 'lower-joint', name: string): ShownRun['parts'][number]['strip'][number] => ({
    part,
    name,
    lengthMm: 240,
    boreMm: [15, 15],
    waterShare: 0.2,
    joint: 'tenon',
    form: null,
    waterGrams: 0,
  });
  const run = {
    parts: [
      {
        instrumentId: clarinet,
        name: 'Clarinet',
        kind: 'clarinet',
        playedMinutes: 40,
        strip: [tube('upper-joint', 'Upper joint'), tube('lower-joint', 'Lower joint')],
      },
    ],
  } as unknown as ShownRun;
  const RINGS = { words: 'hold the ring keys down', part: 'upper-joint', at: 'bell-end' } as const;

  test('shows the key to hold and says it', () => {
    render(<StepDrawing run={run} steps={[step('part-joints', { holds: RINGS })]} />);
    expect(screen.getByRole('img', { name: 'Clarinet: upper joint; hold the ring keys down' })).toBeTruthy();
    expect(screen.getByText('hold the ring keys down')).toBeTruthy();
  });

  test('shows none where the key is on no part of this tube', () => {
    render(<StepDrawing run={run} steps={[step('part-joints', { holds: { ...RINGS, part: 'valve-slides' } })]} />);
    expect(screen.queryByText('hold the ring keys down')).toBeNull();
  });
});

describe('leaving a step out', () => {
  test('takes one tap on the reason, after what it costs has been said', () => {
    const onSkip = jest.fn();
    render(
      <SkipDialog step={step('swab')} barred={['Lower joint', 'Bell']} onSkip={onSkip} onClose={() => undefined} />,
    );
    expect(screen.getByText('Then “Lower joint” and “Bell” cannot be done either.')).toBeTruthy();
    expect(screen.getByText(/Wood swells and cracks/)).toBeTruthy();
    tap(/^No time now/);
    expect(onSkip.mock.calls).toEqual([['no-time']]);
  });
});

const shown = (steps: readonly ShownStep[]) => shownStretches(steps, false, NOW);
const logged = () => ({ onTick: jest.fn(), onUndo: jest.fn(), onSkip: jest.fn(), onAnswer: jest.fn() });

describe('the stretches', () => {
  const show = (steps: readonly ShownStep[], over: { readOnly?: boolean; byStretch?: boolean } = {}) => {
    const stretches = shown(steps);
    const [said, onDone] = [logged(), jest.fn<(one: ShownStretch) => void>()];
    const { readOnly = false, byStretch = true } = over;
    const list = { atHandKey: stretchAtHand(stretches)?.key ?? null, stepKey: null, nowMs: NOW, readOnly };
    render(<StretchList stretches={stretches} {...list} {...said} {...(byStretch ? { onDone } : {})} />);
    return { ...said, onDone };
  };

  test('one tap says that all of the open one is done; what is asked about and was not ticked was not needed', () => {
    const { onDone } = show([step('a'), step('paper', { onlyIf: 'Is a pad wet?' })]);
    tap(/^Done: /);
    const [said] = onDone.mock.calls[0] ?? [];
    expect(said?.toTick.map(({ key }) => key)).toEqual([keyOf('a')]);
    expect(said?.notNeeded.map(({ key }) => key)).toEqual([keyOf('paper')]);
  });

  test('a step is ticked by itself, out of order, or taken back', () => {
    const { onTick, onUndo } = show([step('a'), step('b'), step('c', { state: 'ticked' })]);
    tap('Tick: Do b');
    tap('Undo: Do c');
    expect([onTick.mock.calls, onUndo.mock.calls]).toEqual([[[keyOf('b')]], [[keyOf('c')]]]);
  });

  test('a look is answered in its row and not ticked; where only looks are left no button says that it is done', () => {
    const { onAnswer } = show([step('look', { look })]);
    expect(screen.queryByRole('button', { name: /^Tick|^Done/ })).toBeNull();
    tap('They move');
    expect(onAnswer.mock.calls).toEqual([[keyOf('look'), 'move']]);
  });

  test('a heading opens into how it is done and what skipping costs', () => {
    const { onSkip } = show([step('a', { how: 'Draw it gently.', harm: 'it stays wet' })]);
    expect(screen.queryByText('Draw it gently.')).toBeNull();
    tap(/^Do a/);
    expect(screen.getByText('Draw it gently.')).toBeTruthy();
    expect(screen.getByText(/If you skip this: it stays wet\./)).toBeTruthy();
    tap('Skip: Do a');
    expect(onSkip.mock.calls).toEqual([[keyOf('a')]]);
  });

  test('what waits says so and cannot be said to be done; a finished run is only read', () => {
    show([step('a', { waitsUntilMs: NOW + 65_000 })]);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Done/ }).disabled).toBe(true);
    cleanup();
    show([step('b'), step('c', { state: 'ticked' })], { readOnly: true });
    expect(screen.queryByRole('button', { name: /^Tick|^Undo|^Done/ })).toBeNull();
  });

  test('the one to go on with is the first that waits for nothing', () => {
    const waiting = { ...step('a'), part: 'reed' as const, waitsUntilMs: NOW + 1 };
    const stretches = shown([
      waiting,
      { ...waiting, key: keyOf('a2') },
      step('b', { part: 'bell' }),
      step('c', { part: 'bell' }),
    ]);
    expect(stretches.length).toBeGreaterThan(1);
    expect(stretchAtHand(stretches)?.steps.map(({ key }) => key)).toContain(keyOf('b'));
    expect(stretchAtHand(shown([step('a', { state: 'ticked' })]))).toBeNull();
  });
});

describe('the finish sheet', () => {
  const show = (steps: readonly ShownStep[]) => {
    const log = {
      answer: jest.fn(),
      tick: jest.fn(),
      skip: jest.fn(),
      takeAllBack: jest.fn(),
      finishWith: jest.fn(),
      busy: false,
    };
    const run = { kind: 'after', parts: [{}], steps } as unknown as ShownRun;
    render(<FinishSheet run={run} nowMs={NOW} log={log} onClose={() => undefined} />);
    return log;
  };

  test('a look nobody made is noted as such, what was asked and not done as not needed', () => {
    const log = show([step('look', { look, onlyLooks: true }), step('paper', { onlyIf: 'Is a pad wet?' })]);
    tap('Finish and record it');
    expect(log.finishWith.mock.calls).toEqual([
      [{ notLooked: [keyOf('look')], notNeeded: [keyOf('paper')], leftOut: [], reason: null }],
    ]);
  });

  test('what is open needs one reason, and the reason is the way to finish: there is no dead button', () => {
    const log = show([step('a', { must: true }), step('b')]);
    expect(screen.queryByRole('button', { name: 'Finish and record it' })).toBeNull();
    tap(/^Not today/);
    expect(log.finishWith.mock.calls).toEqual([
      [{ notLooked: [], notNeeded: [], leftOut: [keyOf('a'), keyOf('b')], reason: 'not-today' }],
    ]);
  });

  test('of what was said with the list, each can be left out after all, or all of it undone', () => {
    const along = { state: 'ticked', along: 'list' } as const;
    const log = show([step('a', along), step('b', along)]);
    tap('Do b');
    tap('Undo: tick them one by one');
    expect(log.skip.mock.calls).toEqual([[keyOf('b'), 'no-time']]);
    expect(log.takeAllBack.mock.calls).toEqual([[[keyOf('a'), keyOf('b')]]]);
  });

  test('a look that is handwork too can be said not to be done', () => {
    const log = show([step('wash', { look })]);
    tap('Not done');
    tap('One is stuck: to the bench');
    expect(log.skip.mock.calls).toEqual([[keyOf('wash'), 'no-time']]);
    expect(log.answer.mock.calls).toEqual([[keyOf('wash'), 'stuck']]);
  });
});

test('what waits for want of time is pulled in by its first step', () => {
  const onPullIn = jest.fn();
  const left: ShownLeftOut = {
    steps: [step('wash'), step('dry')],
    value: 0.3,
    moreMinutes: 2.2,
    name: 'Wash the swab',
    instrumentName: 'Clarinet',
    cost: 'it smells',
  };
  render(<LeftOut leftOut={[left]} several={false} busy={false} onPullIn={onPullIn} />);
  tap('Do it too · 3 min more: Wash the swab');
  expect(onPullIn.mock.calls).toEqual([[keyOf('wash')]]);
});

describe('the end of a run', () => {
  test('one tap says what the cloth showed, with the passes made; another opens the run again', () => {
    const [onLastPass, onUndo] = [jest.fn(), jest.fn()];
    const part = { instrumentId: clarinet, name: 'Clarinet', kind: 'clarinet', playedMinutes: 45, strip: [] } as const;
    const steps = [step('swab', { passes: true, state: 'ticked', count: 5, counted: 4 })];
    const run = { kind: 'after', parts: [part], steps, doneNames: ['swab the bore'], waitingNames: [] };
    render(
      <MemoryRouter>
        <RunEnd run={run as unknown as ShownRun} onUndo={onUndo} onLastPass={onLastPass} busy={false} />
      </MemoryRouter>,
    );
    tap('Still wet');
    expect(onLastPass.mock.calls).toEqual([[keyOf('swab'), 'wet', 4]]);
    tap('Undo: go on with this run');
    expect(onUndo).toHaveBeenCalledTimes(1);
  });

  test('of a remedy leads on to whether it helped, of any other to Now', () => {
    const shown = (isRemedy: boolean) => {
      const part = { instrumentId: clarinet, name: 'Clarinet', kind: 'clarinet', playedMinutes: 0, strip: [] } as const;
      const run = { kind: 'care', isRemedy, parts: [part], steps: [], doneNames: [], waitingNames: [] };
      const { unmount } = render(
        <MemoryRouter>
          <RunEnd run={run as unknown as ShownRun} onUndo={jest.fn()} onLastPass={jest.fn()} busy={false} />
        </MemoryRouter>,
      );
      const links = screen.getAllByRole('link').map((link) => [link.textContent, link.getAttribute('href')]);
      unmount();
      return links;
    };
    expect(shown(true)).toEqual([['Say whether it helped', '/faults/clarinet']]);
    expect(shown(false)).toEqual([
      ['Back to Now', '/now/clarinet'],
      ['Something is wrong', '/faults/clarinet'],
    ]);
  });
});
