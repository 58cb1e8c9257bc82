import { afterEach, beforeEach, expect } from '@jest/globals';
import { localDate } from '#core/time/local-date.ts';
import { aKey, furnishedServer, NOW, type TestServer, TODAY } from '#server/testing/test-server.ts';

/** A furnished server of its own for each test of a file; its record is gone through when the test is done. */
export function furnished() {
  let server: TestServer;
  beforeEach(async () => {
    server = await furnishedServer();
  });
  afterEach(() => {
    expect(server.breaches()).toEqual([]);
    server.stop();
  });
  return {
    server: () => server,
    today: localDate(TODAY),
    /** Logs something now, under a key of its own unless it says one. */
    post: (path: string, body: object) =>
      server
        .api()
        .post(path)
        .send({ key: aKey(), now: NOW, ...body }),
    get: (path: string) => server.api().get(path),
    /** Takes back what was logged under a key. */
    takeBack: (targetKey: string) => server.api().post('/api/withdrawals').send({ key: aKey(), targetKey }).expect(201),
  };
}
