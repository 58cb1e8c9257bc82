import { describe, expect, test } from '@jest/globals';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { usualPractice } from '#core/methods/practice-under.ts';
import { precedence, stepsFor } from '#core/packup/collect-steps.ts';
import { runStepKey, type RunStepKey } from '#core/packup/run-step.ts';
import { isUrgent, keepBlocks, type Candidate } from '#core/packup/run-precedence.ts';
import { BOOK } from '#core/tables/book.ts';

const candidate = (instrument: string, id: string, step: Partial<Step> = {}): Candidate =>
  ({
    key: runStepKey(instrument as InstrumentId, `wind/${id}` as StepId),
    instrumentId: instrument,
    step: { id: `wind/${id}`, does: [], ...step },
  }) as unknown as Candidate;
const named = (key: RunStepKey) => key.replace(/[^a-z]*wind\//, ' ');

describe('what cannot wait', () => {
  test('is a reed off and water out, and nothing else', () => {
    const reaching = (...reaches: NonNullable<Step['reaches']>) => isUrgent(candidate('a', 'x', { reaches }));
    expect([reaching('reed-off'), reaching('water-out'), reaching('bore-dry', 'reed-off')]).toEqual([true, true, true]);
    expect([reaching('bore-dry'), reaching(), isUrgent(candidate('a', 'x'))]).toEqual([false, false, false]);
  });
});

describe('blocks', () => {
  const held = { does: [{ do: 'hold', thing: 'body' }] } as unknown as Partial<Step>;
  const hung = {
    does: [
      { do: 'wipe', thing: 'body' },
      { do: 'hang', thing: 'body' },
    ],
  } as unknown as Partial<Step>;
  const urgent: Partial<Step> = { reaches: ['water-out'] };
  const waits = { wait: { minutes: { value: 10, mark: 'estimate' }, why: '', until: [] } } as unknown as Partial<Step>;
  /** What each step comes after, by name. */
  function kept(all: readonly Candidate[], already: Record<string, string> = {}) {
    const keyOf = (name: string) => all.find(({ key }) => named(key) === name)?.key ?? ('' as RunStepKey);
    const before = new Map(Object.entries(already).map(([one, first]) => [keyOf(one), [keyOf(first)]]));
    keepBlocks(all, before);
    return Object.fromEntries([...before].map(([key, first]) => [named(key), first.map(named)]));
  }

  test('an instrument that is lifted or hangs is brought to its end before the next is begun', () => {
    for (const heavy of [held, hung]) {
      const all = [
        candidate('a', 'lift', heavy),
        candidate('a', 'look'),
        candidate('b', 'wipe'),
        candidate('b', 'shut'),
      ];
      expect(kept(all)).toEqual({ 'b wipe': ['a lift', 'a look'], 'b shut': ['a lift', 'a look'] });
      expect(kept([...all.slice(2), ...all.slice(0, 2)])).toEqual({
        'a lift': ['b wipe', 'b shut'],
        'a look': ['b wipe', 'b shut'],
      });
    }
  });

  test('light ones may be worked on in turn', () => {
    expect(kept([candidate('a', 'wipe'), candidate('b', 'wipe')])).toEqual({});
  });

  test('what is made ready to be set aside is so to its end, its soak too, before the next is begun', () => {
    const aside: Partial<Step> = { readyFor: 'later' };
    const one = [candidate('a', 'wet', waits), candidate('a', 'aside', aside)];
    expect(kept([...one, candidate('b', 'join')])).toEqual({ 'b join': ['a wet', 'a aside'] });
    expect(kept([candidate('b', 'join', held), ...one])).toEqual({ 'a wet': ['b join'], 'a aside': ['b join'] });
  });

  test('what cannot wait, what begins a wait, and what leads there come first on all of them', () => {
    const all = [
      candidate('a', 'lift', held),
      candidate('b', 'drain', urgent),
      candidate('b', 'soak', waits),
      candidate('b', 'open'),
      candidate('b', 'shut'),
    ];
    expect(kept(all, { 'b soak': 'b open' })).toEqual({
      'a lift': ['b drain'],
      'b soak': ['b open'],
      'b shut': ['b drain', 'a lift'],
    });
  });
});

test('hands are washed before anything is touched on any instrument', () => {
  const all = [candidate('a', 'lift'), candidate('b', 'soak', { wait: {} } as unknown as Partial<Step>)];
  const washed = [candidate('a', 'wash', { oncePerRun: true }), ...all];
  const before = new Map<RunStepKey, RunStepKey[]>();
  keepBlocks(washed, before);
  expect([...before].map(([key, first]) => [named(key), first.map(named)])).toEqual([
    ['a lift', ['a wash']],
    ['b soak', ['a wash']],
  ]);
});

describe('the steps of a run', () => {
  const practice = usualPractice(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet));
  const ids = (...items: string[]) => stepsFor(practice, items as CareItemId[]).map(({ item }) => item);

  test('are those of the items named and of what they bring along, none of the bench', () => {
    const including = practice.items.find(({ includes = [], place }) => includes.length > 0 && place !== 'bench');
    if (!including) throw new Error('no item brings another along');
    const [brought] = including.includes ?? [];
    expect(new Set(ids(including.id))).toContain(brought);
    expect(ids(including.id, including.id)).toEqual(ids(including.id));
    for (const { id } of practice.items.filter(({ place }) => place === 'bench')) expect(ids(id)).toEqual([]);
    expect(ids('piston-brass/valve-oil')).toEqual([]);
  });

  test('what goes to the lips comes before anything is oiled or greased', () => {
    const steps = stepsFor(
      practice,
      practice.items.map(({ id }) => id),
    );
    const before = precedence(practice, steps);
    expect(before.get('keyed/oil-rods')).toContain('single-reed/rinse-reeds');
    expect(before.get('wooden-bore/oil-once')).toContain('single-reed/brush-mouthpiece');
  });

  test('what may stand in for another comes before it, and so does all that comes before that', () => {
    const steps = stepsFor(
      practice,
      practice.items.map(({ id }) => id),
    );
    const plain = precedence(practice, steps);
    const free = steps.find(({ id, closing }) => !closing && (plain.get(id)?.size ?? 0) === 0);
    const late = steps.find(
      ({ id, closing }) =>
        !closing && free && id !== free.id && (plain.get(id)?.size ?? 0) > 1 && !plain.get(id)?.has(free.id),
    );
    if (!free || !late) throw new Error('no two such steps');
    const standing = precedence(practice, steps, new Map([[free.id, new Set([late.id])]]));
    expect(standing.get(free.id)).toEqual(new Set([late.id, ...(plain.get(late.id) ?? [])]));
    expect(standing.get(late.id)).toEqual(plain.get(late.id));
    expect(precedence(practice, steps, new Map([[free.id, new Set<StepId>()]]))).toEqual(plain);
  });
});
