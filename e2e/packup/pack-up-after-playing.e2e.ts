import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import {
  allSent,
  closedSteps,
  press,
  progress,
  sees,
  stepByStep,
  tap,
  textOf,
  visit,
  visitAgain,
  walk,
  type Walker,
} from '#e2e/walker.ts';

const { url, browser, careOf, stateOf } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/now/lucan-trumpet'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

const bigButton = 'Done';

describe('by mouse', () => {
  test('from "I have just played" to packed up, the record and the clocks with it', async () => {
    await visit(page, url('/now/ife-clarinet'));
    await tap(page, 'I have just played');
    await tap(page, '+15 minutes');
    await press(page, 'and pack up');
    await sees(page, 'Take the reed off and dry it');
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
    await allSent(page);
    expect(await stateOf('ife-clarinet', 'clarinet/swab-bore')).toBe('fresh');
    expect((await careOf('ife-clarinet')).awaitsPackUp).toBe(false);

    await tap(page, 'Undo: go on with this run');
    await sees(page, 'Every step is settled.');
    expect(await stateOf('ife-clarinet', 'clarinet/swab-bore')).toBe('due');
    await tap(page, 'Finish and record it');
    await sees(page, 'Packed up.');
    await allSent(page);
    expect((await careOf('ife-clarinet')).wetness?.taps).toBe(0);
    await tap(page, 'Still wet');
    await page.locator('button[aria-pressed="true"]').wait();
    await allSent(page);
    const learned = await careOf('ife-clarinet');
    expect(learned.wetness?.taps).toBe(1);
    expect(learned.wetness?.factor).toBeGreaterThan(1);
    await tap(page, 'Back to Now', 'link');
    await sees(page, 'Ready to play.');
  }, 300_000);

  test('undo takes the play back', async () => {
    await visit(page, url('/now/wren-flute'));
    const before = await careOf('wren-flute');
    await tap(page, 'I have just played');
    await press(page, 'Cold, 10 °C');
    await press(page, 'Only log it');
    await sees(page, 'Not packed up yet.');
    const waiting = await careOf('wren-flute');
    expect(waiting.awaitsPackUp).toBe(true);
    expect(waiting.water.because[0]?.text).toContain('at about 10 °C');
    await tap(page, 'Undo');
    await sees(page, 'Ready to play.');
    expect(await careOf('wren-flute')).toEqual(before);
  }, 300_000);

  test('a reload in the middle loses nothing; skipping asks for a reason and says what it costs', async () => {
    await visit(page, url('/now/lucan-trumpet'));
    await tap(page, 'I have just played');
    await press(page, 'and pack up');
    await sees(page, 'Let the water out of every water key');
    await stepByStep(page);
    await tap(page, 'Done');
    await closedSteps(page, 1);
    await tap(page, 'Skip…');
    await sees(page, 'If you skip this');
    await tap(page, 'No time now stays due');
    await closedSteps(page, 2);
    await visitAgain(page);
    expect((await progress(page)).closed).toBe(2);
    await sees(page, 'skipped: no time now');
    const runUrl = page.url();
    await visit(page, url('/now/lucan-trumpet'));
    await sees(page, 'A run is under way.');
    await tap(page, 'Go on with it', 'link');
    await sees(page, '2 of');
    expect(page.url()).toBe(runUrl);
  }, 300_000);

  test('two tabs share one run', async () => {
    await visit(page, url('/pack-up/lucan-trumpet'));
    await stepByStep(page);
    const { closed } = await progress(page);
    const other = await walk(browser(), page.url());
    await tap(other, 'Done');
    await closedSteps(other, closed + 1);
    await allSent(other);
    await tap(page, 'Done');
    await allSent(page);
    await visitAgain(page);
    expect((await progress(page)).closed).toBe(closed + 1);
    expect(other.complaints).toEqual([]);
    await other.browserContext().close();
  }, 300_000);
});

describe('by keyboard', () => {
  test('the whole slice without a mouse', async () => {
    await visit(page, url('/now/teodor-oboe'));
    await page.focus('::-p-aria([name="I have just played"][role="button"])');
    await page.keyboard.press('Enter');
    await sees(page, 'You have played: Oboe');
    await page.keyboard.press('Enter');
    await sees(page, 'Draw the reed straight out');
    await stepByStep(page);
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
  }, 300_000);

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
  }, 300_000);
});
