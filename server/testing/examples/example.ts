import { aKey, NOW, type TestServer } from '#server/testing/test-server.ts';

export type Body = Record<string, unknown>;
/** Sends something to the program. */
export type Post = (path: string, body: object) => ReturnType<ReturnType<TestServer['api']>['post']>;

/** One entry of a kind that can be logged, and for each of its fields something else it might have said. */
export type Example = { readonly path: string; readonly body: Body; readonly otherwise: Body };
/** What is said otherwise of the example of its kind; where it stands on the example, of that. */
export type Over = Body | ((body: Body) => Body);
/** How a kind is tried: sent, sent again, said otherwise, read. */
export type Tried = {
  /** What it stands on is logged as it is asked for. */
  readonly make: (post: Post) => Promise<Example> | Example;
  /**
   * What an entry says in the record of the clarinet it is about, or whose player it is about. Null: it has no line of its
   * own there.
   */
  readonly told: readonly (readonly [over: Over, words: string | null])[];
};
export type TriedKinds = Readonly<Record<string, Tried>>;

export const note = { instrumentId: 'clarinet', now: NOW };
export const dayBefore = '2026-11-23';

/** What a box of two reeds says. */
export const REED_BOX = {
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
  before: [0, 0],
};

/** Logs a box of reeds, and says its key. */
export async function reedBox(post: Post): Promise<string> {
  const key = aKey();
  await post('/api/reeds/boxes', { ...REED_BOX, key, now: NOW }).expect(201);
  return key;
}
