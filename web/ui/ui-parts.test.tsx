/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { SOON_AT } from '#core/care/care-state.ts';
import { localDate } from '#core/time/local-date.ts';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { NoticeProvider, useNotice } from '#web/ui/Notice.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { tap } from '#web/testing/parts.tsx';

afterEach(cleanup);

test('one of a few: a tap on another chooses it, a tap on the chosen one changes nothing', () => {
  const onChange = jest.fn();
  const options = [
    { value: 'now', words: 'Just now' },
    { value: 'day', words: 'Another day' },
  ] as const;
  render(<ChooseOne label="When" options={options} value="now" onChange={onChange} />);
  tap('Just now');
  tap('Another day');
  expect(onChange.mock.calls).toEqual([['day']]);
});

test('minutes at hand: all it takes is no number', () => {
  const onChange = jest.fn();
  render(<MinutesAtHand value={4} onChange={onChange} />);
  tap('No hurry');
  tap('6 min');
  expect(onChange.mock.calls).toEqual([[null], [6]]);
});

test('a day is one of the calendar, or none', () => {
  const onChange = jest.fn();
  render(<DateField label="Which day" value={localDate('2026-11-24')} onChange={onChange} />);
  const field = screen.getByLabelText('Which day');
  fireEvent.change(field, { target: { value: '2026-11-20' } });
  fireEvent.change(field, { target: { value: '' } });
  expect(onChange.mock.calls).toEqual([['2026-11-20'], [null]]);
});

describe('a notice', () => {
  const undo = jest.fn();
  function Saying({ failed }: { readonly failed?: true }) {
    const notice = useNotice();
    return (
      <button onClick={() => notice(failed ? { text: 'It could not be.', tone: 'failed' } : { text: 'Logged.', undo })}>
        Say
      </button>
    );
  }

  test('offers Undo once: a tap takes it back and the notice away', () => {
    render(
      <NoticeProvider>
        <Saying />
      </NoticeProvider>,
    );
    tap('Say');
    expect(screen.getByRole('status').textContent).toContain('Logged.');
    tap('Undo');
    expect(undo).toHaveBeenCalledTimes(1);
  });

  test('of a failure alerts, and has nothing to undo', () => {
    render(
      <NoticeProvider>
        <Saying failed />
      </NoticeProvider>,
    );
    tap('Say');
    expect(screen.getByRole('alert').textContent).toContain('It could not be.');
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
  });
});

test('an answer that failed is asked for again by a tap; one that was there stays to be read', () => {
  const refetch = jest.fn();
  const failed = { isError: true, error: new Error('Nobody answers.'), refetch };
  const { rerender } = render(<QueryView query={{ ...failed, data: undefined }}>{() => 'never'}</QueryView>);
  tap('Try again');
  expect(refetch).toHaveBeenCalledTimes(1);
  rerender(<QueryView query={{ ...failed, data: 'the page' }}>{(data: string) => data}</QueryView>);
  expect(document.body.textContent).toContain('Shown as last seen. Nobody answers.');
  expect(document.body.textContent).toContain('the page');
});

test('a plain list is a list to whoever hears the page', () => {
  render(
    <PlainList ordered>
      <PlainRow>one</PlainRow>
      <PlainRow>two</PlainRow>
    </PlainList>,
  );
  expect(screen.getByRole('list').tagName).toBe('OL');
  expect(screen.getAllByRole('listitem')).toHaveLength(2);
});

test('the gauge has its notch where the clock of the core says soon', () => {
  const { container } = render(<TubeGauge gauge={{ state: 'soon', load: SOON_AT, words: 'in 3 days' }} />);
  expect(screen.getByRole('img', { name: 'in 3 days' })).toBeTruthy();
  const paths = [...container.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '');
  const level = Number(/^M3 ([\d.]+)H/.exec(paths[0] ?? '')?.[1]);
  const notch = Number(/^M0 ([\d.]+)h3/.exec(paths.find((d) => d.startsWith('M0')) ?? '')?.[1]);
  expect(level).toBeCloseTo(notch, 6);
});
