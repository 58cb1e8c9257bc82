/** @jest-environment jsdom */
import { describe, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { AskedLine } from '#web/features/bench/parts/AskedLine.tsx';
import { LinesSaid } from '#web/features/bench/parts/LinesSaid.tsx';
import { draw, tap } from '#web/testing/parts.tsx';

const PLUG = { id: 'plug', text: 'End plug in.', amiss: 'Lay a folded cloth round the end.' };
const DAY = { id: 'day', text: 'The bench knows the day it comes.', amiss: 'Call them.' };

describe('one line of a list', () => {
  const asked = (over: { isAmiss?: boolean; beside?: string[]; onBack?: (() => void) | null } = {}) => {
    const [said, left] = [jest.fn(), jest.fn()];
    const { isAmiss = false, beside = [], onBack = null } = over;
    draw(<AskedLine {...{ line: PLUG, place: '3 of 14', beside, isAmiss, onBack }} onSaid={said} onLeave={left} />);
    return { said, left };
  };

  test('is so, is not so, or is not needed, and Enter lies on the first', () => {
    const { said } = asked();
    expect(document.activeElement?.textContent).toBe('It is so');
    for (const name of ['It is so', 'It is not so', 'Not needed here']) tap(name);
    expect(said.mock.calls).toEqual([['so'], ['not-so'], ['not-here']]);
    expect(screen.queryByText(PLUG.amiss)).toBeNull();
    expect(screen.queryByRole('button', { name: 'Back' })).toBeNull();
  });

  test('where it is not so, what to do stands there, and it may be left', () => {
    const back = jest.fn();
    const { said, left } = asked({ isAmiss: true, beside: ['Several pads renewed'], onBack: back });
    expect(screen.getByText(PLUG.amiss)).toBeTruthy();
    expect(screen.getByText('Several pads renewed')).toBeTruthy();
    for (const name of ['Leave it, go on', 'Now it is so', 'Back']) tap(name);
    expect([said.mock.calls, left.mock.calls.length, back.mock.calls.length]).toEqual([[['so']], 1, 1]);
  });
});

test('at the end what is not so comes first, with what to do, and each line can be gone back to', () => {
  const goTo = jest.fn();
  draw(<LinesSaid lines={[DAY, PLUG]} said={{ day: 'so', plug: 'not-so' }} onGoTo={goTo} />);
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'End plug in.Lay a folded cloth round the end.Not so',
    'The bench knows the day it comes.It is so',
  ]);
  tap('Not so: change End plug in.');
  expect(goTo.mock.calls).toEqual([['plug']]);
});
