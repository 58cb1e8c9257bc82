import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { launch, startDemo, type RunningServer } from '#e2e/harness.ts';
import { closedSteps, press, progress, sees, tap, textOf, walk, type Walker } from '#e2e/walker.ts';

let demo: RunningServer;
let browser: Browser;
let close: () => Promise<void>;
let page: Walker;
beforeAll(async () => {
  demo = await startDemo();
  ({ browser, close } = await launch());
}, 90_000);
afterAll(async () => {
  await close();
  await demo.stop();
}, 30_000);
beforeEach(async () => {
  page = await walk(browser, `${demo.url}/now/lucan-trumpet`);
}, 30_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

type Clock = { itemId: string; gauge: { state: string; load: number | null } };
const today = (): string => new Date().toLocaleDateString('sv');
const careOf = async (id: string): Promise<{ awaitsPackUp: boolean; openRunKey: string | null; clocks: Clock[] }> =>
  (await fetch(`${demo.url}/api/care/${id}?today=${today()}`)).json() as never;
const stateOf = async (id: string, itemId: string) =>
  (await careOf(id)).clocks.find((clock) => clock.itemId === itemId)?.gauge.state;
const bigButton = 'Done';

describe('by mouse', () => {
  test('from "I have just played" to packed up, the record and the clocks with it', async () => {
    await page.goto(`${demo.url}/now/ife-clarinet`, { waitUntil: 'networkidle0' });
    await tap(page, 'I have just played');
    await tap(page, '+15 minutes');
    await press(page, 'and pack up');
    await sees(page, 'Reed off first');
    expect(await stateOf('ife-clarinet', 'clarinet/swab-bore')).toBe('due');
    await tap(page, 'Why: the order and the minutes');
    await sees(page, 'estimate');
    const { total } = await progress(page);
    for (let closed = 0; closed < total; closed++) {
      const asks = (await textOf(page)).includes('No, not needed');
      await tap(page, asks ? 'No, not needed' : bigButton);
      if (closed + 1 < total) await closedSteps(page, closed + 1);
    }
    await tap(page, 'Finish and record it');
    await sees(page, 'Packed up.');
    expect(await stateOf('ife-clarinet', 'clarinet/swab-bore')).toBe('fresh');
    expect((await careOf('ife-clarinet')).awaitsPackUp).toBe(false);

    await tap(page, 'Undo: go on with this run');
    await sees(page, 'Every step is settled.');
    expect(await stateOf('ife-clarinet', 'clarinet/swab-bore')).toBe('due');
    await tap(page, 'Finish and record it');
    await sees(page, 'Packed up.');
    await tap(page, 'To Now', 'link');
    await sees(page, 'Ready to play.');
  }, 90_000);

  test('undo takes the play back', async () => {
    await page.goto(`${demo.url}/now/wren-flute`, { waitUntil: 'networkidle0' });
    const before = await careOf('wren-flute');
    await tap(page, 'I have just played');
    await press(page, 'Only log it');
    await sees(page, 'Not packed up yet.');
    expect((await careOf('wren-flute')).awaitsPackUp).toBe(true);
    await tap(page, 'Undo');
    await sees(page, 'Ready to play.');
    expect(await careOf('wren-flute')).toEqual(before);
  }, 60_000);

  test('a reload in the middle loses nothing; skipping asks for a reason and says what it costs', async () => {
    await page.goto(`${demo.url}/now/lucan-trumpet`, { waitUntil: 'networkidle0' });
    await tap(page, 'I have just played');
    await press(page, 'and pack up');
    await sees(page, 'Water out through every water key');
    await tap(page, 'Done');
    await closedSteps(page, 1);
    await tap(page, 'Skip…');
    await sees(page, 'What it costs');
    await tap(page, 'No time now stays due');
    await closedSteps(page, 2);
    await page.reload({ waitUntil: 'networkidle0' });
    expect((await progress(page)).closed).toBe(2);
    await sees(page, 'left out: no time now');
    const url = page.url();
    await page.goto(`${demo.url}/now/lucan-trumpet`, { waitUntil: 'networkidle0' });
    await sees(page, 'A run is under way.');
    await tap(page, 'Go on with it', 'link');
    await sees(page, '2 of');
    expect(page.url()).toBe(url);
  }, 60_000);

  test('two tabs share one run', async () => {
    await page.goto(`${demo.url}/pack-up/lucan-trumpet`, { waitUntil: 'networkidle0' });
    const { closed } = await progress(page);
    const other = await walk(browser, page.url());
    await tap(other, 'Done');
    await closedSteps(other, closed + 1);
    await tap(page, 'Done');
    await page.reload({ waitUntil: 'networkidle0' });
    expect((await progress(page)).closed).toBe(closed + 1);
    expect(other.complaints).toEqual([]);
    await other.browserContext().close();
  }, 60_000);
});

describe('by keyboard', () => {
  test('the whole slice without a mouse', async () => {
    await page.goto(`${demo.url}/now/teodor-oboe`, { waitUntil: 'networkidle0' });
    await page.focus('::-p-aria([name="I have just played"][role="button"])');
    await page.keyboard.press('Enter');
    await sees(page, 'You have played: Oboe');
    await page.keyboard.press('Enter');
    await sees(page, 'Reed drawn straight out');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const { total } = await progress(page);
    for (let closed = 0; closed < total; closed++) {
      if ((await textOf(page)).includes(' of about ')) await page.keyboard.press('n');
      await page.keyboard.press(closed % 2 === 0 ? 'Space' : 'Enter');
      if (closed + 1 < total) await closedSteps(page, closed + 1);
    }
    await sees(page, 'Every step is settled.');
    await page.keyboard.press('Enter');
    await sees(page, 'Packed up.');
    await page.keyboard.press('g');
    await page.keyboard.press('c');
    await sees(page, 'What is due, and when');
    await page.keyboard.press('?');
    await sees(page, 'Single-key shortcuts');
  }, 90_000);

  test('single-key shortcuts can be switched off', async () => {
    await page.keyboard.press('?');
    await sees(page, 'Single-key shortcuts');
    await tap(page, 'Single-key shortcuts', 'switch');
    await tap(page, 'Close');
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    await page.keyboard.press('?');
    await page.keyboard.press('g');
    await page.keyboard.press('c');
    expect(page.url()).toContain('/now/');
    expect(await textOf(page)).not.toContain('Single-key shortcuts');
  }, 60_000);
});

describe('when time is short, and with several instruments', () => {
  test('three instruments after a show go in one run; six minutes name what waits, and it can be pulled in', async () => {
    await page.goto(`${demo.url}/pack-up`, { waitUntil: 'networkidle0' });
    await sees(page, 'To pack up');
    await tap(page, '6 min');
    await press(page, 'Pack up 3 instruments in one go');
    await sees(page, 'You have 6 min');
    await sees(page, 'Waits, for want of time');
    const { total } = await progress(page);
    await press(page, 'Pull in');
    await page.waitForFunction((before) => !document.body.innerText.includes(`of ${before} steps`), {}, total);
    expect((await progress(page)).total).toBeGreaterThan(total);
    expect(await stateOf('marit-alto', 'saxophone/swab-body')).toBe('due');
    expect((await careOf('marit-piccolo')).openRunKey).toBe((await careOf('marit-alto')).openRunKey);
  }, 60_000);

  test('the look at the chanter decides what comes after it', async () => {
    await page.goto(`${demo.url}/now/wren-pipes`, { waitUntil: 'networkidle0' });
    await tap(page, 'I have just played');
    await press(page, 'and pack up');
    await sees(page, 'steps, about');
    await tap(page, 'Done');
    await sees(page, 'How wet is the reed seat?');
    await sees(page, 'if the look says so');
    await tap(page, 'Drops');
    await sees(page, 'not called for');
    await sees(page, 'Each drone out of its stock');
  }, 60_000);
});

describe('care', () => {
  const row = 'Shake test of the case';

  test('let wait, not done here, done again: each one tap, each undone', async () => {
    await page.goto(`${demo.url}/care/wren-flute`, { waitUntil: 'networkidle0' });
    await tap(page, `More: ${row}`);
    await press(page, 'Let it wait until');
    await sees(page, `${row} waits.`);
    expect(await textOf(page)).toMatch(/waits until/);
    await tap(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('waits until'));
    await tap(page, `More: ${row}`);
    await press(page, 'I don’t do this');
    await sees(page, 'Not done here');
    expect(await stateOf('wren-flute', 'wind/case-check')).toBe('off');
    await tap(page, `More: ${row}`);
    await press(page, 'Do it again from now on');
    await page.waitForFunction(() => !document.body.innerText.includes('Not done here'));
    expect(await stateOf('wren-flute', 'wind/case-check')).not.toBe('off');
  }, 60_000);

  test('a sign is tapped where it was seen; an edited build closes what it no longer has', async () => {
    await page.goto(`${demo.url}/care/wren-flute`, { waitUntil: 'networkidle0' });
    await tap(page, 'I see it: Tighten a loose joint');
    await sees(page, 'Noticed: a joint that is loose');
    expect(await stateOf('wren-flute', 'bamboo-flute/loose-joint')).toBe('due');
    await page.goto(`${demo.url}/care/teodor-oboe`, { waitUntil: 'networkidle0' });
    await tap(page, 'Change how it is built');
    await tap(page, 'What is the body made of?', 'combobox');
    await press(page, 'Plastic');
    await page.waitForSelector('[role="listbox"]', { hidden: true });
    await tap(page, 'Keep it so');
    await sees(page, 'Closed');
    await sees(page, 'Oil the bore.');
    await tap(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('Oil the bore.'));
  }, 60_000);
});
