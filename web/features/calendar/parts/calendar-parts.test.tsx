/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { createTheme, ThemeProvider } from '@mui/material';
import { MemoryRouter } from 'react-router';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { BenchView, OpenStayView } from '#contract/bench.ts';
import type { CalendarPreview } from '#contract/calendar-in.ts';
import type { EventView } from '#contract/calendar.ts';
import type { PlacedItemView, SittingsView } from '#contract/sittings.ts';
import { FORMAT } from '#web/clock/format.ts';
import { BenchTermsSheet } from '#web/features/calendar/parts/BenchTermsSheet.tsx';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { ImportSeries, type Choice } from '#web/features/calendar/parts/ImportSeries.tsx';
import { ImportVanished } from '#web/features/calendar/parts/ImportVanished.tsx';
import { GoesNotTogether, StoppedInstruments } from '#web/features/calendar/parts/NotPlaced.tsx';
import { OneOrAll } from '#web/features/calendar/parts/OneOrAll.tsx';
import { SittingDays } from '#web/features/calendar/parts/SittingDays.tsx';
import { SittingSheet } from '#web/features/calendar/parts/SittingSheet.tsx';
import { SittingToday } from '#web/features/calendar/parts/SittingToday.tsx';
import { SittingTimes } from '#web/features/calendar/parts/SittingTimes.tsx';
import { StaySheet } from '#web/features/calendar/parts/StaySheet.tsx';
import { WeekRibbon } from '#web/features/calendar/parts/WeekRibbon.tsx';
import { choose, tap, tick } from '#web/testing/parts.tsx';

afterEach(cleanup);
const nothing = () => undefined;

const today = localDate('2026-11-27');
const on = (days: number) => addDays(today, days);
const [clarinet, trumpet] = ['clarinet' as InstrumentId, 'trumpet' as InstrumentId];
const player = 'ada' as PlayerId;
const item = (name: string, over: Partial<PlacedItemView> = {}): PlacedItemView => ({
  instrumentId: clarinet,
  instrumentName: 'Clarinet',
  itemId: `swab/${name}` as CareItemId,
  name,
  words: `${name} is due.`,
  dueOn: on(1),
  earliest: null,
  latest: null,
  hands: '',
  isSet: false,
  ...over,
});
const sitting = (over: Partial<SittingsView['sittings'][number]> = {}): SittingsView['sittings'][number] => ({
  uid: 's1',
  on: on(1),
  atMinute: null,
  minutes: 12,
  words: 'about 12 min',
  items: [item('Wash the swab'), item('Oil the bore', { hands: 'with a grown-up' })],
  ...over,
});
const view = (over: Partial<SittingsView> = {}): SittingsView => ({
  playerId: player,
  today,
  said: null,
  usual: [20, 20, 20, 20, 20, 60, 60],
  startsAt: null,
  time: Array.from({ length: 42 }, (_, day) => (day === 2 ? 0 : 20)),
  sittings: [sitting()],
  past: [],
  stopped: [],
  clashes: [],
  left: [],
  unknown: [],
  events: [],
  instruments: [
    { instrumentId: clarinet, name: 'Clarinet', onReeds: true },
    { instrumentId: trumpet, name: 'Trumpet', onReeds: false },
  ],
  words: '',
  because: [],
  ...over,
});
/** A form that says what it would log. */
const form = () => ({
  log: jest.fn(),
  busy: false,
  problem: null,
  fields: [],
  open: nothing,
  remove: jest.fn(),
});

