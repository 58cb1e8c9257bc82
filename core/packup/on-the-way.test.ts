import { describe, expect, test } from '@jest/globals';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import { onTheWay } from '#core/packup/on-the-way.ts';
import { careDoneBy, waitsAtHome } from '#core/packup/run-care.ts';
import { checkRunEvent, mayBeAway } from '#core/packup/check-run-event.ts';
import { foldRun } from '#core/packup/run-log.ts';
import type { RunEvent } from '#core/packup/run-event.ts';
import type { Step } from '#core/book/step.ts';
import { BOOK } from '#core/tables/book.ts';
import { doneIn, packedOnTheWay } from '#core/testing/answered-run.ts';
import { planOf, practiceOf, type AnyInstrument, type AnyRun } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { instantOfMs } from '#core/time/instant.ts';

const at = instantOfMs(0);
const step = (id: string, over: Partial<Step> = {}): Step =>
  ({ id: `wind/${id}`, item: 'wind/case-away', does: [], after: [], ...over }) as unknown as Step;
const told = (steps: readonly Step[], needs: Readonly<Record<string, readonly string[]>> = {}, other: string[] = []) =>
  Object.fromEntries(
    [
      ...onTheWay(steps, {
        needed: (id) => (needs[id.slice(5)] ?? []).map((one) => `wind/${one}` as const),
        isOfEveryPlay: ({ id }) => !other.includes(id.slice(5)),
      }),
    ].map(([id, away]) => [id.slice(5), away]),
  );

describe('on the way', () => {
  test('what cannot wait is done: a must, what shuts the case, a reed off, water out', () => {
    const steps = [
      step('must', { must: true }),
      step('shut', { closing: true }),
      step('reed', { reaches: ['reed-off'] }),
      step('drain', { reaches: ['water-out'] }),
      step('wipe'),
    ];
    expect(told(steps)).toEqual({ must: 'now', shut: 'now', reed: 'now', drain: 'now', wipe: 'waits' });
  });

  test('and so is all that stands before it, through any number of steps', () => {
    const steps = [step('first'), step('second'), step('last', { must: true }), step('other')];
    const needs = { last: ['second'], second: ['first'] };
    expect(told(steps, needs)).toEqual({ first: 'now', second: 'now', last: 'now', other: 'waits' });
  });

  test('the book may say otherwise; other care stays due for another day', () => {
    const steps = [
      step('laid-soft', { must: true, away: 'waits' }),
      step('cased', { must: true, away: 'only' }),
      step('oil', { must: true }),
    ];
    expect(told(steps, {}, ['oil'])).toEqual({ 'laid-soft': 'waits', cased: 'only', oil: 'later' });
  });
});

const after = (instrument: AnyInstrument): AnyRun => ({ instruments: [instrument], due: ['after'] });
const doneOf = (plan: ReturnType<typeof planOf>): string[] => {
  const log = doneIn(plan).map(({ key: stepKey, answer }): RunEvent =>
    answer === null ? { kind: 'ticked', stepKey, at } : { kind: 'answered', stepKey, answer, at },
  );
  return careDoneBy(foldRun(keepPlan(plan), log)).map(({ itemId }) => itemId);
};
const canBeDamp = (kind: KindId) => practiceOf(BOOK, { kind }).items.some(({ id }) => id === CASED_DAMP);

describe.each(KIND_IDS.filter(canBeDamp))('a %s packed up on the way and laid out at home', (kind) => {
  const cases = casesOf(BOOK, kind).filter((_, index) => index % 15 === 0);

  test('is as well looked after as one that was packed up at home', () => {
    for (const instrument of cases) {
      const run = after(instrument);
      const way = careDoneBy(packedOnTheWay(planOf(BOOK, { ...run, place: 'on-the-way' })));
      const both = new Set([
        ...way.map(({ itemId }) => itemId),
        ...doneOf(planOf(BOOK, { ...run, place: 'back-home' })),
      ]);
      const atHome = doneOf(planOf(BOOK, run));
      expect([instrument, atHome.filter((item) => !both.has(item as never))]).toEqual([instrument, []]);
      expect(both.has(CASED_DAMP)).toBe(true);
    }
  });

  test('no must is lost: what is not done on the way waits for home', () => {
    for (const instrument of cases) {
      const plan = planOf(BOOK, { ...after(instrument), place: 'on-the-way' });
      const now = packedOnTheWay(plan);
      const waits = [...waitsAtHome(now).values()].flatMap((ids) => [...ids]);
      const lost = now.steps.filter(
        ({ must, state, called, id }) => must && state === 'open' && called !== 'no' && !waits.includes(id),
      );
      expect([instrument, lost.map(({ id }) => id)]).toEqual([instrument, []]);
      expect(checkRunEvent(now, { kind: 'finished' }).ok).toBe(true);
    }
  });
});

describe('a run', () => {
  const plan = keepPlan(planOf(BOOK, after({ kind: 'highland-pipes' })));
  const ids = (events: readonly RunEvent[]) => foldRun(plan, events).steps.map(({ id }) => id);

  test('shows what is done on the way only there, and nothing of it once at home after all', () => {
    expect(ids([])).not.toContain('highland-pipes/cased-for-the-way');
    expect(ids([{ kind: 'away', at }])).toContain('highland-pipes/cased-for-the-way');
    expect(
      ids([
        { kind: 'away', at },
        { kind: 'at-home', at },
      ]),
    ).toEqual(ids([]));
    expect(foldRun(plan, [{ kind: 'away', at }]).isAway).toBe(true);
  });

  test('in which nothing can wait is not packed up on the way', () => {
    const before = foldRun(keepPlan(planOf(BOOK, { instruments: [{ kind: 'clarinet' }], due: ['before'] })), []);
    expect(mayBeAway(before)).toBe(false);
    expect(checkRunEvent(before, { kind: 'away' })).toMatchObject({ failure: { code: 'nothing-waits' } });
    expect(checkRunEvent(before, { kind: 'at-home' }).ok).toBe(true);
  });

  test('leaves nothing damp where all of it was done', () => {
    const all = plan.steps.map(({ key, look }): RunEvent =>
      look
        ? { kind: 'answered', stepKey: key, answer: look.answers[0]?.id ?? '', at }
        : { kind: 'ticked', stepKey: key, at },
    );
    expect(waitsAtHome(foldRun(plan, [...all, { kind: 'away', at }])).size).toBe(0);
    expect(waitsAtHome(foldRun(plan, [{ kind: 'away', at }])).size).toBe(1);
    expect(waitsAtHome(foldRun(plan, [])).size).toBe(0);
  });
});
