import { loggedKey } from '#contract/fact.ts';
import { reedsPage, type ReedsOfKindView, type ReedView } from '#contract/reed-views.ts';
import { aKey, NOW, playBody, TODAY, type TestServer } from '#server/testing/test-server.ts';

/** Reeds of Ada's clarinet on a server of their own: what is sent, and what is asked. */
export function reedBench(server: () => TestServer) {
  const post = (path: string, body: object) => server().api().post(path).send(body);
  const keyOf = async (path: string, body: object): Promise<string> =>
    loggedKey.validateSync((await post(path, body).expect(201)).body, { stripUnknown: true }).key;
  const boxBody = (over: object = {}) => ({
    key: aKey(),
    now: NOW,
    playerId: 'ada',
    kind: 'clarinet',
    name: 'Fennel',
    cut: null,
    strength: '2½',
    material: 'cane',
    breakIn: 'week',
    place: null,
    cost: null,
    cameOn: '2026-11-01',
    before: [0, 0, null, null],
    ...over,
  });
  const aBox = (over: object = {}) => keyOf('/api/reeds/boxes', boxBody(over));
  const aPlay = (over: object = {}) => keyOf('/api/plays', playBody(over));
  const on = (playKey: string, shares: readonly (readonly [string, number])[], over: object = {}) => ({
    key: aKey(),
    now: NOW,
    playKey,
    shares: shares.map(([reedId, minutes]) => ({ reedId, minutes })),
    high: 'none',
    ...over,
  });
  const saying = (reedId: string, over: object) => ({
    key: aKey(),
    now: NOW,
    reedId,
    what: 'flattened',
    feel: null,
    goodFor: null,
    signs: [],
    cause: null,
    ...over,
  });
  async function clarinets(atMinute = 1200, today = TODAY): Promise<ReedsOfKindView> {
    const { body } = await server()
      .api()
      .get(`/api/reeds?playerId=ada&today=${today}&atMinute=${atMinute}`)
      .expect(200);
    const { kinds } = reedsPage.validateSync(body, { strict: true });
    const of = kinds.find(({ kind }) => kind === 'clarinet');
    if (of === undefined) throw new Error('no reeds of the clarinet');
    return of;
  }
  const reeds = async (): Promise<ReedView[]> => (await clarinets()).boxes.flatMap((box) => box.reeds);
  return { post, keyOf, boxBody, aBox, aPlay, on, saying, clarinets, reeds };
}
