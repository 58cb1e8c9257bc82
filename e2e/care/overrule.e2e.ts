import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser, stateOf, careOf } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/care/wren-flute'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

describe('care', () => {
  const row = 'Shake test of the case';

  test('let wait, not done here, done again: each one tap, each undone', async () => {
    await visit(page, url('/care/wren-flute'));
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
  }, 300_000);

  test('a play logged wrongly is put right where it stands, and the correction undone', async () => {
    await visit(page, url('/care/wren-flute'));
    const minutes = async () => (await careOf('wren-flute')).lastPlay?.minutes ?? 0;
    const before = await minutes();
    await page.locator('button[aria-label^="Correct: Played"]').click();
    await sees(page, 'Correct this play');
    await tap(page, '+15 minutes');
    await tap(page, 'Save the correction');
    await sees(page, '(corrected)');
    expect(await minutes()).toBeGreaterThan(before);
    await tap(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('(corrected)'));
    expect(await minutes()).toBe(before);
  }, 300_000);

  test('a sign is tapped where it was seen; an edited build closes what it no longer has', async () => {
    await visit(page, url('/care/wren-flute'));
    await tap(page, 'I see it: Tighten a loose joint');
    await sees(page, 'Noticed: a joint that is loose');
    expect(await stateOf('wren-flute', 'bamboo-flute/loose-joint')).toBe('due');
    await visit(page, url('/care/teodor-oboe'));
    await page.$eval('::-p-aria([name="Lower joint: I see something"][role="button"])', (part) =>
      (part as SVGElement).focus(),
    );
    await page.keyboard.press('Enter');
    await tap(page, 'Dust lies under the rods', 'menuitem');
    await sees(page, 'noticed · lower joint');
    await tap(page, 'Edit the build');
    await tap(page, 'What is the body made of?', 'combobox');
    await press(page, 'Plastic');
    await page.waitForSelector('[role="listbox"]', { hidden: true });
    await tap(page, 'Save');
    await sees(page, 'Closed');
    await sees(page, 'Oil the bore.');
    await tap(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('Oil the bore.'));
  }, 300_000);
});
