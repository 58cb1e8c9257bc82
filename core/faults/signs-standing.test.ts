import { describe, expect, test } from '@jest/globals';
import { signOf, signsOf } from '#core/book/care-item.ts';
import { signsFrom } from '#core/book/fault.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { SignNoticed } from '#core/care/care-clock.ts';
import type { InterviewNoted, OutcomeSaid } from '#core/faults/fault-record.ts';
import { faultsFor, signHere } from '#core/faults/faults-for.ts';
import { signsStanding } from '#core/faults/signs-standing.ts';
import { leadsToAStop } from '#core/faults/stops-by-sign.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { wallMinute } from '#core/plays/play.ts';
import { BOOK } from '#core/tables/book.ts';
import { keyed } from '#core/tables/faults/keyed.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { localDate } from '#core/time/local-date.ts';

const WOODEN = { body: 'wood', tenons: 'cork', pads: 'skin', mouthpiece: 'hard-rubber' } as const;
const day = localDate('2026-11-20');
const at = (minute: number) => wallMinute(day, minute);

const instrument = (kind: KindId, build = practiceOf(BOOK, { kind }).build) => ({
  items: practiceFor(BOOK, kind, build).items,
  here: faultsFor(BOOK, kind, build),
  kind: BOOK.kinds[kind],
});
const interview = (over: Partial<InterviewNoted>): InterviewNoted => ({
  ...{ key: 'one', on: day, atWallMinute: at(0), noticed: [], answers: [], outcomes: [], end: null },
  ...over,
});
const helped = (minute: number, isSo = true): OutcomeSaid => ({
  ...{ key: 'o', cause: 'keyed/water-in-hole', helped: isSo, on: day, atWallMinute: at(minute) },
});
const gurgles = (minute: number, sign: SignNoticed['sign'] = 'keyed/gurgle') =>
  new Map<CareItemId, SignNoticed>([['keyed/water-in-hole', { sign, atWallMinute: at(minute), part: 'upper-joint' }]]);
const standing = (signs: ReadonlyMap<CareItemId, SignNoticed>, ...interviews: InterviewNoted[]) => [
  ...signsStanding(signs, { interviews, mishaps: [] }, instrument('clarinet', WOODEN)).keys(),
];

describe('every sign care points at', () => {
  test('can be shown by each instrument that has the care, as it is built', () => {
    const speechless = KIND_IDS.flatMap((kind) =>
      casesOf(BOOK, kind).flatMap((one) =>
        practiceOf(BOOK, one).items.flatMap((item) =>
          item.trigger.kind === 'when-noticed' && signsOf(item).length === 0 ? [`${kind}: ${item.id}`] : [],
        ),
      ),
    );
    expect([...new Set(speechless)]).toEqual([]);
  });

  test('is named for inside a sentence, the same name once', () => {
    const pipes = practiceOf(BOOK, { kind: 'highland-pipes', build: { body: 'wood' } });
    const crack = pipes.items.find(({ id }) => id === 'wind/crack');
    expect(crack && signsOf(crack).map(({ id }) => id)).toEqual(['pipes/line', 'pipes/pop']);
    expect(crack && signOf(crack)).toBe('a line or crack in the wood, or a sharp pop in the cold');
    expect(signOf({ trigger: { kind: 'when-so', words: 'a case shut damp' } })).toBe('a case shut damp');
    expect(signOf({ trigger: { kind: 'every-play', moment: 'after' } })).toBeUndefined();
  });

  test('that is on no page, or has no such name, is a fault of the tables', () => {
    expect(() => signsFrom([keyed], 'keyed/nothing')).toThrow('keyed/nothing');
    expect(() => signsFrom([keyed], 'keyed/slow-key')).toThrow('keyed/slow-key');
  });

  test('is what the looks of a run find, as this kind has it', () => {
    const found = (kind: KindId, build: object) =>
      practiceOf(BOOK, { kind, build })
        .book.find(({ id }) => id === 'wooden-bore/look-over-line')
        ?.look?.answers.find(({ id }) => id === 'line');
    expect(found('clarinet', WOODEN)).toMatchObject({ notice: 'wooden/line', calls: 'wind/crack' });
    expect(found('recorder', { body: 'wood' })).toMatchObject({ notice: 'wooden/line', calls: 'wind/crack' });
    // Lime is looked for in every mouthpiece, and only that which is soaked has care for it.
    for (const kind of KIND_IDS)
      for (const one of casesOf(BOOK, kind)) {
        const { items, book } = practiceOf(BOOK, one);
        for (const { notice, calls } of book.flatMap(({ look }) => look?.answers ?? []))
          expect([notice === undefined, items.some(({ id }) => id === calls)]).toContain(true);
      }
  });
});

