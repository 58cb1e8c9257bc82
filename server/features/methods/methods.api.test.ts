import { BOOK } from '#core/tables/book.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { instrumentPage } from '#contract/care.ts';
import { methodPaths, methodsPage, setReading, type MethodView } from '#contract/methods.ts';
import { methodSetSchema } from '#core/methods/method-set-schema.ts';
import {
  aKey,
  furnishedServer,
  NOW,
  playBody,
  runBody,
  share,
  type TestServer,
  TODAY,
} from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const page = async (id = 'clarinet') =>
  methodsPage.validateSync((await server.api().get(methodPaths.page(id, TODAY)).expect(200)).body, { strict: true });
const question = async (method: string, id = 'clarinet'): Promise<MethodView> => {
  const found = (await page(id)).methods.find((one) => one.method === method);
  if (!found) throw new Error(`${method} is not asked of ${id}`);
  return found as MethodView;
};
const inForce = ({ choices }: MethodView) => choices.find((one) => one.inForce)?.choice;
const choose = (method: string, choice: string | null, over: object = {}) =>
  server
    .api()
    .post(methodPaths.choices)
    .send({ key: aKey(), instrumentId: 'clarinet', method, choice, now: NOW, ...over });
const takeBack = (targetKey: string) =>
  server.api().post('/api/withdrawals').send({ key: aKey(), targetKey }).expect(201);
const clockOf = async (itemId: string) => {
  const { body } = await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
  return instrumentPage.validateSync(body, { strict: true }).clocks.find((one) => one.itemId === itemId);
};
const set = (over: object = {}) => ({
  format: 'ulu-method-set',
  version: 2,
  name: 'Odile’s way',
  kind: 'clarinet',
  choices: { 'swab-wash': 'monthly', 'clarinet-swab-path': 'body-only', 'sax-strap': 'hooked-last' },
  ...over,
});
const stored = (table: string) => server.client().prepare(`select count(*) from ${table}`).pluck().get();

describe('the questions of an instrument', () => {
  test('are those of its kind and build, each with one choice in force and the default with its reason', async () => {
    const { methods } = await page();
    const ids = methods.map(({ method }) => method);
    expect(ids).toEqual(
      expect.arrayContaining(['clarinet-swab-path', 'bore-oil-interval', 'reed-tip-level', 'service-interval']),
    );
    expect(ids.some((id) => /^(sax|horn|pipes|bassoon|brass)-/.test(id))).toBe(false);
    // A choice this kind does not have is not shown; a question with one choice is none.
    const cloth = methods.find(({ method }) => method === 'swab-cloth');
    expect(cloth?.choices.map(({ choice }) => choice)).toEqual(['silk', 'cotton', 'microfibre']);
    expect((await page('trumpet')).methods.map(({ method }) => method)).not.toContain('brass-mouthpiece-wash');
    // Skin pads: paper is pressed and released, nothing to choose.
    expect(ids).not.toContain('paper-use-wet');
    for (const { choices, defaultWhy } of methods) {
      expect(choices.filter((one) => one.inForce)).toHaveLength(1);
      expect(choices.filter((one) => one.isDefault)).toHaveLength(1);
      expect(defaultWhy.length).toBeGreaterThan(5);
    }
  });

  test('each other choice says what it changes for this instrument this year', async () => {
    for (const minutes of [40, 50, 60])
      await server
        .api()
        .post('/api/plays')
        .send(playBody({ minutes, endedAtMinute: minutes * 15 }))
        .expect(201);
    const path = await question('clarinet-swab-path');
    const whole = path.choices.find(({ choice }) => choice === 'whole');
    expect(whole?.changes.map(({ rule }) => rule)).toEqual(
      expect.arrayContaining(['steps-added', 'steps-gone', 'passes']),
    );
    expect(whole?.cost).toContain('ring of water');
    expect(path.choices.find((one) => one.inForce)?.changes).toEqual([]);
    const oil = await question('bore-oil-interval');
    expect(oil.choices.find(({ choice }) => choice === 'none')?.changes[0]?.text).toContain('not any more');
  });
});

