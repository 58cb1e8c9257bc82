import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import path from 'node:path';
import { instant } from '#core/time/instant.ts';
import { localDate } from '#core/time/local-date.ts';
import { DATABASE_FILE } from '#server/db/connection.ts';
import { aKey, furnishedServer, NOW, playBody, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const post = (path: string, body: object) => server.api().post(path).send(body);

const playOf = (key: string) => ({
  ...{ key, kind: 'play', on: localDate(TODAY), atMinute: 60, corrects: null, belongsTo: null },
  loggedAt: instant('2026-11-24T20:00:00.000Z'),
  body: {
    ...{ instrumentId: 'clarinet', playerId: 'ada', endedOn: TODAY, endedAtMinute: 60, minutes: 7 },
    roomCelsius: null,
  },
});

describe('the facts of an instrument', () => {
  test('are read once, until a fact touches it or its player; another instrument’s facts do not', async () => {
    const { readings } = server.services();
    const today = localDate(TODAY);
    const first = readings.of('clarinet');
    expect(readings.of('clarinet')).toBe(first);
    expect(readings.onShelf()[0]?.()).toBe(first);
    expect(first?.situation(today)).toBe(first?.situation(today));
    await post('/api/care/wetness-resets', { key: aKey(), instrumentId: 'trumpet', now: NOW }).expect(201);
    expect(readings.of('clarinet')).toBe(first);
    await post('/api/plays', playBody()).expect(201);
    const second = readings.of('clarinet');
    expect(second).not.toBe(first);
    expect(second?.facts.plays.minutes).toHaveLength(1);
    const ill = { key: aKey(), instrumentId: 'trumpet', condition: 'ill', beginsOn: TODAY, endsOn: null };
    await post('/api/conditions', { ...ill, part: null, air: null, now: NOW }).expect(201);
    expect(readings.of('clarinet')?.facts.conditions.map(({ id }) => id)).toEqual(['ill']);
  });

  test('plays that are added to those read before are those that would be read anew', async () => {
    const { plays, atOnce } = server.services();
    const inTheFile = () =>
      server
        .client()
        .prepare(
          "select wall_minute, minutes from plays where instrument_id = 'clarinet' and counts = 1 order by wall_minute, minutes",
        )
        .raw()
        .all() as [number, number][];
    const agree = () => {
      const { endedAt, minutes } = plays.columns('clarinet');
      expect(Array.from(endedAt, (at, row) => [at, minutes[row]])).toEqual(inTheFile());
    };
    agree();
    const keys: string[] = [];
    const log = async (over: object) => {
      const body = playBody({ minutes: 20, ...over });
      await post('/api/plays', body).expect(201);
      keys.push(body.key);
      agree();
    };
    for (const endedAtMinute of [600, 500, 700]) await log({ endedOn: '2026-11-20', endedAtMinute });
    await log({ endedOn: '2026-11-19', endedAtMinute: null, minutes: 30 });
    await log({ endedOn: '2026-11-19', endedAtMinute: null, minutes: 10 });
    await log({ endedOn: '2026-11-20', endedAtMinute: 620, minutes: 10, corrects: keys[0] });
    await post('/api/withdrawals', { key: aKey(), targetKey: keys[1] }).expect(201);
    agree();
    await log({ endedOn: '2026-11-21', endedAtMinute: 800 });
    const never = () =>
      atOnce(() => {
        server.services().record.append([playOf(aKey())]);
        expect(plays.columns('clarinet').minutes).toHaveLength(inTheFile().length);
        throw new Error('thought better of it');
      });
    expect(never).toThrow('thought better');
    agree();
    expect(inTheFile()).toHaveLength(5);
  });

  test('are kept where another program holds the record: nothing was written', () => {
    const { readings, atOnce, remembered } = server.services();
    const first = readings.of('clarinet');
    const of = { name: 'anything', subjects: [], day: TODAY };
    const made = remembered.of(of, () => ({}));
    const other = new Database(path.join(server.folder, DATABASE_FILE));
    other.exec('begin immediate');
    expect(() => atOnce(() => 0)).toThrow();
    other.exec('rollback');
    other.close();
    expect(readings.of('clarinet')).toBe(first);
    expect(remembered.of(of, () => ({}))).toBe(made);
  });

  test('are not kept from a change that was never written', () => {
    const services = server.services();
    const fail = () =>
      services.atOnce(() => {
        const common = { on: localDate(TODAY), atMinute: null, corrects: null, belongsTo: null };
        const departure = { instrumentId: 'clarinet', leftOn: TODAY };
        const loggedAt = instant('2026-11-24T20:00:00.000Z');
        services.record.append([{ ...common, loggedAt, key: aKey(), kind: 'departure', body: departure }]);
        expect(services.readings.of('clarinet')?.instrument.leftOn).toBe(TODAY);
        throw new Error('thought better of it');
      });
    expect(fail).toThrow('thought better');
    expect(services.readings.of('clarinet')?.instrument.leftOn).toBeNull();
  });
});

describe('a request over many instruments', () => {
  test('lets others have their turn', async () => {
    const order: string[] = [];
    const { inTurns } = await import('#server/turns.ts');
    const slow = (what: string) => {
      const until = performance.now() + 20;
      while (performance.now() < until);
      order.push(what);
      return [what];
    };
    const all = inTurns(['one', 'two', 'three'], slow);
    setImmediate(() => order.push('somebody else'));
    expect(await all).toEqual(['one', 'two', 'three']);
    expect(order.indexOf('somebody else')).toBeLessThan(order.indexOf('three'));
  });
});
