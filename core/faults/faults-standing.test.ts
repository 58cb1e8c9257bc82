import { describe, expect, test } from '@jest/globals';
import type { Mishap, SignId } from '#core/book/fault.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import type { AnswerSaid, InterviewNoted, MishapNoted, OutcomeSaid } from '#core/faults/fault-record.ts';
import {
  backFromBench,
  faultsStanding,
  isLaidBy,
  outcomesOf,
  saidYes,
  withSharedEnds,
} from '#core/faults/faults-standing.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { wallMinute } from '#core/plays/play.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, localDate } from '#core/time/local-date.ts';

const TODAY = localDate('2026-11-24');
const ago = (days: number) => addDays(TODAY, -days);
const clarinet = { id: 'c' as InstrumentId, kind: 'clarinet', build: usualBuild(BOOK.kinds.clarinet) } as const;
const mishap = (what: Mishap, days: number, over: Partial<MishapNoted> = {}): MishapNoted => ({
  ...{ key: `${what}-${days}`, mishap: what, part: null, on: ago(days), end: null },
  ...over,
});
const interview = (over: Partial<InterviewNoted> = {}): InterviewNoted => ({
  ...{
    key: 'i',
    on: ago(2),
    atWallMinute: wallMinute(ago(2), 600),
    noticed: ['keyed/stuffy'],
    answers: [],
    outcomes: [],
    end: null,
  },
  ...over,
});
const answer = (sign: SignId, said: AnswerSaid['answer'], over: Partial<AnswerSaid> = {}): AnswerSaid => ({
  ...{ key: sign, sign, answer: said, noticed: false },
  ...over,
});
const end = { key: 'e', by: 'bench', on: ago(1), atWallMinute: 0 } as const;
const stay = (on: number, until: number | null, what = 'bench', id = 'c') =>
  ({ what, instrumentIds: [id], on: ago(on), until: until === null ? null : ago(until) }) as unknown as CalendarEvent;
const stand = (
  facts: { interviews?: readonly InterviewNoted[]; mishaps?: readonly MishapNoted[] },
  events: readonly CalendarEvent[] = [],
) => faultsStanding(BOOK, clarinet, { interviews: [], mishaps: [], ...facts }, { today: TODAY, events });
const counting = (...all: Parameters<typeof stand>) => stand(...all).mishaps.map(({ key }) => key);

describe('what happened counts', () => {
  test('for fourteen days, and not before it happened', () => {
    expect(counting({ mishaps: [mishap('rain', 14)] })).toEqual(['rain-14']);
    expect(counting({ mishaps: [mishap('rain', 15), mishap('rain', -1)] })).toEqual([]);
    expect(counting({ mishaps: [mishap('rain', 0)] })).toEqual(['rain-0']);
  });
  test('until what it has done is found and put right, and no longer; something else found leaves it', () => {
    const knocks = { mishaps: [mishap('knocked', 20, { part: 'mouthpiece' })] };
    const found = (cause: OutcomeSaid['cause'], days: number, helped = true) =>
      counting({
        ...knocks,
        interviews: [interview({ outcomes: [{ key: 'o', cause, helped, on: ago(days), atWallMinute: 0 }] })],
      });
    expect(found('single-reed/mouthpiece-damaged', 19)).toEqual([]);
    expect(found('single-reed/mouthpiece-damaged', 20)).toEqual([]);
    expect(found('single-reed/mouthpiece-damaged', 21)).toEqual(['knocked-20']);
    expect(found('single-reed/mouthpiece-damaged', 19, false)).toEqual(['knocked-20']);
    expect(found('single-reed/fibre', 19)).toEqual(['knocked-20']);
    // A knock on the body makes other things likelier than one on the mouthpiece.
    const onBody = { mishaps: [mishap('knocked', 20, { part: 'lower-joint' })] };
    const outcomes = [
      { key: 'o', cause: 'single-reed/mouthpiece-damaged', helped: true, on: ago(1), atWallMinute: 0 },
    ] as const;
    expect(counting({ ...onBody, interviews: [interview({ outcomes })] })).toEqual(['knocked-20']);
  });
  test('a knock until the instrument is back from a bench, however long', () => {
    const knocks = { mishaps: [mishap('knocked', 100), mishap('knocked', 3)] };
    expect(counting(knocks)).toEqual(['knocked-100', 'knocked-3']);
    expect(counting(knocks, [stay(20, 10)])).toEqual(['knocked-3']);
    // It is fetched on the last day: a knock of that day is a new one only on the next.
    expect(counting(knocks, [stay(20, 3)])).toEqual([]);
    expect(counting(knocks, [stay(20, 4)])).toEqual(['knocked-3']);
    // Another instrument, another event, and a stay that is not over do not count.
    expect(counting(knocks, [stay(20, 10, 'concert'), stay(20, 10, 'bench', 'other'), stay(5, 0)])).toHaveLength(2);
  });
  test('a stay without an end ends on its day; the newest of several', () => {
    expect(backFromBench([stay(30, null), stay(20, 12), stay(40, 35)], 'c', TODAY)).toBe(ago(12));
    expect(backFromBench([stay(30, null)], 'c', TODAY)).toBe(ago(30));
    expect(backFromBench([stay(0, null)], 'c', TODAY)).toBeNull();
  });
});

