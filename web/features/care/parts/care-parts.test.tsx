/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { CareClockView, InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { careWaits } from '#web/features/care/parts/care-waits.ts';
import { CareRow } from '#web/features/care/parts/CareRow.tsx';
import { DoneDialog } from '#web/features/care/parts/DoneDialog.tsx';
import { Closed, Methods, NeverDos } from '#web/features/care/parts/HeldTo.tsx';
import { StripWithSigns } from '#web/features/care/parts/StripWithSigns.tsx';
import { WetnessBelief } from '#web/features/care/parts/WetnessBelief.tsx';
import { draw, isDead, tap, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

const today = localDate('2026-11-27');
const clock = (over: Partial<CareClockView> = {}): CareClockView => ({
  itemId: 'keyed/key-oil',
  name: 'Oil the keys',
  part: 'upper-joint',
  partName: 'Upper joint',
  gauge: { state: 'due', load: 1, words: 'due' },
  everyPlay: false,
  atBench: false,
  hands: 'player',
  dueAtHome: true,
  goesAlong: false,
  signs: [],
  seenOn: [],
  noticed: false,
  noticedSign: null,
  declined: false,
  postponedUntil: null,
  caution: '',
  minutes: 6.4,
  lastDone: null,
  due: null,
  because: [{ rule: 'limb', text: 'Six months have passed.', mark: 'practice' }],
  ...over,
});
const PAD = { sign: 'keyed/pad-gone', words: 'A pad is loose or missing' } as const;
const SCREW = { sign: 'keyed/screw-proud', words: 'A screw or rod stands proud' } as const;
const seen = {
  signs: [PAD],
  seenOn: ['upper-joint' as const],
  gauge: { state: 'as-seen' as const, load: null, words: 'when you see a pad loose' },
};

describe('a row of care', () => {
  const row = (over: Partial<CareClockView> = {}, busy = false) => {
    const actions = { instrumentId: 'one', doNow: jest.fn(), ask: jest.fn(), seen: jest.fn(), decide: jest.fn(), busy };
    draw(<CareRow clock={clock(over)} today={today} actions={actions} />);
    return actions;
  };
  // The menu comes with its first tap.
  const more = async (words: string | RegExp) => {
    tap('More: Oil the keys');
    fireEvent.click(await screen.findByRole('menuitem', { name: words }));
  };

  test('says how it stands, where, and why; one tap does it, another says that it is done', () => {
    const actions = row();
    expect(screen.getByText('due · upper joint')).toBeTruthy();
    tap('Do it · about 6 min: Oil the keys');
    expect(actions.doNow.mock.calls).toEqual([[['keyed/key-oil']]]);
    tap('Done already: Oil the keys');
    expect(actions.ask.mock.calls).toMatchObject([[{ itemId: 'keyed/key-oil' }]]);
    expect(screen.queryByText('Six months have passed.')).toBeNull();
    fireEvent.click(screen.getAllByRole('button', { name: /^Why/ })[0] as HTMLElement);
    expect(screen.getByText('Six months have passed.')).toBeTruthy();
  });

  test('what takes less than a minute takes one', () => {
    row({ minutes: 0.2 });
    expect(screen.getByRole('button', { name: 'Do it · about 1 min: Oil the keys' })).toBeTruthy();
  });

  test('the bench’s work is never offered at home: only that the bench did it', () => {
    const actions = row({ hands: 'bench' });
    expect(screen.queryByRole('button', { name: /^Do it/ })).toBeNull();
    expect(screen.getByText(/the bench’s work/)).toBeTruthy();
    tap('The bench did it: Oil the keys');
    expect(actions.ask).toHaveBeenCalledTimes(1);
    cleanup();
    row({ gauge: { state: 'waiting', load: 2, words: 'waits for the bench' } });
    expect(screen.queryByRole('button', { name: /^Do it/ })).toBeNull();
  });

  test('what waits for a sign is seen, and can neither be done nor put off before', () => {
    const actions = row(seen);
    tap('I see it: Oil the keys');
    expect(actions.seen.mock.calls).toMatchObject([[{ itemId: 'keyed/key-oil' }, PAD]]);
    for (const name of [/^Do it/, /^Done already/, /^More/]) expect(screen.queryByRole('button', { name })).toBeNull();
  });

  test('of several signs it is asked which', async () => {
    const actions = row({ ...seen, signs: [PAD, SCREW] });
    tap('I see it: Oil the keys');
    expect(actions.seen).not.toHaveBeenCalled();
    fireEvent.click(await screen.findByRole('menuitem', { name: 'A screw or rod stands proud' }));
    expect(actions.seen.mock.calls).toMatchObject([[{ itemId: 'keyed/key-oil' }, SCREW]]);
  });

  test('what was noticed leads to the questions, where there are any', () => {
    row({ noticed: true, noticedSign: 'keyed/pad-gone' });
    const link = screen.getByRole('link', { name: 'Ask what it is: Oil the keys' });
    expect(link.getAttribute('href')).toBe('/faults/one?sign=keyed/pad-gone');
    cleanup();
    row({ noticed: true });
    expect(screen.queryByRole('link')).toBeNull();
  });

  test('a child does it with a grown-up, and the row says so', () => {
    row({ hands: 'with-a-grown-up' });
    expect(screen.getByText(/with a grown-up beside you/)).toBeTruthy();
  });

  test('it is put off to a day, or left for good; what is put off says until when', async () => {
    const actions = row();
    await more(`Let it wait until ${FORMAT.weekdayDate(addDays(today, 7))}`);
    await more('I don’t do this');
    expect(actions.decide.mock.calls.map(([, ...said]) => said)).toEqual([
      ['postponed', addDays(today, 7)],
      ['declined'],
    ]);
    cleanup();
    row({ postponedUntil: addDays(today, 3) });
    expect(screen.getByText(new RegExp(`waits until ${FORMAT.weekdayDate(addDays(today, 3))}`))).toBeTruthy();
  });

  test('what was left for good is taken up again, and nothing else', async () => {
    const actions = row({ declined: true });
    tap('More: Oil the keys');
    expect(await screen.findAllByRole('menuitem')).toHaveLength(1);
    fireEvent.click(screen.getByRole('menuitem', { name: 'Do it again from now on' }));
    expect(actions.decide.mock.calls[0]?.slice(1)).toEqual(['resumed']);
  });

  test('while something is under way every button waits', () => {
    row({}, true);
    for (const name of ['Do it · about 6 min: Oil the keys', 'Done already: Oil the keys', 'More: Oil the keys'])
      expect([name, isDead(name)]).toEqual([name, true]);
  });
});

describe('when was it done?', () => {
  const asked = (over: Partial<CareClockView> = {}, problem: string | null = null) => {
    const onDone = jest.fn();
    const onClose = jest.fn();
    draw(
      <DoneDialog
        clock={clock(over)}
        today={today}
        acquiredOn={localDate('2024-01-10')}
        problem={problem}
        busy={false}
        onDone={onDone}
        onClose={onClose}
      />,
    );
    return { onDone, onClose };
  };

  test('today and yesterday are one tap, another day is a day and a tap', () => {
    const { onDone, onClose } = asked();
    tap('Today');
    tap('Yesterday');
    expect(isDead('Then')).toBe(true);
    typeInto('Another day', '2026-10-01');
    tap('Then');
    expect(onDone.mock.calls).toEqual([
      [today, 'player'],
      [addDays(today, -1), 'player'],
      ['2026-10-01', 'player'],
    ]);
    tap('Close');
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  test('the bench may have done it, today or on the day that is said', () => {
    const { onDone } = asked();
    tap('The bench did it today');
    typeInto('Another day', '2026-10-01');
    tap('The bench did it that day');
    expect(onDone.mock.calls).toEqual([
      [today, 'bench'],
      ['2026-10-01', 'bench'],
    ]);
  });

  test('only the bench does the bench’s work', () => {
    const { onDone } = asked({ hands: 'bench' });
    tap('Yesterday');
    expect(onDone.mock.calls).toEqual([[addDays(today, -1), 'bench']]);
    expect(screen.queryByRole('button', { name: /^The bench did it/ })).toBeNull();
  });

  test('of what nobody knows, the day the instrument came is a beginning', () => {
    const { onDone } = asked({ gauge: { state: 'unknown', load: null, words: 'not known' } });
    tap(/^Count from the day it came/);
    expect(onDone.mock.calls).toEqual([['2024-01-10', 'player']]);
    cleanup();
    asked();
    expect(screen.queryByRole('button', { name: /^Count from the day it came/ })).toBeNull();
  });

  test('what was wrong with it is said', () => {
    asked({}, 'It cannot have been done before it came.');
    expect(screen.getByRole('alert').textContent).toContain('It cannot have been done before it came.');
  });
});

describe('what is held to', () => {
  const page = (over: object) =>
    ({ instrument: { id: 'clarinet' }, neverDos: [], habits: [], closed: [], ...over }) as unknown as InstrumentPage;

  test('what is never done, with why; and the question whether something may touch it', () => {
    draw(
      <NeverDos page={page({ neverDos: [{ id: 'a', text: 'No bore oil on plastic.', why: 'It does nothing.' }] })} />,
    );
    expect(screen.getByText('No bore oil on plastic.').closest('li')?.textContent).toContain('It does nothing.');
    expect(screen.getByRole('link', { name: 'May I use …' }).getAttribute('href')).toBe('/may-i-use?of=clarinet');
  });

  test('with no method chosen it says what choosing is good for', () => {
    draw(<Methods page={page({})} />);
    expect(screen.getByText(/see what each choice costs in a year/)).toBeTruthy();
    cleanup();
    draw(<Methods page={page({ habits: ['Swab before every break.'] })} />);
    expect(screen.getByText('Swab before every break.')).toBeTruthy();
    expect(screen.queryByText(/see what each choice costs/)).toBeNull();
  });

  test('what an edited build has no more is closed with its reason, and nothing is said of nothing', () => {
    const { container } = draw(<Closed page={page({})} />);
    expect(container.textContent).toBe('');
    cleanup();
    draw(<Closed page={page({ closed: [{ itemId: 'x', name: 'Oil the bore', why: 'The body is plastic now.' }] })} />);
    expect(screen.getByText('Oil the bore.').closest('li')?.textContent).toContain('The body is plastic now.');
  });
});

describe('the strip of the bore', () => {
  const strip = (['upper-joint', 'lower-joint'] as const).map((part) => ({
    part,
    name: part === 'upper-joint' ? 'Upper joint' : 'Lower joint',
    lengthMm: 200,
    boreMm: [15, 15] as [number, number],
    waterShare: 0.5,
    waterGrams: 0.2,
    joint: 'tenon' as const,
    form: null,
  }));
  const shown = (over: Partial<CareClockView> = {}) => {
    const actions = { seen: jest.fn(), busy: false };
    const clocks = [clock({ ...seen, ...over })];
    const page = { instrument: { name: 'Clarinet', kindName: 'Wooden clarinet' }, strip, clocks };
    draw(<StripWithSigns page={page as unknown as InstrumentPage} actions={actions as never} />);
    return actions;
  };

  test('a part is tapped where something is seen, and only what can be seen there is asked', () => {
    const actions = shown();
    tap(/^Upper joint/);
    fireEvent.click(screen.getByRole('menuitem', { name: 'A pad is loose or missing' }));
    expect(actions.seen.mock.calls).toMatchObject([[{ itemId: 'keyed/key-oil' }, PAD, 'upper-joint']]);
  });

  test('of several signs the others stay to be tapped once one was noticed', () => {
    const noticed = { gauge: { state: 'due' as const, load: 1, words: 'noticed' }, noticed: true };
    const actions = shown({ ...noticed, signs: [PAD, SCREW], noticedSign: PAD.sign });
    tap(/^Upper joint/);
    expect(screen.queryByRole('menuitem', { name: PAD.words })).toBeNull();
    fireEvent.click(screen.getByRole('menuitem', { name: SCREW.words }));
    expect(actions.seen.mock.calls).toMatchObject([[{}, SCREW, 'upper-joint']]);
    cleanup();
    shown({ ...noticed, noticedSign: PAD.sign });
    tap(/^Upper joint/);
    expect(screen.queryByRole('menuitem', { name: PAD.words })).toBeNull();
  });

  test('where nothing can be seen it says so', () => {
    shown();
    tap(/^Lower joint/);
    expect(screen.getByText('Lower joint: nothing to look out for')).toBeTruthy();
    expect(screen.getAllByRole('menuitem').map(({ textContent }) => textContent)).toEqual(['Something is wrong here']);
  });
});

describe('how wet it is blown', () => {
  const wetness = {
    taps: 3,
    factor: 1.4,
    low: 1.1,
    high: 1.8,
    factors: [0.5, 1, 2],
    weights: [0.2, 0.3, 0.5],
  } as NonNullable<InstrumentPage['wetness']>;

  test('what is believed is said with its range and what it stands on, and is forgotten with one tap', () => {
    const onReset = jest.fn();
    draw(<WetnessBelief wetness={wetness} busy={false} onReset={onReset} />);
    expect(screen.getByText(/about 1.4 times the usual water \(1.1–1.8\), by 3 taps/)).toBeTruthy();
    tap(/forget/i);
    expect(onReset).toHaveBeenCalledTimes(1);
  });

  test('with no tap it says that nothing is known yet, and there is nothing to forget', () => {
    draw(<WetnessBelief wetness={{ ...wetness, taps: 0 }} busy={false} onReset={jest.fn()} />);
    expect(screen.getByText(/Nothing is known of you yet/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

test('what is stopped says what its care waits for: a name, or a word of its player', () => {
  const stopped = (over: object) => ({ stopped: { mayBePlayed: false, clearedBy: 'bench', ...over } }) as never;
  expect(careWaits(stopped({}))).toBe('waits until somebody has looked at it');
  expect(careWaits(stopped({ clearedBy: 'self' }))).toBe('waits until you say that this is done');
  expect(careWaits(stopped({ mayBePlayed: true }))).toBeNull();
  expect(careWaits({ stopped: null })).toBeNull();
});
