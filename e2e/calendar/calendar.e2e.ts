import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { scene } from '#e2e/scene.ts';
import { press, sees, tap, textOf, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
const today = localDate(new Date().toLocaleDateString('sv'));
beforeEach(async () => {
  page = await walk(browser(), url('/players'));
  await page.evaluate(() => localStorage.setItem('ulu.player', 'teodor'));
  await page.goto(url('/calendar'), { waitUntil: 'networkidle0' });
}, 60_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

const weeks = async (): Promise<SittingsView> =>
  (await fetch(url(`/api/sittings?playerId=teodor&today=${today}`))).json() as Promise<SittingsView>;
const fill = (nth: number, value: string): Promise<unknown> =>
  page.$$eval(
    'input[type="date"]',
    (fields, at, day) => {
      const field = fields[at];
      if (field === undefined) throw new Error('no such day');
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, day);
      field.dispatchEvent(new Event('input', { bubbles: true }));
    },
    nth,
    value,
  );

describe('the calendar', () => {
  test('a holiday is added, no sitting lies in it, and Undo takes it away again', async () => {
    const before = await weeks();
    await tap(page, 'Add to the calendar');
    await page.locator('::-p-aria([name="What it is"][role="combobox"])').click();
    await press(page, 'Holiday');
    // Until the list has closed it lies over the sheet and takes every tap.
    await page.waitForSelector('[role="listbox"]', { hidden: true });
    await fill(0, today);
    await fill(1, addDays(today, 12));
    await tap(page, 'Add the holiday');
    await sees(page, 'The holiday is in the record.');
    await page.waitForNetworkIdle();
    const { sittings, events } = await weeks();
    expect(events.map(({ what }) => what)).toContain('holiday');
    expect(sittings.filter(({ on }) => on <= addDays(today, 12))).toEqual([]);
    await tap(page, 'Undo');
    await page.waitForNetworkIdle();
    expect((await weeks()).sittings).toEqual(before.sittings);
  }, 60_000);

  test('time is said by weekday, and the weeks are planned within it', async () => {
    await tap(page, 'When have you time?');
    for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
      while ((await page.$eval(`button[aria-label="Less: ${day}"] + output`, (one) => one.textContent)) !== 'none')
        await page.locator(`button[aria-label="Less: ${day}"]`).click();
    await tap(page, 'Plan with that');
    await sees(page, 'Your time is noted');
    await page.waitForNetworkIdle();
    const { sittings, said } = await weeks();
    expect(said).toEqual([0, 0, 0, 0, 0, 60, 60]);
    const weekdays = sittings.map(({ on }) => new Date(`${on}T12:00:00Z`).getUTCDay());
    expect(weekdays.filter((day) => day !== 0 && day !== 6)).toEqual([]);
  }, 60_000);

  test('the next sitting is begun as a run of its care', async () => {
    const [next] = (await weeks()).sittings;
    await page.locator('main button::-p-text(Start it), main button::-p-text(Do it now instead)').click();
    await page.waitForSelector('::-p-text( steps)');
    const text = await textOf(page);
    expect(text).toContain(next?.items[0]?.instrumentName ?? 'nothing');
    expect(page.url()).toContain('/pack-up/');
  }, 60_000);
});
