import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { fail, succeed } from '#core/kernel/outcome.ts';
import { ofInstrument } from '#core/record/fact.ts';
import { fact } from '#contract/fact.ts';
import { amount, instrumentId } from '#contract/scalars.ts';
import { invalid, noInstrument } from '#server/failure.ts';
import { FACTS } from '#server/facts.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type AnyFact } from '#server/record/define-fact.ts';
import { facts } from '#server/record/record.table.ts';
import type { Services } from '#server/services.ts';
import { aKey, furnish, NOW, testServer, TODAY, type TestServer } from '#server/testing/test-server.ts';

// The worked example of docs/adding-a-fact.md: what a hygrometer shows, of an instrument's case or of a room.

/** 1. The declaration: what is sent, and of whom it tells. */
const caseReadingFact = fact({
  kind: 'case-reading',
  path: '/api/cases/readings',
  fields: {
    instrumentId: instrumentId().nullable().defined(),
    celsius: amount().required(),
    humidityPercent: amount().required(),
  },
  about: ({ instrumentId: id }) => (id === null ? [] : [ofInstrument(id)]),
  correctable: true,
});

/** 2. The table: a row for each, that refers to the spine. */
const caseReadings = sqliteTable('case_readings', {
  factId: integer('fact_id')
    .primaryKey()
    .references(() => facts.id),
  instrumentId: text('instrument_id').$type<InstrumentId>(),
  celsius: real().notNull(),
  humidityPercent: real('humidity_percent').notNull(),
});
const MIGRATION =
  'create table case_readings (fact_id integer primary key references facts (id), instrument_id text references instruments (id), celsius real not null, humidity_percent real not null)';

/** 3. The definition: how it is decided, kept and read. */
const caseReadingDefinition = defineFact<Services>()(caseReadingFact, {
  store: bodyTable(caseReadings, {
    toRow: (reading) => reading,
    fromRow: ({ factId: _factId, ...reading }) => reading,
  }),
  words: ({ body }) => `Air: ${body.celsius} °C, ${body.humidityPercent} %`,
  decide: ({ instrumentId: id, celsius, humidityPercent }, { now }, { instruments }) => {
    if (id !== null && !instruments.find(id)) return fail(noInstrument());
    if (humidityPercent < 0 || humidityPercent > 100) return fail(invalid('humidityPercent', { code: 'no-humidity' }));
    return succeed({ body: { instrumentId: id, celsius, humidityPercent }, ...now });
  },
});

let server: TestServer;
beforeAll(async () => {
  server = testServer({ kinds: [...FACTS, caseReadingDefinition as AnyFact<Services>] });
  server.client().exec(MIGRATION);
  await furnish(server);
});
afterAll(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const send = (over: object = {}) =>
  server
    .api()
    .post('/api/cases/readings')
    .send({ key: aKey(), instrumentId: 'clarinet', celsius: 21.5, humidityPercent: 38, now: NOW, ...over });
const listed = async (): Promise<{ key: string; words: string; corrected: boolean }[]> =>
  (await server.api().get('/api/record/clarinet?limit=20').expect(200)).body.entries;

describe('a kind of fact nobody had thought of, by a table, a schema and a definition', () => {
  test('is logged once, listed, corrected and undone', async () => {
    const key = aKey();
    await send({ key }).expect(201);
    await send({ key }).expect(200);
    expect((await send({ key, celsius: 3 })).body.errors[0].message).toContain('celsius');
    expect(await listed()).toMatchObject([{ key, words: 'Air: 21.5 °C, 38 %', corrected: false }]);
    const better = aKey();
    await send({ key: better, corrects: key, humidityPercent: 41 }).expect(201);
    expect(await listed()).toMatchObject([{ key, words: 'Air: 21.5 °C, 41 %', corrected: true }]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: better }).expect(201);
    expect(await listed()).toMatchObject([{ key, words: 'Air: 21.5 °C, 38 %', corrected: false }]);
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: key }).expect(201);
    expect(await listed()).toEqual([]);
  });

  test('may be about nothing in the record: the air of a room', async () => {
    await send({ instrumentId: null }).expect(201);
    expect(await listed()).toEqual([]);
  });

  test('is judged by its own rules, and survives a restart', async () => {
    expect((await send({ humidityPercent: 130 })).body.errors[0].field).toBe('humidityPercent');
    expect((await send({ instrumentId: 'nobody' })).status).toBe(404);
    const key = aKey();
    await send({ key }).expect(201);
    server.restart();
    await send({ key }).expect(200);
    await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
  });
});
