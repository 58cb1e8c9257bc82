import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { NoDocument, SplitDocument, type Element } from '#core/data/split-document.ts';

const bytes = (text: string) => new TextEncoder().encode(text);
const utf8 = (text: Uint8Array): string | undefined => {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(text);
  } catch {
    return undefined;
  }
};
/** Everything that is given out of a document that arrives in pieces of a length. */
function split(document: Uint8Array, length = 7) {
  const splitter = new SplitDocument(utf8);
  const elements: Element[] = [];
  for (let at = 0; at < document.length; at += length)
    elements.push(...splitter.push(document.subarray(at, at + length)));
  return { elements, rest: splitter.end() };
}
const codeOf = (document: Uint8Array): string => {
  try {
    split(document);
    return 'read';
  } catch (error) {
    return error instanceof NoDocument ? error.code : `thrown ${String(error)}`;
  }
};

describe('a document that is taken apart', () => {
  test('gives what JSON.parse gives, however it is written and in whatever pieces it comes', () => {
    const element = fc.dictionary(fc.string(), fc.jsonValue({ maxDepth: 3 }), { maxKeys: 4 });
    const document = fc.record({ format: fc.string(), facts: fc.array(element), otherKeys: fc.array(element) });
    fc.assert(
      fc.property(
        document,
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 1, max: 40 }),
        (whole, indent, length) => {
          const text = JSON.stringify(whole, null, indent);
          const read = JSON.parse(text);
          const { elements, rest } = split(bytes(text), length);
          expect(elements).toEqual(
            (['facts', 'otherKeys'] as const).flatMap((list) =>
              (read[list] as Element['value'][]).map((value) => ({ list, value })),
            ),
          );
          expect(rest['format']).toBe(read.format);
        },
      ),
    );
  });

  test('a byte order mark is passed over', () => {
    expect(split(bytes('\ufeff{"facts":[{"a":1}]}')).elements).toEqual([{ list: 'facts', value: { a: 1 } }]);
  });

  test.each([
    ['nothing', ''],
    ['a word', 'hello'],
    ['a list', '[{"a":1}]'],
    ['cut off', '{"facts":[{"a":1},{"a":'],
    ['cut off in a text', '{"facts":[{"a":"b'],
    ['a missing comma', '{"facts":[{"a":1}{"a":2}]}'],
    ['something behind', '{"facts":[]}{"facts":[]}'],
    ['a number among objects', '{"facts":[{"a":1},0,1]}'],
    ['the 0 that stands for an object', '{"facts":[0]}'],
    ['too many ends', '{"facts":[]}]}'],
    ['an element that is none', '{"facts":[{a}]}'],
  ])('%s is no document', (_what, text) => {
    expect(codeOf(bytes(text))).toBe('not-json');
  });

  test('what is nested without end is refused before it is read', () => {
    expect(codeOf(bytes(`{"facts":[{"a":${'['.repeat(1_000_000)}`))).toBe('too-deep');
  });

  test('another encoding is refused', () => {
    const utf16 = new Uint8Array(Buffer.from('\ufeff{"facts":[]}', 'utf16le'));
    expect(['not-json', 'not-utf8']).toContain(codeOf(utf16));
    expect(codeOf(Uint8Array.of(...bytes('{"facts":[{"a":"'), 0xe9, ...bytes('"}]}')))).toBe('not-utf8');
  });
});
