import { FAMILIES, type Family } from '#core/instruments/kind.ts';

/** A new kind, as far as a tool can know it. */
export type NewKind = {
  readonly id: string;
  readonly name: string;
  /** A kind beside which it is put, and whose surfaces and outline it begins with. */
  readonly like: string;
  readonly family: Family;
};

export const isFamily = (text: string): text is Family => (FAMILIES as readonly string[]).includes(text);

/** `alto-clarinet` in code: altoClarinet. */
export const inCode = (id: string): string => id.replace(/-(.)/g, (_, letter: string) => letter.toUpperCase());

const quoted = (id: string): string => `'${id}'`;
/** A key of an object: quoted where it has to be. */
const keyed = (id: string): string => (/^[a-z]+$/.test(id) ? id : quoted(id));

/** How one file changes; the text it looks for is said where it is not there. */
type Edit = { readonly file: string; readonly at: RegExp; readonly put: (found: string) => string };

/** The words of a new kind as its lists write them. */
function written({ id, like }: NewKind) {
  return { id, like, name: inCode(id), own: keyed(like) };
}
type Written = ReturnType<typeof written>;

/** Where a kind is registered. */
const registrations = ({ id, like, name, own }: Written): Edit[] => [
  {
    file: 'core/instruments/kind.ts',
    at: new RegExp(`^  ${quoted(like)},$`, 'm'),
    put: (found) => `${found}\n  ${quoted(id)},`,
  },
  { file: 'core/book/care-ids.ts', at: /^\] as const;$/m, put: (found) => `  ${quoted(id)},\n${found}` },
  { file: 'core/book/fault.ts', at: /^  'hand-slide',$/m, put: (found) => `${found}\n  ${quoted(id)},` },
  {
    file: 'core/tables/instruments/kinds.ts',
    at: /^\/\*\* The registration of every kind/m,
    put: (found) => `import { ${name} } from '#core/tables/instruments/${id}.ts';\n\n${found}`,
  },
  {
    file: 'core/tables/instruments/kinds.ts',
    at: new RegExp(`^  ${own}(?:: \\w+)?,$`, 'm'),
    put: (found) => `${found}\n  ${keyed(id) === name ? name : `${keyed(id)}: ${name}`},`,
  },
];