describe('what stops it', () => {
  test('an answer of an open interview; nobody could tell waits for a name', () => {
    const yes = stand({ interviews: [interview({ answers: [answer('wooden/line', 'yes')] })] });
    expect(yes.stopped).toMatchObject({ key: 'i', since: ago(2), unsure: false });
    expect(isLaidBy(yes)).toBe(true);
    const unsure = stand({ interviews: [interview({ answers: [answer('wooden/line', 'cannot-tell')] })] });
    expect(unsure.stopped).toMatchObject({ unsure: true });
    expect(stand({ interviews: [interview({ answers: [answer('wooden/line', 'no')] })] }).stopped).toBeNull();
    expect(stand({ interviews: [interview({ answers: [answer('wooden/line', 'yes')], end })] }).stopped).toBeNull();
  });
  test('something that happened, until its end; what ends by itself only on its day', () => {
    expect(stand({ mishaps: [mishap('in-water', 3)] }).stopped).toMatchObject({ key: 'in-water-3' });
    expect(stand({ mishaps: [mishap('in-water', 3, { end })] }).stopped).toBeNull();
    expect(stand({ mishaps: [mishap('hot-car', 0)] }).stopped).not.toBeNull();
    expect(stand({ mishaps: [mishap('hot-car', 1)] }).stopped).toBeNull();
    expect(stand({ mishaps: [mishap('rain', 0)] }).stopped).toBeNull();
    // The night that began yesterday, said this morning; by tomorrow the wood is warm.
    expect(stand({ mishaps: [mishap('cold-night', 1, { saidLater: true })] }).stopped).not.toBeNull();
    expect(stand({ mishaps: [mishap('cold-night', 2, { saidLater: true })] }).stopped).toBeNull();
    expect(stand({ mishaps: [mishap('cold-night', 1)] }).stopped).toBeNull();
    expect(stand({ mishaps: [mishap('hot-car', 1, { saidLater: true })] }).stopped).toBeNull();
  });
  test('of several what may not be played is said, and all of them stand', () => {
    const both = stand({
      interviews: [interview({ noticed: ['swabbed/stuck'], answers: [answer('swabbed/pulled-hard', 'yes')] })],
      mishaps: [mishap('hot-car', 0)],
    });
    expect(both.stops).toHaveLength(2);
    expect(both.stopped?.rule.stands).toBe('not-played');
  });
  test('what may not be forced is played all the same', () => {
    const trumpet = { id: 't' as InstrumentId, kind: 'trumpet', build: usualBuild(BOOK.kinds.trumpet) } as const;
    const wet = faultsStanding(
      BOOK,
      trumpet,
      { interviews: [], mishaps: [mishap('in-water', 0)] },
      { today: TODAY, events: [] },
    );
    expect(wet.stopped?.rule.stands).toBe('no-force');
    expect(isLaidBy(wet)).toBe(false);
    expect(isLaidBy(stand({}))).toBe(false);
  });
});

