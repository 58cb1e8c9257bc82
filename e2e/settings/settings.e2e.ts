import { expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { heldBy, press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();

/** A visitor whose browser says where they are from. */
async function from(language: string): Promise<Walker> {
  const page = await walk(browser(), 'about:blank');
  await page.evaluateOnNewDocument((said) => {
    Object.defineProperty(Navigator.prototype, 'language', { get: () => said });
  }, language);
  await heldBy(page, 'marit');
  return page;
}
const DAY = {
  'de-DE': /\b\d{1,2}\. (Jan|Feb|März|Apr|Mai|Juni|Juli|Aug|Sept|Okt|Nov|Dez)/,
  'en-US': /\b[A-Z][a-z]{2} \d{1,2}\b/,
} as const;

test.each([
  ['de-DE', '°C', 'Montag'],
  ['en-US', '°F', 'Sunday'],
] as const)(
  'in %s days, degrees and weeks are written as people there do, by pages and by the server',
  async (language, unit, first) => {
    const page = await from(language);
    await visit(page, url('/reeds/marit-clarinet'));
    await tap(page, 'Say how the air is');
    await sees(page, `Temperature, ${unit}`);
    await tap(page, 'Not now');
    await visit(page, url('/care/marit-clarinet'));
    expect(await textOf(page)).toMatch(DAY[language]);
    await visit(page, url('/settings'));
    const pressed = await page.$$eval('[aria-pressed="true"]', (all) => all.map((one) => one.textContent));
    expect(pressed).toContain(first);
    expect(page.complaints).toEqual([]);
    await page.browserContext().close();
  },
  300_000,
);

test('what a device is told holds on every page, and is another device’s no matter', async () => {
  const page = await from('en-GB');
  await visit(page, url('/settings'));
  await sees(page, 'Empty: 20 °C');
  await Promise.all([page.waitForNavigation(), press(page, 'Fahrenheit')]);
  await sees(page, 'Empty: 68 °F');
  await Promise.all([page.waitForNavigation(), press(page, 'Largest')]);
  const size = await page.evaluate(() => getComputedStyle(document.documentElement).fontSize);
  expect(size).toBe('20px');
  await page.locator('::-p-aria([name="The room you usually play in, °F"])').fill('50');
  await tap(page, 'Save');
  await sees(page, 'Saved. What hangs on it is worked out anew.');
  const kept = (await (await fetch(url('/api/settings?playerId=marit'))).json()) as { roomCelsius: number };
  expect(kept.roomCelsius).toBe(10);
  await tap(page, 'Undo');
  await page.browserContext().close();
  const other = await from('en-GB');
  await visit(other, url('/settings'));
  await sees(other, 'Empty: 20 °C');
  expect(other.complaints).toEqual([]);
  await other.browserContext().close();
}, 300_000);
