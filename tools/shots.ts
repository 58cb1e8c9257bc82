/**
 * `npm run shots`: one picture of each main view, from a fresh demo, into docs/screenshots.
 * `-- --only NAME --out FOLDER` takes one of them elsewhere.
 */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { parseArgs } from 'node:util';
import type { Page } from 'puppeteer-core';
import { launch, startDemo } from '#e2e/harness.ts';
import { atRest, press, visit, visitAgain, walk } from '#e2e/walker.ts';

const OPENED_MS = 300;

type Shot = {
  readonly name: string;
  readonly path: string;
  readonly phone?: true;
  readonly dark?: true;
  readonly then?: (page: Page) => Promise<void>;
};

const playedAndPacking = async (page: Page): Promise<void> => {
  await press(page, 'I have just played');
  await press(page, 'and pack up');
  await page.waitForSelector('::-p-text(Step by step)');
};

/** A player chosen as on their own device. */
const as = (playerId: string) => async (page: Page) => {
  await page.evaluate((id) => localStorage.setItem('ulu.player', id), playerId);
  await visitAgain(page);
};

// What changes the record comes last: all pictures are of one demo.
const SHOTS: readonly Shot[] = [
  { name: 'now', path: '/now/asha-horn', then: as('asha') },
  { name: 'today', path: '/now', then: as('lucan') },
  { name: 'now-phone', path: '/now/ife-alto', phone: true, then: as('ife') },
  { name: 'care', path: '/care/marit-clarinet' },
  { name: 'care-dark', path: '/care/lucan-trombone', dark: true, then: as('lucan') },
  { name: 'faults', path: '/faults/ife-clarinet', then: as('lucan') },
  { name: 'bench', path: '/bench/marit-clarinet', then: as('marit') },
  {
    name: 'data',
    path: '/data',
    then: async (page) => {
      await press(page, 'Make a copy now');
      await page.waitForSelector('::-p-text(The copy is whole)');
    },
  },
  {
    name: 'may-i-use',
    path: '/may-i-use?of=marit-clarinet',
    then: async (page) => {
      await page.locator('::-p-aria([name="What have you got in your hand?"][role="combobox"])').fill('Rubbing');
      await press(page, 'Rubbing alcohol');
      await page.waitForSelector('::-p-text(overrule all of this)');
    },
  },
  {
    name: 'methods',
    path: '/care/marit-clarinet/methods',
    then: async (page) => {
      await press(page, 'How is the clarinet swabbed?');
      await page
        .locator(
          '::-p-aria([role="button"][name="What changes: How is the clarinet swabbed? in one pull from the bell out at the mouthpiece"])',
        )
        .click();
      await page.$eval('::-p-text(After playing)', (heading) => heading.scrollIntoView());
    },
  },
  { name: 'reeds', path: '/reeds/marit-clarinet' },
  {
    name: 'reed-rows',
    path: '/reeds/marit-alto',
    then: async (page) => {
      await press(page, 'Ready for it?');
      // The page grows while it answers: what is worked out only in sight has to stay in sight.
      await page.waitForFunction(
        () => {
          window.scrollTo(0, document.body.scrollHeight);
          return document.body.innerText.includes('The best plan there is');
        },
        { timeout: 60_000, polling: 500 },
      );
      await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    },
  },
  { name: 'add', path: '/add', then: (page) => press(page, 'Bassoon') },
  { name: 'calendar', path: '/calendar', then: as('marit') },
  {
    name: 'pack-up-doubler',
    path: '/pack-up',
    then: async (page) => {
      await press(page, '6 min');
      await press(page, 'in one go');
      await page.waitForSelector('::-p-text(Step by step)');
    },
  },
  {
    name: 'pack-up',
    path: '/now/teodor-cor',
    then: async (page) => {
      await as('teodor')(page);
      await playedAndPacking(page);
      await press(page, 'Step by step');
      for (let step = 0; step < 4; step++) {
        await press(page, 'Done');
        await page.waitForSelector(`::-p-text(${step + 1} of )`);
      }
    },
  },
  {
    name: 'pack-up-phone',
    path: '/now/ife-clarinet',
    phone: true,
    then: async (page) => {
      await as('ife')(page);
      await playedAndPacking(page);
      await press(page, 'I am not at home');
    },
  },
  {
    name: 'finish',
    path: '/now/teodor-oboe',
    dark: true,
    then: async (page) => {
      await as('teodor')(page);
      await playedAndPacking(page);
      await press(page, 'All done as listed');
      await page.waitForSelector('::-p-text(Was anything left out?)');
    },
  },
  {
    name: 'table',
    path: '/double-reeds/teodor-oboe',
    then: async (page) => {
      await as('teodor')(page);
      for (const said of ['Sandling medium', '10 min ago', 'Go on', 'It is soaked through']) await press(page, said);
      await page.waitForSelector('::-p-text(Do you see a crack?)');
    },
  },
];

const { values } = parseArgs({
  options: { only: { type: 'string', multiple: true }, out: { type: 'string' } },
  allowPositionals: true,
});
const out = path.resolve(values.out ?? path.join(import.meta.dirname, '../docs/screenshots'));
mkdirSync(out, { recursive: true });
const wanted = SHOTS.filter(({ name }) => values.only === undefined || values.only.includes(name));
const demo = await startDemo();
const { browser, close } = await launch();
try {
  for (const shot of wanted) {
    // Each picture is somebody's own device: nothing is remembered from the one before.
    const page = await walk(browser, 'about:blank', shot.dark ? 'dark' : 'light');
    await page.setViewport(
      shot.phone ? { width: 390, height: 844, isMobile: true, hasTouch: true } : { width: 1280, height: 800 },
    );
    await visit(page, `${demo.url}${shot.path}`);
    await shot.then?.(page);
    await atRest(page);
    // What opens has come to rest.
    await pause(OPENED_MS);
    await page.screenshot({ path: path.join(out, `${shot.name}.png`) as `${string}.png` });
    await page.browserContext().close();
    console.log(`${shot.name}.png`);
  }
} finally {
  await close();
  await demo.stop();
}
