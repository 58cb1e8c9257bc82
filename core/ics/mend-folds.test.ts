import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mendFolds } from '#core/ics/mend-folds.ts';

const text = (bytes: Uint8Array): string => Buffer.from(bytes).toString('utf8');
const unfolded = (of: string): string => of.replaceAll(/\r?\n[ \t]/g, '');

test('a letter cut in two by a fold is whole again, and the line is folded behind it', () => {
  const cut = Buffer.concat([
    Buffer.from('SUMMARY:Matin'),
    Buffer.from([0xc3]),
    Buffer.from('\r\n '),
    Buffer.from([0xa9]),
    Buffer.from('e'),
  ]);
  expect(text(mendFolds(cut))).toBe('SUMMARY:Matiné\r\n e');
});

test('whatever is folded at whatever byte is the same when it is unfolded, and no line end is lost', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'grapheme', maxLength: 40 }),
      fc.array(fc.nat(120), { maxLength: 8 }),
      fc.constantFrom('\r\n ', '\n\t'),
      (said, places, fold) => {
        const plain = Buffer.from(said.replaceAll(/[\r\n]/g, ''));
        const cuts = [...new Set(places.map((at) => Math.min(at, plain.length)))].sort((a, b) => a - b);
        const parts = [...cuts, plain.length].map((cut, at) => plain.subarray(cuts[at - 1] ?? 0, cut));
        const folded = Buffer.concat(parts.flatMap((part, at) => (at === 0 ? [part] : [Buffer.from(fold), part])));
        const mended = text(mendFolds(folded));
        expect(unfolded(mended)).toBe(plain.toString('utf8'));
        expect(mended.split('\n')).toHaveLength(cuts.length + 1);
      },
    ),
    { seed: 51, numRuns: 500 },
  );
});