test('the newest that is open is asked on; what was said last of a sign is so, and what is beside it is not', () => {
  const [old, over, newest] = [
    interview({ key: 'old' }),
    interview({ key: 'over', end }),
    interview({ key: 'newest' }),
  ];
  expect(stand({ interviews: [old, newest, over] }).open?.key).toBe('newest');
  expect(stand({ interviews: [over] }).open).toBeNull();
  const look = answer('keyed/cork-gone', 'yes', { beside: ['keyed/seen-bent'] });
  const said = [answer('keyed/seen-bent', 'yes'), answer('keyed/gurgle', 'yes'), look, answer('keyed/gurgle', 'no')];
  expect(saidYes(interview({ answers: said }))).toEqual(['keyed/stuffy', 'keyed/cork-gone']);
});

test('what helped is what it was, as often as it helped', () => {
  const outcome = (cause: 'any/cold' | 'keyed/dry-rods', helped: boolean) => ({
    ...{ key: cause, cause, helped, on: TODAY, atWallMinute: 0 },
  });
  const found = outcomesOf([
    interview({ outcomes: [outcome('any/cold', false), outcome('keyed/dry-rods', true)] }),
    interview({ outcomes: [outcome('keyed/dry-rods', true)] }),
  ]);
  expect(found.known).toBe(2);
  expect([...found.of]).toEqual([['keyed/dry-rods', 2]]);
});

describe('a sign that was tapped, and what says the same', () => {
  const tapped = (key: string, minute: number, over: Partial<InterviewNoted> = {}) =>
    interview({ key: `${key}/asked`, noticed: ['wooden/line'], atWallMinute: wallMinute(ago(2), minute), ...over });
  const at = (minute: number, by: 'bench' | 'nobody' = 'bench') =>
    ({ key: 'e', by, on: ago(2), atWallMinute: wallMinute(ago(2), minute) }) as const;
  const openKeys = (...all: InterviewNoted[]) =>
    withSharedEnds(all)
      .filter((one) => one.end === null)
      .map(({ key }) => key);

  test('is over with what was ended since, and not with what was ended before', () => {
    expect(openKeys(tapped('a', 600, { end: at(700) }), tapped('b', 700), tapped('c', 701))).toEqual(['c/asked']);
    expect(openKeys(tapped('a', 600, { end: at(700, 'nobody') }), tapped('b', 650))).toEqual([]);
  });
  test('is over with what says more, not with what says something else or said it otherwise in the end', () => {
    const said = interview({ key: 'said', noticed: ['keyed/stuffy', 'wooden/line'], end: at(700) });
    expect(openKeys(said, tapped('a', 650))).toEqual([]);
    expect(openKeys({ ...said, noticed: ['keyed/stuffy'] }, tapped('a', 650))).toEqual(['a/asked']);
    expect(openKeys({ ...said, answers: [answer('wooden/line', 'no')] }, tapped('a', 650))).toEqual(['a/asked']);
  });
  test('is over with a remedy that helped, and what was said by hand ends by itself alone', () => {
    const helped: OutcomeSaid = {
      key: 'o',
      cause: 'wooden/crack',
      helped: true,
      on: ago(2),
      atWallMinute: wallMinute(ago(2), 700),
    };
    expect(openKeys(tapped('b', 650), interview({ noticed: ['wooden/line'], outcomes: [helped] }))).toEqual(['i']);
    expect(openKeys(interview({ noticed: ['wooden/line'] }), tapped('b', 600, { end: at(700) }))).toEqual(['i']);
  });
  test('what is asked on is what was said by hand, or the first that was tapped', () => {
    const open = (...interviews: InterviewNoted[]) => stand({ interviews }).open?.key;
    expect(open(interview({ noticed: ['wooden/line'] }), tapped('a', 700))).toBe('i');
    expect(open(tapped('a', 600), tapped('b', 700))).toBe('a/asked');
    expect(open(interview(), tapped('a', 700))).toBe('a/asked');
    expect(open(tapped('a', 600), interview())).toBe('i');
    expect(stand({ interviews: [tapped('a', 600), tapped('b', 700)] }).stops).toHaveLength(2);
  });
});