/** The pages of the book that are given to a kind. */
const pagesOf = ({ id, name }: Written): Edit[] => [
  {
    file: 'core/tables/care/pages.ts',
    at: /^const pages = /m,
    put: (found) => `import { ${name} } from '#core/tables/care/${id}.ts';\n\n${found}`,
  },
  {
    file: 'core/tables/care/pages.ts',
    at: /^  'highland-pipes': pages\(/m,
    put: (found) => `  ${keyed(id)}: pages(wind, onTheWay, swab, ${name}),\n${found}`,
  },
  {
    file: 'core/tables/agents/surfaces.ts',
    at: /^  'highland-pipes': \[/m,
    put: (found) => `  ${keyed(id)}: ['bore', 'body'],\n${found}`,
  },
  {
    file: 'core/tables/handling/anatomy.ts',
    at: /^  'highland-pipes': \{$/m,
    put: (found) => `  ${keyed(id)}: { couplings: [played('head-joint', 'body')] },\n${found}`,
  },
  {
    file: 'core/tables/faults/faults.ts',
    at: /^const pages = /m,
    put: (found) => `import { ${name} } from '#core/tables/faults/${id}.ts';\n\n${found}`,
  },
  {
    file: 'core/tables/faults/faults.ts',
    at: /^  'highland-pipes': pages\(/m,
    put: (found) => `  ${keyed(id)}: pages(any, swabbed, ${name}),\n${found}`,
  },
  {
    file: 'core/tables/bench/measures.ts',
    at: /^  'highland-pipes': pages\(/m,
    put: (found) => `  ${keyed(id)}: pages(any),\n${found}`,
  },
  {
    file: 'web/ui/silhouette-outlines.ts',
    at: /^  'highland-pipes': \[$/m,
    put: (found) => `  // An outline of its own: strokes for 48 × 48.\n  ${keyed(id)}: ['M38 8L10 40'],\n${found}`,
  },
];

/** Every list a kind stands in. A list that is missing here does not compile without the new kind. */
const edits = (kind: NewKind): Edit[] => [registrations, pagesOf].flatMap((of) => of(written(kind)));

const instrumentStub = ({
  id,
  name,
  family,
}: NewKind): string => `import { ask } from '#core/instruments/build-questions.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { WATER } from '#core/tables/instruments/water.ts';

/** ${name}. Parts and build from the practice book. Lengths, bores and water shares are estimates made for the drawing. */
export const ${inCode(id)} = {
  id: '${id}',
  name: '${name}',
  family: '${family}',
  nameByBuild: [],
  tube: [
    {
      id: 'head-joint',
      name: 'Head joint',
      lengthMm: 200,
      boreMm: [19, 19],
      nearness: 'at-the-mouth',
      waterShare: 0.6,
      joint: 'tenon',
    },
    { id: 'body', name: 'Body', lengthMm: 350, boreMm: [19, 19], nearness: 'first-half', waterShare: 0.4 },
  ],
  loose: [
    { id: 'swab', name: 'Swab', nearness: 'first-half' },
    { id: 'case', name: 'Case', nearness: 'the-rest' },
  ],
  standsFor: { 'the-bore': 'body' },
  fields: [ask('body', ['wood', 'plastic'], 'wood')],
  water: WATER.flute,
} as const satisfies InstrumentKind;
`;

const careStub = ({ id, name }: NewKind): string => `import { draw } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';
import { general } from '#core/explain/explained.ts';

/** ${name}. Minutes per step are estimates. */
export const ${inCode(id)}: Page = {
  id: '${id}',
  items: [
    {
      id: '${id}/swab',
      name: 'Swab the bore',
      part: 'body',
      trigger: { kind: 'every-play', moment: 'after' },
      severity: 'lasting',
      why: 'Say here why it is done.',
      mark: 'general',
    },
  ],
  steps: [
    {
      id: '${id}/swab-body',
      item: '${id}/swab',
      part: 'body',
      heading: 'Swab the body',
      how: 'Say here how it is done.',
      minutes: 0.3,
      repeats: {
        kind: 'passes-by-water',
        least: general(1),
        most: general(3),
        usual: 'until the cloth comes out dry',
        mark: 'general',
      },
      after: [],
      reaches: ['bore-dry', 'swab-used'],
      must: true,
      harm: 'say here what happens if it is left out',
      does: [draw('body')],
      mark: 'general',
    },
  ],
  neverDos: [],
};
`;

const faultsStub = ({ id, name }: NewKind): string => `import type { FaultPage } from '#core/book/fault.ts';

/** What can go wrong with a ${name.toLowerCase()}. */
export const ${inCode(id)}: FaultPage = { id: '${id}', signs: [], causes: [], stops: [], mishapStops: [] };
`;

/** The files a kind is made of, to be written out by hand. */
const stubs = (kind: NewKind): Record<string, string> => ({
  [`core/tables/instruments/${kind.id}.ts`]: instrumentStub(kind),
  [`core/tables/care/${kind.id}.ts`]: careStub(kind),
  [`core/tables/faults/${kind.id}.ts`]: faultsStub(kind),
});

/**
 * The files of the program with a new kind in every list it has to stand in, and the files it is made of as stubs.
 *
 * @param read gives a file as it is
 * @throws Error when a list is not where this tool looks for it, or the kind is there already
 */
export function withKind(kind: NewKind, read: (file: string) => string): Readonly<Record<string, string>> {
  const changed = stubs(kind);
  for (const { file, at, put } of edits(kind)) {
    const text = changed[file] ?? read(file);
    if (!at.test(text)) throw new Error(`${file}: nothing there looks like ${at.source}`);
    changed[file] = text.replace(at, put);
  }
  return changed;
}
