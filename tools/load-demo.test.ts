import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { localDate } from '#core/time/local-date.ts';
import { situationIn } from '#server/situations.ts';
import { testServer, TODAY, type TestServer } from '#server/testing/test-server.ts';
import { loadDemo } from '#tools/load-demo.ts';

/** Nobody lets anything go for longer than this in a world that should look lived in. */
const WORST_LOAD = 4;

describe('the demo world in the record', () => {
  let server: TestServer;
  beforeAll(() => {
    server = testServer();
    loadDemo(server.services(), localDate(TODAY));
  });
  afterAll(() => server.stop());

  const clocks = () =>
    server
      .services()
      .instruments.onShelf()
      .flatMap((instrument) =>
        situationIn(server.services(), instrument, localDate(TODAY)).clocks.map((clock) => ({ instrument, clock })),
      );

  test('no care item of any instrument is let go absurdly long', () => {
    const absurd = clocks()
      .filter(({ clock }) => (clock.load ?? 0) > WORST_LOAD)
      .map(({ instrument, clock }) => `${instrument.id}: ${clock.item.id} ${clock.load}`);
    expect(absurd).toEqual([]);
  });

  test('something is overdue, something due, something soon, something fresh', () => {
    const states = clocks().map(({ clock }) => clock.state);
    for (const state of ['overdue', 'due', 'soon', 'fresh']) expect(states).toContain(state);
  });
});
