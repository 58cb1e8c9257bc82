/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { localDate } from '#core/time/local-date.ts';
import type { BreakView } from '#contract/breaks.ts';
import { BreakSheet } from '#web/features/breaks/parts/BreakSheet.tsx';
import { draw, tap } from '#web/testing/parts.tsx';

afterEach(cleanup);

const VIEW: BreakView = {
  instrumentId: 'clarinet' as InstrumentId,
  name: 'Clarinet',
  lines: [
    { id: 'cap', say: 'Put the cap over the reed.', why: 'A sleeve brushes the tip.', mark: 'practice' },
    { id: 'place', say: 'Put it on its stand.', why: null, mark: 'practice' },
  ],
  reedDries: { minutes: 10, mark: 'estimate' },
  meanwhile: [
    { id: 'sticky', sign: 'A key sticks', now: ['Lay paper under it.'], later: 'Clean it.', mark: 'practice' },
  ],
};
const opened = (view: Partial<BreakView> = {}) => {
  const onLog = jest.fn();
  draw(
    <BreakSheet
      view={{ ...VIEW, ...view }}
      now={{ on: localDate('2026-11-24'), atMinute: 1435 }}
      usualMinutes={45}
      busy={false}
      onLog={onLog}
      onClose={jest.fn()}
    />,
  );
  return onLog;
};

describe('a break', () => {
  test('is its lines, with nothing to tick, and the minutes so far in one tap', () => {
    const onLog = opened();
    expect(screen.getByText('Put the cap over the reed.')).toBeTruthy();
    expect(screen.queryByRole('checkbox')).toBeNull();
    tap('+5 minutes');
    tap('Log 50 min so far');
    expect(onLog.mock.calls).toEqual([[50]]);
  });

  test('says when the reed has dried, past midnight too, and nothing where there is none', () => {
    opened();
    expect(screen.getByText('Back by 00:05, or wet the reed again.')).toBeTruthy();
    cleanup();
    opened({ reedDries: null });
    expect(screen.queryByText(/Back by/)).toBeNull();
  });

  test('what happens opens into what may be done now, and what waits', () => {
    opened();
    expect(screen.queryByText('Lay paper under it.')).toBeNull();
    tap('A key sticks');
    expect(screen.getByText('Lay paper under it.')).toBeTruthy();
    expect(screen.getByText('Clean it.')).toBeTruthy();
  });
});
