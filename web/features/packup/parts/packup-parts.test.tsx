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
import { StepList } from '#web/features/packup/parts/StepList.tsx';
import { MemoryRouter } from 'react-router';

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
  ...over,
});
const look = {
  question: 'Do all slides move?',
  answers: [
    { id: 'move', words: 'They move', notice: null, endsItem: false, alsoEnds: [] },
    { id: 'stuck', words: 'One is stuck', notice: null, endsItem: true, alsoEnds: [] },
  ],
};
const tap = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the step at hand', () => {
  const show = (one: ShownStep) => {
    const said = {
      onTick: jest.fn(),
      onSkip: jest.fn(),
      onNotNeeded: jest.fn(),
      onAnswer: jest.fn<(answer: string) => void>(),
      onCount: jest.fn<(count: number) => void>(),
    };
    render(<StepAtHand step={one} several={false} nowMs={NOW} {...said} />);
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
    tap('No, not needed');
    expect(said.onNotNeeded).toHaveBeenCalledTimes(1);
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

describe('the whole list', () => {
  const show = (steps: readonly ShownStep[], readOnly = false) => {
    const [onTick, onTakeBack] = [jest.fn(), jest.fn()];
    const list = { atHandKey: keyOf('a'), several: false, nowMs: NOW, readOnly, onTick, onTakeBack };
    render(<StepList steps={steps} {...list} />);
    return { onTick, onTakeBack };
  };

  test('any open step is ticked out of order, any closed one taken back', () => {
    const { onTick, onTakeBack } = show([step('a'), step('b'), step('c', { state: 'ticked' })]);
    tap('Tick: Do b');
    tap('Take back: Do c');
    expect([onTick.mock.calls, onTakeBack.mock.calls]).toEqual([[[keyOf('b')]], [[keyOf('c')]]]);
  });

  test('a look is not ticked there, nor what nobody calls for; a finished run is only read', () => {
    show([step('a'), step('look', { look }), step('mop', { called: 'no' })]);
    expect(screen.queryAllByRole('button')).toEqual([]);
    cleanup();
    show([step('b'), step('c', { state: 'ticked' })], true);
    expect(screen.queryAllByRole('button')).toEqual([]);
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
  tap('Pull in · 3 min more: Wash the swab');
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
});
