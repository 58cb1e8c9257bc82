import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import type { IncomingView, TableReading } from '#contract/data.ts';
import { aKey, furnishedServer, NOW, playBody, TODAY, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const post = (at: string, body: object) => server.api().post(at).send(body);
async function settled(id: string): Promise<IncomingView> {
  for (;;) {
    const { body } = await server.api().get(`/api/data/incoming/${id}`).expect(200);
    if (body.phase !== 'reading' && body.phase !== 'taking') return body;
    await new Promise((resolve) => setImmediate(resolve));
  }
}
async function bring(table: string | Buffer, language = 'en-GB', name = 'plays.csv'): Promise<IncomingView> {
  const { body } = await server
    .api()
    .post(`/api/data/incoming?name=${name}`)
    .set('Content-Type', 'application/octet-stream')
    .set('Accept-Language', language)
    .send(Buffer.from(table))
    .expect(201);
  return settled(body.id);
}
async function readOtherwise({ id, preview }: IncomingView, over: Partial<TableReading>): Promise<IncomingView> {
  const { what, hasHeader, order, columns, playerId, instrumentId } = preview!.table!;
  await post(`/api/data/incoming/${id}/reading`, {
    ...{ what, hasHeader, order, columns, playerId, instrumentId, ...over },
  }).expect(200);
  return settled(id);
}
async function take(id: string): Promise<IncomingView> {
  await post(`/api/data/incoming/${id}/take`, { players: [], today: TODAY }).expect(200);
  return settled(id);
}
const table = async (kind: string, delimiter: string) =>
  (await server.api().get(`/api/data/${kind}.csv?delimiter=${delimiter}`).expect(200)).text;
const entries = async (id = 'clarinet') =>
  (await server.api().get(`/api/record/${id}?limit=200`).expect(200)).body.entries as {
    key: string;
    kind: string;
    on: string;
    words: string;
  }[];
const playsOf = async (id = 'clarinet') => (await entries(id)).filter(({ kind }) => kind === 'play');

describe('a table that goes out', () => {
  test('is read by a parser of others as it was said, whatever parts its cells', async () => {
    await post('/api/players', { id: 'odd', name: '=1+1 "Q", the; odd', standing: 'grown-up', does: [] }).expect(201);
    await post('/api/plays', playBody({ roomCelsius: 21.5, playerId: 'odd' })).expect(201);
    await post('/api/plays', playBody({ endedOn: '2026-11-20', endedAtMinute: null })).expect(201);
    for (const [delimiter, cut, room] of [
      ['comma', ',', '21.5'],
      ['semicolon', ';', '21,5'],
      ['tab', '\t', '21.5'],
    ] as const) {
      const rows = parse(await table('plays', delimiter), { bom: true, delimiter: cut, relax_column_count: false });
      expect(rows).toEqual([
        ['Day', 'Ended at', 'Minutes', 'Instrument', 'Player', 'Room °C'],
        ['2026-11-20', '', '45', 'Clarinet', 'Ada', ''],
        // A cell that a spreadsheet would run is text.
        ['2026-11-24', '19:50', '45', 'Clarinet', '\'=1+1 "Q", the; odd', room],
      ]);
    }
    expect(await table('plays', 'comma')).toMatch(/^\ufeff[^\n]+\r\n(?:[^\n]+\r\n)+$/);
  });

  test('of care names what was done in words', async () => {
    const done = { instrumentId: 'clarinet', itemId: 'clarinet/swab-bore', doneOn: '2026-11-20', by: 'player' };
    await post('/api/care', { ...done, key: aKey(), now: NOW }).expect(201);
    const [, row] = parse(await table('care', 'comma'), { bom: true });
    expect(row).toEqual(['2026-11-20', expect.stringMatching(/^[A-Z]/), 'Clarinet', 'player']);
  });

  test('comes in again and nothing is doubled', async () => {
    await post('/api/plays', playBody({ roomCelsius: 21.5 })).expect(201);
    const done = { instrumentId: 'clarinet', itemId: 'clarinet/swab-bore', doneOn: '2026-11-20', by: 'player' };
    await post('/api/care', { ...done, key: aKey(), now: NOW }).expect(201);
    for (const [kind, delimiter] of [
      ['plays', 'comma'],
      ['plays', 'semicolon'],
      ['care', 'tab'],
    ] as const) {
      const { preview, problems } = await bring(await table(kind, delimiter));
      expect([problems, preview?.isWorthIt, preview?.lines]).toEqual([
        [],
        false,
        ['Your record has all of it already.'],
      ]);
    }
  });
});

describe('a table that comes in', () => {
  test('is found out, tried, taken in, and taken back as one', async () => {
    const looked = await bring('Datum;Dauer;Raum\r\n20.11.2026;1:15;21,5\r\n21.11.2026;45;\r\n', 'de-DE');
    expect(looked.problems).toEqual([]);
    expect(looked.preview?.table).toMatchObject({
      what: 'plays',
      encoding: 'UTF-8',
      delimiter: 'semicolon',
      order: 'day-month-year',
      hasHeader: true,
      columns: ['date', 'minutes', 'room'],
      playerId: 'ada',
      instrumentId: 'clarinet',
    });
    expect(looked.preview?.lines[0]).toBe('2 plays are new.');
    expect(await playsOf()).toEqual([]);
    expect((await take(looked.id)).outcome).toBe('2 plays are in your record now.');
    expect((await playsOf()).map(({ on, words }) => [on, words])).toEqual([
      ['2026-11-21', expect.stringContaining('45 min')],
      ['2026-11-20', expect.stringContaining('1 h 15 min')],
    ]);
    const brought = (await entries()).find(({ kind }) => kind === 'table-import');
    expect(brought?.words).toBe('A table was brought in: 2 plays (plays.csv).');
    await post('/api/withdrawals', { key: aKey(), targetKey: brought?.key }).expect(201);
    expect(await playsOf()).toEqual([]);
    // What was taken back is brought in anew.
    const again = await bring('Datum;Dauer;Raum\r\n20.11.2026;1:15;21,5\r\n21.11.2026;45;\r\n', 'de-DE');
    expect(again.preview?.lines[0]).toBe('2 plays are new.');
    await take(again.id);
    expect((await playsOf()).length).toBe(2);
  });

  test('every problem is told by its row, and nothing is taken', async () => {
    const looked = await bring(
      [
        'date,minutes,instrument',
        '2026-11-20,45,Clarinet',
        '29.02.2027,45,',
        '2026-11-21,long,',
        '2026-11-22,30,Tuba',
        '2027-01-01,30,Clarinet',
        '',
        '2020-01-01,30,Clarinet',
      ].join('\n'),
    );
    expect(looked.problems.map(({ at, words }) => `${at}: ${words}`)).toEqual([
      '3: “29.02.2027” is no day.',
      '4: “long” is no time of playing.',
      '5: No instrument in your record is called “Tuba”.',
      expect.stringMatching(/^6: That has not happened yet/),
      expect.stringMatching(/^8: It came to you on/),
    ]);
    expect(looked.preview?.isWorthIt).toBe(false);
    await post(`/api/data/incoming/${looked.id}/take`, { players: [], today: TODAY }).expect(404);
    expect(await playsOf()).toEqual([]);
  });

  test('is read otherwise where somebody says so', async () => {
    const looked = await bring('3/4/2026,60\n5/6/2026,30\n');
    expect(looked.preview?.table).toMatchObject({
      hasHeader: false,
      order: 'day-month-year',
      columns: ['date', 'minutes'],
    });
    const american = await readOtherwise(looked, { order: 'month-day-year', instrumentId: 'trumpet' as never });
    expect(american.problems).toEqual([]);
    await take(looked.id);
    expect((await playsOf('trumpet')).map(({ on }) => on)).toEqual(['2026-05-06', '2026-03-04']);
    const usual = await bring('3/4/2026,60\n', 'en-US');
    expect(usual.preview?.table?.order).toBe('month-day-year');
    const unnamed = await readOtherwise(usual, { columns: [null, 'minutes'] });
    expect(unnamed.preview).toMatchObject({ isWorthIt: false, lines: ['Say which column is “Day”.'] });
  });

  test('of past care is matched by name', async () => {
    const [item] = (await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200)).body.clocks;
    const looked = await bring(`Date,Work,Instrument,By\n2026-10-01,${item.name},clarinet,bench\n`);
    expect([looked.problems, looked.preview?.table?.what]).toEqual([[], 'care']);
    await take(looked.id);
    expect((await entries()).filter(({ kind }) => kind === 'care').length).toBe(1);
    const unknown = await bring('Date,Work\n2026-10-01,Polish the moon\n');
    expect(unknown.problems[0]?.words).toBe('This instrument has no care called “Polish the moon”.');
  });

  test.each([
    ['UTF-16', Buffer.from('\ufeffDay\tMinutes\r\n2026-11-20\t45\r\n', 'utf16le'), 'UTF-16', 'tab'],
    ['a mark', Buffer.from('\ufeffDay,Minutes\n2026-11-20,45'), 'UTF-8', 'comma'],
    ['Windows', Buffer.from('Day,Minutes,Ort\n2026-11-20,45,M\xfcnchen\n', 'latin1'), 'Windows-1252', 'comma'],
    ['old line ends', Buffer.from('Day|Minutes\r2026-11-20|45\r'), 'UTF-8', 'bar'],
    ['quoted line ends', Buffer.from('"Day","Minutes","Notes"\n"2026-11-20","45","a\nb, ""c"""\n'), 'UTF-8', 'comma'],
  ])('in %s is read', async (_what, bytes, encoding, delimiter) => {
    const { problems, preview } = await bring(bytes);
    expect([problems, preview?.table?.encoding, preview?.table?.delimiter]).toEqual([[], encoding, delimiter]);
    expect(preview?.lines[0]).toBe('1 play is new.');
  });

  test.each([
    ['a million columns', 'x,'.repeat(1_000_000), /at most 100 columns/],
    ['too many rows', 'Day,Minutes\n'.concat('2026-11-20,1\n'.repeat(10_001)), /at most 10000 rows/],
    ['empty rows', '\n\n,,,\n', /nothing in this table/],
    ['one that is too large', 'x'.repeat(20_000_001), /at most 20 MB/],
  ])('%s is refused in words', async (_what, text, words) => {
    const { phase, problems } = await bring(text);
    expect([phase, problems.length]).toEqual(['refused', 1]);
    expect(problems[0]?.words).toMatch(words);
  });

  test('whatever stands in its cells, a row is taken as it says or told', async () => {
    const cell = fc.oneof(
      fc.constantFrom('2026-11-20', '31/11/2026', '45', '1:30', 'Clarinet', '', '=cmd', '\u0000', '"', 'NaN', '1e9'),
      fc.string(),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(cell, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 5 }),
        async (rows) => {
          const quoted = rows.map((cells) => cells.map((one) => `"${one.replaceAll('"', '""')}"`).join(',')).join('\n');
          const { phase, preview, problems } = await bring(`Day,Minutes,Instrument\n${quoted}`);
          if (phase === 'refused') expect(problems[0]?.words).not.toMatch(/could not be taken in/);
          else
            expect(preview?.isWorthIt === true ? problems : ['told']).toEqual(
              preview?.isWorthIt === true ? [] : ['told'],
            );
        },
      ),
      { numRuns: 25 },
    );
  });
});
