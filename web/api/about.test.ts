import { describe, expect, test } from '@jest/globals';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { mustLookAgain } from '#web/api/about.ts';

const clarinet = 'clarinet' as unknown as InstrumentId;
const [ofClarinet, ofHorn] = [ofInstrument('clarinet'), ofInstrument('horn')];

describe('after something was written', () => {
  test.each([
    ['the book', 'book', [ofHorn], false],
    ['the shelf', 'record', [ofHorn], true],
    ['a page of the instrument', { instrument: clarinet }, [ofHorn, ofClarinet], true],
    ['a page of another instrument', { instrument: clarinet }, [ofHorn], false],
    ['a page of the player', { player: 'ada' }, [ofHorn, ofPlayer('ada')], true],
    ['a page of another player', { player: 'ada' }, [ofHorn, ofPlayer('ben')], false],
    ['a page of a player whose name is that of an instrument', { player: 'horn' }, [ofHorn], false],
    ['a run, of an instrument', { run: 'one' }, [ofHorn], true],
    ['a run, of a tick in it', { run: 'one' }, { run: 'one' }, true],
    ['a run, of a tick in another', { run: 'one' }, { run: 'two' }, false],
    ['a page, of a tick', { instrument: clarinet }, { run: 'one' }, false],
    ['the shelf, of a tick', 'record', { run: 'one' }, false],
    ['a run, of everything', { run: 'one' }, 'everything', true],
    ['the book, of everything', 'book', 'everything', false],
    ['what does not say what it is about', undefined, [ofHorn], true],
  ] as const)('%s: looked at again or not', (_what, about, touched, again) => {
    expect(mustLookAgain(about, touched)).toBe(again);
  });
});