describe('the sheet of a sitting', () => {
  const opened = (over: Partial<SittingsView['sittings'][number]> = {}) => {
    const said = { onSet: jest.fn(), onStart: jest.fn() };
    render(<SittingSheet view={view()} sitting={sitting(over)} busy={false} {...said} onClose={nothing} />);
    return said;
  };

  test('sets all of it on another day, and says when one has no time there', () => {
    const { onSet } = opened();
    tap('Day later');
    expect(screen.getByText(/usually have no time/)).toBeTruthy();
    tap(`Set it for ${FORMAT.weekdayDate(on(2))}`);
    expect(onSet.mock.calls).toEqual([[sitting().items, on(2)]]);
  });

  test('sets only what is ticked, and nothing where nothing is', () => {
    const { onSet } = opened();
    tick(/oil the bore/);
    tap(/^Set it for/);
    expect(onSet.mock.calls[0]?.[0]).toMatchObject([{ name: 'Wash the swab' }]);
    tick(/wash the swab/);
    expect(screen.getByRole('button', { name: /^Set it for/ }).hasAttribute('disabled')).toBe(true);
  });

  test('ends at today, and gives back to the plan only what was set', () => {
    const { onSet, onStart } = opened({ on: today, items: [item('Wash the swab', { isSet: true })] });
    expect(screen.getByRole('button', { name: 'Day earlier' }).hasAttribute('disabled')).toBe(true);
    tap('Let Ulu plan it again');
    expect(onSet.mock.calls[0]?.[1]).toBeNull();
    tap('Do it now');
    expect(onStart).toHaveBeenCalledTimes(1);
    cleanup();
    opened();
    expect(screen.queryByRole('button', { name: 'Let Ulu plan it again' })).toBeNull();
  });
});

describe('day by day', () => {
  test('sittings and events stand in their order, each with what can be done to it, and who has to be there', () => {
    const said = { onStart: jest.fn(), onMove: jest.fn(), onEvent: jest.fn() };
    const gala = {
      key: 'k',
      what: 'concert' as const,
      on: today,
      until: today,
      words: 'Gala',
      instrumentIds: [clarinet],
    };
    render(<SittingDays sittings={[sitting()]} events={[gala]} busy={false} {...said} />);
    const rows = screen.getAllByRole('listitem').filter((one) => one.textContent?.includes(':'));
    expect(rows[0]?.textContent).toContain('Gala');
    expect(screen.getByText(/oil the bore \(with a grown-up\)/)).toBeTruthy();
    tap('Change: Gala');
    tap(/^Another day:/);
    tap(/^Do it now:/);
    expect(said.onEvent.mock.calls).toEqual([['k']]);
    expect(said.onMove.mock.calls).toMatchObject([[{ uid: 's1' }]]);
    expect(said.onStart.mock.calls).toMatchObject([[{ uid: 's1' }]]);
  });

  test('with nothing in it, it says so', () => {
    render(<SittingDays sittings={[]} events={[]} busy={false} onStart={nothing} onMove={nothing} onEvent={nothing} />);
    expect(screen.getByText('Nothing in these six weeks.')).toBeTruthy();
  });
});

describe('the ribbon', () => {
  // What jsdom does not know: the width of a screen.
  const wide = { matches: false, addListener: nothing, removeListener: nothing };
  const drawn = () => {
    window.matchMedia = (() => ({ ...wide, addEventListener: nothing, removeEventListener: nothing })) as never;
    const said = { onMove: jest.fn(), onOpen: jest.fn() };
    render(
      <ThemeProvider theme={createTheme()}>
        <WeekRibbon view={view()} reeds={undefined} only={null} moving={null} {...said} />
      </ThemeProvider>,
    );
    return said;
  };
  const one = () => screen.getByRole('button', { name: /^Sitting on/ });
  const keys = (...all: string[]) => all.forEach((key) => fireEvent.keyDown(one(), { key }));

  test('a sitting is carried by keys and put down, or left where it was', () => {
    const { onMove } = drawn();
    keys(' ', 'ArrowRight', 'Escape');
    expect(onMove).not.toHaveBeenCalled();
    keys(' ', 'ArrowRight', 'ArrowRight');
    expect(screen.getByRole('status').textContent).toContain(FORMAT.weekdayDate(on(3)));
    keys('Enter');
    expect(onMove.mock.calls).toEqual([['s1', on(3)]]);
  });

  test('it does not leave the weeks, and put down where it was it has not moved', () => {
    const { onMove, onOpen } = drawn();
    keys(' ', 'ArrowLeft', 'ArrowLeft', 'ArrowLeft', 'Enter');
    expect(onMove.mock.calls).toEqual([['s1', today]]);
    keys(' ', ' ');
    expect(onMove).toHaveBeenCalledTimes(1);
    keys('Enter');
    expect(onOpen.mock.calls).toEqual([['s1']]);
  });

  test('says the same as a table to those who hear it', () => {
    drawn();
    const row = within(screen.getByRole('table')).getByRole('row', { name: /^Clarinet/ });
    expect(row.textContent).toContain('Wash the swab, Oil the bore');
  });
});

