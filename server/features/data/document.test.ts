import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { text } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { gzipSync } from 'node:zlib';
import { RECORD_VERSION, type WrittenFact } from '#core/data/document.ts';
import { BOOK } from '#core/tables/book.ts';
import { localDate } from '#core/time/local-date.ts';
import { lookAtDocument } from '#server/features/data/look-at-document.ts';
import { FACTS } from '#server/facts.ts';
import { writingBeside } from '#server/features/data/beside.ts';
import { DocumentRefusal, importDocument, type Imported } from '#server/features/data/import-document.ts';
import { recordSchema } from '#server/features/data/record-schema.ts';
import { writtenHistory, writtenRecord } from '#server/features/data/write-document.ts';
import { withdrawalDefinition } from '#server/record/withdrawal.fact.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import {
  aKey,
  furnish,
  NOW,
  playBody,
  runBody,
  share,
  testServer,
  TODAY,
  WOODEN,
  type TestServer,
} from '#server/testing/test-server.ts';

let server: TestServer;
let empty: TestServer;
let folder: string;
beforeEach(async () => {
  server = testServer();
  empty = testServer();
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-document-'));
  await furnish(server);
});
afterEach(() => {
  expect(empty.breaches()).toEqual([]);
  server.stop();
  empty.stop();
  rmSync(folder, { recursive: true, force: true });
});

type Document = {
  format: string;
  version: number;
  instrument: string | null;
  facts: WrittenFact[];
  otherKeys: object[];
};
const recordText = ({ client }: TestServer) => text(Readable.from(writtenRecord(client().name, FACTS)));
const parsed = (document: string) => JSON.parse(document) as Document;
/** Takes a document into the record of a server. */
async function take(into: TestServer, document: string | Uint8Array, aliases = new Map<string, string>()) {
  const file = path.join(folder, 'document.json');
  writeFileSync(file, document);
  const stop = new AbortController().signal;
  return writingBeside(into.client().name, (beside) =>
    importDocument(file, beside, { definitions: FACTS, aliases, stop }),
  );
}
/** What would become of the record of a server with a document. */
async function look(into: TestServer, document: string): Promise<Imported> {
  const file = path.join(folder, 'looked-at.json');
  writeFileSync(file, document);
  const looking = {
    ...{ book: BOOK, definitions: FACTS, aliases: new Map<string, string>(), today: localDate(TODAY) },
  };
  const { signal: stop } = new AbortController();
  const scratch = path.join(folder, 'scratch.db');
  const looked = await lookAtDocument(file, into.client(), scratch, { ...looking, stop, report: () => undefined });
  return looked.imported;
}
/** What a player opens. */
const PAGES = [
  `/api/today?playerId=ada&today=${TODAY}&atMinute=1200`,
  ...['clarinet', 'trumpet'].flatMap((id) => [`/api/care/${id}?today=${TODAY}`, `/api/record/${id}?limit=200`]),
  `/api/reeds?playerId=ada&today=${TODAY}&atMinute=1200`,
  `/api/events?playerId=ada&today=${TODAY}`,
];
const refused = async (taking: Promise<Imported>): Promise<readonly string[]> => {
  try {
    await taking;
    return [];
  } catch (error) {
    if (!(error instanceof DocumentRefusal)) throw error;
    return error.problems.map(({ at, words }) => (at === null ? words : `${at}: ${words}`));
  }
};
const post = (at: string, body: object) => server.api().post(at).send(body);
const OTHER = {
  ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
  acquiredOn: '2024-01-10',
};
const LOGGED = Object.keys(oneOfEach);
/** Logs an example of each of these kinds, as far as they do not stand in each other's way; a correction and a withdrawal. */
async function log(kinds: readonly string[]): Promise<void> {
  await post('/api/instruments', { ...OTHER, today: TODAY }).expect(201);
  for (const kind of kinds) {
    const made = await Promise.resolve(oneOfEach[kind]!.make(post)).catch(() => null);
    if (made) await post(made.path, { ...made.body, key: made.body['key'] ?? aKey() });
  }
  const play = playBody({ endedOn: '2026-11-20' });
  await post('/api/plays', play).expect(201);
  await post('/api/plays', playBody({ endedOn: '2026-11-20', minutes: 50, corrects: play.key })).expect(201);
  const takenBack = playBody({ endedOn: '2026-11-19' });
  await post('/api/plays', takenBack).expect(201);
  await post('/api/withdrawals', { key: aKey(), targetKey: takenBack.key }).expect(201);
}

