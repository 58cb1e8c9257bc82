import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { withKind } from './new-kind.ts';

const FIFE = { id: 'slide-whistle', name: 'Slide whistle', like: 'piccolo', family: 'Flutes' } as const;
const read = (file: string): string => readFileSync(file, 'utf8');

test('a new kind stands once in every list, and its three files are made', () => {
  const files = withKind(FIFE, read);
  const made = Object.keys(files).filter((file) => file.includes('/slide-whistle.ts'));
  expect(made).toHaveLength(3);
  for (const [file, text] of Object.entries(files)) {
    expect([file, text.includes('slide-whistle')]).toEqual([file, true]);
    if (!made.includes(file))
      expect([file, text.replace(/.*(?:slide-whistle|slideWhistle).*\n/g, '').length]).not.toEqual([file, text.length]);
  }
  // Nothing that stood there is gone.
  for (const [file, text] of Object.entries(files))
    if (!made.includes(file)) for (const line of read(file).split('\n')) expect(text.includes(line)).toBe(true);
});

test('where a list is not what the tool looks for, it says so and writes nothing', () => {
  expect(() => withKind(FIFE, () => '// moved')).toThrow(/nothing there looks like/);
});