test('whose weeks are shown is one choice; one instrument alone has only everybody’s beside it', () => {
  const onChange = jest.fn();
  const { instruments } = view();
  render(<OneOrAll instruments={instruments} shown={{ kind: 'mine', only: null }} onChange={onChange} />);
  fireEvent.mouseDown(screen.getByRole('combobox'));
  fireEvent.click(screen.getByRole('option', { name: 'Trumpet' }));
  fireEvent.mouseDown(screen.getByRole('combobox'));
  fireEvent.click(screen.getByRole('option', { name: 'Everybody’s instruments' }));
  expect(onChange.mock.calls).toEqual([[{ kind: 'mine', only: trumpet }], [{ kind: 'everybody' }]]);
});

test('the next sitting is begun on its day, and before it instead', () => {
  const onStart = jest.fn();
  const line = (days: number) => (
    <MemoryRouter>
      <SittingToday today={today} next={sitting({ on: on(days) })} busy={false} onStart={onStart} />
    </MemoryRouter>
  );
  render(line(0));
  tap('Start it');
  cleanup();
  render(line(3));
  tap('Do it now instead');
  expect(onStart).toHaveBeenCalledTimes(2);
});

describe('an event', () => {
  const old = (over: Partial<EventView> = {}): EventView => ({
    key: 'k1',
    playerId: player,
    what: 'concert',
    on: on(9),
    until: null,
    minutes: 80,
    name: 'Gala',
    instrumentIds: [clarinet],
    atMinute: null,
    minutesOf: [],
    series: null,
    stay: null,
    calendar: null,
    asImported: false,
    ...over,
  });
  const opened = (event: EventView) => {
    const entering = form();
    const { instruments } = view();
    render(
      <EventSheet
        playerId={player}
        instruments={instruments}
        old={event}
        event={entering as never}
        onClose={nothing}
      />,
    );
    return entering;
  };

  test('that was typed is corrected, or deleted', () => {
    const { log, remove } = opened(old());
    tap('Keep it so');
    expect(log.mock.calls[0]).toMatchObject([{ name: 'Gala', minutes: 80 }, { corrects: 'k1' }]);
    tap('Delete the concert');
    expect(remove.mock.calls[0]?.[0]).toEqual(old());
  });

  test('on two instruments says that each of them is played that long, and a holiday does not', () => {
    opened(old({ instrumentIds: [clarinet, trumpet] }));
    expect(screen.getByLabelText('Each of the 2 is played that long')).toBeTruthy();
    tick('Trumpet');
    expect(screen.queryByText(/is played that long/)).toBeNull();
  });

  test('on two instruments may be played for another time on each', () => {
    const { log } = opened(old({ instrumentIds: [clarinet, trumpet] }));
    tick('Each of the 2 is played that long');
    tap('Less: Trumpet');
    tap('Keep it so');
    const minutesOf = [
      { instrumentId: clarinet, minutes: 80 },
      { instrumentId: trumpet, minutes: 75 },
    ];
    expect(log.mock.calls[0]?.[0]).toMatchObject({ minutes: 80, minutesOf });
    tick('Each of the 2 is played that long');
    tap('Keep it so');
    expect(log.mock.calls[1]?.[0]).toMatchObject({ minutesOf: [] });
  });

  test('begins at a time where somebody knows it', () => {
    const { log } = opened(old({ atMinute: 1170 }));
    expect(screen.getByLabelText<HTMLInputElement>('Begins at, if you know').value).toBe('19:30');
    fireEvent.change(screen.getByLabelText('Begins at, if you know'), { target: { value: '20:05' } });
    tap('Keep it so');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ atMinute: 1205, repeats: null });
  });

  const series = { key: 'k0', on: on(2), repeats: { weeks: 1, until: on(30) } };

  test('one of a series is changed alone, or all of them are', () => {
    const { log } = opened(old({ series, asImported: true }));
    tap('Keep it so');
    expect(log.mock.calls[0]).toMatchObject([{ on: on(9), repeats: null, insteadOf: 'k1' }, { corrects: undefined }]);
    fireEvent.click(screen.getByRole('radio', { name: /^All of them: every week until/ }));
    expect(screen.getByText(/^It comes every week, first on .*: 5 times\.$/)).toBeTruthy();
    tap('Keep it so');
    expect(log.mock.calls[1]).toMatchObject([{ on: on(2), repeats: series.repeats }, { corrects: 'k0' }]);
    expect(log.mock.calls[1]?.[0]).not.toHaveProperty('insteadOf');
  });

  test('one of a series is left out alone, or all are deleted', () => {
    const { log, remove } = opened(old({ series, asImported: true }));
    tap('Leave this one out');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ insteadOf: 'k1', dropped: true });
    fireEvent.click(screen.getByRole('radio', { name: /^All of them/ }));
    tap('Delete all of them');
    expect(remove.mock.calls[0]?.[0]).toMatchObject({ key: 'k0', on: on(2), series });
  });

  test('comes again and again once that is said, and not before it says until when', () => {
    const entering = form();
    render(
      <EventSheet
        playerId={player}
        instruments={view().instruments}
        kinds={['rehearsal']}
        event={entering as never}
        onClose={nothing}
      />,
    );
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: on(3) } });
    choose('How often', 'every 2 weeks');
    expect(screen.getByRole('button', { name: 'Add the rehearsal' }).hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('Until'), { target: { value: on(31) } });
    expect(screen.getByText(/3 times\.$/)).toBeTruthy();
    tap('Add the rehearsal');
    expect(entering.log.mock.calls[0]?.[0]).toMatchObject({ on: on(3), repeats: { weeks: 2, until: on(31) } });
  });

  test('that was imported has another in its place, or is left out', () => {
    const { log, remove } = opened(old({ calendar: 'Tideway', asImported: true }));
    tap('Keep it so');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ insteadOf: 'k1' });
    expect(log.mock.calls[0]?.[1]).toMatchObject({ corrects: undefined });
    tap('Leave it out of my calendar');
    expect(log.mock.calls[1]?.[0]).toMatchObject({ insteadOf: 'k1', dropped: true });
    expect(remove).not.toHaveBeenCalled();
  });

  test('that was imported and put right since is corrected again, and left out as well', () => {
    const { log } = opened(old({ calendar: 'Tideway' }));
    tap('Leave it out of my calendar');
    expect(log.mock.calls[0]).toMatchObject([{ dropped: true }, { corrects: 'k1' }]);
  });

  test('a stay keeps what was said of it while its days are put right', () => {
    const stay = { done: [{ instrumentId: clarinet, itemIds: [] }], cost: null };
    const { log } = opened(old({ what: 'bench', minutes: null, stay }));
    tap('Keep it so');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ what: 'bench', stay });
  });
});

