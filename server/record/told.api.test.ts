import { expect, test } from '@jest/globals';
import type { RecordView } from '#contract/record.ts';
import { saidAgain } from '#contract/fact.ts';
import { DECLARED } from '#contract/facts.ts';
import { furnished } from '#server/testing/furnished.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import { aKey, TODAY, WOODEN } from '#server/testing/test-server.ts';

const { server, get } = furnished();
const post = (path: string, body: object) => server().api().post(path).send(body);
const furnishOther = () =>
  post('/api/instruments', {
    ...{ id: 'other', name: 'Other', kind: 'clarinet', build: WOODEN, playerId: 'ada', cameNew: false },
    ...{ acquiredOn: '2024-01-10', today: TODAY },
  }).expect(201);
const declaredAs = (kind: string) => DECLARED.find((one) => one.kind === kind);
const sayable = (kind: string, said: object): object => {
  const declared = declaredAs(kind);
  if (declared === undefined) throw new Error(`${kind} is not declared`);
  const all = Object.entries(saidAgain<object>(declared, said));
  return Object.fromEntries(all.filter(([, value]) => value !== null));
};
const lineOf = async (key: string) =>
  ((await get('/api/record/clarinet?limit=100').expect(200)).body as RecordView).entries.find((one) => one.key === key);

const all = Object.entries(oneOfEach).flatMap(([kind, { make, told }]) =>
  told.map(([over, words]) => ({ kind, make, over, words })),
);
test.each(all)('a $kind reads “$words”, also after a restart, and is the same when it is sent again', async (one) => {
  await furnishOther();
  const { path, body } = await one.make(post);
  const sent = { ...body, ...(typeof one.over === 'function' ? one.over(body) : one.over), key: aKey() };
  await post(path, sent).expect(201);
  for (const restarting of [false, true]) {
    if (restarting) server().restart();
    const line = await lineOf(sent.key);
    if (one.words === null) expect(line).toBeUndefined();
    else {
      expect(line?.words).toContain(one.words);
      // Its body is shown again in a form, to be corrected.
      const correctable = declaredAs(one.kind)?.correctable === true;
      expect([line?.correctable, line?.said !== null]).toEqual([correctable, correctable]);
      // What its form is handed can be said again.
      if (line?.said) expect(sayable(one.kind, sent)).toMatchObject(sayable(one.kind, line.said));
      expect(line?.corrected).toBe(false);
    }
  }
  await post(path, sent).expect(200);
});
