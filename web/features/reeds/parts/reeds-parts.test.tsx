/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, screen } from '@testing-library/react';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { ReedBoxView, ReedPlanView, ReedsOfKindView, ReedView } from '#contract/reed-views.ts';
import { BoxSheet } from '#web/features/reeds/parts/BoxSheet.tsx';
import { BreakInTimer } from '#web/features/reeds/parts/BreakInTimer.tsx';
import { PlayReeds } from '#web/features/reeds/parts/PlayReeds.tsx';
import { Readiness } from '#web/features/reeds/parts/Readiness.tsx';
import type { ReedFamily } from '#core/reeds/reed.ts';
import { ReedSheet } from '#web/features/reeds/parts/ReedSheet.tsx';
import { ReedSlots } from '#web/features/reeds/parts/ReedSlots.tsx';
import { SessionSheet } from '#web/features/reeds/parts/SessionSheet.tsx';
import { choose, draw, isDead, tap, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

const today = localDate('2026-11-27');
const player = 'ada' as PlayerId;
const clarinet = 'clarinet' as InstrumentId;
const reed = (number: number, over: Partial<ReedView> = {}): ReedView => ({
  reedId: `box/${number}` as ReedId,
  number,
  stage: 'in-rotation',
  words: 'in rotation, not graded yet',
  playedMinutes: 200,
  shareOfLife: 0.2,
  leftWords: 'about 12 h left',
  lastPlayedOn: addDays(today, -2),
  goodFor: null,
  ungraded: false,
  because: [],
  ...over,
});
const box = (over: Partial<ReedBoxView> = {}): ReedBoxView => ({
  key: '00000000-0000-4000-8000-000000000001',
  name: 'Fennel 2½',
  entered: { name: 'Fennel', strength: '2½', cost: null, before: [0, 0, 900] },
  cut: null,
  material: 'cane',
  breakIn: 'two-weeks',
  place: 'left pocket',
  cameOn: localDate('2026-11-01'),
  reeds: [],
  ...over,
});

describe('a box of reeds', () => {
  const opened = (old: ReedBoxView | null, over: object = {}) => {
    const entering = { log: jest.fn(), busy: false, problem: null, fields: [], open: jest.fn() };
    draw(
      <BoxSheet
        playerId={player}
        of={{ kind: 'clarinet', kindName: 'Clarinet', breaksIn: true, ...over }}
        old={old}
        currency={null}
        today={today}
        box={entering as never}
        onClose={jest.fn()}
      />,
    );
    return entering.log;
  };

  test('of double reeds says how they are scraped and how long they are, where somebody measured', () => {
    const log = opened(null, { kind: 'oboe', kindName: 'Oboe', breaksIn: false });
    typeInto('Name', 'Teasel');
    tap('Long scrape');
    typeInto('How long a reed is, mm', '7');
    expect(isDead('Add the box')).toBe(true);
    typeInto('How long a reed is, mm', '70,5');
    tap('Add the box');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ scrape: 'long', lengthTenths: 705, breakIn: 'none' });
  });

  test('needs a name and nothing else: what is usual is set', () => {
    const log = opened(null);
    expect(isDead('Add the box')).toBe(true);
    typeInto('Name', ' Gull Lane ');
    tap('Add the box');
    expect(log.mock.calls[0]?.[0]).toEqual({
      playerId: player,
      kind: 'clarinet',
      name: 'Gull Lane',
      cut: null,
      strength: null,
      material: 'cane',
      breakIn: 'week',
      place: null,
      cost: null,
      cameOn: today,
      before: Array.from({ length: 10 }, () => 0),
    });
  });

  test('is put right with what was said of it, under the key of the one it corrects', () => {
    const log = opened(box());
    choose('How many reeds', '2');
    tap('Keep it so');
    expect(log.mock.calls[0]?.[1]).toMatchObject({ corrects: box().key });
    expect(log.mock.calls[0]?.[0]).toMatchObject({
      name: 'Fennel',
      strength: '2½',
      breakIn: 'two-weeks',
      place: 'left pocket',
      before: [0, 0],
    });
  });

  test('one that grows has its new reeds as the last one is; each is set by a tap', () => {
    const log = opened(box());
    choose('How many reeds', '5');
    tap('Reed 1: new');
    tap('Reed 1: a week');
    tap('Keep it so');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ before: [900, 0, 900, 900, 900] });
  });

  test('all may be said at once; what nobody knows is not made up', () => {
    const log = opened(null);
    typeInto('Name', 'Old tin');
    choose('How many reeds', '2');
    choose('How far gone', 'Played, nobody knows how long');
    tap('Add the box');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ before: [null, null] });
  });

  test('a synthetic one is not broken in, nor one of a kind that is not', () => {
    const log = opened(null);
    typeInto('Name', 'Plastic');
    tap('Synthetic');
    expect(screen.queryByText('Break them in')).toBeNull();
    tap('Add the box');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ material: 'synthetic', breakIn: 'none' });
    cleanup();
    const double = opened(null, { breaksIn: false });
    typeInto('Name', 'Bassoon reeds');
    tap('Add the box');
    expect(double.mock.calls[0]?.[0]).toMatchObject({ material: 'cane', breakIn: 'none' });
  });

  test('a price is an amount in a currency, or none; another is refused before it is sent', () => {
    const log = opened(null);
    typeInto('Name', 'Fennel');
    typeInto('What the box cost', 'a lot');
    expect(isDead('Add the box')).toBe(true);
    typeInto('What the box cost', '28.90');
    tap('Add the box');
    expect(log.mock.calls[0]?.[0]).toMatchObject({ cost: { minor: 2890, currency: 'EUR' } });
  });
});

