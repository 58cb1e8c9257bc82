import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { InstrumentPage } from '#contract/care.ts';
import type { ShownRun } from '#contract/shown-run.ts';
import { runsOf } from '#server/testing/runs.ts';
import { aKey, furnishedServer, NOW, playBody, share, type TestServer, TODAY } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const { begin, look, send } = runsOf(() => server);
const ALONE = 'mouthpiece-and-barrel';
const page = async (): Promise<InstrumentPage> =>
  (await server.api().get(`/api/care/clarinet?today=${TODAY}`).expect(200)).body;
const played = async (over: object = {}): Promise<string> => {
  const play = playBody({ alone: ALONE, ...over });
  await server.api().post('/api/plays').send(play).expect(201);
  return play.key;
};
async function packUp(playKey: string, now = NOW): Promise<ShownRun> {
  const run = await begin({ parts: [share({ playKey })] });
  for (const { key } of run.steps) await send(run.key, { kind: 'ticked', stepKey: key }).expect(201);
  await send(run.key, { kind: 'finished', now }).expect(201);
  return run;
}
const partsIn = ({ steps }: ShownRun) => [...new Set(steps.map(({ part }) => part))].toSorted();
const waiting = ({ clocks }: InstrumentPage) =>
  clocks.filter(({ everyPlay, gauge }) => everyPlay && gauge.state !== 'fresh').map(({ itemId }) => itemId);

describe('only the mouthpiece and barrel were played', () => {
  test('they stand wet, and nothing else does', async () => {
    await packUp(await played({ alone: null, endedAtMinute: 600 }), { on: TODAY, atMinute: 700 });
    const key = await played();
    const now = await page();
    expect(now).toMatchObject({ awaitsPackUp: true, alone: { wetName: 'Mouthpiece and barrel' } });
    const wet = now.strip.filter(({ waterGrams }) => waterGrams > 0).map(({ part }) => part);
    expect(wet).toEqual(['mouthpiece', 'barrel']);
    expect(waiting(now)).not.toContain('clarinet/swab-bore');
    const run = await packUp(key);
    expect(run.parts[0]?.aloneName).toBe('Mouthpiece and barrel');
    expect(partsIn(run)).toEqual(['barrel', 'case', 'ligature', 'mouthpiece', 'reed', 'swab']);
    const after = await page();
    expect(after).toMatchObject({ awaitsPackUp: false, leftForLater: [] });
    expect(waiting(after)).toEqual([]);
  });

  test('what waits of the whole is packed up with them', async () => {
    await played({ alone: null, endedAtMinute: 600 });
    await played();
    const run = await begin({ parts: [share()] });
    expect(run.parts[0]?.aloneName).toBeNull();
    expect(run.steps.map(({ id }) => id)).toContain('clarinet/swab-upper');
  });

  test('made all of it by a correction it is all of it', async () => {
    const key = await played();
    const play = playBody({ alone: null, corrects: key });
    await server.api().post('/api/plays').send(play).expect(201);
    expect((await page()).alone.wetName).toBeNull();
    expect(waiting(await page())).toContain('clarinet/swab-bore');
  });

  test('said too late that it was those parts alone, the rest stands dry again', async () => {
    await packUp(await played({ alone: null, endedAtMinute: 600 }), { on: TODAY, atMinute: 700 });
    const key = await played({ alone: null });
    expect(waiting(await page())).toContain('clarinet/swab-bore');
    await played({ corrects: key });
    expect((await page()).alone.wetName).toBe('Mouthpiece and barrel');
    expect(waiting(await page())).not.toContain('clarinet/swab-bore');
  });

  test('parts this instrument is not played in are refused, and nothing is written', async () => {
    const refused = await server
      .api()
      .post('/api/plays')
      .send(playBody({ alone: 'head-joint' }))
      .expect(400);
    expect(refused.body.errors).toMatchObject([{ field: 'alone', code: 'not-played-so' }]);
    await server
      .api()
      .post('/api/plays')
      .send(playBody({ alone: 'bell' }))
      .expect(400);
    expect((await page()).lastPlay).toBeNull();
  });
});

describe('for some weeks', () => {
  const condition = (over: object = {}) => ({
    ...{ key: aKey(), instrumentId: 'clarinet', condition: 'in-parts', beginsOn: TODAY, endsOn: null },
    ...{ part: null, alone: ALONE, air: null, now: NOW },
    ...over,
  });

  test('it is the usual: made ready and put away as these parts, one word makes it the whole', async () => {
    await server.api().post('/api/conditions').send(condition()).expect(201);
    expect((await page()).alone.usual).toEqual({ alone: ALONE, name: 'Mouthpiece and barrel', last: '2026-12-14' });
    const ready = await begin({ kind: 'before' });
    expect(ready.steps.map(({ id }) => id)).not.toContain('clarinet/upper-to-lower');
    const whole = await begin({ kind: 'before', parts: [share({ alone: null })] });
    expect(whole.steps.map(({ id }) => id)).toContain('clarinet/upper-to-lower');
    expect((await look(whole.key)).parts[0]?.aloneName).toBeNull();
  });

  test('which parts is asked, and must be some it has', async () => {
    await server
      .api()
      .post('/api/conditions')
      .send(condition({ alone: null }))
      .expect(400);
    await server
      .api()
      .post('/api/conditions')
      .send(condition({ alone: 'mouthpiece-and-neck' }))
      .expect(400);
  });
});
