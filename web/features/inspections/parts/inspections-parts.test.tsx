/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import type { MeasureView, WayView } from '#contract/inspections.ts';
import { localDate } from '#core/time/local-date.ts';
import type { Asked } from '#web/features/inspections/draft.ts';
import { AskedReading } from '#web/features/inspections/parts/AskedReading.tsx';
import { MeasureRow } from '#web/features/inspections/parts/MeasureRow.tsx';
import { draw, isDead, tap } from '#web/testing/parts.tsx';

const WAY: WayView = {
  way: 'sucked-shut',
  words: 'sucked shut',
  how: 'Shut its far end and count.',
  tool: null,
  unit: 'seconds',
  unitAfter: ' s',
  least: 0,
  most: 60,
  step: 0.5,
  says: [],
  good: null,
  limits: 'Good is 5 s or more.',
  goodFrom: 5,
  goodTo: null,
  hands: ['player', 'teacher', 'bench'],
};
const MEASURE: MeasureView = {
  measure: 'held-shut/upper-joint',
  place: null,
  name: 'Seconds the upper joint holds, sucked shut',
  placeName: null,
  ways: [WAY],
  newest: { on: localDate('2026-11-20'), value: 4.5, words: '4.5 s', grade: 'sooner', gradeWords: 'Look again sooner' },
  way: 'sucked-shut',
  lines: [
    {
      begins: null,
      points: [
        { on: localDate('2026-09-20'), value: 6 },
        { on: localDate('2026-11-20'), value: 4.5 },
      ],
    },
  ],
  words: '3 more readings until a line can be drawn.',
  limit: null,
  straight: null,
  reaches: null,
  again: localDate('2027-01-05'),
  stops: false,
  because: [{ rule: 'limits', text: 'Good is 5 s or more.', mark: 'general' }],
};
const asked = (value: number | null): Asked => ({ measure: MEASURE, way: WAY, value, isSaid: false });
const field = () => screen.getByLabelText<HTMLInputElement>('Reading');

describe('one thing that is read', () => {
  const shown = (value: number | null, over: object = {}) => {
    const on = { onChange: jest.fn(), onKeep: jest.fn(), onLeaveOut: jest.fn(), onBack: jest.fn(), ...over };
    draw(<AskedReading asked={asked(value)} place="3 of 11" {...on} />);
    return on;
  };

  test('where a number has to be measured nothing is offered, and nothing is kept until it is typed', () => {
    const { onChange, onKeep } = shown(null);
    expect(isDead('Type what you read')).toBe(true);
    fireEvent.change(field(), { target: { value: '4,5' } });
    expect(onChange).toHaveBeenLastCalledWith(expect.objectContaining({ value: 4.5, isSaid: false }));
    fireEvent.change(field(), { target: { value: 'a while' } });
    expect(onChange).toHaveBeenLastCalledWith(expect.objectContaining({ value: null }));
    expect(screen.getByText(/^From 0 s to 60 s/)).toBeTruthy();
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(onKeep).not.toHaveBeenCalled();
  });

  test('arrows and thumbs change it, Enter keeps it, it may be left out', () => {
    const { onChange, onKeep, onLeaveOut, onBack } = shown(5);
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(onChange).toHaveBeenLastCalledWith(expect.objectContaining({ value: 5.5 }));
    tap(/^Less/);
    expect(onChange).toHaveBeenLastCalledWith(expect.objectContaining({ value: 4.5 }));
    fireEvent.keyDown(field(), { key: 'Enter' });
    expect(onKeep).toHaveBeenCalledWith(expect.objectContaining({ isSaid: true }));
    tap('Leave this out');
    tap('Back');
    expect([onLeaveOut, onBack].map((each) => each.mock.calls.length)).toEqual([1, 1]);
  });
});

test('what stops an instrument says so where it is beyond its limit, and only there', () => {
  const row = (over: Partial<MeasureView>) => {
    const { unmount } = draw(
      <ul>
        <MeasureRow measure={{ ...MEASURE, ...over }} open={false} onToggle={jest.fn()} />
      </ul>,
    );
    const isSaid = screen.queryByText(/^Do not play it until somebody has looked/) !== null;
    unmount();
    return isSaid;
  };
  const failed = { newest: { ...(MEASURE.newest ?? ({} as never)), grade: 'bench' as const } };
  expect([row({ stops: true, ...failed }), row({ stops: true }), row(failed)]).toEqual([true, false, false]);
});

test('a row says what was read, what that says and why; its line is shown when it is asked for', () => {
  const onToggle = jest.fn();
  draw(
    <ul>
      <MeasureRow measure={MEASURE} open={false} onToggle={onToggle} />
    </ul>,
  );
  expect(screen.getByText('4.5 s · Look again sooner')).toBeTruthy();
  expect(screen.getByText(MEASURE.words)).toBeTruthy();
  tap(/^Why/);
  expect(screen.getByText(/Good is 5 s or more\./)).toBeTruthy();
  tap(/^Show the line/);
  expect(onToggle).toHaveBeenCalledTimes(1);
});
