import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { agentList, mixingView, verdictsView } from '#contract/agents.ts';
import { furnishedServer, type TestServer } from '#server/testing/test-server.ts';

let server: TestServer;
beforeEach(async () => {
  server = await furnishedServer();
});
afterEach(() => server.stop());

const get = (path: string) => server.api().get(`/api/agents${path}`);

describe('may I use', () => {
  test('lists what may be asked about, without the book’s rows', async () => {
    const list = agentList.validateSync((await get('').expect(200)).body, { strict: true });
    expect(list.length).toBeGreaterThan(40);
    expect(Object.keys(list[0] ?? {})).toEqual(['id', 'name', 'group', 'alsoCalled']);
  });

  test('judges every part of an instrument as it is built', async () => {
    const { body } = await get('/bore-oil/verdicts/clarinet?today=2026-11-24').expect(200);
    const view = verdictsView.validateSync(body, { strict: true });
    const of = (surface: string) => view.parts.find((part) => part.surface === surface)?.verdict;
    expect([of('bore'), of('pads'), of('mouthpiece')]).toEqual(['yes', 'no', 'not-known']);
    expect(view.cautions.join()).toContain('grown-up');
  });

  test('an agent or instrument nobody knows is a 404; a stranger is never mixed with bleach', async () => {
    expect((await get('/moon-dust/verdicts/clarinet?today=2026-11-24')).status).toBe(404);
    expect((await get('/bore-oil/verdicts/none?today=2026-11-24')).status).toBe(404);
    const mix = async (one: string, other: string) =>
      mixingView.validateSync((await get(`/${one}/with/${other}`).expect(200)).body, { strict: true });
    expect((await mix('bleach', 'vinegar')).danger).toBe(true);
    expect((await mix('bleach', 'moon-dust')).danger).toBe(true);
    expect((await mix('dish-soap', 'cool-water')).danger).toBe(false);
  });

  test('on anything it says what the book says of every surface, and practice that differs stays open', async () => {
    const { body } = await get('/rubbing-alcohol/verdicts').expect(200);
    const view = verdictsView.validateSync(body, { strict: true });
    expect(view.instrumentId).toBeNull();
    const of = (surface: string) => view.parts.filter((part) => part.surface === surface).map(({ verdict }) => verdict);
    expect(of('keys')).toEqual(['by-method']);
    expect(of('reed')).toContain('no');
    expect((await get('/moon-dust/verdicts')).status).toBe(404);
  });
});