describe('a calendar file', () => {
  const SERIES: CalendarPreview['series'] = [
    {
      uid: 'band',
      name: 'Band practice',
      count: 3,
      first: on(3),
      last: on(17),
      minutes: 90,
      state: 'changed',
      what: 'rehearsal',
      instrumentIds: [clarinet],
      mostPlayed: trumpet,
      taken: true,
    },
    {
      uid: 'dentist',
      name: '',
      count: 1,
      first: on(5),
      last: on(5),
      minutes: null,
      state: 'new',
      what: 'holiday',
      instrumentIds: [clarinet, trumpet],
      mostPlayed: trumpet,
      taken: false,
    },
  ];
  const choices: Choice[] = SERIES.map(({ uid, what, instrumentIds, taken }) => ({ uid, what, instrumentIds, taken }));

  test('is ticked series by series; what is taken says what it is, and on what', () => {
    const onChange = jest.fn();
    const { instruments } = view();
    render(<ImportSeries series={SERIES} choices={choices} instruments={instruments} onChange={onChange} />);
    expect(screen.getByText(/^3 dates from .*, 1 h 30 min, changed$/)).toBeTruthy();
    tick(/Without a name/);
    expect(onChange.mock.calls[0]?.[0]).toMatchObject({ uid: 'dentist', taken: true });
    fireEvent.mouseDown(screen.getByRole('combobox', { name: /what it is/ }));
    fireEvent.click(screen.getByRole('option', { name: 'Concert' }));
    expect(onChange.mock.calls[1]?.[0]).toMatchObject({ uid: 'band', what: 'concert' });
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'On which instruments' }));
    fireEvent.click(screen.getByRole('option', { name: 'Trumpet' }));
    expect(onChange.mock.calls[2]?.[0]).toMatchObject({ uid: 'band', instrumentIds: [clarinet, trumpet] });
    tick(/^All \d+$/);
    expect(onChange.mock.calls[3]).toMatchObject(choices.map(({ uid }) => ({ uid, taken: true })));
  });

  test('a holiday is off for every instrument, a rehearsal on the one most played, and the time of two is said', () => {
    const onChange = jest.fn();
    const { instruments } = view();
    const taken = choices.map((one) => ({ ...one, taken: true, instrumentIds: [clarinet, trumpet] }));
    render(<ImportSeries series={SERIES} choices={taken} instruments={instruments} onChange={onChange} />);
    expect(screen.getAllByText('Counts as played on each, all of its time.')).toHaveLength(1);
    choose(/^Band practice: what it is/, 'Holiday');
    choose(/^Without a name: what it is/, 'Rehearsal');
    expect(onChange.mock.calls.map(([one]) => one)).toMatchObject([
      { uid: 'band', what: 'holiday', instrumentIds: [clarinet, trumpet] },
      { uid: 'dentist', what: 'rehearsal', instrumentIds: [trumpet] },
    ]);
  });

  test('what has vanished from it goes only where it is ticked', () => {
    const onChange = jest.fn();
    const vanished = [
      { key: 'a', on: on(3), words: 'Gala', isCancelled: true },
      { key: 'b', on: on(4), words: 'Matinee', isCancelled: false },
    ];
    render(<ImportVanished vanished={vanished} dropped={['b']} onChange={onChange} />);
    expect(screen.getByText(/^Cancelled by its calendar/)).toBeTruthy();
    expect(screen.getByText(/^No longer in it/)).toBeTruthy();
    tick(/Gala/);
    tick(/Matinee/);
    expect(onChange.mock.calls).toEqual([[['b', 'a']], [[]]]);
    cleanup();
    const { container } = render(<ImportVanished vanished={[]} dropped={[]} onChange={onChange} />);
    expect(container.textContent).toBe('');
  });
});