describe('what is said of a reed', () => {
  const opened = (one: ReedView, family: ReedFamily = 'single') => {
    const said = { busy: false, graded: jest.fn(), flattened: jest.fn(), ended: jest.fn() };
    const onClose = jest.fn();
    const of = { family, hasBack: family === 'single' };
    const paths = { table: null, faults: '/faults/clarinet' };
    draw(<ReedSheet name="Fennel, reed 1" reed={one} {...of} {...paths} said={said as never} onClose={onClose} />);
    return { ...said, onClose };
  };

  test('how it felt and what it is good for are two taps, what was wrong is one more', () => {
    const { graded, onClose } = opened(reed(1));
    tap('right');
    tap('stuffy');
    tap('squeaks');
    tap('stuffy');
    tap('rehearsal');
    expect(graded.mock.calls).toEqual([['box/1', { feel: 'right', goodFor: 'rehearsal', signs: ['squeaks'] }]]);
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  test('what was wrong with it leads to what it may be, with its sign said already', () => {
    opened(reed(1));
    tap('right');
    expect(screen.queryByRole('link', { name: 'Ask what it is' })).toBeNull();
    tap('stuffy');
    tap('squeaks');
    const link = () => screen.getByRole('link', { name: 'Ask what it is' }).getAttribute('href');
    expect(link()).toBe('/faults/clarinet?sign=single-reed/squeak');
    tap('squeaks');
    expect(link()).toBe('/faults/clarinet?sign=keyed/stuffy');
  });

  test('too hard asks for a flat back before it is a grade', () => {
    const { graded, flattened } = opened(reed(1));
    tap('too hard');
    expect(screen.getByText(/may only be bulged/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'concert' })).toBeNull();
    tap('I have just rubbed it flat');
    expect([flattened.mock.calls, graded.mock.calls]).toEqual([[['box/1']], []]);
    tap('too hard');
    tap('Still too hard');
    expect(graded.mock.calls).toEqual([['box/1', { feel: 'too-hard', goodFor: null, signs: [] }]]);
  });

  test('tried step by step: hard, flattened, still hard and moved, it is graded at last', () => {
    const { graded, flattened } = opened(reed(1));
    tap('Try it step by step');
    tap('I have played it');
    tap('too hard');
    expect(screen.getByText(/Rub its back flat/)).toBeTruthy();
    tap('Done');
    expect(flattened.mock.calls).toEqual([['box/1']]);
    tap('I have played it');
    tap('stuffy');
    expect(screen.getByText(/a hair down/)).toBeTruthy();
    tap('Done');
    tap('I have played it');
    tap('right');
    tap('concert');
    expect(graded.mock.calls).toEqual([['box/1', { feel: 'right', goodFor: 'concert', signs: [] }]]);
  });

  test('a double reed has no back to be rubbed flat, and signs and ends of its own', () => {
    const { graded } = opened(reed(1), 'double');
    expect(screen.queryByRole('button', { name: 'Its back is rubbed flat' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Try it step by step' })).toBeNull();
    tap('Retire this reed…');
    expect(screen.getByRole('button', { name: 'flat for good' })).toBeTruthy();
    tap('too hard');
    expect(screen.queryByText(/may only be bulged/)).toBeNull();
    tap('a corner is gone');
    tap('practice');
    expect(graded.mock.calls).toEqual([['box/1', { feel: 'too-hard', goodFor: 'practice', signs: ['corner-gone'] }]]);
  });

  test('it is retired with its reason, in two taps', () => {
    const { ended, onClose } = opened(reed(1));
    expect(screen.queryByRole('button', { name: 'split' })).toBeNull();
    tap('Retire this reed…');
    tap('split');
    expect(ended.mock.calls).toEqual([['box/1', 'split']]);
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  test('a new one is not graded, a retired one only read', () => {
    opened(reed(1, { stage: 'new', playedMinutes: 0, leftWords: null, lastPlayedOn: null }));
    expect(screen.getByText('Not played in this record.')).toBeTruthy();
    expect(screen.queryByText('How did it feel?')).toBeNull();
    expect(screen.getByRole('button', { name: 'Retire this reed…' })).toBeTruthy();
    cleanup();
    opened(reed(1, { stage: 'retired', words: 'split since 3 Nov' }));
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Close']);
  });
});

test('the slots of a box open each reed, and say of each how it stands', () => {
  const onReed = jest.fn();
  const reeds = [reed(1), reed(2, { stage: 'retired', words: 'split since 3 Nov' })];
  draw(<ReedSlots reeds={reeds} proposed="box/1" onReed={onReed} />);
  tap('Reed 2: split since 3 Nov');
  expect(onReed.mock.calls).toMatchObject([[{ number: 2 }]]);
});

describe('on which reed a play was', () => {
  const choice = (number: number) => ({
    reedId: `box/${number}` as ReedId,
    name: `Fennel, reed ${number}`,
    minutes: 45,
    words: '',
    warp: null,
    because: [],
  });
  const play = (over: object = {}) => ({
    playKey: '00000000-0000-4000-8000-000000000009',
    instrumentId: clarinet,
    name: 'Clarinet',
    endedOn: today,
    endedAtMinute: 1190,
    minutes: 45,
    saidKey: null,
    high: null,
    shares: [],
    ...over,
  });
  const shown = (over: object = {}, plays = [play(over)]) => {
    const playing = { say: jest.fn(), busy: false };
    const of = {
      first: [choice(1)],
      choices: [choice(2)],
      resting: [choice(3)],
      boxes: [box({ reeds: [reed(1), reed(2), reed(3), reed(4, { stage: 'new' }), reed(5, { stage: 'retired' })] })],
      plays,
    } as unknown as ReedsOfKindView;
    draw(<PlayReeds of={of} playing={playing as never} />);
    return playing.say;
  };

  test('is one tap; what rests may have been played, what is retired not', () => {
    const say = shown();
    tap(/^Say the reed/);
    expect(isDead('Log it on this reed')).toBe(true);
    expect(screen.queryByRole('button', { name: /reed 5/ })).toBeNull();
    tap('Fennel, reed 3');
    tap('Some of it');
    tap('Log it on this reed');
    expect(say.mock.calls).toEqual([
      [{ playKey: play().playKey, shares: [{ reedId: 'box/3', minutes: 45 }], high: 'some' }],
    ]);
  });

  test('two share it as it is said, to the minute', () => {
    const say = shown();
    tap(/^Say the reed/);
    tap('Fennel, reed 1');
    tap('Fennel, reed 2');
    tap('More on Fennel, reed 1');
    tap('Log it on 2 reeds');
    const [sent] = say.mock.calls[0] as [{ shares: { minutes: number }[] }];
    expect(sent.shares.map(({ minutes }) => minutes)).toEqual([27, 18]);
  });

  test('a new reed is opened only where it is asked for', () => {
    const say = shown();
    tap(/^Say the reed/);
    expect(screen.queryByRole('button', { name: 'Fennel 2½, reed 4' })).toBeNull();
    tap('It was a new reed');
    tap('Fennel 2½, reed 4');
    tap('Log it on this reed');
    expect(say.mock.calls).toMatchObject([[{ shares: [{ reedId: 'box/4', minutes: 45 }] }]]);
  });

  test('what was said is put right under its key, another reed in its place', () => {
    const saidKey = '00000000-0000-4000-8000-000000000010';
    const shares = [{ reedId: 'box/1', name: 'Fennel, reed 1', minutes: 45 }];
    const say = shown({ saidKey, shares, high: 'much' });
    tap(/^Change/);
    tap('Fennel, reed 1');
    tap('Fennel, reed 2');
    tap('Log it on this reed');
    expect(say.mock.calls).toMatchObject([[{ shares: [{ reedId: 'box/2', minutes: 45 }], high: 'much' }, saidKey]]);
  });

  test('with nothing played it says so', () => {
    shown({}, []);
    expect(screen.getByText('Nothing played in this record yet.')).toBeTruthy();
  });
});

describe('a planned session', () => {
  const row = (number: number) => ({
    reedId: `box/${number}` as ReedId,
    number,
    boxName: 'Fennel',
    played: [],
    planned: [0, 45, 0],
    set: [null, null, null],
    caps: [null, null, null],
  });
  const plan = { from: today, today, expected: [45, 45, 45], concerts: [false, false, false], rows: [row(1), row(2)] };
  const opened = (over: object = {}) => {
    const said = { onSet: jest.fn(), onFree: jest.fn(), onClose: jest.fn() };
    draw(
      <SessionSheet
        plan={plan as unknown as ReedPlanView}
        session={{ row: 0, day: 1, minutes: 45, isSet: false, ...over }}
        busy={false}
        {...said}
      />,
    );
    return said;
  };

  test('goes to another day, to another reed, or takes longer', () => {
    const { onSet } = opened();
    tap('Day later');
    choose('Reed', 'Fennel, reed 2');
    tap('+5 minutes');
    tap('Set it');
    expect(onSet.mock.calls).toMatchObject([[{ row: 0, day: 1 }, { row: 1, day: 2 }, 50]]);
  });

  test('is left out that day, and what is set is left to the plan again', () => {
    const { onSet, onFree } = opened({ isSet: true });
    tap(/^Not on/);
    expect(onSet.mock.calls).toMatchObject([[{ day: 1 }, { day: 1 }, 0]]);
    tap('Let Ulu plan it again');
    expect(onFree).toHaveBeenCalledTimes(1);
    cleanup();
    opened();
    expect(screen.queryByRole('button', { name: 'Let Ulu plan it again' })).toBeNull();
  });

  test('does not go before the plan begins', () => {
    opened({ day: 0 });
    expect(isDead('Day earlier')).toBe(true);
  });
});

describe('the few minutes of a day of breaking in', () => {
  beforeEach(() => localStorage.clear());
  const shown = () => draw(<BreakInTimer reedId={'box/1' as ReedId} name="Fennel, reed 1" minutes={5} />);
  const begunMinutesAgo = (minutes: number) =>
    localStorage.setItem('ulu.break-in.box/1', String(Date.now() - minutes * 60_000));

  test('are counted down from the tap on, and stopped by another', () => {
    shown();
    act(() => void tap('Start 5 min: Fennel, reed 1'));
    expect(screen.getByRole('timer').textContent).toMatch(/^(5:00|4:59)$/);
    tap('Stop: Fennel, reed 1');
    expect(screen.queryByRole('timer')).toBeNull();
    expect(localStorage.length).toBe(0);
  });

  test('go on after a reload, say when it is enough, and are forgotten after hours', () => {
    begunMinutesAgo(2);
    shown();
    expect(screen.getByRole('timer').textContent).toMatch(/^(3:00|2:59|3:01)$/);
    cleanup();
    begunMinutesAgo(6);
    shown();
    expect(screen.getByRole('timer').textContent).toBe('That is enough for today.');
    cleanup();
    begunMinutesAgo(600);
    shown();
    expect(screen.queryByRole('timer')).toBeNull();
  });
});

describe('ready for the concert', () => {
  test('a day and a number are asked, and answered in words with the table to check them by', () => {
    const onAsk = jest.fn();
    const asked = { on: null, wanted: 2 };
    const { rerender } = draw(<Readiness asked={asked} onAsk={onAsk} ready={null} />);
    expect(screen.getByText(/Say the day, and Ulu says/)).toBeTruthy();
    typeInto('Day of the concert', '2026-12-24');
    choose('Concert reeds', '3');
    expect(onAsk.mock.calls).toEqual([[{ on: '2026-12-24', wanted: 2 }], [{ on: null, wanted: 3 }]]);
    const table = [
      { opened: 2, chance: 0.512 },
      { opened: 3, chance: 0.9 },
    ];
    rerender(<Readiness asked={asked} onAsk={onAsk} ready={{ words: 'Open 3 by 4 December.', because: [], table }} />);
    expect(screen.getByText('Open 3 by 4 December.')).toBeTruthy();
    expect(screen.getByRole('table').textContent).toBe('Open23Chance51 %90 %');
  });
});
