import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { methodPaths } from '#contract/methods.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { runsOf } from '#server/testing/runs.ts';
import { aKey, furnishedServer, NOW, playBody, share, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
  await server
    .api()
    .post('/api/instruments')
    .send({
      ...{ id: 'pipes', name: 'Pipes', kind: 'highland-pipes', playerId: 'ada', acquiredOn: '2024-01-10' },
      ...{ build: { bag: 'synthetic', blowpipe: 'plastic', blowpipeValve: 'flap', waterTrap: 'yes' } },
      ...{ cameNew: false, today: TODAY },
    })
    .expect(201);
});
afterEach(() => server.stop());

const { begin, send } = runsOf(() => server);
const SEAT = 'highland-pipes/chanter-out';
let minute = 0;

/** An evening on the pipes, packed up with this found at the chanter's seat. */
async function evening(found: string): Promise<void> {
  minute += 60;
  const play = playBody({ instrumentId: 'pipes', minutes: 30, endedAtMinute: minute });
  await server.api().post('/api/plays').send(play).expect(201);
  const run = await begin({ parts: [share({ instrumentId: 'pipes', playKey: play.key })] });
  for (const { key, id, look } of run.steps)
    await send(
      run.key,
      look
        ? { kind: 'answered', stepKey: key, answer: id === SEAT ? found : look.answers[0]?.id }
        : { kind: 'ticked', stepKey: key },
    ).expect(201);
  await send(run.key, { kind: 'finished', now: NOW }).expect(201);
}
const planned = (): Promise<ShownRun> => begin({ parts: [share({ instrumentId: 'pipes' })] });
const rules = ({ because }: ShownRun) => because.map(({ rule }) => rule);
const minutesOf = ({ elapsedMinutes }: ShownRun) => elapsedMinutes;

describe('a wet blower’s run', () => {
  beforeEach(() => {
    minute = 0;
  });

  test('begins with what they usually find after six wet evenings, and one dry one is no end of it', async () => {
    const book = await planned();
    expect(rules(book)).toContain('usual-look');
    await server.api().post('/api/withdrawals').send({ key: aKey(), targetKey: book.key }).expect(201);
    for (let one = 0; one < 6; one++) await evening('drops');
    await evening('dry');
    const own = await planned();
    const seat = own.steps.find(({ id }) => id === SEAT);
    expect(seat?.expects).toBe('drops');
    expect(own.because.find(({ rule }) => rule === 'own-look')).toMatchObject({
      text: expect.stringContaining('“drops” 6 times of your last 7'),
      mark: 'yours',
    });
    expect(minutesOf(own)).toBeGreaterThan(minutesOf(book));
  });

  test('is the book’s where the player has said so', async () => {
    for (let one = 0; one < 6; one++) await evening('drops');
    const choice = { key: aKey(), instrumentId: 'pipes', method: 'expected-answer', choice: 'book', now: NOW };
    await server.api().post(methodPaths.choices).send(choice).expect(201);
    expect(rules(await planned())).not.toContain('own-look');
  });
});