test('what is stopped and what does not go together is said, and nothing where nothing is wrong', () => {
  const none = render(<GoesNotTogether clashes={[]} />);
  expect(none.container.textContent).toBe('');
  render(
    <MemoryRouter>
      <GoesNotTogether clashes={['Two stays overlap.']} />
      <StoppedInstruments stopped={[{ instrumentId: trumpet, name: 'Trumpet', heading: 'A brace is loose' }]} />
    </MemoryRouter>,
  );
  expect(screen.getByText('Two stays overlap.')).toBeTruthy();
  expect(screen.getByText(/^Trumpet: A brace is loose\. Nothing is planned for it/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'See it' }).getAttribute('href')).toBe('/faults/trumpet');
});

describe('when one has time', () => {
  test('is said by weekday in steps, and a time only where somebody says one', () => {
    const time = form();
    render(<SittingTimes view={view()} time={time} onClose={nothing} />);
    tap('Less: Monday');
    tap('Less: Tuesday');
    tap('Less: Tuesday');
    tap('Plan with that');
    const minutes = [10, 0, 20, 20, 20, 60, 60];
    expect(time.log.mock.calls[0]?.[0]).toEqual({ playerId: player, minutes, startsAt: null });
    tap('Say at what time, too');
    expect(screen.queryByLabelText('Tuesday from')).toBeNull();
    fireEvent.change(screen.getByLabelText('Monday from'), { target: { value: '18:45' } });
    tap('Plan with that');
    expect(time.log.mock.calls[1]?.[0]).toMatchObject({ startsAt: [1125, null, null, null, null, null, null] });
    fireEvent.change(screen.getByLabelText('Monday from'), { target: { value: '' } });
    tap('Plan with that');
    expect(time.log.mock.calls[2]?.[0]).toMatchObject({ startsAt: null });
  });
});

