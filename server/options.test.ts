import { describe, expect, test } from '@jest/globals';
import path from 'node:path';
import { OptionRefusal, readOptions } from '#server/options.ts';

const USUAL = { port: 4000, dataFolder: 'usual' };
const read = (...args: string[]) => readOptions(args, USUAL);

describe('the command line', () => {
  test('says where, on which port and with which data; what it leaves out is as usual', () => {
    expect(read()).toEqual({ port: 4000, host: '127.0.0.1', dataFolder: path.resolve('usual'), quiet: false });
    expect(read('--port', '0', '--host', '::1', '--data', 'here', '--quiet')).toEqual({
      port: 0,
      host: '::1',
      dataFolder: path.resolve('here'),
      quiet: true,
    });
    expect(read('--copies', 'there').copiesFolder).toBe(path.resolve('there'));
    expect(read('--port', '65535').port).toBe(65_535);
  });

  test.each([['65536'], ['-1'], ['1.5'], ['http'], ['NaN'], ['Infinity'], [''], [' ']])('“%s” is no port', (port) => {
    expect(() => read(`--port=${port}`)).toThrow(OptionRefusal);
  });

  test.each([
    ['--host', ''],
    ['--host', ' '],
    ['--data', ''],
    ['--data', ' '],
    ['--copies', ''],
    ['--colour', 'red'],
    ['a', 'b'],
  ])('%s “%s” is refused', (name, value) => {
    expect(() => read(name, value)).toThrow(OptionRefusal);
  });
});