async function expectTheSame(): Promise<Document> {
  const one = await recordText(server);
  const { taken } = await take(empty, one);
  expect(taken).toBe(parsed(one).facts.length);
  expect(await recordText(empty)).toBe(one);
  return parsed(one);
}

describe('written, taken into an empty record and written again it is the same, byte for byte', () => {
  test.each(LOGGED)('with a %s', async (kind) => {
    await post('/api/instruments', { ...OTHER, today: TODAY }).expect(201);
    const made = await oneOfEach[kind]!.make(post);
    await post(made.path, { ...made.body, key: made.body['key'] ?? aKey() });
    const { facts } = await expectTheSame();
    expect(facts.map((one) => one.kind)).toContain(kind);
  });

  test('with whatever kinds in whatever order', async () => {
    await fc.assert(
      fc
        .asyncProperty(fc.shuffledSubarray(LOGGED, { minLength: 8 }), async (kinds) => {
          await log(kinds);
          await expectTheSame();
        })
        .afterEach(async () => {
          server.stop();
          empty.stop();
          server = testServer();
          empty = testServer();
          await furnish(server);
        }),
      { numRuns: 6 },
    );
  });
});

test('it is what its published schema says, by a validator of others', async () => {
  await log(LOGGED);
  const kinds = [...FACTS, withdrawalDefinition];
  const published = JSON.parse(readFileSync('docs/record.schema.json', 'utf8')) as object;
  expect(published).toEqual(JSON.parse(JSON.stringify(recordSchema(kinds))));
  const validate = new Ajv2020({ validateFormats: false, allowUnionTypes: true }).compile(published);
  const document = parsed(await recordText(server));
  expect([validate(document), validate.errors]).toEqual([true, null]);
  const [first, ...others] = document.facts;
  expect(validate({ ...document, facts: [{ ...first, on: 5 }, ...others] })).toBe(false);
  expect(validate({ ...document, facts: [{ ...first, kind: 'spell' }, ...others] })).toBe(false);
});

/** A record as each version wrote it: what was once saved is read for ever. */
const FIXTURES = readdirSync('server/features/data/fixtures').toSorted();
test.each(FIXTURES)('%s, as it was written then, is read', async (name) => {
  const written = readFileSync(path.join('server/features/data/fixtures', name), 'utf8');
  const { facts } = parsed(written);
  expect(await take(empty, written)).toEqual({ taken: facts.length, known: 0, passedOver: 0 });
  for (const at of PAGES) expect([at, (await empty.api().get(at)).status]).toEqual([at, 200]);
});

test('there is a fixture of every version up to the one that is written', () => {
  const versions = FIXTURES.map((name) => Number(/^record-(\d+)\.json$/.exec(name)?.[1]));
  expect(versions.toSorted((one, other) => one - other)).toEqual(
    Array.from({ length: RECORD_VERSION }, (_, at) => at + 1),
  );
});

test.each([
  [
    'a text without end, packed a thousandfold',
    () => gzipSync(Buffer.concat([Buffer.from('{"a":"'), Buffer.alloc(200_000_000, 120)])),
  ],
  [
    'blanks without end, packed a thousandfold',
    () => gzipSync(Buffer.concat([Buffer.from('{"facts":['), Buffer.alloc(70_000_000, 32)])),
  ],
  [
    'an element without end',
    () => gzipSync(Buffer.concat([Buffer.from('{"facts":[{"key":"'), Buffer.alloc(70_000_000, 120)])),
  ],
  ['a packing that is cut off', () => gzipSync(Buffer.from('{"facts":[]}')).subarray(0, 20)],
  [
    'a packing that lies about its size',
    () => Buffer.concat([gzipSync(Buffer.from('{"facts":[]}')).subarray(0, -4), Buffer.from([255, 255, 255, 127])]),
  ],
])('%s is refused in words', async (_what, bytes) => {
  const problems = await refused(take(empty, bytes()));
  expect(problems).toEqual([expect.stringMatching(/^The file|^Something in the file/)]);
});

