import { describe, expect, test } from '@jest/globals';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { mustLookAgain } from '#web/api/about.ts';

const [clarinet, horn] = ['clarinet', 'horn'] as unknown as [InstrumentId, InstrumentId];

describe('after something was written', () => {
  test.each([
    ['the book', 'book', 'everything', false],
    ['the shelf', 'record', [horn], true],
    ['a page of the instrument', { instrument: clarinet }, [horn, clarinet], true],
    ['a page of another instrument', { instrument: clarinet }, [horn], false],
    ['a page, of a player and all they play', { instrument: clarinet }, 'everything', true],
    ['a run, of an instrument', { run: 'one' }, [horn], true],
    ['a run, of a tick in it', { run: 'one' }, { run: 'one' }, true],
    ['a run, of a tick in another', { run: 'one' }, { run: 'two' }, false],
    ['a page, of a tick', { instrument: clarinet }, { run: 'one' }, false],
    ['the shelf, of a tick', 'record', { run: 'one' }, false],
    ['what does not say what it is about', undefined, [horn], true],
  ] as const)('%s: looked at again or not', (_what, about, touched, again) => {
    expect(mustLookAgain(about, touched)).toBe(again);
  });
});
