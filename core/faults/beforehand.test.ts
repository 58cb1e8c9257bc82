import { describe, expect, test } from '@jest/globals';
import type { CauseId, RiskId } from '#core/book/fault.ts';
import { priorOf } from '#core/faults/fault-net.ts';
import { causeHere, faultsFor } from '#core/faults/faults-for.ts';
import { lastReed, reedRisks } from '#core/faults/reed-risks.ts';
import { livesOf } from '#core/reeds/reed-life.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { REED_TODAY, reedsOf, used } from '#core/testing/reeds.ts';
import { localDate } from '#core/time/local-date.ts';

const here = faultsFor(BOOK, 'clarinet', practiceOf(BOOK, { kind: 'clarinet' }).build);
const NONE = { known: 0, of: new Map<CauseId, number>() };
const chance = (id: CauseId, risks: readonly RiskId[] = [], mine = NONE, elsewhere = NONE): number => {
  const cause = causeHere(here, id);
  if (!cause) throw new Error(id);
  return priorOf(cause, here, { risks: new Set(risks), outcomes: mine, ofPlayer: elsewhere });
};
const found = (times: number, id: CauseId) => ({ known: times, of: new Map([[id, times]]) });

/** By hand, from the words of the tables: common is 0.06, clear ×4, ten known outcomes weigh as much as the word. */
describe('the chance of a cause before anything is said', () => {
  test('is what its word means', () => {
    expect(chance('any/cold')).toBeCloseTo(0.06, 12);
    expect(chance('any/case-worn')).toBeCloseTo(0.025, 12);
  });

  test('what the record says multiplies its odds, and not its chance', () => {
    // 0.06 ÷ 0.94 × 4 = 0.2553 to one.
    expect(chance('any/cold', ['cold-room'])).toBeCloseTo(0.203_390, 6);
    expect(chance('any/cold', ['cold-room', 'cold-night'])).toBeCloseTo(0.505_263, 6);
    expect(chance('any/cold', ['dry-air'])).toBeCloseTo(0.06, 12);
  });

  test('what was found before counts as one of about ten, here and on other instruments alike', () => {
    expect(chance('any/cold', [], found(2, 'any/cold'))).toBeCloseTo((0.6 + 2) / 12, 12);
    expect(chance('any/cold', [], NONE, found(2, 'any/cold'))).toBeCloseTo((0.6 + 2) / 12, 12);
    expect(chance('any/cold', [], found(2, 'any/case-worn'))).toBeCloseTo(0.6 / 12, 12);
    // What cannot be wrong with a clarinet says nothing of it.
    expect(chance('any/cold', [], NONE, found(2, 'brass/slide-set'))).toBeCloseTo(0.06, 12);
  });

  test('is never above the most', () => {
    expect(chance('any/cold', ['cold-room', 'cold-night'], found(30, 'any/cold'))).toBe(0.6);
  });
});

test('a reed that was played for two hours within three days was played much; near the end of its life it is worn', () => {
  const risks = (...uses: ReturnType<typeof used>[]) =>
    reedRisks(reedsOf(uses), livesOf([]), REED_TODAY).map(({ risk }) => risk);
  expect(risks(used(1, 2, 60), used(1, 0, 60))).toEqual(['reed-much-played']);
  expect(risks(used(1, 2, 60), used(1, 0, 59))).toEqual([]);
  // The third day back is outside of three days that end today.
  expect(risks(used(1, 3, 60), used(1, 0, 60))).toEqual([]);
  // Of several reeds only the one that was played last is thought of.
  expect(risks(used(1, 2, 60), used(1, 1, 60), used(2, 0, 5))).toEqual([]);
});

test('the reed that was played last is one that was played, and is still in use', () => {
  const reed = (name: string, played: string | null, stage = 'in-rotation') =>
    ({ name, lastPlayedOn: played === null ? null : localDate(played), stage }) as unknown as ReedState;
  const [fresh, old, newest] = [reed('new', null), reed('old', '2026-11-01'), reed('newest', '2026-11-20')];
  expect(lastReed([fresh, old, newest])).toBe(newest);
  expect(lastReed([newest, old])).toBe(newest);
  expect(lastReed([fresh])).toBeUndefined();
  expect(lastReed([old, reed('gone', '2026-11-21', 'retired')])).toBeUndefined();
});
