import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser, stateOf } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/care/teodor-oboe'));
}, 300_000);
afterEach(async () => {
  await page.browserContext().close();
});

describe('for a while', () => {
  test('an illness is two taps, reaches every instrument of its player, says what it asks, and ends', async () => {
    expect(await stateOf('teodor-cor', 'double-reed/reed-hygiene')).toBe('as-seen');
    await tap(page, 'Something has changed');
    await page.locator('[role="dialog"] ::-p-text(Ill)').click();
    await tap(page, 'Note it');
    await sees(page, 'Do not share it. Nobody else plays it meanwhile.');
    expect(await stateOf('teodor-cor', 'double-reed/reed-hygiene')).toBe('due');
    await press(page, 'What it asks for');
    await sees(page, 'on day 4 and day 7, then every 7 days');
    await visit(page, url('/now/teodor-cor'));
    expect(await textOf(page)).toContain('Ill. Do not share');
    await visit(page, url('/care/teodor-cor'));
    await tap(page, 'End it');
    await sees(page, 'today is its last day');
    await tap(page, 'Undo');
    await page.waitForFunction(() => !document.body.innerText.includes('up to'));
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('a room of 80 degrees is no room; what was typed is still there', async () => {
    await tap(page, 'Something has changed');
    await page.locator('[role="dialog"] ::-p-text(Dry air)').click();
    await page.locator('::-p-aria([name="Humidity, %"])').fill('30');
    await page.locator('::-p-aria([name="Temperature, °C"])').click();
    await page.keyboard.type('80');
    await tap(page, 'Note it');
    await sees(page, '80 °F are 27 °C');
    expect(await page.$eval('::-p-aria([name="Humidity, %"])', (field) => (field as HTMLInputElement).value)).toBe(
      '30',
    );
    await page.locator('::-p-aria([name="Temperature, °C"])').click();
    await page.keyboard.type('27');
    await tap(page, 'Note it');
    await sees(page, 'Dry air: noted.');
    expect(await textOf(page)).toContain('Keep a humidifier in the case');
  }, 300_000);
});
