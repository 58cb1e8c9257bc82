import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { RunView } from '#contract/packup.ts';
import type { FeedView } from '#contract/sittings.ts';
import { recordPaths } from '#contract/record.ts';
import { FACTS } from '#server/facts.ts';
import { logAny } from '#server/record/log-fact.ts';
import { anOboe, lookedAt, oboeBox, onTable } from '#server/testing/examples/doublereeds.ts';
import { everyQuestion } from '#server/testing/every-question.ts';
import { furnish, testServer, aKey, NOW, runBody, share, TODAY, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = testServer({ counting: true });
  await furnish(server);
});
afterEach(() => server.stop());

const today = localDate(TODAY);
const post = (path: string, body: object) => server.api().post(path).send(body).expect(201);

/** A day of a player: an hour played, packed up to the end, a swab washed, a sign seen, a reed spoken of, and so on. */
async function liveADay(ago: number, box: string): Promise<void> {
  const now = { ...NOW };
  const on = addDays(today, -ago);
  const playKey = aKey();
  await post('/api/plays', {
    ...{ key: playKey, instrumentId: 'clarinet', playerId: 'ada', endedOn: on, endedAtMinute: 1100, minutes: 60 },
    ...{ roomCelsius: null, now },
  });
  const { body } = await post('/api/runs', runBody({ parts: [share({ playKey, itemIds: [] })] }));
  const run = body as RunView;
  for (const { key: stepKey, look } of run.plan.steps)
    await post(
      `/api/runs/${run.key}/events`,
      look
        ? { key: aKey(), kind: 'answered', stepKey, answer: look.answers[0]?.id }
        : { key: aKey(), kind: 'ticked', stepKey },
    );
  await post(`/api/runs/${run.key}/events`, { key: aKey(), kind: 'finished', now });
  const note = { instrumentId: 'clarinet', now };
  await post('/api/care', { ...note, key: aKey(), itemId: 'swab/wash', doneOn: on, by: 'player' });
  await post('/api/care/decisions', { ...note, key: aKey(), itemId: 'keyed/key-oil', kind: 'declined', until: null });
  await post('/api/reeds/said', {
    ...{ key: aKey(), now, reedId: `${box}/1`, what: 'graded', feel: 'right', goodFor: null, signs: [], cause: null },
  });
  await post('/api/sittings/moves', {
    ...{ key: aKey(), now, playerId: 'ada', on: null },
    times: [{ instrumentId: 'clarinet', itemId: 'wind/bench-service', dueOn: on }],
  });
}

async function aBox(): Promise<string> {
  const box = aKey();
  await post('/api/reeds/boxes', {
    ...{ key: box, now: NOW, playerId: 'ada', kind: 'clarinet', name: 'Fennel', cut: null, strength: '2' },
    ...{ material: 'cane', breakIn: 'week', place: null, cost: null, cameOn: '2026-01-01', before: [0] },
  });
  return box;
}

test('the record’s page takes as many statements for many lines as for few, and says the same of each', async () => {
  const box = await aBox();
  for (let ago = 20; ago > 8; ago--) await liveADay(ago, box);
  const ask = async (lines: number) => {
    let entries: { words: string }[] = [];
    const statements = await server.statementsOf(async () => {
      entries = (await server.api().get(recordPaths.of('clarinet', lines)).expect(200)).body.entries;
    });
    return { entries, statements: statements.filter((sql) => /^\s*(select|with)/i.test(sql)).length };
  };
  await ask(1);
  const [few, many] = [await ask(12), await ask(60)];
  expect(many.entries).toHaveLength(60);
  expect(many.entries.slice(0, 12)).toEqual(few.entries);
  expect(many.statements).toBe(few.statements);
  // Whose it is, the lines of both, their bodies, how runs ended, what reeds and an instrument are called.
  expect(many.statements).toBeLessThanOrEqual(7);
  const said = new Set(many.entries.map(({ words }) => words.replace(/\d.*$/, '')));
  expect([...said].toSorted()).toMatchInlineSnapshot(`
   [
     "A sitting is left to the plan again: Clarinet, bench service.",
     "Fennel ",
     "Oil the keys: not done here",
     "Packed up",
     "Played ",
     "Wash the swab",
   ]
  `);
});

/** Entries of the kinds that come daily, one of each so many days back, written in one go. */
function more(from: number, count: number): void {
  const services = server.services();
  const log = (kind: string, request: object): void => {
    const fact = FACTS.find((one) => one.kind === kind);
    if (fact === undefined) throw new Error(`there is no ${kind}`);
    const answer = logAny(services, fact, { key: aKey(), now: { ...NOW, on: today }, ...request });
    if (!answer.ok) throw new Error(`${kind}: ${JSON.stringify(answer.failure)}`);
  };
  const instrumentId = 'clarinet';
  services.atOnce(() => {
    for (let ago = from; ago < from + count; ago++) {
      const on = addDays(today, -ago);
      const play = { instrumentId, playerId: 'ada', endedOn: on, endedAtMinute: 700, minutes: 30, roomCelsius: null };
      log('play', play);
      log('care', { instrumentId, itemId: 'clarinet/swab-bore', doneOn: on, by: 'player' });
      log('decision', { instrumentId, itemId: 'keyed/key-oil', kind: 'declined', until: null });
      log('air-reading', { playerId: 'ada', celsius: 20, humidityPercent: 45 });
      log('event', {
        ...{ playerId: 'ada', what: 'rehearsal', on, until: on, atMinute: null, minutes: 60, name: null },
        ...{ instrumentIds: [instrumentId], stay: null, origin: null },
      });
    }
  });
}

test('every route takes as many statements in a record of a thousand entries as in one of ten', async () => {
  for (const ago of [3, 2]) await liveADay(ago, await aBox());
  const choice = { key: aKey(), instrumentId: 'clarinet', now: NOW, method: 'swab-wash', choice: 'monthly' };
  await post('/api/methods/choices', choice);
  const run = (await post('/api/runs', runBody()).expect(201)).body as RunView;
  const feed = (await server.api().post('/api/calendar/feed').send({ playerId: 'ada' })).body as FeedView;
  const secret = feed.path?.split('/').at(-1) ?? '';
  const reedId = `${await oboeBox(post)}/1`;
  const examination = await onTable(post, reedId);
  await lookedAt(post, examination);
  const of = {
    ...{
      playerId: 'ada',
      instrumentId: 'clarinet',
      runKey: run.key,
      secret,
      lines: 10,
      copy: '',
      incoming: '',
      oboe: await anOboe(post),
      reedId,
    },
  };
  // What goes out as a file is as long as the record, and read beside it.
  const questions = Object.entries(everyQuestion({ ...of, now: { ...NOW, on: today } })).filter(
    ([route]) => !route.startsWith('/api/data/'),
  );
  /** Reads of each route by a server that has read nothing yet. */
  const reads = async (): Promise<Record<string, number>> => {
    const counts: Record<string, number> = {};
    for (const [route, url] of questions) {
      server.restart();
      // What was shown before would be shown again: it is planned each time.
      server.client().exec('delete from shown_sittings');
      const statements = await server.statementsOf(() => server.api().get(url).expect(200));
      counts[route] = statements.filter((sql) => /^\s*(select|with)/i.test(sql)).length;
    }
    return counts;
  };
  more(10, 10);
  const few = await reads();
  more(30, 190);
  expect(await reads()).toEqual(few);
  expect(Object.keys(few).length).toBeGreaterThan(25);
});
