import { expect, test } from '@jest/globals';
import { furnished } from '#server/testing/furnished.ts';

const { server } = furnished();
const post = (headers: Readonly<Record<string, string>>, body = '{"a":1}') =>
  server()
    .api()
    .post('/api/plays')
    .set({ 'Content-Type': 'application/json', ...headers })
    .send(body);

test.each([
  ['packed as zip', { 'Content-Encoding': 'zip' }],
  ['said to be packed and not', { 'Content-Encoding': 'gzip' }],
  ['said to be packed otherwise and not', { 'Content-Encoding': 'br' }],
  ['packed twice', { 'Content-Encoding': 'identity, zip' }],
  ['in letters nobody knows', { 'Content-Type': 'application/json; charset=nonsense' }],
  ['in other letters', { 'Content-Type': 'application/json; charset=latin1' }],
  ['in letters of two bytes', { 'Content-Type': 'application/json; charset=utf-16' }],
] as const)('a body %s is refused as one that cannot be read', async (_, headers) => {
  const answer = await post(headers);
  expect([answer.status, answer.body.code]).toEqual([400, 'invalid-request']);
  expect(['not-readable', 'not-json']).toContain(answer.body.errors[0].code);
});

test.each([['A\u0000da'], ['A\u202Eda'], ['Ada\nX'], ['Ada\uD83C']])(
  '%j is no name: it hides something',
  async (name) => {
    const answer = await server().api().post('/api/players').send({ id: 'x', name, standing: 'grown-up', does: [] });
    expect([answer.status, answer.body.errors[0]]).toEqual([
      400,
      { field: 'name', code: 'not-valid', message: 'name has hidden characters in it' },
    ]);
  },
);
