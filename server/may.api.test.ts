import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { healthPath } from '#contract/health.ts';
import type { Subject } from '#core/record/fact.ts';
import { localDate } from '#core/time/local-date.ts';
import type { May } from '#server/may.ts';
import { oboeBox } from '#server/testing/examples/doublereeds.ts';
import { everyQuestion } from '#server/testing/every-question.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import {
  aKey,
  furnish,
  NOW,
  playBody,
  runBody,
  testServer,
  TODAY,
  WOODEN,
  type TestServer,
} from '#server/testing/test-server.ts';

let server: TestServer;
let may: May;
beforeEach(async () => {
  may = () => true;
  server = testServer({ may: (caller, ofWhom) => may(caller, ofWhom) });
  await furnish(server);
});
afterEach(() => {
  expect(server.breaches()).toEqual([]);
  server.stop();
});

const post = (path: string, body: object) => server.api().post(path).send(body);
/** Open to everybody: that the server is there. */
const OPEN: readonly string[] = [healthPath];
const rows = () => server.client().prepare('select count(*) from facts').pluck().get() as number;

test('who may nothing is refused on every route, and nothing is written', async () => {
  const play = playBody();
  await post('/api/plays', play).expect(201);
  const run = runBody();
  await post('/api/runs', run).expect(201);
  const { body: feed } = await post('/api/calendar/feed', { playerId: 'ada' });
  const secret = /([\w-]{32})\.ics$/.exec(feed.path)?.[0] ?? '';
  const reedId = `${await oboeBox(post)}/1`;
  const asked = everyQuestion({
    ...{
      playerId: 'ada',
      instrumentId: 'clarinet',
      runKey: run.key,
      secret,
      lines: 10,
      copy: 'a-copy',
      incoming: 'a-file',
      reedId,
      oboe: 'clarinet',
      now: { ...NOW, on: localDate(TODAY) },
    },
  });
  may = () => false;
  const before = rows();
  const answers: [string, number][] = [];
  for (const { method, path } of server.routes()) {
    if (!path.startsWith('/api') || OPEN.includes(path)) continue;
    const question = method === 'get' ? asked[path] : path.replace(':key', run.key);
    if (question === undefined) throw new Error(`nothing is asked of ${path}`);
    const { status } = method === 'get' ? await server.api().get(question) : await post(question, {});
    answers.push([`${method} ${path}`, status]);
  }
  expect(answers.filter(([, status]) => status !== 403)).toEqual([]);
  expect(answers.length).toBeGreaterThan(60);
  expect(rows()).toBe(before);
  for (const path of OPEN) expect((await server.api().get(path)).status).toBe(200);
});

describe('who may only what is Ada’s', () => {
  const isAdas = ({ kind, id }: Subject) => (kind === 'player' ? id === 'ada' : ['clarinet', 'trumpet'].includes(id));
  const onlyAdas: May = (_caller, ofWhom) => {
    const subjects = ofWhom();
    return subjects.length > 0 && subjects.every(isAdas);
  };
  beforeEach(async () => {
    await post('/api/instruments', {
      ...{ id: 'kits', name: 'Kit’s', kind: 'trumpet', build: {}, playerId: 'kit', acquiredOn: '2026-01-01' },
      ...{ cameNew: true, today: TODAY },
    });
  });

  test('sees and says that, and nothing of anybody else', async () => {
    may = onlyAdas;
    await post('/api/plays', playBody()).expect(201);
    await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    await server.api().get(`/api/air?playerId=ada&today=${TODAY}`).expect(200);
    await server.api().get(`/api/care/kits?today=${TODAY}`).expect(403);
    await server.api().get(`/api/air?playerId=kit&today=${TODAY}`).expect(403);
    await server.api().get('/api/players').expect(403);
    const { body } = await post('/api/plays', playBody({ instrumentId: 'kits', playerId: 'kit' })).expect(403);
    expect(body.errors).toMatchObject([{ code: 'not-yours' }]);
  });

  test('takes back and goes on with what is Ada’s, by its key, and not with what is not', async () => {
    const play = playBody();
    await post('/api/plays', play).expect(201);
    const run = runBody();
    await post('/api/runs', run).expect(201);
    may = (_caller, ofWhom) => ofWhom().some(({ id }) => id === 'kits');
    await post('/api/withdrawals', { key: aKey(), targetKey: play.key }).expect(403);
    await server.api().get(`/api/runs/${run.key}`).expect(403);
    may = onlyAdas;
    await server.api().get(`/api/runs/${run.key}`).expect(200);
    await post('/api/withdrawals', { key: aKey(), targetKey: play.key }).expect(201);
  });
});

test.each(Object.keys(oneOfEach))(
  'a %s is asked about where it is written, whatever the request named',
  async (kind) => {
    const { path, body } = (await oneOfEach[kind]?.make(post)) ?? { path: '', body: {} };
    let asked = 0;
    if (kind === 'evening')
      await post('/api/instruments', {
        ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
        ...{ acquiredOn: '2024-01-10', today: TODAY },
      });
    // Let in at the door, refused where it is written.
    may = () => asked++ === 0;
    const before = rows();
    await post(path, { ...body, key: aKey() }).expect(403);
    expect([asked, rows()]).toEqual([2, before]);
  },
);