describe('what was noticed in care', () => {
  test('stands until the remedy of an interview that says it has helped', () => {
    const asked = { noticed: ['keyed/gurgle'] } as const;
    expect(standing(gurgles(600))).toEqual(['keyed/water-in-hole']);
    expect(standing(gurgles(600), interview(asked))).toEqual(['keyed/water-in-hole']);
    expect(standing(gurgles(600), interview({ ...asked, outcomes: [helped(700, false)] }))).toHaveLength(1);
    expect(standing(gurgles(600), interview({ ...asked, outcomes: [helped(700)] }))).toEqual([]);
    expect(standing(gurgles(600, null), interview({ ...asked, outcomes: [helped(700)] }))).toEqual([]);
    // Noticed in the minute it was put right, it is what was put right.
    expect(standing(gurgles(700), interview({ ...asked, outcomes: [helped(700)] }))).toEqual([]);
    // Noticed again an hour later it stands again.
    expect(standing(gurgles(760), interview({ ...asked, outcomes: [helped(700)] }))).toEqual(['keyed/water-in-hole']);
  });

  test('or until somebody has looked; it stands where the question was only put away, or was about something else', () => {
    const asked = { noticed: ['keyed/gurgle'] } as const;
    const end = (by: 'bench' | 'nobody') => ({ key: 'e', by, on: day, atWallMinute: at(800) });
    expect(standing(gurgles(600), interview({ ...asked, end: end('bench') }))).toEqual([]);
    expect(standing(gurgles(600), interview({ ...asked, end: end('nobody') }))).toHaveLength(1);
    expect(standing(gurgles(600), interview({ noticed: ['keyed/stuffy'], end: end('bench') }))).toHaveLength(1);
    const denied = { key: 'a', sign: 'keyed/gurgle', answer: 'no', noticed: false } as const;
    expect(standing(gurgles(600), interview({ ...asked, answers: [denied], end: end('bench') }))).toHaveLength(1);
  });
});

test('of two signs of one care the one that was not mended stands', () => {
  const pad = { sign: 'keyed/pad-gone', atWallMinute: at(500), part: 'upper-joint' } as const;
  const screw: SignNoticed = { ...pad, sign: 'keyed/screw-proud', atWallMinute: at(600), earlier: [pad] };
  const mended = (sign: 'keyed/screw-proud' | 'keyed/pad-gone') =>
    signsStanding(
      new Map([['keyed/bench-work', screw]]),
      { interviews: [interview({ noticed: [sign], outcomes: [helped(700)] })], mishaps: [] },
      instrument('clarinet', WOODEN),
    ).get('keyed/bench-work')?.sign;
  expect(mended('keyed/screw-proud')).toBe('keyed/pad-gone');
  expect(mended('keyed/pad-gone')).toBe('keyed/screw-proud');
});

describe('what is said in an interview', () => {
  test('calls for care at once only where other care must wait for it', () => {
    const said = (kind: KindId, ...noticed: InterviewNoted['noticed']) => [
      ...signsStanding(new Map(), { interviews: [interview({ noticed })], mishaps: [] }, instrument(kind)),
    ];
    expect(said('trumpet', 'brass/stuck')).toMatchObject([['brass/stuck', { sign: 'brass/stuck' }]]);
    expect(said('trumpet', 'brass/mouthpiece-stuck')).toMatchObject([['brass/stuck', { part: 'mouthpiece' }]]);
    expect(said('trumpet', 'brass/pink-spots')).toEqual([]);
    expect(said('clarinet', 'keyed/gurgle')).toEqual([]);
  });
});

describe('a sign that stops the instrument', () => {
  const { items, here } = instrument('clarinet', WOODEN);
  const item = (id: CareItemId) => {
    const found = items.find((one) => one.id === id);
    if (!found) throw new Error(id);
    return found;
  };

  test('is a line in the wood, and the pop that calls for the question; a pad that sticks is none', () => {
    expect(leadsToAStop(here, item('wind/crack'), 'wooden/line')).toBe(true);
    expect(leadsToAStop(here, item('wind/crack'), 'wooden/pop')).toBe(true);
    expect(leadsToAStop(here, item('keyed/sticky-pad'), 'keyed/sticky')).toBe(false);
    // A gurgle is asked about for a crack, too, but is no sign of one.
    expect(leadsToAStop(here, item('keyed/water-in-hole'), 'keyed/gurgle')).toBe(false);
    expect(leadsToAStop(here, item('wind/crack'), 'keyed/gurgle')).toBe(false);
  });

  test('and what leads straight to care is never asked about', () => {
    for (const kind of KIND_IDS)
      expect(['keyed/rod-dust', 'single-reed/lime'].map((id) => signHere(instrument(kind).here, id))).toEqual([
        undefined,
        undefined,
      ]);
  });
});
