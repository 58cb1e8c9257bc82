import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { launch, startEmpty, type RunningServer } from '#e2e/harness.ts';
import { press, progress, sees, stepByStep, tap, textOf, visitAgain, walk, type Walker } from '#e2e/walker.ts';

let server: RunningServer;
let browser: Browser;
let close: () => Promise<void>;
let page: Walker;
beforeAll(async () => {
  server = await startEmpty();
  ({ browser, close } = await launch());
  page = await walk(browser, server.url);
}, 300_000);
afterAll(async () => {
  await close();
  await server.stop();
}, 300_000);

/** Writes over what stands in a field, as hands do. */
const fill = async (label: string, value: string): Promise<void> => {
  await page.locator(`::-p-aria([name="${label}"])`).click({ count: 3 });
  await page.keyboard.type(value);
};

describe('an empty record', () => {
  test('offers the first steps, and says what is missing before anything is sent', async () => {
    await sees(page, 'An empty shelf');
    await tap(page, 'Add an instrument', 'link');
    await sees(page, 'Who plays?');
    await tap(page, 'Add');
    await sees(page, 'A name is needed');
    await fill('Your name', 'Tove');
    await tap(page, 'Add');
    await sees(page, 'Which kind?');
  }, 300_000);

  test('takes the first instrument; a day that has not come is refused and nothing is lost', async () => {
    await press(page, 'Trumpet');
    await sees(page, 'How is it built?');
    await fill('What do you call it?', 'Old faithful');
    await page.$eval('input[type="date"]', (input) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      set?.call(input, '2199-01-01');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await press(page, 'Put it on the shelf');
    await sees(page, 'cannot have come later than today');
    expect(await page.$eval('input[name="name"]', (input) => (input as HTMLInputElement).value)).toBe('Old faithful');
    await page.$eval('input[type="date"]', (input) => {
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      set?.call(input, '2020-05-01');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await press(page, 'Put it on the shelf');
    await sees(page, 'what was last done?');
    await tap(page, 'This month');
    await press(page, 'That is all I know');
    await sees(page, 'Ready to play.');
    await sees(page, 'Old faithful');
  }, 300_000);

  test('asks about what is not known, and the first play leads to a finished run', async () => {
    await sees(page, 'not known');
    await tap(page, 'Done already: Bath');
    await sees(page, 'when was it done?');
    await press(page, 'Yesterday');
    await page.waitForSelector('[role="dialog"]', { hidden: true });
    await tap(page, 'I have just played');
    await press(page, 'and pack up');
    await sees(page, ' steps');
    await stepByStep(page);
    const { total } = await progress(page);
    await tap(page, 'Done');
    for (let closed = 1; closed < total; closed++) {
      await sees(page, `${closed} of ${total} steps`);
      await tap(page, 'Done');
    }
    await tap(page, 'Finish and record it');
    await sees(page, 'Packed up.');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('survives a reload on a deep link', async () => {
    await visitAgain(page);
    expect(await textOf(page)).toContain('Packed up.');
  }, 300_000);
});
