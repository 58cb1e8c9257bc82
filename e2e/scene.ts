import { afterAll, beforeAll } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import type { InstrumentPage } from '#contract/care.ts';
import { launch, startDemo, type RunningServer } from '#e2e/harness.ts';

/** The demo and a browser for one file of tests; ready once its first test runs. */
export function scene() {
  const today = (): string => new Date().toLocaleDateString('sv');
  let demo: RunningServer;
  let browser: Browser;
  let close: () => Promise<void>;
  beforeAll(async () => {
    demo = await startDemo();
    // The first visitor after a start waits for all that is read from the file: no test is it.
    await Promise.all([
      fetch(`${demo.url}/api/today?playerId=marit&today=${today()}&atMinute=1200`),
      launch().then((launched) => ({ browser, close } = launched)),
    ]);
  }, 300_000);
  afterAll(async () => {
    await close();
    await demo.stop();
  }, 300_000);
  const careOf = async (id: string): Promise<InstrumentPage> =>
    (await fetch(`${demo.url}/api/care/${id}?today=${today()}`)).json() as never;
  return {
    server: () => demo,
    url: (path: string) => `${demo.url}${path}`,
    browser: () => browser,
    careOf,
    stateOf: async (id: string, itemId: string) =>
      (await careOf(id)).clocks.find((clock) => clock.itemId === itemId)?.gauge.state,
  };
}