const REGIONS = [{ region: 'XX', name: 'Somewhere' }];

describe('the bench', () => {
  const terms: BenchView['terms'] = {
    name: null,
    phone: null,
    workingDays: 10,
    shippingDays: 0,
    settlingDays: 3,
    region: null,
    noShippingMonths: [],
    said: false,
  };
  test('its figures are stepped through, never below none', () => {
    const kept = form();
    render(
      <BenchTermsSheet playerId={player} terms={terms} regions={REGIONS} kept={kept as never} onClose={nothing} />,
    );
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: ' Quayside Winds ' } });
    tap('More: Working days there');
    tap('Less: Days on the way, each way');
    choose('Public holidays of', 'Somewhere');
    tap('Keep it so');
    expect(kept.log.mock.calls[0]?.[0]).toEqual({
      playerId: player,
      name: 'Quayside Winds',
      phone: null,
      workingDays: 11,
      shippingDays: 0,
      settlingDays: 3,
      region: 'XX',
      noShippingMonths: [],
    });
  });

  const stay = (over: Partial<OpenStayView> = {}): OpenStayView => ({
    key: 'k',
    on: on(-9),
    until: on(2),
    name: 'Dents',
    words: 'Dents',
    instruments: [
      {
        instrumentId: trumpet,
        name: 'Trumpet',
        items: Array.from({ length: 8 }, (_, at) => ({
          itemId: `brass/item-${at}` as CareItemId,
          name: `Item ${at}`,
        })),
        works: [{ work: 'recork', name: 'A tenon recorked' }],
      },
    ],
    ...over,
  });
  const back = (over: Partial<OpenStayView> = {}, currency: string | null = 'EUR') => {
    const event = form();
    render(
      <StaySheet
        playerId={player}
        stay={stay(over)}
        currency={currency}
        today={today}
        event={event as never}
        onClose={nothing}
      />,
    );
    return event;
  };

  test('what is back says what was done there and what it cost, in the currency of the record', () => {
    const { log } = back();
    tick('Item 0');
    tick('Item 3');
    tick('Item 0');
    fireEvent.change(screen.getByLabelText('What it cost, EUR'), { target: { value: '120,50' } });
    tap('It is back');
    expect(log.mock.calls[0]?.[1]).toMatchObject({ corrects: 'k' });
    expect(log.mock.calls[0]?.[0]).toMatchObject({
      what: 'bench',
      on: on(-9),
      // Before its time: it is back today.
      until: today,
      name: 'Dents',
      instrumentIds: [trumpet],
      stay: {
        done: [{ instrumentId: trumpet, itemIds: ['brass/item-3'] }],
        cost: { minor: 12_050, currency: 'EUR' },
      },
    });
  });

  test('work that is no care of the book is said by its name; months of frost only where it is sent', () => {
    const { log } = back();
    tick('A tenon recorked');
    tap('It is back');
    const done = [{ instrumentId: trumpet, itemIds: [], works: ['recork'] }];
    expect(log.mock.calls[0]?.[0]).toMatchObject({ stay: { done } });
    const kept = form();
    const props = { playerId: player, regions: REGIONS, kept: kept as never, onClose: nothing };
    const byHand = render(<BenchTermsSheet terms={terms} {...props} />);
    expect(screen.queryByText('Feb')).toBeNull();
    byHand.unmount();
    render(<BenchTermsSheet terms={{ ...terms, shippingDays: 2 }} {...props} />);
    tap('Feb');
    tap('Jan');
    tap('Keep it so');
    expect(kept.log.mock.calls[0]?.[0]).toMatchObject({ noShippingMonths: [1, 2] });
  });

  test('nothing need be said of it, more is a tap away, and what is no amount is not kept', () => {
    const { log } = back({ until: on(-2) });
    expect(screen.queryByLabelText('Item 7')).toBeNull();
    tick('Something else');
    expect(screen.getByLabelText('Item 7')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('What it cost, EUR'), { target: { value: 'much' } });
    expect(screen.getByRole('button', { name: 'It is back' }).hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('What it cost, EUR'), { target: { value: '' } });
    tap('It is back');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ until: on(-2), stay: { done: [], cost: null } });
  });
});