test('taken in twice it is the same record; beside a used one only what is new comes', async () => {
  await post('/api/plays', playBody()).expect(201);
  const one = await recordText(server);
  await take(empty, one);
  expect(await take(empty, one)).toMatchObject({ taken: 0, known: parsed(one).facts.length });
  await post('/api/plays', playBody({ endedOn: '2026-11-20' })).expect(201);
  expect(await take(empty, await recordText(server))).toMatchObject({ taken: 1 });
});

test('however it is written: indented, packed, marked, with its fields in another order', async () => {
  const one = await recordText(server);
  const { facts, otherKeys, ...head } = parsed(one);
  const turned = JSON.stringify({ otherKeys, facts, ...head }, null, 2).replaceAll('\n', '\r\n');
  await take(empty, gzipSync(`\ufeff${turned}`));
  expect(await recordText(empty)).toBe(one);
});

describe('what cannot be taken is told by its place, and nothing is written', () => {
  const changed = async (change: (document: Document) => void): Promise<string> => {
    const document = parsed(await recordText(server));
    change(document);
    return JSON.stringify(document);
  };
  const at = (document: Document, kind: string) => document.facts.findIndex((one) => one.kind === kind);
  const withBody = (kind: string, body: object) =>
    changed((document) => {
      const index = at(document, kind);
      document.facts[index] = {
        ...document.facts[index]!,
        body: { ...(document.facts[index]!.body as object), ...body },
      };
    });

  test.each<[string, () => Promise<string>, RegExp]>([
    ['not JSON', async () => `${await recordText(server)}x`, /no whole JSON/],
    ['cut off', async () => (await recordText(server)).slice(0, -400), /no whole JSON/],
    ['another format', () => changed((one) => (one.format = 'something')), /no record of Ulu/],
    ['a newer version', () => changed((one) => (one.version = 2)), /newer version/],
    ['an unknown kind', () => changed((one) => (one.facts[3] = { ...one.facts[3]!, kind: 'spell' })), /^4: .*“spell”/],
    [
      'a day that is none',
      () => changed((one) => (one.facts[0] = { ...one.facts[0]!, on: '2027-02-29' as never })),
      /^1: /,
    ],
    ['a field too many', () => withBody('player', { spell: 1 }), /^1: /],
    ['an instrument of nobody', () => withBody('instrument', { playerId: 'nobody' }), /^5: .*neither in your record/],
    [
      'a correction of nothing',
      () => changed((one) => (one.facts[2] = { ...one.facts[2]!, corrects: 'none' })),
      /^3: .*neither/,
    ],
    ['a kind of instrument that is none', () => withBody('instrument', { kind: 'ocarina' }), /^5: /],
  ])('%s', async (_what, document, words) => {
    const problems = await refused(take(empty, await document()));
    expect(problems[0]).toMatch(words);
    expect(parsed(await recordText(empty)).facts).toEqual([]);
  });

  test('other content under a key is listed', async () => {
    await take(empty, await recordText(server));
    const problems = await refused(take(empty, await withBody('profile', { name: 'Eve' })));
    expect(problems).toEqual([expect.stringMatching(/^2: .*something else under the key.*name/)]);
  });

  test('more problems than anybody reads are counted', async () => {
    const problems = await refused(
      take(empty, await changed((one) => one.facts.push(...Array.from({ length: 50 }, () => ({}) as WrittenFact)))),
    );
    expect([problems.length, problems.at(-1)]).toEqual([21, 'And 30 more problems.']);
  });

  test('whatever is changed in it, it is taken whole and every page answers, or refused', async () => {
    await log(LOGGED);
    const one = parsed(await recordText(server));
    const value = fc.oneof(fc.constantFrom(null, -1, 1e300, '', 'x', [], {}, true, 'care/none'), fc.string());
    await fc.assert(
      fc.asyncProperty(fc.nat(one.facts.length - 1), fc.nat(20), value, async (index, field, put) => {
        const fact = one.facts[index]!;
        const names = Object.keys(fact.body as object);
        const body = { ...(fact.body as object), [names[field % Math.max(1, names.length)] ?? 'x']: put };
        const facts = one.facts.with?.(index, { ...fact, body }) ?? one.facts;
        const trial = testServer();
        try {
          const document = JSON.stringify({ ...one, facts });
          const problems = await refused(look(trial, document));
          if (problems.length > 0) return;
          await take(trial, document);
          // Old records take back what is not there: so may a document.
          expect(trial.breaches().filter((one) => !one.includes('which is not in the record'))).toEqual([]);
          for (const at of PAGES) expect([at, (await trial.api().get(at)).status]).toEqual([at, 200]);
        } finally {
          trial.stop();
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('a player of another record who is somebody here', () => {
  test('has their facts become those of the one here, who stays as they are', async () => {
    await post('/api/plays', playBody()).expect(201);
    await empty.api().post('/api/players').send({ id: 'me', name: 'Me', standing: 'grown-up', does: [] }).expect(201);
    await take(empty, await recordText(server), new Map([['ada', 'me']]));
    const { body } = await empty.api().get('/api/players').expect(200);
    expect(body.map(({ id, name }: { id: string; name: string }) => [id, name])).toEqual([
      ['me', 'Me'],
      ['kit', 'Kit'],
    ]);
    const shelf = await empty.api().get('/api/instruments?today=2026-11-24').expect(200);
    expect(shelf.body.map(({ playerId }: { playerId: string }) => playerId)).toEqual(['me', 'me']);
  });
});

describe('the history of one instrument', () => {
  const historyText = (id: string) => text(Readable.from(writtenHistory(server.client().name, FACTS, id)));

  test('holds what was said of it and of no other, and is taken into another record', async () => {
    await log(LOGGED);
    const evening = { playerId: 'ada', endedOn: '2026-11-10', endedAtMinute: 1200, roomCelsius: null };
    const plays = ['clarinet', 'trumpet'].map((instrumentId) => ({ key: aKey(), instrumentId, minutes: 30 }));
    await post('/api/evenings', { ...evening, plays, key: aKey(), now: NOW }).expect(201);
    const both = runBody({ parts: [share(), share({ instrumentId: 'trumpet' })] });
    await post('/api/runs', both);
    const history = await historyText('trumpet');
    const { facts, instrument } = parsed(history);
    expect(facts.find(({ kind }) => kind === 'play')?.belongsTo).toBeNull();
    expect([instrument, history.includes('clarinet')]).toEqual(['trumpet', false]);
    const { taken } = await take(empty, history);
    expect([taken, facts.length > 3]).toEqual([facts.length, true]);
    const { body } = await empty.api().get('/api/record/trumpet?limit=200').expect(200);
    expect(body.entries.length).toBeGreaterThan(0);
  });

  test('names its players by who they are now, and leaves what was taken back', async () => {
    await post('/api/profiles', {
      key: aKey(),
      now: NOW,
      playerId: 'ada',
      name: 'Ada B.',
      standing: 'grown-up',
      does: [],
    }).expect(201);
    const play = playBody();
    await post('/api/plays', play).expect(201);
    await post('/api/withdrawals', { key: aKey(), targetKey: play.key }).expect(201);
    const { facts } = parsed(await historyText('clarinet'));
    expect(facts.map(({ kind }) => kind)).toEqual(['player', 'profile', 'instrument', 'build']);
    expect(facts[1]?.body).toMatchObject({ name: 'Ada B.' });
  });
});
