import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ElementHandle } from 'puppeteer-core';
import { addDays, localDate } from '#core/time/local-date.ts';
import type { BenchView } from '#contract/bench.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { scene } from '#e2e/scene.ts';
import { atRest, heldBy, press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
const today = localDate(new Date().toLocaleDateString('sv'));
beforeEach(async () => {
  page = await walk(browser(), 'about:blank');
  await heldBy(page, 'teodor');
  await visit(page, url('/calendar'));
  await page.waitForSelector('[data-cell]');
}, 300_000);
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
    await atRest(page);
    const { sittings, events } = await weeks();
    expect(events.map(({ what }) => what)).toContain('holiday');
    expect(sittings.filter(({ on }) => on <= addDays(today, 12))).toEqual([]);
    await tap(page, 'Undo');
    await atRest(page);
    expect((await weeks()).sittings).toEqual(before.sittings);
  }, 300_000);

  test('time is said by weekday, and the weeks are planned within it', async () => {
    await tap(page, 'When have you time?');
    for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
      while ((await page.$eval(`button[aria-label="Less: ${day}"] + output`, (one) => one.textContent)) !== 'none')
        await page.locator(`button[aria-label="Less: ${day}"]`).click();
    await tap(page, 'Plan with that');
    await sees(page, 'Your time is noted');
    await atRest(page);
    const { sittings, said } = await weeks();
    expect(said).toEqual([0, 0, 0, 0, 0, 60, 60]);
    const weekdays = sittings.map(({ on }) => new Date(`${on}T12:00:00Z`).getUTCDay());
    expect(weekdays.filter((day) => day !== 0 && day !== 6)).toEqual([]);
  }, 300_000);

  test('the next sitting is begun as a run of its care', async () => {
    const [next] = (await weeks()).sittings;
    await page.locator('main button::-p-text(Start it), main button::-p-text(Do it now instead)').click();
    await page.waitForSelector('::-p-text( steps)');
    const text = await textOf(page);
    expect(text).toContain(next?.items[0]?.instrumentName ?? 'nothing');
    expect(page.url()).toContain('/pack-up/');
  }, 300_000);

  test('a sitting is carried by keys, stays where it was put, and Undo puts it back', async () => {
    const [first] = (await weeks()).sittings;
    await page.waitForSelector('[data-cell]');
    await page.$eval('[data-cell][tabindex="0"]', (one) => (one as SVGElement).focus());
    for (const key of ['Space', 'ArrowRight', 'Escape', 'Space', 'ArrowRight', 'ArrowRight', 'ArrowRight'] as const)
      await page.keyboard.press(key);
    await sees(page, 'That day has');
    await page.keyboard.press('Enter');
    await sees(page, 'It is set for');
    await page.waitForSelector('[data-cell][aria-label$=", set by you"]');
    const moved = (await weeks()).sittings.find(({ uid }) => uid === first?.uid);
    expect(moved?.on).toBe(first && addDays(first.on, 3));
    expect(moved?.items.some(({ isSet }) => isSet)).toBe(true);
    await tap(page, 'Undo');
    await page.waitForSelector('[data-cell][aria-label$=", set by you"]', { hidden: true });
  }, 300_000);

  test('it is pulled by the mouse as well, and left to the plan again in its sheet', async () => {
    const cell = await page.waitForSelector('[data-cell]');
    const box = await cell?.boundingBox();
    if (!box) throw new Error('no sitting is drawn');
    const [x, y] = [box.x + box.width / 2, box.y + box.height - 12];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 2 * box.width, y, { steps: 4 });
    await page.mouse.up();
    await page.waitForSelector('[data-cell][aria-label$=", set by you"]');
    await atRest(page);
    await page.$eval('[data-cell][aria-label$=", set by you"]', (one) => (one as SVGElement).focus());
    await page.keyboard.press('Enter');
    await tap(page, 'Let Ulu plan it again');
    await page.waitForSelector('[data-cell][aria-label$=", set by you"]', { hidden: true });
  }, 300_000);

  test('a calendar file is looked at, taken in, and stands in the weeks', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'ulu-ics-'));
    const file = path.join(folder, 'band.ics');
    const day = addDays(today, 5).replaceAll('-', '');
    writeFileSync(
      file,
      [
        'BEGIN:VCALENDAR',
        'X-WR-CALNAME:Tideway Wind Band',
        'not a line',
        'BEGIN:VEVENT',
        'UID:band',
        'SUMMARY:Band practice',
        `DTSTART:${day}T190000`,
        'DURATION:PT90M',
        'RRULE:FREQ=WEEKLY;COUNT=3',
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\r\n'),
    );
    await tap(page, 'Import a calendar (.ics)');
    const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement> | null;
    await input?.uploadFile(file);
    await sees(page, 'Tideway Wind Band');
    expect(await textOf(page)).toMatch(/Line 3: “not a line” is no line of a calendar/);
    await tap(page, 'Take in 3 dates');
    await sees(page, '3 dates of Tideway Wind Band are in your calendar.');
    rmSync(folder, { recursive: true });
    await sees(page, 'Band practice at 19:00, 1 h 30 min');
    expect((await weeks()).events.filter(({ what }) => what === 'rehearsal')).toHaveLength(3);
  }, 300_000);

  test('an address is made, holds the same weeks, and another one takes its place', async () => {
    await tap(page, 'Subscribe from a calendar program');
    await tap(page, 'Make an address');
    const address = () => page.$eval('textarea[readonly]', (field) => field.value);
    await page.waitForSelector('textarea[readonly]');
    const first = await address();
    const text = await (await fetch(first)).text();
    for (const { uid } of (await weeks()).sittings) expect(text).toContain(`UID:${uid}@ulu`);
    await press(page, 'Make a new address, and end the old one');
    await page.waitForFunction((old) => document.querySelector('textarea')?.value !== old, {}, first);
    expect((await fetch(first)).status).toBe(404);
    expect((await fetch(await address())).status).toBe(200);
  }, 300_000);

  test('the bench: a stay goes into the calendar, and once it is back its work is said', async () => {
    await page.evaluate(() => localStorage.setItem('ulu.player', 'lucan'));
    await visit(page, url('/calendar'));
    const bench = async () =>
      (await (await fetch(url(`/api/bench?playerId=lucan&today=${today}`))).json()) as BenchView;
    const [first] = (await bench()).instruments;
    await page.locator(`[aria-label^="Take this day"][aria-label$=", ${first?.name ?? ''}"]`).click();
    await sees(page, 'goes to the bench on');
    expect((await bench()).instruments.map(({ instrumentId }) => instrumentId)).not.toContain(first?.instrumentId);
    expect((await bench()).stays.map(({ name }) => name)).toContain('Dents taken out');
    await tap(page, 'It is back: Dents taken out');
    await press(page, 'Bench service');
    await page.locator('[role="dialog"] button::-p-text(It is back)').click();
    await sees(page, 'It is back, and its care counts from there.');
    // What is late may have gone there today: only the one that is back is asked about no more.
    expect((await bench()).stays.map(({ name }) => name)).not.toContain('Dents taken out');
  }, 300_000);

  test('the sheet for the lid of a case is one page of paper', async () => {
    await page.evaluate(() => localStorage.setItem('ulu.player', 'marit'));
    await visit(page, url('/calendar/marit-clarinet/case-lid'));
    await sees(page, 'After every play');
    const pdf = Buffer.from(await page.pdf({ format: 'a4' })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  }, 300_000);

  test('everybody’s instruments have a lane each', async () => {
    await page.locator('::-p-aria([name="Instrument"][role="combobox"])').click();
    await press(page, 'Everybody’s instruments');
    await sees(page, 'Something is due now on');
    expect(await textOf(page)).toContain('Wren');
  }, 300_000);
});
