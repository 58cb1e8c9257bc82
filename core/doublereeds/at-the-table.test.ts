import { describe, expect, test } from '@jest/globals';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { NO_CLIPS, sumsWith } from '#core/doublereeds/clip-effect.ts';
import { logErfc } from '#core/doublereeds/cut-normal.ts';
import type { ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import { clipsSeen, LOOKS, LOOK_ANSWERS, type TableEvent } from '#core/doublereeds/examination.ts';
import { answersOf, looksFrom, noticedFrom } from '#core/doublereeds/from-interview.ts';
import { cameAs, lastFound } from '#core/doublereeds/last-found.ts';
import { labelOf, reedCard } from '#core/doublereeds/reed-card.ts';
import { REED_SORTS, SORT_FIGURES, sortOf, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import { isPutDown, sumsOf, tableSetting, type OfReed } from '#core/doublereeds/table-setting.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { reedId } from '#core/reeds/reed.ts';
import { aBox, REED_TODAY, reedsOf, said, used } from '#core/testing/reeds.ts';
import { addDays } from '#core/time/local-date.ts';

const HOUR = 3_600_000;
const reed = reedId('fennel', 1);
type Timeless<One> = One extends unknown ? Omit<One, 'atMs'> : never;
/** An examination that began at a time, with all said at its beginning unless it says when. */
const examined = (
  atMs: number,
  events: readonly (Timeless<TableEvent> & { readonly atMs?: number })[],
): ExaminationTold => ({
  ...{
    key: `e${atMs}`,
    on: addDays(REED_TODAY, -Math.round(atMs / HOUR)),
    playerId: 'marit' as PlayerId,
    reedId: reed,
  },
  ...{ way: 'whole', noticed: [], soakedMinutes: 0, interviewKey: null, interviewOf: null, atMs },
  told: events.map((event, at) => ({
    key: `e${atMs}/${at}`,
    event: { ...event, atMs: event.atMs ?? atMs } as TableEvent,
  })),
});
const clip = (tenths: number) => ({ what: 'step', step: 'clip', tenths }) as const;
const opened = { what: 'step', step: 'open', tenths: 1 } as const;
const twisted = { what: 'step', step: 'twist', tenths: 1 } as const;
const crow = (cents: number) => ({ what: 'crow', heard: 'both', cents, from: 'crow' }) as const;
const look = (
  which: 'corners' | 'heart' | 'light',
  answer: 'gone' | 'there' | 'missing' | 'seen' | 'crack' | 'whole',
) => ({ what: 'look', look: which, answer }) as const;

describe('the figures of the practice book', () => {
  test('stand as they were typed off: minutes of the soak, tenths of clips, cents', () => {
    const typed: Readonly<Record<ReedSort, readonly (number | null)[]>> = {
      'oboe-long': [5, 7, 15, 1, 10, 680, 4, 3],
      'oboe-short': [5, 7, 15, 1, 10, 700, 4, 3],
      'oboe-unknown': [5, 7, 15, 1, 10, 700, 4, 3],
      'cor-anglais': [5, 8, 15, 1, 10, null, 3, 2.5],
      bassoon: [5, 10, 20, 2, 15, 520, 2, 2],
    };
    for (const sort of REED_SORTS) {
      const { soak, clipTenths, lifeTenths, shortestTenths, clipCents } = SORT_FIGURES[sort];
      const all = [
        soak.least,
        soak.usual,
        soak.most,
        clipTenths,
        lifeTenths,
        shortestTenths,
        clipCents.mean,
        clipCents.spread,
      ];
      expect([sort, all.map((one) => one?.value ?? null)]).toEqual([sort, typed[sort]]);
    }
  });
  test('a sort is a kind and its scrape; other kinds have none', () => {
    expect([
      sortOf('oboe', 'short'),
      sortOf('oboe', null),
      sortOf('bassoon', 'long'),
      sortOf('cor-anglais', null),
    ]).toEqual(['oboe-short', 'oboe-unknown', 'bassoon', 'cor-anglais']);
    expect(sortOf('clarinet', null)).toBeUndefined();
  });
});

describe('what the record says to whoever sits down', () => {
  const of = (over: Partial<OfReed> = {}): OfReed => ({
    ...{ sort: 'oboe-long', standing: 'grown-up', box: aBox({ before: [0, null] }), number: 1, hasEnded: false },
    ...{ before: [], ofKind: () => NO_CLIPS, beganMs: 100 * HOUR },
    ...over,
  });
  test('clips are of a life; what was done in the last twelve hours is of this sitting', () => {
    const before = [
      examined(10 * HOUR, [clip(2), opened, crow(-20), clip(1), crow(-15)]),
      examined(92 * HOUR, [clip(1), opened, twisted]),
    ];
    expect(tableSetting(of({ before }))).toMatchObject({
      clippedTenths: 4,
      sitting: { clippedTenths: 1, openings: 1 },
      clips: [{ tenths: 1, before: -20, after: -15 }],
    });
    // Twelve hours to the minute are another sitting.
    expect(tableSetting(of({ before, beganMs: 104 * HOUR })).sitting).toEqual({ clippedTenths: 0, openings: 0 });
  });
  test('a reed that came played is one that arrived used', () => {
    expect(tableSetting(of()).arrivedUsed).toBe(false);
    expect(tableSetting(of({ number: 2 })).arrivedUsed).toBe(true);
  });
  test('after three hours in which nothing was said it was put down, not before', () => {
    const one = examined(0, [{ ...crow(0), atMs: HOUR }]);
    expect(isPutDown(one, 4 * HOUR)).toBe(false);
    expect(isPutDown(one, 4 * HOUR + 1)).toBe(true);
  });
  test('clips of several examinations are added up, each by itself', () => {
    const all = [examined(0, [crow(-20), clip(1)]), examined(HOUR, [crow(-20), clip(2), crow(-10)])];
    expect(sumsOf(all)).toEqual(sumsWith(NO_CLIPS, [{ tenths: 2, before: -20, after: -10, from: 'crow' }]));
  });
  test('dried and soaked again, two crows tell nothing of the clip between them; a word that it is wet changes nothing', () => {
    const at = (event: Timeless<TableEvent>) => ({ ...event, atMs: 0 }) as TableEvent;
    const soak = (word: 'in' | 'through') => at({ what: 'soak', said: word });
    expect(clipsSeen([at(crow(-20)), at(clip(1)), soak('in'), at(crow(-10))])).toEqual([]);
    expect(clipsSeen([at(crow(-20)), at(clip(1)), soak('through'), at(crow(-10))])).toHaveLength(1);
  });
});

describe('an interview and the table', () => {
  test('what was noticed and looked at there is known here; neither gaping nor shut is a lens', () => {
    const yes = (sign: string) => ({ sign: `double-reed/${sign}` as never, answer: 'yes' as const });
    const no = (sign: string) => ({ sign: `double-reed/${sign}` as never, answer: 'no' as const });
    expect(noticedFrom([yes('fell-flat'), yes('whole-flat'), yes('spread-flat'), no('hiss'), yes('unknown')])).toEqual([
      'sank',
      'flat',
    ]);
    expect(looksFrom([yes('light-line'), no('corners-seen'), yes('blades-flush')])).toEqual([
      { look: 'light', answer: 'crack' },
      { look: 'corners', answer: 'there' },
      { look: 'offset', answer: 'flush' },
    ]);
    expect(looksFrom([no('gapes')])).toEqual([]);
    expect(looksFrom([yes('gapes'), no('shut-seen')])).toEqual([{ look: 'opening', answer: 'gapes' }]);
    expect(looksFrom([no('gapes'), no('shut-seen')])).toEqual([{ look: 'opening', answer: 'lens' }]);
    expect(looksFrom([no('light-line'), yes('light-line')])).toEqual([{ look: 'light', answer: 'crack' }]);
    expect(looksFrom([{ sign: 'double-reed/light-line', answer: 'cannot-tell' }, yes('second-reed')])).toEqual([]);
  });
  test('what is seen and heard here is answered there, by yes and no; what cannot be told is not', () => {
    const told = (which: 'light' | 'opening' | 'lips', answer: (typeof LOOK_ANSWERS)[typeof which][number]) =>
      answersOf({ what: 'look', look: which, answer }).map((one) => `${one.sign} ${one.answer}`);
    expect(told('light', 'crack')).toEqual(['double-reed/light-line yes']);
    expect(told('light', 'cannot-tell')).toEqual([]);
    expect(told('opening', 'shut')).toEqual(['double-reed/gapes no', 'double-reed/shut-seen yes']);
    expect(told('opening', 'lens')).toEqual(['double-reed/gapes no', 'double-reed/shut-seen no']);
    expect(told('lips', 'better')).toEqual(['double-reed/lips-back-helps yes']);
    expect(told('lips', 'same')).toEqual(['double-reed/lips-back-helps no']);
    expect(told('lips', 'cannot-tell')).toEqual([]);
    const heard = (what: TableEvent['what'], one: 'both' | 'lower-weak' | 'lower-missing' | 'upper-weak' | 'squeal') =>
      answersOf({ what, heard: one }).map(({ answer }) => answer);
    expect(
      (['both', 'upper-weak', 'lower-weak', 'lower-missing', 'squeal'] as const).map((one) => heard('crow', one)),
    ).toEqual([['no'], ['no'], ['yes'], ['yes'], []]);
    expect([heard('step', 'both'), answersOf({ what: 'crow' }), answersOf({ what: 'look' })]).toEqual([[], [], []]);
    expect(answersOf({ what: 'look', look: 'heart', answer: 'missing' })).toEqual([]);
  });
  test('whatever a look shows, the interview hears no answer that takes itself back', () => {
    for (const which of LOOKS)
      for (const answer of LOOK_ANSWERS[which]) {
        const signs = answersOf({ what: 'look', look: which, answer }).map(({ sign }) => sign);
        expect(new Set(signs).size).toBe(signs.length);
      }
  });
});

describe('what was found', () => {
  test('holds until it is seen otherwise; how reeds came is counted', () => {
    const gone = examined(HOUR, [look('corners', 'gone')]);
    const there = examined(2 * HOUR, [look('corners', 'there'), look('heart', 'seen')]);
    expect([...lastFound([gone])]).toEqual([reed]);
    expect([...lastFound([gone, there])]).toEqual([]);
    expect([...lastFound([there, examined(3 * HOUR, [look('heart', 'missing')])])]).toEqual([reed]);
    expect([...cameAs([there])]).toEqual([[reed, false]]);
    for (const wrong of [look('light', 'crack'), look('corners', 'gone'), look('heart', 'missing')])
      expect([...cameAs([examined(0, [wrong])])]).toEqual([[reed, true]]);
  });

  test('a card tells a life in its order, and a label what is read before choosing', () => {
    const sayings = [
      said(1, addDays(REED_TODAY, -3), {
        ...{ what: 'graded', feel: 'right', goodFor: 'concert', signs: [], resistance: 4, sits: 'flat' },
      }),
      said(1, REED_TODAY, { what: 'ended', cause: 'split' }),
    ];
    const box = { kind: 'oboe', breakIn: 'none' } as const;
    const [one] = reedsOf([used(1, 5, 30)], { box, sayings, setting: { family: 'double' } });
    if (!one) throw new Error('the box has a first reed');
    const examinations = [
      examined(4 * HOUR, [look('light', 'whole'), crow(-20), clip(1), crow(-15), clip(2), opened]),
      examined(2 * HOUR, [look('light', 'whole'), crow(-5)]),
    ];
    const card = reedCard({ reed: one, said: sayings, examinations }, PLAIN_FORMAT);
    expect(card.line.map(({ what, words }) => `${what}: ${words}`)).toEqual([
      'came: It came new',
      'first: Opened and played',
      'step: Clipped 0.1 mm: 20 cents flat before, 15 cents flat after',
      'step: Clipped 0.2 mm',
      'step: Tip opened a trace',
      'grade: It felt right, for concert, resistance 4 of 5, sits a little flat.',
      'look: Looked at, nothing done to it',
      'end: It is split and no longer played.',
    ]);
    expect(card.pitch.map(({ cents }) => cents)).toEqual([-15, -5]);
    const label = labelOf({ reed: one, said: sayings, examinations }, 'Fennel, reed 1', PLAIN_FORMAT);
    expect(label[0]).toBe('Fennel, reed 1');
    expect(label.join(' ')).toMatch(
      /Opened .*Ended .*: split Resistance 4 of 5, sits a little flat Clipped 0.3 mm so far/,
    );
    const [, fresh] = reedsOf([], { box, setting: { family: 'double' } });
    if (!fresh) throw new Error('the box has a second reed');
    expect(labelOf({ reed: fresh, said: [], examinations: [] }, 'Fennel, reed 2', PLAIN_FORMAT)).toEqual([
      'Fennel, reed 2',
      'Not opened yet',
    ]);
  });
});

test('both ways of summing the error function agree where they meet', () => {
  for (const x of [-2.5, 2.5]) expect(logErfc(x)).toBeCloseTo((logErfc(x - 1e-9) + logErfc(x + 1e-9)) / 2, 8);
});