describe('a choice', () => {
  test('changes clocks, plans and verdicts, once, until it is taken back', async () => {
    const body = { key: aKey(), instrumentId: 'clarinet', method: 'clarinet-swab-path', choice: 'whole', now: NOW };
    const steps = async () => {
      const { body: run } = await server
        .api()
        .post('/api/runs')
        .send(runBody({ parts: [share()] }));
      await takeBack(run.key);
      return run.plan.steps.map(({ id }: { id: string }) => id);
    };
    expect(await steps()).toContain('clarinet/swab-upper');
    await server.api().post(methodPaths.choices).send(body).expect(201);
    await server.api().post(methodPaths.choices).send(body).expect(200);
    expect(await steps()).toContain('clarinet/pull-through-whole');
    const { body: run } = await server
      .api()
      .post('/api/runs')
      .send(runBody({ parts: [share()] }));
    const pull = run.words.find(({ key }: { key: string }) => key === 'clarinet:clarinet/pull-through-whole');
    expect(pull.way).toEqual([
      {
        rule: 'clarinet-swab-path',
        text: 'How is the clarinet swabbed? in one pull from the bell out at the mouthpiece (your choice).',
        mark: 'yours',
      },
    ]);
    expect(pull.repeats.because.map(({ text }: { text: string }) => text)).toEqual(['Practice: 1 pull.']);
    await takeBack(run.key);
    expect(await steps()).not.toContain('clarinet/swab-upper');
    await takeBack(body.key);
    expect(await steps()).toContain('clarinet/swab-upper');
    expect((await server.api().post(methodPaths.choices).send(body).expect(409)).body.errors[0].field).toBe('key');
  });

  test('switches off what it does without, with the reason, and decides what may be used', async () => {
    await choose('bore-oil-interval', 'none').expect(201);
    expect(await clockOf('wooden-bore/oil')).toMatchObject({ gauge: { state: 'off' } });
    const verdict = async () =>
      (await server.api().get(`/api/agents/rubbing-alcohol/verdicts/clarinet?today=${TODAY}`)).body.parts.find(
        ({ surface }: { surface: string }) => surface === 'keys',
      ).verdict;
    expect(await verdict()).toBe('no');
    await choose('alcohol-on-keys', 'lightly').expect(201);
    expect(await verdict()).toBe('care');
  });

  test('the last one counts, null goes back to the default, and the record names them', async () => {
    await choose('swab-wash', 'monthly').expect(201);
    await choose('swab-wash', 'fortnightly').expect(201);
    expect(inForce(await question('swab-wash'))).toBe('fortnightly');
    await choose('swab-wash', null).expect(201);
    expect(await question('swab-wash')).toMatchObject({ byPlayer: false });
    const { body } = await server.api().get('/api/record/clarinet?limit=10').expect(200);
    const words = body.entries
      .filter(({ kind }: { kind: string }) => kind === 'method')
      .map((one: { words: string }) => one.words);
    expect(words).toEqual(
      expect.arrayContaining([
        'How often is the swab washed? monthly, at the very latest',
        'How often is the swab washed? back to the default',
      ]),
    );
  });

  test('a run under way keeps the steps it was planned with', async () => {
    const { body: run } = await server.api().post('/api/runs').send(runBody()).expect(201);
    await choose('clarinet-swab-path', 'whole').expect(201);
    const { body: later } = await server.api().get(`/api/runs/${run.key}`).expect(200);
    expect(later.plan.steps.map(({ key }: { key: string }) => key)).toEqual(
      run.plan.steps.map(({ key }: { key: string }) => key),
    );
  });

  test('packed up in one pull, the mouthpiece is dry as well: nothing waits', async () => {
    await choose('clarinet-swab-path', 'whole').expect(201);
    await server.api().post('/api/plays').send(playBody()).expect(201);
    const { body: run } = await server.api().post('/api/runs').send(runBody()).expect(201);
    const event = (body: object) =>
      server
        .api()
        .post(`/api/runs/${run.key}/events`)
        .send({ key: aKey(), ...body });
    for (const { key } of run.plan.steps) await event({ kind: 'ticked', stepKey: key });
    await event({ kind: 'finished', now: NOW });
    const { body } = await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200);
    expect(body.awaitsPackUp).toBe(false);
  });

  test.each([
    ['a question of another kind', 'sax-strap', 'hooked-last', 'method', 400],
    ['no question of the book', 'how-to-whistle', 'loud', 'method', 400],
    ['no choice of it', 'swab-wash', 'never', 'choice', 400],
    ['an inherited word', 'swab-wash', 'toString', 'choice', 400],
  ])('%s is refused by name', async (_what, method, choice, field, status) => {
    const answer = await choose(method, choice).expect(status);
    expect(answer.body.errors[0].field).toBe(field);
    expect(stored('method_choices')).toBe(0);
  });

  test('on an instrument that has left, or is none, is refused', async () => {
    await server
      .api()
      .post('/api/departures')
      .send({ key: aKey(), instrumentId: 'clarinet', leftOn: TODAY, now: NOW })
      .expect(201);
    await choose('swab-wash', 'monthly').expect(409);
    await choose('swab-wash', 'monthly', { instrumentId: 'none' }).expect(404);
  });
});

