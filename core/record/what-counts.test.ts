import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { differences, saysTheSame } from '#core/record/fact.ts';
import { whatCounts, type CountedFact } from '#core/record/what-counts.ts';

const fact = (key: string, over: Partial<CountedFact> = {}): CountedFact => ({
  key,
  corrects: null,
  belongsTo: null,
  withdraws: null,
  ...over,
});
const counting = (...facts: CountedFact[]) => [...whatCounts(facts)].toSorted();

describe('what counts', () => {
  test('a fact, until it is taken back', () => {
    expect(counting(fact('a'), fact('b'))).toEqual(['a', 'b']);
    expect(counting(fact('a'), fact('w', { withdraws: 'a' }))).toEqual(['w']);
  });

  test('the newest correction that stands, in the place of the original; taken back, the former one again', () => {
    const [first, second] = [fact('a1', { corrects: 'a' }), fact('a2', { corrects: 'a' })];
    expect(counting(fact('a'), first, second)).toEqual(['a2']);
    expect(counting(fact('a'), first, second, fact('w', { withdraws: 'a2' }))).toEqual(['a1', 'w']);
    expect(counting(fact('a'), first, second, fact('w', { withdraws: 'a2' }), fact('v', { withdraws: 'a1' }))).toEqual([
      'a',
      'v',
      'w',
    ]);
    expect(counting(fact('a'), first, fact('w', { withdraws: 'a' }))).toEqual(['w']);
  });

  test('what belongs to another, for as long as that counts in any of its versions', () => {
    const done = fact('done', { belongsTo: 'end' });
    const chain = [fact('run'), fact('end', { belongsTo: 'run' }), done];
    expect(counting(...chain)).toEqual(['done', 'end', 'run']);
    expect(counting(...chain, fact('w', { withdraws: 'end' }))).toEqual(['run', 'w']);
    expect(counting(...chain, fact('w', { withdraws: 'run' }))).toEqual(['w']);
    expect(counting(...chain, fact('run2', { corrects: 'run' }))).toEqual(['done', 'end', 'run2']);
  });

  test('what belongs to a correction stands and falls with what that corrects', () => {
    const facts = [fact('run'), fact('run2', { corrects: 'run' }), fact('done', { belongsTo: 'run2' })];
    expect(counting(...facts)).toEqual(['done', 'run2']);
    expect(counting(...facts, fact('w', { withdraws: 'run2' }))).toEqual(['done', 'run', 'w']);
    expect(counting(...facts, fact('w', { withdraws: 'run' }))).toEqual(['w']);
  });

  test('of every fact at most one version, and none of what was taken back', () => {
    const pick = fc.nat(11);
    fc.assert(
      fc.property(
        fc.array(fc.record({ what: fc.constantFrom('plain', 'correct', 'belong', 'withdraw'), at: pick })),
        (rows) => {
          const facts: CountedFact[] = [];
          rows.forEach(({ what, at }, index) => {
            const target = facts[at % Math.max(1, facts.length)];
            const original = target?.corrects ?? target?.key ?? null;
            if (what === 'plain' || target === undefined || target.withdraws !== null) facts.push(fact(`f${index}`));
            else if (what === 'correct') facts.push(fact(`f${index}`, { corrects: original }));
            else if (what === 'belong') facts.push(fact(`f${index}`, { belongsTo: original }));
            else facts.push(fact(`f${index}`, { withdraws: target.key }));
          });
          const found = whatCounts(facts);
          const taken = new Set(facts.map(({ withdraws }) => withdraws));
          for (const key of found)
            expect(taken.has(key) && !facts.some(({ corrects }) => corrects === key)).toBe(false);
          const originals = [...found].map((key) => facts.find((one) => one.key === key)?.corrects ?? key);
          expect(new Set(originals).size).toBe(originals.length);
        },
      ),
      { seed: 8, numRuns: 400 },
    );
  });
});

describe('two entries under one key', () => {
  test('say the same whatever the order of their fields', () => {
    expect(saysTheSame({ a: 1, b: [{ c: 2, d: null }] }, { b: [{ d: null, c: 2 }], a: 1 })).toBe(true);
    expect(saysTheSame([1, 2], [2, 1])).toBe(false);
  });

  test('differ in the fields that are named; a field nobody kept differs in nothing', () => {
    expect(differences({ a: 1, b: 2, c: 3 }, { a: 1, b: 3, c: undefined })).toEqual(['b']);
    expect(differences({ air: { celsius: 20 } }, { air: null })).toEqual(['air']);
  });
});
