import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { TodayView } from '#contract/today.ts';
import { scene } from '#e2e/scene.ts';
import {
  allSent,
  heldBy,
  oneByOne,
  press,
  sees,
  tap,
  textOf,
  visit,
  visitAgain,
  walk,
  type Walker,
} from '#e2e/walker.ts';

const { url, browser, careOf, stateOf } = scene();
let page: Walker;
let taps: number;
beforeEach(async () => {
  page = await walk(browser(), 'about:blank');
  await heldBy(page, 'marit');
  await visit(page, url('/now'));
  taps = 0;
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

/** One tap of a finger, counted. */
const touch = async (words: string): Promise<void> => {
  taps += 1;
  await press(page, words);
};
const todayOf = async (playerId: string): Promise<TodayView> =>
  (
    await fetch(url(`/api/today?playerId=${playerId}&today=${new Date().toLocaleDateString('sv')}&atMinute=1200`))
  ).json() as never;

/** The largest shift of a page that nobody sees, as browsers count it: the area that moves by how far it moves. */
const JUMP = 0.02;
type Jump = { readonly by: number; readonly moved: readonly string[] };
/** On the page: notes what moved without being touched. */
function watchJumps(): void {
  const jumps: Jump[] = [];
  Object.assign(window, { jumps });
  type Shift = { readonly value: number; readonly hadRecentInput: boolean; readonly sources: readonly Source[] };
  type Source = { readonly node: Node | null; readonly previousRect: DOMRect; readonly currentRect: DOMRect };
  new PerformanceObserver((list) => {
    for (const { value, hadRecentInput, sources } of list.getEntries() as unknown as Shift[])
      if (!hadRecentInput)
        jumps.push({
          by: value,
          moved: sources.map(
            ({ node, previousRect: { x, y }, currentRect: to }) =>
              `${node?.textContent?.slice(0, 60) ?? 'gone'}: ${x}, ${y} to ${to.x}, ${to.y}`,
          ),
        });
  }).observe({ type: 'layout-shift', buffered: true });
}

const MARITS = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

describe('today', () => {
  test('what stands wet is packed up in one run with three taps', async () => {
    await sees(page, 'Wet for');
    await touch('Pack up 3 instruments');
    await sees(page, 'First, what cannot wait');
    await touch('All done as listed');
    await sees(page, 'Was anything left out?');
    await touch('Finish and record it');
    await sees(page, 'Packed up.');
    expect(taps).toBe(3);
    await allSent(page);
    for (const id of MARITS) expect((await careOf(id)).awaitsPackUp).toBe(false);
  }, 300_000);

  test('from nothing logged to three instruments recorded as packed up: five taps at most', async () => {
    const { evening } = await todayOf('marit');
    expect(evening.map(({ awaitsPackUp }) => awaitsPackUp)).toEqual([false, false, false]);
    await touch('I have played');
    await sees(page, 'What have you played?');
    // Those that are not usual on this weekday are one tap each.
    const unset = evening.filter(({ usual }) => !usual);
    for (const { name } of unset) await tap(page, `${name} was played`, 'checkbox');
    await touch('Log 3 instruments and pack up');
    await sees(page, 'First, what cannot wait');
    await touch('All done as listed');
    await sees(page, 'Was anything left out?');
    await touch('Finish and record it');
    await sees(page, 'Packed up.');
    expect(taps).toBeLessThanOrEqual(5);
    await allSent(page);
    for (const id of MARITS) {
      const care = await careOf(id);
      expect([care.awaitsPackUp, care.lastPlay?.minutes]).toEqual([
        false,
        evening.find(({ instrumentId }) => instrumentId === id)?.minutes,
      ]);
    }
    expect(await stateOf('marit-clarinet', 'clarinet/swab-bore')).toBe('fresh');
  }, 300_000);

  test('a run of two on a phone shows its stretches and the next one’s button, and nothing sticks out', async () => {
    await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await page.evaluate(() => localStorage.setItem('ulu.player', 'lucan'));
    await visit(page, url('/now'));
    await press(page, 'I have played');
    await sees(page, 'What have you played?');
    for (const { name, usual } of (await todayOf('lucan')).evening)
      if (!usual) await tap(page, `${name} was played`, 'checkbox');
    // His tuba is at the bench.
    await press(page, 'Log 2 instruments and pack up');
    await sees(page, 'First, what cannot wait');
    await press(page, 'Part by part');
    const done = await page.waitForSelector('::-p-aria([name="Done: First, what cannot wait"][role="button"])');
    const box = await done?.boundingBox();
    // Above the bottom rail, without scrolling.
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThan(770);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await done?.click();
    // It stands on the page, and so on the device, before the page is left.
    await page.waitForFunction(() => /[1-9]\d* of \d+ steps/.test(document.body.innerText));
    await visitAgain(page);
    expect(await textOf(page)).toMatch(/[1-9]\d* of \d+ steps/);
  }, 300_000);

  test('the browser’s Back closes an open sheet and stays on the page; closed by hand, Back leaves it', async () => {
    await press(page, 'I have played');
    await sees(page, 'What have you played?');
    await page.goBack();
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    expect(page.url()).toBe(url('/now'));
    await visit(page, url('/care'));
    await visit(page, url('/now'));
    await press(page, 'I have played');
    await tap(page, 'Not now');
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    await page.waitForFunction(() => !(history.state as { uluSheet?: true } | null)?.uluSheet);
    await page.goBack();
    await page.waitForFunction(() => location.pathname === '/care');
  }, 300_000);

  test('a field with focus stays visible above the keyboard', async () => {
    await page.setViewport({ width: 390, height: 420, isMobile: true, hasTouch: true });
    await visit(page, url('/players'));
    await page.focus('::-p-aria([name="Your name"])');
    await page.$eval('::-p-aria([name="Your name"])', (field) => field.scrollIntoView({ block: 'nearest' }));
    const box = await (await page.$('::-p-aria([name="Your name"])'))?.boundingBox();
    const rail = await (await page.$('nav[aria-label="Moments"]'))?.boundingBox();
    expect(box?.y ?? -1).toBeGreaterThanOrEqual(0);
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(rail?.y ?? 0);
  }, 300_000);

  test.each([
    ['as it comes', async () => undefined],
    ['one by one', async () => oneByOne(page, (held) => held.shift())],
    ['one by one, the last asked first', async () => oneByOne(page, (held) => held.pop())],
  ])(
    'nothing jumps when the data arrives: %s',
    async (_, answering) => {
      await page.evaluateOnNewDocument(watchJumps);
      await answering();
      const jumping: object[] = [];
      for (const path of ['/now', '/now/marit-clarinet', '/care', '/pack-up', '/calendar', '/reeds/marit-clarinet']) {
        await visit(page, url(path));
        const jumps = await page.evaluate(() => (window as unknown as { jumps: Jump[] }).jumps);
        const by = jumps.reduce((sum, jump) => sum + jump.by, 0);
        if (by >= JUMP) jumping.push({ path, by, jumps });
      }
      expect(jumping).toEqual([]);
    },
    240_000,
  );
});
