import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import type { Step } from '#core/book/step.ts';
import type { Build } from '#core/instruments/build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { methodsFor } from '#core/methods/chosen-method.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
import { plainWordRefusals, sentences } from '#core/check/plain-words.ts';
import { BOOK } from '#core/tables/book.ts';
import { buildDials } from '#core/testing/cases.ts';
import { pairwise } from '#core/testing/pairwise.ts';

/** Shorthand of a house that a reader has to learn first. */
const SHORTHAND = [
  'Left out:',
  'At hand:',
  'What calls',
  'link lifted',
  'It is over',
  'Give your way',
  'Your way with',
  'Take choices',
  'What it costs:',
  'never left out without',
];

/** Every step as it can be said on a kind: the usual practice, and each single choice beside it. */
function saidOn(kind: KindId, build: Build): Step[] {
  const context = plainContext(BOOK, kind, build);
  const single = methodsFor(BOOK, kind, build).flatMap((id) =>
    Object.keys(BOOK.methods[id].choices).map((choice) => ({ [id]: choice })),
  );
  return [{}, ...single].flatMap(
    (choices) => practiceUnder(practiceFor(BOOK, kind, build), { choices, context }).steps,
  );
}

describe.each(KIND_IDS)('the steps of the %s', (kind) => {
  test('are said as a teacher would, under every choice', () => {
    const builds = [usualBuild(BOOK.kinds[kind]), ...(pairwise(buildDials(BOOK, kind)) as Build[])];
    const refusals = builds.flatMap((build) =>
      [...new Set(saidOn(kind, build))].flatMap((step) => plainWordRefusals(step, BOOK.lexicon)),
    );
    expect([...new Set(refusals)]).toEqual([]);
  });
});

/** A reason or verdict is whole sentences: it begins with a capital, ends with a full stop and is not strung on semicolons. */
const isWhole = (text: string): boolean =>
  !text.includes(';') && sentences(text).every((one) => /^(\p{Lu}|[0-9]).*[.?]$/u.test(one));

test('the reasons of items, verdicts and conditions are whole sentences', () => {
  const { agents, conditions } = BOOK;
  const said = [
    ...KIND_IDS.flatMap((kind) => {
      const builds = [usualBuild(BOOK.kinds[kind]), ...(pairwise(buildDials(BOOK, kind)) as Build[])];
      return builds.flatMap((build) => {
        const { items, neverDos } = practiceFor(BOOK, kind, build);
        return [...items.map(({ why }) => why), ...neverDos.map(({ why }) => why)];
      });
    }),
    ...agents.flatMap(({ rows }) => rows.flatMap(({ why, byMethod }) => [why, ...(byMethod ? [byMethod.then] : [])])),
    ...Object.values(conditions).flatMap(({ effects }) =>
      effects.flatMap((effect) => (effect.kind === 'hold' ? [effect.text] : [])),
    ),
  ];
  expect(said.length).toBeGreaterThan(300);
  expect([...new Set(said)].filter((text) => !isWhole(text))).toEqual([]);
});

describe('the rule itself', () => {
  const good = {
    id: 'swab/hang',
    heading: 'Hang the swab up',
    how: 'Let it dry.',
    harm: 'it grows mould',
  } as unknown as Step;

  test('passes a plain step', () => expect(plainWordRefusals(good, BOOK.lexicon)).toEqual([]));
  test.each<[string, Partial<Step>]>([
    ['a heading that names no doing', { heading: 'Mouthpiece washed' }],
    ['a long heading', { heading: `Hang ${'the swab '.repeat(6)}` }],
    ['a heading with a full stop', { heading: 'Hang it.' }],
    ['bits of sentences', { how: 'Wide end first' }],
    ['four sentences', { how: 'One. Two. Three. Four.' }],
    ['a breathless sentence', { how: `It ${'goes on and '.repeat(8)}ends.` }],
    ['harm that is no clause', { harm: 'Mould.' }],
    ['a caution in shorthand', { cautions: ['cork kept dry'] }],
  ])('finds %s', (_, bad) => expect(plainWordRefusals({ ...good, ...bad }, BOOK.lexicon)).not.toEqual([]));
});

test.each(['rinsed; dried', 'On a bud', 'corks are kept dry', 'Keep it dry. never wet'])(
  'finds half a sentence: %s',
  (text) => expect(isWhole(text)).toBe(false),
);

test('no screen and no sentence of the program uses the house’s shorthand', () => {
  const files = ['web', 'core'].flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.tsx?$/.test(name) && !name.startsWith('dist') && !name.includes('.test.'))
      .map((name) => path.join(folder, name)),
  );
  const found = files.flatMap((file) => {
    const text = readFileSync(file, 'utf8');
    return SHORTHAND.filter((one) => text.includes(one)).map((one) => `${file}: ${one}`);
  });
  expect(files.length).toBeGreaterThan(200);
  expect(found).toEqual([]);
});
