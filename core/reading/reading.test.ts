import { describe, expect, test } from '@jest/globals';
import { brush, draw, grease, hold, join, lay, part, shut, toAndFro } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import { readRun } from '#core/reading/read-run.ts';
import { READING_RULES, type ReadingRule } from '#core/reading/misread.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { readPractice } from '#core/reading/read-practice.ts';
import { casesOf } from '#core/testing/cases.ts';
import { BOOK } from '#core/tables/book.ts';
import { practiceOf, type AnyInstrument, type Due } from '#core/testing/any-run.ts';
import { manyPrinted, misreadings, printedOf, type Printed } from '#core/testing/misreadings.ts';

const read = ({ handled, steps }: Printed) => readRun(BOOK, handled, steps);
const run = (instrument: AnyInstrument, due: Due) => printedOf(BOOK, { instruments: [instrument], due: [due] });

/** The run with one of its steps said or done otherwise. */
function spoilt(printed: Printed, id: string, other: Partial<Step>): Printed {
  let found = 0;
  const steps = printed.steps.map((one) => {
    if (one.step.id !== id) return one;
    found += 1;
    return { ...one, step: { ...one.step, ...other } };
  });
  if (found === 0) throw new Error(`no ${id} in this run`);
  return { ...printed, steps };
}

const printed = manyPrinted(BOOK, 3);

test('before, after and everything due of three cases of each kind say what hands do', () => {
  expect(printed.flatMap(read)).toEqual([]);
  expect(printed.flatMap(({ steps }) => steps).length).toBeGreaterThan(2000);
});

const clarinet: AnyInstrument = { kind: 'clarinet' };
const alto: AnyInstrument = { kind: 'alto-saxophone' };

/** Each rule by something somebody might write; which rule is to find it stands beside it. */
const WRITTEN: readonly [ReadingRule, string, Printed][] = [
  [
    'noun-not-here',
    'a well on a clarinet',
    spoilt(run(clarinet, 'before'), 'clarinet/bell-on', { harm: 'the tube stays in the well' }),
  ],
  [
    'noun-not-here',
    'rubber on glass',
    spoilt(run({ kind: 'oboe' }, 'after'), 'oboe/bell-off', { harm: 'the rubber greys' }),
  ],
  [
    'noun-not-here',
    'pads of a bamboo flute',
    spoilt(run({ kind: 'bamboo-flute' }, 'before'), 'wind/wash-hands', { harm: 'pads stick' }),
  ],
  [
    'wrong-part',
    'the barrel for the bell',
    spoilt(run(clarinet, 'before'), 'clarinet/bell-on', { heading: 'Put the barrel on the lower joint' }),
  ],
  [
    'deed-not-said',
    'a slide that comes back unsaid',
    spoilt(run({ kind: 'trumpet' }, 'piston-brass/mouthpipe-brush'), 'piston-brass/brush-mouthpipe', {
      does: [grease('main-slide')],
    }),
  ],
  [
    'deed-not-said',
    'a lid nobody is told to shut',
    spoilt(run(clarinet, 'after'), 'wind/pieces-in-wells', { does: [shut('case')] }),
  ],
  [
    'order-not-done',
    'the cap taken off by words alone',
    spoilt(run(clarinet, 'after'), 'clarinet/swab-lower', { how: 'Take the cap off first.' }),
  ],
  [
    'order-not-done',
    'hold, and nothing holds',
    spoilt(run({ kind: 'flute' }, 'before'), 'flute/hold-body', { does: [lay('body')] }),
  ],
  [
    'not-so',
    'the strap carries what lies',
    spoilt(run(alto, 'after'), 'saxophone/swab-body-pass', { how: 'The strap still carries the body.' }),
  ],
  ['not-so', 'a cap that has gone', spoilt(run(alto, 'after'), 'saxophone/swab-neck', { how: 'Its cap stays on.' })],
  [
    'wrong-way',
    'through what is closed',
    spoilt(run({ kind: 'flute' }, 'after'), 'flute/swab-head', { how: 'Draw the silk through.' }),
  ],
  [
    'wrong-way',
    'back out of what it is drawn through',
    spoilt(run(clarinet, 'after'), 'clarinet/swab-lower', { how: 'It comes out the way it went in.' }),
  ],
  [
    'wrong-count',
    'three legs',
    spoilt(run({ kind: 'trombone' }, 'trombone/bath'), 'trombone/bath-brush', { how: 'Do three legs.' }),
  ],
  [
    'wrong-turn',
    'last, and more follows',
    spoilt(run(clarinet, 'before'), 'clarinet/mouthpiece-to-barrel', { how: 'Do it last.' }),
  ],
  [
    'wrong-turn',
    'again, for the first time',
    spoilt(run(clarinet, 'after'), 'clarinet/bell-off', { heading: 'Take the bell off again' }),
  ],
  [
    'wrong-supply',
    'grease where nothing is greased',
    spoilt(run(clarinet, 'after'), 'clarinet/swab-lower', { supplies: ['cork grease'] }),
  ],
  [
    'wrong-supply',
    'a supply nobody knows',
    spoilt(run(clarinet, 'after'), 'clarinet/swab-lower', { supplies: ['stardust'] }),
  ],
  [
    'contradicts',
    'cold and lukewarm',
    spoilt(run({ kind: 'trumpet' }, 'piston-brass/bath'), 'piston-brass/bath-fill', {
      how: 'Use cold water. Use lukewarm water.',
    }),
  ],
  [
    'stray-line',
    'a line of another way',
    spoilt(run(alto, 'after'), 'saxophone/unhook', { how: 'Do this before you tip it. The strap would pull it over.' }),
  ],
];

