import { expect, test } from '@jest/globals';
import { recordView } from '#contract/record.ts';
import { furnished } from '#server/testing/furnished.ts';
import { aKey, playBody, TODAY } from '#server/testing/test-server.ts';

const { server } = furnished();
const DAY_MS = 86_400_000;

const entries = async () => {
  const { body } = await server().api().get('/api/record/clarinet?limit=10').expect(200);
  return recordView.validateSync(body, { strict: true }).entries.map(({ on, words }) => [on, words]);
};

test('what was dated by a clock far ahead is told as such, until its day has come somewhere', async () => {
  const { clock, api } = server();
  clock.ms += 400 * DAY_MS;
  const ahead = '2027-12-29';
  const play = playBody({ endedOn: ahead, endedAtMinute: 1100, now: { on: ahead, atMinute: 1200 } });
  await api().post('/api/plays').send(play).expect(201);
  const told = 'Played 45 min. Its day is still to come: a clock was wrong. Correct it, or take it back.';
  clock.ms -= 400 * DAY_MS;
  await api().post('/api/plays').send(playBody()).expect(201);
  expect(await entries()).toEqual([
    [ahead, told],
    [TODAY, 'Played 45 min'],
  ]);
  // What cannot be put right is taken back.
  clock.ms += 400 * DAY_MS;
  const washed = { key: aKey(), instrumentId: 'clarinet', itemId: 'swab/wash', doneOn: ahead, by: 'player' };
  const { body: care } = await api()
    .post('/api/care')
    .send({ ...washed, now: { on: ahead, atMinute: 1200 } })
    .expect(201);
  clock.ms -= 400 * DAY_MS;
  const words = (await entries()).map(([, said]) => said).find((said) => said?.startsWith('Wash'));
  expect(words).toMatch(/a clock was wrong\. Take it back\.$/);
  await api().post('/api/withdrawals').send({ key: aKey(), targetKey: care.key }).expect(201);
  // A day before by the server's clock: in the farthest east it is today.
  clock.ms += 399 * DAY_MS;
  expect((await entries())[0]).toEqual([ahead, 'Played 45 min']);
  clock.ms -= DAY_MS;
  expect((await entries())[0]).toEqual([ahead, told]);
});
