import { expect, test } from '@jest/globals';
import { pino } from 'pino';
import supertest from 'supertest';
import { createApp } from '#server/app.ts';

/** The app with a log that is kept; whatever it is asked, its record fails. */
function failing() {
  const lines: { readonly level: number; readonly req?: string; readonly msg: string }[] = [];
  const app = createApp({
    serve: () => {
      throw new Error('the record is on fire');
    },
    health: () => ({ version: 'test', database: 'ok', migrations: 1 }),
    boundHost: '127.0.0.1',
    log: pino({}, { write: (line: string) => void lines.push(JSON.parse(line) as (typeof lines)[number]) }),
  });
  return { api: supertest(app), lines };
}
const [INFO, ERROR] = [30, 50];

test('what is answered is told quietly, what fails loudly and with its reason, and the secret of a feed never', async () => {
  const { api, lines } = failing();
  await api.get('/api/health').expect(200);
  await api.get('/api/nothing').expect(404);
  expect(lines.map(({ level, req }) => [level, req])).toEqual([
    [INFO, 'GET /api/health'],
    [INFO, 'GET /api/nothing'],
  ]);
  lines.length = 0;
  const answer = await api.get('/api/players').expect(500);
  expect(answer.text).not.toContain('fire');
  expect(lines.map(({ level }) => level)).toEqual([ERROR, ERROR]);
  expect(JSON.stringify(lines)).toContain('the record is on fire');
  lines.length = 0;
  await api.get(`/api/calendar/subscribed/${'s3cret'.repeat(6)}.ics`);
  expect(JSON.stringify(lines)).not.toContain('s3cret');
});
