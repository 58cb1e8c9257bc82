/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { ROOMS_FELT } from '#core/air/room.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { CorrectPlaySheet, type CorrectedPlay } from '#web/features/plays/parts/CorrectPlaySheet.tsx';
import { EveningSheet } from '#web/features/plays/parts/EveningSheet.tsx';
import { PlayedSheet, type PlayedEntry } from '#web/features/plays/parts/PlayedSheet.tsx';
import { draw, isDead, tap, tick, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

const today = localDate('2026-11-27');
const now = { on: today, atMinute: 1200 };
const [clarinet, alto, piccolo] = ['clarinet', 'alto', 'piccolo'] as InstrumentId[];

describe('what has been played', () => {
  const EVENING = [
    { instrumentId: clarinet as InstrumentId, name: 'Clarinet', minutes: 60, usual: true, awaitsPackUp: false },
    { instrumentId: alto as InstrumentId, name: 'Alto', minutes: 45, usual: true, awaitsPackUp: true },
    { instrumentId: piccolo as InstrumentId, name: 'Piccolo', minutes: 20, usual: false, awaitsPackUp: false },
  ];
  const opened = (problem: string | null = null, busy = false) => {
    const onLog = jest.fn();
    const onClose = jest.fn();
    draw(
      <EveningSheet
        evening={EVENING as never}
        now={now}
        problem={problem}
        busy={busy}
        onLog={onLog}
        onClose={onClose}
      />,
    );
    return { onLog, onClose };
  };

  test('the usual ones are set: one tap logs them with their minutes, and packs up', () => {
    const { onLog } = opened();
    tap('Log 2 instruments and pack up');
    expect(onLog.mock.calls).toEqual([
      [
        {
          endedOn: today,
          endedAtMinute: 1200,
          roomCelsius: null,
          plays: [
            { instrumentId: clarinet, minutes: 60, alone: null },
            { instrumentId: alto, minutes: 45, alone: null },
          ],
        },
        { minutesAtHand: null },
      ],
    ]);
  });

  test('each is put right in fives, one more is a tap, and one is only logged', () => {
    const { onLog } = opened();
    tick('Alto was played');
    tick('Piccolo was played');
    tap('Piccolo: +5 minutes');
    tap('Clarinet: −5 minutes');
    tap('Clarinet: −5 minutes');
    tap('Only log it');
    expect(onLog.mock.calls).toMatchObject([
      [
        {
          plays: [
            { instrumentId: clarinet, minutes: 50, alone: null },
            { instrumentId: piccolo, minutes: 25, alone: null },
          ],
        },
        null,
      ],
    ]);
    // What was not played has no minutes to put right.
    expect(isDead('Alto: +5 minutes')).toBe(true);
  });

  test('one alone is not counted; none cannot be logged', () => {
    opened();
    tick('Alto was played');
    expect(screen.getByRole('button', { name: 'Log it and pack up' })).toBeTruthy();
    tick('Clarinet was played');
    expect(isDead('Log it and pack up')).toBe(true);
    expect(isDead('Only log it')).toBe(true);
  });

  test('earlier today, another day, a cold room and little time are a tap each', () => {
    const { onLog } = opened();
    tap('Earlier today');
    tap('Half an hour earlier');
    tap(/^Cold/);
    tap('4 min');
    tap('Log 2 instruments and pack up');
    expect(onLog.mock.calls[0]).toMatchObject([
      { endedOn: today, endedAtMinute: 1200 - 90, roomCelsius: ROOMS_FELT.cold },
      { minutesAtHand: 4 },
    ]);
    tap('Another day');
    tap('Only log it');
    // Nobody knows the hour of another day.
    expect(onLog.mock.calls[1]).toMatchObject([{ endedOn: addDays(today, -1), endedAtMinute: null }, null]);
    typeInto('Which day', '');
    expect(isDead('Only log it')).toBe(true);
  });

  test('what was wrong with it is said, and while it is sent nothing is sent again', () => {
    opened('It overlaps another play.', true);
    expect(screen.getByRole('alert').textContent).toContain('It overlaps another play.');
    expect(isDead('Log 2 instruments and pack up')).toBe(true);
    expect(isDead('Not now')).toBe(false);
  });
});

describe('I have just played', () => {
  const reeds = [
    { reedId: 'box/1' as ReedId, name: 'Fennel, reed 1' },
    { reedId: 'box/2' as ReedId, name: 'Fennel, reed 2' },
    { reedId: 'box/3' as ReedId, name: 'Fennel, reed 3' },
  ];
  const opened = (over: Partial<React.ComponentProps<typeof PlayedSheet>> = {}) => {
    const onLog = jest.fn();
    draw(
      <PlayedSheet
        instrumentName="Clarinet"
        usualMinutes={47}
        parts={{ sets: [], usual: null, wetName: null }}
        now={now}
        along={[]}
        reeds={[]}
        problem={null}
        busy={false}
        onLog={onLog}
        onClose={jest.fn()}
        {...over}
      />,
    );
    return onLog;
  };

  test('what is usual is set, and is put right in round steps', () => {
    const onLog = opened();
    tap('Log 47 min and pack up');
    tap('+5 minutes');
    tap('Log 50 min and pack up');
    tap('−15 minutes');
    tap('Only log it');
    expect(
      onLog.mock.calls.map(([entry, after, reed]) => [(entry as { minutes: number }).minutes, after, reed]),
    ).toEqual([
      [47, { minutesAtHand: null }, null],
      [50, { minutesAtHand: null }, null],
      [35, null, null],
    ]);
  });

  test('minutes stay within a play: never none, never more than a day', () => {
    opened({ usualMinutes: 3 });
    tap('−15 minutes');
    expect(screen.getByRole('button', { name: 'Log 1 min and pack up' })).toBeTruthy();
    cleanup();
    opened({ usualMinutes: 1435 });
    tap('+15 minutes');
    expect(screen.getByRole('button', { name: 'Log 24 h and pack up' })).toBeTruthy();
  });

  test('the reed for now is set, another is one tap, and so is saying it later', () => {
    const onLog = opened({ reeds });
    tap('Log 47 min and pack up');
    tap('Fennel, reed 2');
    tap('Much of it');
    tap('Log 47 min and pack up');
    tap('Say later');
    expect(screen.queryByRole('button', { name: 'Much of it' })).toBeNull();
    tap('Log 47 min and pack up');
    expect(onLog.mock.calls.map(([, , reed]) => reed)).toEqual([
      { reedId: 'box/1', high: 'none' },
      { reedId: 'box/2', high: 'much' },
      null,
    ]);
    // A third one stands under Reeds.
    expect(screen.queryByRole('button', { name: 'Fennel, reed 3' })).toBeNull();
  });

  const parts = { sets: [{ alone: 'head-joint' as const, name: 'Head joint' }], usual: null, wetName: null };
  test('only a part of it is one chip, and one more takes it back', () => {
    const onLog = opened({ parts });
    tap('Only the head joint');
    tap('Only log it');
    tap('Only the head joint');
    tap('Only log it');
    expect(onLog.mock.calls.map(([entry]) => (entry as PlayedEntry).alone)).toEqual(['head-joint', null]);
  });

  test('what is usual for a while is set', () => {
    const onLog = opened({ parts: { ...parts, usual: { alone: 'head-joint', name: 'Head joint', last: null } } });
    tap('Only log it');
    expect(onLog.mock.calls[0]?.[0]).toMatchObject({ alone: 'head-joint' });
  });

  test('what comes along is named before anything is begun', () => {
    opened({ along: ['Wash the swab', 'Grease the corks'] });
    expect(screen.getByText('Due as well, and in the run: wash the swab and grease the corks.')).toBeTruthy();
  });
});

describe('a play that was logged wrongly', () => {
  const PLAY: CorrectedPlay = { minutes: 45, endedOn: today, endedAtMinute: 1190, roomCelsius: null, alone: null };
  const sets = [{ alone: 'head-joint' as const, name: 'Head joint' }];
  const opened = (play: Partial<CorrectedPlay> = {}) => {
    const onKeep = jest.fn();
    draw(
      <CorrectPlaySheet
        play={{ ...PLAY, ...play }}
        sets={sets}
        today={today}
        problem={null}
        busy={false}
        onKeep={onKeep}
        onClose={jest.fn()}
      />,
    );
    return onKeep;
  };

  test('has its minutes, its day and its end put right', () => {
    const onKeep = opened();
    tap('−5 minutes');
    tap('Earlier');
    typeInto('Which day', '2026-11-20');
    tap('Save the correction');
    expect(onKeep.mock.calls).toEqual([
      [{ minutes: 40, endedOn: '2026-11-20', endedAtMinute: 1175, roomCelsius: null, alone: null }],
    ]);
  });

  test('ends within its day, and keeps an hour nobody knows as one', () => {
    const onKeep = opened({ endedAtMinute: 1435 });
    tap('Later');
    tap('Save the correction');
    expect(onKeep.mock.calls[0]?.[0]).toMatchObject({ endedAtMinute: 1439 });
    cleanup();
    const unknown = opened({ endedAtMinute: null });
    expect(screen.queryByRole('button', { name: 'Earlier' })).toBeNull();
    tap('Save the correction');
    expect(unknown.mock.calls[0]?.[0]).toMatchObject({ endedAtMinute: null });
  });

  test('was of these parts alone, or of all of it', () => {
    const onKeep = opened();
    tap('Only the head joint');
    tap('Save the correction');
    tap('Only the head joint');
    tap('Save the correction');
    expect(onKeep.mock.calls.map(([play]) => (play as CorrectedPlay).alone)).toEqual(['head-joint', null]);
  });

  test('of parts it has no more stays of those parts until it is said otherwise', () => {
    const onKeep = opened({ alone: 'mouthpiece-and-neck' });
    tap('Save the correction');
    tap('Only the mouthpiece and neck');
    tap('Save the correction');
    expect(onKeep.mock.calls.map(([play]) => (play as CorrectedPlay).alone)).toEqual(['mouthpiece-and-neck', null]);
  });

  test('a room of another warmth stays as it was said until another is taken', () => {
    const onKeep = opened({ roomCelsius: 14 });
    tap('Save the correction');
    tap('As usual');
    tap('Save the correction');
    expect(onKeep.mock.calls.map(([play]) => (play as CorrectedPlay).roomCelsius)).toEqual([14, null]);
    cleanup();
    opened();
    expect(screen.queryByRole('button', { name: /^As said/ })).toBeNull();
  });

  test('with no day it cannot be saved', () => {
    opened();
    typeInto('Which day', '');
    expect(isDead('Save the correction')).toBe(true);
  });
});
