import { runFact, runView, type RunView } from '#contract/packup.ts';
import { shownRun, type ShownRun } from '#contract/shown-run.ts';
import { aKey, runBody, type TestServer } from '#server/testing/test-server.ts';

/** A run as whoever has its plan and its log shows it. */
const shown = (body: unknown): ShownRun => shownRun(runView.validateSync(body, { strict: true }) as unknown as RunView);

/** The same of the answer to one that is begun. */
const begun = (body: unknown): ShownRun => shownRun(runFact.answer.validateSync(body, { strict: true }));

/** Runs of a test server, as a screen begins, follows and sends to them. */
export const runsOf = (server: () => TestServer) => {
  const start = (over: object = {}) => server().api().post('/api/runs').send(runBody(over));
  return {
    start,
    begin: async (over: object = {}): Promise<ShownRun> => begun((await start(over).expect(201)).body),
    look: async (key: string): Promise<ShownRun> =>
      shown((await server().api().get(`/api/runs/${key}`).expect(200)).body),
    send: (key: string, body: object) =>
      server()
        .api()
        .post(`/api/runs/${key}/events`)
        .send({ key: aKey(), ...body }),
  };
};
