import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { RecordView } from '#contract/record.ts';
import type { RunView } from '#contract/packup.ts';
import { shownRun } from '#contract/shown-run.ts';
import { FACTS } from '#server/facts.ts';
import type { Example } from '#server/testing/examples/example.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  share,
  type TestServer,
  TODAY,
  WOODEN,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
  // A second of each, so that every field can be said otherwise.
  const other = { id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false };
  await post('/api/instruments', { ...other, acquiredOn: '2024-01-10', today: TODAY });
});
afterEach(() => {
  // Whatever was done to it, the record holds together.
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const post = (path: string, body: object) => server.api().post(path).send(body);
const takeBack = (targetKey: string) => post('/api/withdrawals', { key: aKey(), targetKey });
const begun = async (over: object = {}): Promise<RunView> => (await post('/api/runs', runBody(over)).expect(201)).body;
const note = { instrumentId: 'clarinet', now: NOW };

const logged = FACTS.filter((kind) => kind.decide !== undefined).map(({ kind }) => kind);
const exampleOf = async (kind: string): Promise<Example> => {
  const make = oneOfEach[kind]?.make;
  if (make === undefined) throw new Error(`no example of ${kind}`);
  return make(post);
};
const rowsOf = (key: string): number =>
  server.client().prepare('select count(*) from facts where key = ?').pluck().get(key) as number;
const revision = () => server.client().prepare('select sum(revision) from subjects').pluck().get() as number;
/** Run events are taken back only where they end a run, or say what the cloth showed. */

test('every kind that can be logged has an example here', () => {
  expect(Object.keys(oneOfEach).toSorted()).toEqual(logged.toSorted());
});

describe.each(logged)('a %s', (kind) => {
  test('sent again is answered as before, and recorded once; whoever looks next sees it', async () => {
    const { path, body } = await exampleOf(kind);
    const [key, before] = [aKey(), revision()];
    const first = await post(path, { ...body, key });
    expect([kind, first.status, first.body.errors]).toEqual([kind, 201, undefined]);
    expect(revision()).toBeGreaterThan(before);
    const after = revision();
    const later = { on: TODAY, atMinute: 1210 };
    const again = await post(path, { ...body, key, ...(body.now === undefined ? {} : { now: later }) }).expect(200);
    expect(again.body).toEqual(first.body);
    expect([rowsOf(key), revision()]).toEqual([1, after]);
  });

  test('sent five times at once is recorded once', async () => {
    const { path, body } = await exampleOf(kind);
    const key = aKey();
    // Who has too much long work waiting is told to come back, and does.
    const send = async (): Promise<number> => {
      const { status } = await post(path, { ...body, key });
      return status === 503 ? send() : status;
    };
    expect((await Promise.all([1, 2, 3, 4, 5].map(send))).toSorted()).toEqual([200, 200, 200, 200, 201]);
    expect(rowsOf(key)).toBe(1);
  });

  test('under the same key with any one field said otherwise is refused, and the answer names it', async () => {
    const { path, body, otherwise } = await exampleOf(kind);
    const key = aKey();
    await post(path, { ...body, key }).expect(201);
    for (const [field, value] of Object.entries(otherwise)) {
      const answer = await post(path, { ...body, key, [field]: value });
      expect([kind, field, answer.status, answer.body.errors?.[0]?.message]).toEqual([
        kind,
        field,
        409,
        expect.stringContaining(field),
      ]);
    }
    expect(rowsOf(key)).toBe(1);
  });

  test('under a key that another kind has used is refused', async () => {
    const { path, body } = await exampleOf(kind);
    const key = aKey();
    const used = kind === 'wetness-reset' ? '/api/care/decisions' : '/api/care/wetness-resets';
    const decision = { itemId: 'swab/wash', kind: 'declined', until: null };
    await post(used, { ...note, key, ...(kind === 'wetness-reset' ? decision : {}) }).expect(201);
    const answer = await post(path, { ...body, key });
    expect([kind, answer.status, answer.body.errors[0].message]).toEqual([kind, 409, expect.stringContaining('kind')]);
    expect(rowsOf(key)).toBe(1);
  });
});

describe.each(logged)('a %s taken back', (kind) => {
  test('counts no longer, once and for all: twice is once, and neither it nor the withdrawal comes back', async () => {
    const { path, body } = await exampleOf(kind);
    const key = aKey();
    await post(path, { ...body, key }).expect(201);
    const before = revision();
    const first = await takeBack(key).expect(201);
    expect(revision()).toBeGreaterThan(before);
    expect((await takeBack(key).expect(200)).body).toEqual(first.body);
    await takeBack(first.body.key).expect(409);
    expect((await post(path, { ...body, key })).status).toBe(409);
    const { body: record } = await server.api().get('/api/record/clarinet?limit=50').expect(200);
    expect((record as RecordView).entries.map((entry) => entry.key)).not.toContain(key);
    expect(server.client().prepare('select counts from facts where key = ?').pluck().get(key)).toBe(0);
  });
});

describe('a correction', () => {
  const entries = async () =>
    ((await server.api().get('/api/record/clarinet?limit=50').expect(200)).body as RecordView).entries;
  const lastPlay = async () => (await server.api().get(`/api/care/clarinet?today=${TODAY}`)).body.lastPlay;

  test('takes the place of a play under its key; taken back, the former one is there again', async () => {
    const play = playBody({ minutes: 45 });
    await post('/api/plays', play).expect(201);
    const [one, two] = [aKey(), aKey()];
    await post('/api/plays', { ...play, key: one, corrects: play.key, minutes: 60, roomCelsius: 10 }).expect(201);
    expect(await lastPlay()).toMatchObject({ key: play.key, minutes: 60 });
    // A correction of a correction is one of the original.
    const second = { ...play, key: two, corrects: one, minutes: 75, endedAtMinute: 1100 };
    await post('/api/plays', second).expect(201);
    await post('/api/plays', second).expect(200);
    expect(await lastPlay()).toMatchObject({ key: play.key, minutes: 75, endedAtMinute: 1100 });
    expect(await entries()).toMatchObject([{ key: play.key, corrected: true, words: 'Played 1 h 15 min' }]);
    await takeBack(two).expect(201);
    expect(await lastPlay()).toMatchObject({ key: play.key, minutes: 60 });
    await takeBack(one).expect(201);
    expect(await lastPlay()).toMatchObject({ key: play.key, minutes: 45 });
    expect(await entries()).toMatchObject([{ key: play.key, corrected: false }]);
  });

  test('leaves the play where it stood beside what came in the same minute', async () => {
    const play = playBody({ endedOn: NOW.on, endedAtMinute: NOW.atMinute });
    await post('/api/plays', play).expect(201);
    const sign = aKey();
    await post('/api/care/signs', { ...note, key: sign, itemId: 'keyed/rod-dust', part: 'lower-joint' }).expect(201);
    const keys = async () => (await entries()).map(({ key }) => key);
    expect(await keys()).toEqual([sign, play.key]);
    await post('/api/plays', { ...play, key: aKey(), corrects: play.key, minutes: 30 }).expect(201);
    expect(await keys()).toEqual([sign, play.key]);
  });

  test('of what was taken back, of nothing, or of another kind is refused', async () => {
    const play = playBody();
    await post('/api/plays', play).expect(201);
    const correction = { ...play, corrects: play.key, minutes: 60 };
    await post('/api/plays', { ...correction, key: aKey() }).expect(201);
    await takeBack(play.key).expect(201);
    expect(await lastPlay()).toBeNull();
    const fields = async (corrects: string) => {
      const answer = await post('/api/plays', { ...correction, key: aKey(), corrects });
      return [answer.status, answer.body.errors[0].field];
    };
    expect(await fields(play.key)).toEqual([409, 'corrects']);
    expect(await fields(aKey())).toEqual([404, 'corrects']);
    const reset = aKey();
    await post('/api/care/wetness-resets', { ...note, key: reset }).expect(201);
    expect(await fields(reset)).toEqual([404, 'corrects']);
    const again = await post('/api/care/wetness-resets', { ...note, key: aKey(), corrects: reset });
    expect([again.status, again.body.errors[0].field]).toEqual([400, 'corrects']);
  });

  test('is judged like a new play, but not against the one it corrects', async () => {
    const play = playBody({ minutes: 60, endedAtMinute: 700 });
    await post('/api/plays', play).expect(201);
    await post('/api/plays', playBody({ minutes: 30, endedAtMinute: 600 })).expect(201);
    const correct = (over: object) => post('/api/plays', { ...play, key: aKey(), corrects: play.key, ...over });
    await correct({ minutes: 90, endedAtMinute: 720 }).expect(201);
    expect((await correct({ minutes: 200, endedAtMinute: 720 })).status).toBe(409);
    expect((await correct({ endedOn: '2026-11-26' })).status).toBe(400);
    expect((await correct({ instrumentId: 'other' })).status).toBe(409);
  });

  test('moves the run that follows the play: its minutes and its water are the play’s', async () => {
    const play = playBody({ minutes: 45 });
    await post('/api/plays', play).expect(201);
    const run = await begun({ parts: [share({ playKey: play.key })] });
    const gramsOf = ({ parts }: RunView) => parts[0]?.strip.reduce((sum, { waterGrams }) => sum + waterGrams, 0) ?? 0;
    const seen = async (): Promise<RunView> => (await server.api().get(`/api/runs/${run.key}`).expect(200)).body;
    const before = gramsOf(await seen());
    const key = aKey();
    await post('/api/plays', { ...play, key, corrects: play.key, minutes: 90 }).expect(201);
    expect((await seen()).parts[0]?.playedMinutes).toBe(90);
    expect(gramsOf(await seen())).toBeCloseTo(2 * before, 6);
    await takeBack(key).expect(201);
    expect(gramsOf(await seen())).toBeCloseTo(before, 6);
    const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
    expect(page.openRunKey).toBe(run.key);
  });
});

describe('the last pass', () => {
  test('answered, answered again, and that taken back: run and learning both show the first answer', async () => {
    const play = playBody();
    await post('/api/plays', play).expect(201);
    const run = await begun({ parts: [share({ playKey: play.key })] });
    const stepKey = run.plan.steps.find(({ passes }) => passes)?.key;
    const answer = (key: string, found: string) =>
      post(`/api/runs/${run.key}/events`, { key, kind: 'last-pass', stepKey, count: 3, found }).expect(201);
    const [first, second] = [aKey(), aKey()];
    const wetness = async () => (await server.api().get(`/api/care/clarinet?today=${TODAY}`)).body.wetness;
    await answer(first, 'wet');
    const wet = await wetness();
    await answer(second, 'dry');
    expect((await wetness()).factor).toBeLessThan(wet.factor);
    await takeBack(second).expect(201);
    expect(await wetness()).toEqual(wet);
    const { body: seen } = await server.api().get(`/api/runs/${run.key}`).expect(200);
    expect(shownRun(seen as RunView).steps.find(({ key }) => key === stepKey)?.lastPass).toBe('wet');
  });
});

describe('a withdrawal', () => {
  test('has a key of its own: sent again it is answered as before, and under that key nothing else is taken back', async () => {
    const [one, two] = [playBody({ endedAtMinute: 700 }), playBody({ endedAtMinute: 900 })];
    for (const play of [one, two]) await post('/api/plays', play).expect(201);
    const key = aKey();
    const withKey = (targetKey: string) => post('/api/withdrawals', { key, targetKey });
    await withKey(one.key).expect(201);
    await withKey(one.key).expect(200);
    expect((await withKey(two.key)).status).toBe(409);
    await takeBack(two.key).expect(201);
    const other = await withKey(two.key);
    expect([other.status, other.body.errors[0].message]).toEqual([409, expect.stringContaining('targetKey')]);
    // What something else is known by is no key for taking back, even where that was done before.
    expect((await post('/api/withdrawals', { key: two.key, targetKey: one.key })).status).toBe(409);
  });
});

describe('a start answered with the run of another tab', () => {
  test('keeps its own key: the same again is the same run, anything else under it is refused', async () => {
    const run = await begun();
    const [key, body] = [aKey(), runBody()];
    const second = await post('/api/runs', { ...body, key }).expect(200);
    expect(second.body.key).toBe(run.key);
    expect((await post('/api/runs', { ...body, key }).expect(200)).body.key).toBe(run.key);
    const other = await post('/api/runs', { ...body, key, minutesAtHand: 3 });
    expect([other.status, other.body.errors[0].message]).toEqual([409, expect.stringContaining('minutesAtHand')]);
    expect((await post('/api/plays', playBody({ key }))).status).toBe(409);
    expect((await takeBack(key)).status).toBe(404);
  });
});

describe('a back-dated entry', () => {
  test('stands in its place in the record, and moves every clock', async () => {
    const due = async () => {
      const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
      return page.clocks.find(({ itemId }: { itemId: string }) => itemId === 'swab/wash').lastDone?.on ?? null;
    };
    await post('/api/plays', playBody()).expect(201);
    const care = { ...note, itemId: 'swab/wash', by: 'player' };
    await post('/api/care', { ...care, key: aKey(), doneOn: '2026-11-10' }).expect(201);
    await post('/api/care', { ...care, key: aKey(), doneOn: '2026-10-01' }).expect(201);
    await post('/api/plays', playBody({ endedOn: '2026-10-20', endedAtMinute: null })).expect(201);
    expect(await due()).toBe('2026-11-10');
    const { body: record } = await server.api().get('/api/record/clarinet?limit=50').expect(200);
    const days = (record as RecordView).entries.map(({ on }) => on);
    expect(days).toEqual([TODAY, '2026-11-10', '2026-10-20', '2026-10-01']);
  });
});

describe('a clock set back', () => {
  test('does not change what came last: the order of arrival decides', async () => {
    const decide = (body: object) =>
      post('/api/care/decisions', { ...note, key: aKey(), itemId: 'swab/wash', until: null, ...body }).expect(201);
    await decide({ kind: 'declined' });
    server.clock.ms -= 3 * 3_600_000;
    await decide({ kind: 'resumed' });
    const { body: page } = await server.api().get(`/api/care/clarinet?today=${TODAY}`);
    const clock = page.clocks.find(({ itemId }: { itemId: string }) => itemId === 'swab/wash');
    expect(clock.declined).toBe(false);
  });
});

describe('what is not taken back', () => {
  test('a tick is unticked, an instrument leaves the shelf: neither is undone here', async () => {
    const run = await begun();
    const key = aKey();
    await post(`/api/runs/${run.key}/events`, { key, kind: 'ticked', stepKey: run.plan.steps[0]?.key }).expect(201);
    await takeBack(key).expect(404);
    await post('/api/plays', playBody()).expect(201);
    await takeBack('instrument/clarinet').expect(409);
    await takeBack('player/ada').expect(409);
    await takeBack('build/clarinet').expect(409);
    await takeBack('profile/ada').expect(409);
  });

  test('an instrument added by mistake, with nothing in its record, may be taken back', async () => {
    await takeBack('instrument/other').expect(201);
    await server.api().get(`/api/care/other?today=${TODAY}`).expect(404);
    await post('/api/plays', playBody({ instrumentId: 'other' })).expect(404);
    const { body: shelf } = await server.api().get(`/api/instruments?today=${TODAY}`).expect(200);
    expect(shelf.map(({ id }: { id: string }) => id)).not.toContain('other');
  });
});
