import { describe, expect, test } from '@jest/globals';
import { LARGEST_FILE_BYTES } from '#core/methods/method-set-format.ts';
import { readSetFile } from '#web/features/methods/set-file.ts';

const file = (content: string, name = 'way.json') => new File([content], name, { type: 'application/json' });

describe('a file of choices', () => {
  test('is read as JSON, whatever is in it: that is for the server to check', async () => {
    expect(await readSetFile(file('{"choices":{}}'))).toEqual({ choices: {} });
    expect(await readSetFile(file('[1]'))).toEqual([1]);
  });

  test.each(['', 'hello', '{"a":', '\u0000\u0001', '<xml/>'])(
    '%j is refused by the name of the file',
    async (content) => {
      await expect(readSetFile(file(content, 'odd.json'))).rejects.toThrow(
        /odd\.json is no JSON file. Nothing was changed/,
      );
    },
  );

  test('larger than a set can be it is not even read', async () => {
    const large = file(' '.repeat(LARGEST_FILE_BYTES + 1));
    await expect(readSetFile(large)).rejects.toThrow(/larger than a set/);
    expect(await readSetFile(file(`${' '.repeat(LARGEST_FILE_BYTES - 2)}[]`))).toEqual([]);
  });
});
