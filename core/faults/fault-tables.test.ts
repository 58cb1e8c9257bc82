import { describe, expect, test } from '@jest/globals';
import { bookItem } from '#core/book/book.ts';
import { MISHAPS, type Cause, type FaultPage, type FaultSign } from '#core/book/fault.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { handsOfRemedy } from '#core/faults/fault-words.ts';
import { partHere } from '#core/faults/faults-for.ts';
import type { Build, BuildOption } from '#core/instruments/build.ts';
import { KIND_IDS, type InstrumentKind } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const pages: FaultPage[] = [...new Set(KIND_IDS.flatMap((kind) => BOOK.faults.pagesOf[kind].map(({ page }) => page)))];
const signs: FaultSign[] = pages.flatMap((page) => page.signs);
const causes: Cause[] = pages.flatMap((page) => page.causes);
const stops = pages.flatMap((page) => page.stops);
const repeated = (ids: readonly string[]) => ids.filter((id, index) => ids.indexOf(id) !== index);

/** Builds of a kind in which every two options of two questions meet. */
const buildsOf = (kind: InstrumentKind): Build[] =>
  pairwise(Object.fromEntries(kind.fields.map(({ field, options }) => [field, options.map(({ id }) => id)]))) as Record<
    string,
    BuildOption<'body'>
  >[];

describe('the tables of faults', () => {
  test('every id stands once, on its page', () => {
    expect(repeated([...signs, ...causes].map(({ id }) => id).sort())).toEqual([]);
    const strayed = pages.flatMap((page) =>
      [...page.signs, ...page.causes].filter(({ id }) => !id.startsWith(`${page.id}/`)).map(({ id }) => id),
    );
    expect(strayed).toEqual([]);
  });

  test('every sign a cause or a rule speaks of is there, and every care', () => {
    const known = new Set<string>(signs.map(({ id }) => id));
    const named = [
      ...causes.flatMap(({ shows }) => Object.values(shows).flat()),
      ...stops.flatMap(({ sign, onSigns }) => [sign, ...onSigns]),
    ];
    expect(named.filter((id) => !known.has(id))).toEqual([]);
    const cares = causes.flatMap(({ remedy }) => remedy.care ?? []);
    expect(cares.filter((id) => bookItem(BOOK, id) === undefined)).toEqual([]);
  });

  test('a sign no cause shows and no rule asks for is on no page', () => {
    const shown = new Set([
      ...causes.flatMap(({ shows }) => Object.values(shows).flat()),
      ...stops.map(({ sign }) => sign),
    ]);
    expect(signs.filter(({ id }) => !shown.has(id)).map(({ id }) => id)).toEqual([]);
  });

  test('each cause is complained of, and has something to look at or to try', () => {
    const sortOf = new Map(signs.map(({ id, sort }) => [id, sort]));
    const without = causes.filter(({ shows }) => {
      const sorts = Object.values(shows)
        .flat()
        .map((id) => sortOf.get(id));
      return !sorts.includes('complaint') && !sorts.includes('look');
    });
    expect(without.map(({ id }) => id)).toEqual([]);
  });

  test('nothing that is for the bench alone is a player’s work, nor the other way about', () => {
    const wrong = causes.filter(({ remedy: { hand, care = [] } }) =>
      care.some((id) => (bookItem(BOOK, id)?.place === 'bench') !== (hand !== 'player')),
    );
    expect(wrong.map(({ id }) => id)).toEqual([]);
  });

  test('a hand that is not the player’s says what is not done meanwhile, or needs nothing said', () => {
    const harmful = /\b(force|bend|hammer|pliers|glue|heat|needle|stick|sand|polish)\b/i;
    const wrong = causes.filter(({ remedy }) => harmful.test(remedy.how) && !/\b(no|never|not)\b/i.test(remedy.how));
    expect(wrong.map(({ id }) => id)).toEqual([]);
  });

  test('headings are short imperatives, sentences whole and short', () => {
    const headings = [...causes.map(({ remedy }) => remedy.heading), ...stops.map(({ heading }) => heading)];
    expect(headings.filter((one) => one.length > 62 || /[.!]$/.test(one))).toEqual([]);
    const texts = [
      ...causes.flatMap(({ remedy: { how, never } }) => [how, ...(never ? [never] : [])]),
      ...signs.flatMap(({ question, how }) => [question, ...(how ? [how] : [])]),
      ...stops.map(({ meanwhile }) => meanwhile),
    ];
    expect(texts.filter((one) => !/[.?]$/.test(one) || /!/.test(one))).toEqual([]);
    const sentences = texts.flatMap((one) => one.split(/(?<=[.?])\s/));
    expect(sentences.filter((one) => one.split(/\s+/).length > 24)).toEqual([]);
  });

  test('nobody is blamed', () => {
    const all = [...causes.map(({ name }) => name), ...causes.map(({ remedy }) => remedy.how)];
    expect(all.filter((one) => /\byour fault\b|careless|wrongly done|you forgot|you did/i.test(one))).toEqual([]);
  });
});

describe('each kind', () => {
  test.each(KIND_IDS)('%s: at least 12 causes and 18 signs in every build, each with its part and its hands', (id) => {
    const kind = BOOK.kinds[id];
    const few: string[] = [];
    for (const build of buildsOf(kind)) {
      const here = faultsFor(BOOK, id, build);
      if (here.causes.length < 12 || here.signs.length < 18)
        few.push(`${JSON.stringify(build)}: ${here.causes.length} causes, ${here.signs.length} signs`);
      for (const cause of here.causes) {
        const hands = handsOfRemedy(cause, { standing: 'child', does: ['key-oil', 'screws', 'solvents', 'blades'] });
        if (cause.remedy.skill && hands === 'player') few.push(`${cause.id} is left to a child`);
      }
    }
    expect(few).toEqual([]);
  });

  test('wood is asked about only where there is some, skin only where pads are of it', () => {
    const plastic = faultsFor(BOOK, 'clarinet', { body: 'plastic', tenons: 'cork', pads: 'leather' });
    expect(plastic.signs.filter(({ id }) => id.startsWith('wooden/'))).toEqual([]);
    expect(plastic.stops.filter(({ sign }) => sign.startsWith('wooden/'))).toEqual([]);
    expect(faultsFor(BOOK, 'trombone', { rotor: 'none' }).causes.some(({ id }) => id.startsWith('rotary/'))).toBe(
      false,
    );
    expect(faultsFor(BOOK, 'trombone', { rotor: 'one' }).causes.some(({ id }) => id.startsWith('rotary/'))).toBe(true);
  });

  test('a part a kind has not is never named', () => {
    const unnamed: string[] = [];
    for (const id of KIND_IDS) {
      const kind = BOOK.kinds[id];
      for (const build of buildsOf(kind))
        for (const cause of faultsFor(BOOK, id, build).causes)
          if (partHere(kind, cause.part) === null) unnamed.push(`${id}: ${cause.id} is on ${cause.part}`);
    }
    expect([...new Set(unnamed)]).toEqual([]);
  });

  test('every mishap counts for something on some kind', () => {
    const counts = new Set(causes.flatMap(({ likelier = {} }) => Object.keys(likelier)));
    const stopping = new Set(pages.flatMap(({ mishapStops }) => mishapStops.map(({ mishap }) => mishap)));
    expect(MISHAPS.filter((one) => !counts.has(one) && !stopping.has(one))).toEqual([]);
  });
});