describe('a method set', () => {
  const read = (file: unknown, instrumentId = 'clarinet') =>
    server.api().post(methodPaths.readSet).send({ instrumentId, set: file, today: TODAY });
  const take = (file: unknown, over: object = {}) =>
    server
      .api()
      .post(methodPaths.takeSet)
      .send({ key: aKey(), instrumentId: 'clarinet', set: file, now: NOW, ...over });

  test('is made of the player’s own choices; without one there is nothing to give', async () => {
    const get = () => server.api().get(methodPaths.set('clarinet', 'Odile’s way', TODAY));
    expect((await get().expect(409)).body.detail).toContain('Nothing has been chosen');
    await choose('swab-wash', 'monthly').expect(201);
    expect((await get().expect(200)).body).toEqual(set({ choices: { 'swab-wash': 'monthly' } }));
  });

  test('is read line by line before anything is changed, then taken and taken back as one', async () => {
    const reading = setReading.validateSync((await read(set()).expect(200)).body, { strict: true });
    expect(reading.lines.map(({ method, verdict }) => [method, verdict])).toEqual([
      ['swab-wash', 'new'],
      ['clarinet-swab-path', 'new'],
      ['sax-strap', 'not-asked'],
    ]);
    expect(stored('method_choices')).toBe(0);
    const key = aKey();
    expect((await take(set(), { key }).expect(201)).body).toMatchObject({ key, taken: 2 });
    await take(set(), { key }).expect(200);
    expect(inForce(await question('swab-wash'))).toBe('monthly');
    expect(stored('method_choices')).toBe(2);
    await takeBack(key);
    expect(inForce(await question('swab-wash'))).toBe('weekly');
  });

  test('of the first format, given away under its old name, is read for ever', async () => {
    const given = set({ format: 'ulu-school-set', version: 1 });
    expect((await read(given).expect(200)).body).toEqual((await read(set()).expect(200)).body);
    await take(given).expect(201);
    expect(inForce(await question('swab-wash'))).toBe('monthly');
  });

  test('of another kind brings what is asked here as well', async () => {
    const trumpets = set({
      kind: 'trumpet',
      choices: { 'slide-grease-where': 'both-halves', 'alcohol-on-keys': 'lightly' },
    });
    const { body } = await read(trumpets).expect(200);
    expect(body.otherKind).toBe(true);
    expect(body.lines.map(({ verdict }: { verdict: string }) => verdict)).toEqual(['not-asked', 'new']);
    await take(set({ choices: { 'sax-strap': 'hooked-last' } })).expect(409);
  });

  test.each([
    ['another version', set({ version: 3 }), 'set.version', /version/],
    [
      'the first format in another version',
      set({ format: 'ulu-school-set', version: 2 }),
      'set.version',
      /reads version 1/,
    ],
    ['a name that cannot be seen', set({ name: '\u200b\u3164' }), 'set.name', /seen/],
    ['another format', set({ format: 'csv' }), 'set.format', /no method set/],
    ['no version', set({ version: undefined }), 'set.version', /version/],
    ['an unknown kind', set({ kind: 'kazoo' }), 'set.kind', /kind/],
    ['no name', set({ name: '' }), 'set.name', /name/],
    ['a name without end', set({ name: 'x'.repeat(5000) }), 'set.name', /120/],
    ['choices that are a list', set({ choices: ['a'] }), 'set.choices', /choices/],
    ['choices that are no words', set({ choices: { 'swab-wash': 7 } }), 'set.choices', /small letters/],
    ['more than it should have', set({ more: 1 }), 'set.more', /not known/],
    [
      'too many choices',
      set({ choices: Object.fromEntries(Array.from({ length: 201 }, (_, i) => [`q-${i}`, 'a'])) }),
      'set.choices',
      /200/,
    ],
    ['a text', 'hello', 'set', /object/],
    ['nothing', null, 'set', /null|required/],
  ])('with %s is refused by name, and nothing is kept', async (_what, file, field, message) => {
    for (const answer of [await read(file).expect(400), await take(file).expect(400)]) {
      const refusal = answer.body.errors.find((one: { field: string }) => one.field === field);
      expect([field, refusal?.message ?? answer.body.errors]).toEqual([field, expect.stringMatching(message)]);
    }
    expect(stored('method_choices')).toBe(0);
  });

  test('of hostile size is refused', async () => {
    await take(set({ name: 'x'.repeat(200_000) })).expect(413);
  });

  test('its schema is published', async () => {
    const { body } = await server.api().get(methodPaths.setSchema).expect(200);
    expect(body).toEqual(JSON.parse(JSON.stringify(methodSetSchema(BOOK))));
  });
});
