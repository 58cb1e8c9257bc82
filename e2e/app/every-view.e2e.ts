import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { setTimeout as pause } from 'node:timers/promises';
import type { Page } from 'puppeteer-core';
import { scene } from '#e2e/scene.ts';
import { atRest, follow, press, sees, tap, textOf, visitAgain, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const EVERYTHING = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** What hangs on the theme: the rest is the same page in the dark. */
const COLOURS = { type: 'rule', values: ['color-contrast', 'link-in-text-block'] };
type Violation = { id: string; nodes: { target: unknown; failureSummary?: string }[] };

/** axe's violations of WCAG 2.2 A and AA on the page as it stands. */
async function violations(page: Page, rules: object = EVERYTHING): Promise<string[]> {
  if (await page.evaluate(() => !('axe' in window))) await page.evaluate(axeSource);
  const found = (await page.evaluate(
    async (runOnly) =>
      (
        (await (window as unknown as { axe: { run: (root: Document, options: object) => Promise<unknown> } }).axe.run(
          document,
          { runOnly, resultTypes: ['violations'] },
        )) as { violations: unknown[] }
      ).violations,
    rules,
  )) as Violation[];
  return found.map(({ id, nodes }) => `${id}: ${JSON.stringify(nodes[0]?.target)} ${nodes[0]?.failureSummary ?? ''}`);
}

type View = { readonly name: string; readonly path: string; readonly then?: (page: Page) => Promise<void> };
const VIEWS: readonly View[] = [
  { name: 'now', path: '/now/asha-horn', then: (page) => press(page, 'Why') },
  { name: 'now, all', path: '/now' },
  { name: 'the play just logged', path: '/now/lucan-trumpet', then: (page) => tap(page, 'I have just played') },
  { name: 'pack up', path: '/pack-up/ife-clarinet' },
  { name: 'pack up, all', path: '/pack-up' },
  { name: 'care', path: '/care/marit-clarinet' },
  { name: 'care of pipes', path: '/care/wren-pipes' },
  { name: 'care that waits for the bench', path: '/care/lucan-trombone' },
  { name: 'care, all', path: '/care' },
  { name: 'something is wrong', path: '/faults/lucan-trumpet' },
  { name: 'a question about what is wrong', path: '/faults/ife-clarinet', then: (page) => press(page, 'Why') },
  { name: 'add', path: '/add', then: (page) => press(page, 'Clarinet') },
  {
    name: 'may I use',
    path: '/may-i-use?of=marit-clarinet',
    then: async (page) => {
      await page.locator('::-p-aria([name="What have you got in your hand?"][role="combobox"])').fill('Bleach');
      await page.locator('li[role="option"]').click();
      await sees(page, 'overrule all of this');
    },
  },
  {
    name: 'methods',
    path: '/care/marit-alto/methods',
    then: async (page) => {
      await press(page, 'Which piece is dried first?');
      await press(page, 'What changes');
    },
  },
  { name: 'something has changed', path: '/care/ife-clarinet', then: (page) => tap(page, 'Something has changed') },
  {
    name: 'methods from a file',
    path: '/care/asha-horn/methods',
    then: (page) => tap(page, 'Import methods'),
  },
  { name: 'reeds', path: '/reeds/marit-clarinet', then: (page) => press(page, 'Why') },
  {
    name: 'a reed',
    path: '/reeds/marit-alto',
    then: async (page) => {
      await page.locator('button[aria-label*="in rotation"]').click();
      await press(page, 'too hard');
    },
  },
  { name: 'a new box of reeds', path: '/reeds/petra-bassoon', then: (page) => tap(page, 'Add a box') },
  { name: 'calendar', path: '/calendar', then: (page) => press(page, 'Why') },
  { name: 'the calendar of one instrument', path: '/calendar/lucan-tuba' },
  { name: 'a sheet for the case', path: '/calendar/asha-horn/case-lid' },
  { name: 'a calendar to import', path: '/calendar', then: (page) => tap(page, 'Import a calendar (.ics)') },
  { name: 'something for the calendar', path: '/calendar', then: (page) => tap(page, 'Add to the calendar') },
  { name: 'what was last done', path: '/add/lucan-tuba/history' },
  {
    name: 'the routine for the case',
    path: '/calendar/asha-horn/case-lid',
    then: (page) => press(page, 'The routine'),
  },
  { name: 'data', path: '/data', then: (page) => press(page, 'Make a copy now') },
  { name: 'which reed is laid on the table', path: '/double-reeds/teodor-oboe' },
  { name: 'how a double reed looks', path: '/double-reeds/teodor-oboe/looks' },
  {
    name: 'a reed on the table',
    path: '/double-reeds/teodor-oboe',
    then: async (page) => {
      await press(page, 'Sandling medium');
      await press(page, '10 min ago');
      await press(page, 'Go on');
      await press(page, 'It is soaked through');
      await sees(page, 'Do you see a crack?');
    },
  },
  { name: 'the bench, all', path: '/bench', then: (page) => press(page, 'Why') },
  { name: 'how an instrument stands', path: '/bench/marit-clarinet' },
  {
    name: 'looked over',
    path: '/bench/lucan-trumpet',
    then: async (page) => {
      await press(page, 'Look it over');
      await press(page, 'Begin');
      await press(page, 'Keep 0');
    },
  },
  { name: 'a bill', path: '/bench/marit-alto', then: (page) => tap(page, 'Add a bill or a quote') },
  { name: 'a ticket for the bench', path: '/bench/lucan-trombone/ticket' },
  { name: 'a year of an instrument', path: '/bench/marit-clarinet/year' },
  { name: 'settings', path: '/settings' },
  { name: 'somebody new', path: '/players' },
  { name: 'no such page', path: '/nowhere/at/all' },
  { name: 'no such instrument', path: '/now/never-was' },
  {
    name: 'a run',
    path: '/pack-up/teodor-oboe',
    then: async (page) => {
      if ((await textOf(page)).includes('Make ready to play')) await press(page, 'Make ready to play');
      await sees(page, ' steps');
    },
  },
  // Lies over whatever view is beneath it, and so comes last.
  { name: 'the keys', path: '/now', then: (page) => page.keyboard.press('?') },
];

/** Long enough for a sheet that opens to come to rest. */
const OPENED_MS = 250;

/** The device asks for a theme, and the page has it on. */
async function lights(page: Page, theme: 'light' | 'dark'): Promise<void> {
  await page.emulateMediaFeatures([
    { name: 'prefers-color-scheme', value: theme },
    { name: 'prefers-reduced-motion', value: 'reduce' },
  ]);
  await page.waitForSelector(`html[data-theme="${theme}"]`);
}

describe('in the light theme and in the dark', () => {
  // One visitor goes through all of them in one page: scripts are fetched and read once.
  let page: Walker;
  beforeAll(async () => {
    page = await walk(browser(), url('/now'));
  }, 300_000);
  afterAll(() => page.browserContext().close());

  test.each(VIEWS)(
    '$name: no accessibility violation, no complaint in the console',
    async ({ path, then }) => {
      page.complaints.length = 0;
      await lights(page, 'light');
      // What was opened in the view before is gone with it; the same view anew is loaded anew.
      await (page.url() === url(path) ? visitAgain(page) : follow(page, url(path)));
      if (then) {
        await then(page);
        await pause(OPENED_MS);
        await atRest(page);
      }
      expect(await violations(page)).toEqual([]);
      await lights(page, 'dark');
      expect(await violations(page, COLOURS)).toEqual([]);
      // An instrument that is not there is a 404 of the API, which the browser itself reports.
      expect(page.complaints.filter((complaint) => !complaint.includes('404'))).toEqual([]);
    },
    300_000,
  );
});

test('axe finds what is wrong when something is', async () => {
  const page = await walk(browser(), url('/now'));
  await page.evaluate(() => {
    document.body.insertAdjacentHTML('beforeend', '<img src="/mark.svg"><button></button>');
  });
  expect((await violations(page)).join()).toMatch(/image-alt.*button-name|button-name.*image-alt/s);
  await page.browserContext().close();
}, 300_000);

/** What can be tapped in the page and is smaller than a finger, by its words. */
const tooSmall = (page: Walker): Promise<string[]> =>
  page.$$eval('main button, main a', (all) =>
    all
      .map((one) => ({ text: (one as HTMLElement).innerText, size: one.getBoundingClientRect() }))
      .filter(({ size }) => size.height > 0 && size.height < 44)
      .map(({ text }) => text),
  );

/** Is the instrument chosen in sight on the shelf? */
const isChosenInSight = (page: Walker): Promise<boolean> =>
  page.$eval('nav[aria-label="Instruments"]', (shelf) => {
    const [around, of] = [shelf, shelf.querySelector('[aria-current="true"]')].map((one) =>
      one?.getBoundingClientRect(),
    );
    return around !== undefined && of !== undefined && of.left >= around.left && of.right <= around.right;
  });

test('a phone: nothing sticks out sideways, whatever the name, and targets are at least 44 px', async () => {
  const page = await walk(browser(), url('/now/marit-clarinet'));
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  const named = {
    id: 'one-long-word',
    name: 'Flugelhornundeuphoniumkofferaufbewahrungsinstrumentnummerzwo',
    kind: 'flugelhorn',
    build: { finish: 'lacquer', brassMouthpiece: 'plated' },
    playerId: 'wren',
    acquiredOn: '2026-01-02',
    cameNew: false,
    today: new Date().toLocaleDateString('sv'),
  };
  const added = await fetch(url('/api/instruments'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(named),
  });
  expect([added.status, named.name.length]).toEqual([201, 60]);
  const views = ['/now/', '/care/', '/pack-up/', '/calendar/'];
  const pages = views.flatMap((view) => [`${view}marit-clarinet`, `${view}one-long-word`]);
  for (const path of [
    ...pages,
    '/add',
    '/care',
    '/now',
    '/reeds/marit-clarinet',
    '/data',
    '/settings',
    '/calendar',
    '/calendar/marit-clarinet/case-lid',
  ]) {
    await follow(page, url(path));
    expect({ path, wide: await page.evaluate(() => document.documentElement.scrollWidth) }).toEqual({
      path,
      wide: 390,
    });
    expect({ path, small: await tooSmall(page) }).toEqual({ path, small: [] });
  }
  await follow(page, url('/now/lucan-trumpet'));
  expect(await isChosenInSight(page)).toBe(true);
  await tap(page, 'I have just played');
  await press(page, 'and pack up');
  await sees(page, ' steps');
  expect(await tooSmall(page)).toEqual([]);
  await page.browserContext().close();
}, 300_000);

test('a dead server is said plainly: what was said is kept on the device, and what needs an answer says so', async () => {
  const page = await walk(browser(), url('/now/asha-horn'));
  await tap(page, 'I have just played');
  await tap(page, '+15 minutes');
  await page.setRequestInterception(true);
  page.on('request', (request) => void (request.url().includes('/api/') ? request.abort() : request.continue()));
  await press(page, 'Only log it');
  await sees(page, 'Not sent yet: it is kept on this device until Ulu answers.');
  await sees(page, 'one entry is kept on this device');
  await tap(page, 'Make ready to play');
  await page.waitForSelector('[role="alert"]', { timeout: 20_000 });
  expect(await textOf(page)).toContain('Ulu’s server does not answer.');
  await page.browserContext().close();
}, 300_000);