describe('the reader finds', () => {
  test.each(WRITTEN)('%s: %s', (rule, _what, bad) => {
    expect(read(bad).map((one) => one.rule)).toContain(rule);
  });

  test('a step out of its turn', () => {
    const { handled, steps } = run(clarinet, 'after');
    const at = steps.findIndex(({ step }) => step.id === 'clarinet/part-joints');
    const swab = steps.findIndex(({ step }) => step.id === 'clarinet/swab-lower');
    const one = steps[swab];
    if (one === undefined) throw new Error('no such step');
    const moved = { handled, steps: steps.toSpliced(swab, 1).toSpliced(at, 0, one) };
    expect(read(moved).map(({ rule }) => rule)).toContain('out-of-turn');
  });

  test('something by every rule it has', () => {
    expect(new Set<string>([...WRITTEN.map(([rule]) => rule), 'out-of-turn'])).toEqual(new Set<string>(READING_RULES));
  });
});

test.each<[string, Step['does'], boolean]>([
  ['Put the bell on the lower joint', [join('bell', 'lower-joint')], true],
  ['Put the bell on the lower joint', [part('bell', 'lower-joint')], false],
  ['Swab the bell', [draw('bell')], true],
  ['Swab the bell', [brush('bell')], false],
  ['Dry the bell, in and out the same way', [toAndFro('bell')], true],
  ['Hold the bell', [hold('bell')], true],
])('“%s” with its deed: %#', (heading, does, isRight) => {
  const base = run(clarinet, 'before');
  const { how: _how, ...bell } = base.steps.find(({ step }) => step.id === 'clarinet/bell-on')?.step ?? ({} as Step);
  const steps = [{ instrument: 'clarinet', step: { ...bell, heading, does } as Step }];
  const rules = readRun(BOOK, base.handled, steps).filter(({ rule }) => rule !== 'out-of-turn');
  expect(rules.length === 0).toBe(isRight);
});

test('items and never-dos name no part, place or material an instrument has not got', () => {
  const found = KIND_IDS.flatMap((kind) =>
    casesOf(BOOK, kind).flatMap((instrument) => readPractice(BOOK, practiceOf(BOOK, instrument))),
  );
  expect(found).toEqual([]);
  const practice = practiceOf(BOOK, clarinet);
  const other = { ...practice, items: practice.items.map((one) => ({ ...one, why: 'The rotors stick.' })) };
  expect(readPractice(BOOK, other).length).toBeGreaterThan(0);
});

/**
 * Words, deeds and orders spoilt by seed, thirty of each of seven sorts: of a part, in and out, hold and let go, a number,
 * an order, a deed turned round, a line said where it does not hold.
 */
test('of two hundred seeded faults at least 95 of a hundred are found', () => {
  const made = misreadings(BOOK, printed, 30, 20261201);
  const missed = made.filter(({ run: bad }) => read(bad).length === 0);
  expect(made.length).toBeGreaterThanOrEqual(200);
  expect(missed.length / made.length).toBeLessThanOrEqual(0.05);
});
