import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ChooseView, TableView } from '#contract/doublereeds.ts';
import { scene } from '#e2e/scene.ts';
import { atRest, press, sees, tap, textOf, visit, visitAgain, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/reeds/teodor-oboe'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

const today = () => new Date().toLocaleDateString('sv');
const choose = async () =>
  (await (await fetch(url(`/api/doublereeds/choose?instrumentId=teodor-oboe&today=${today()}`))).json()) as ChooseView;
const tableOf = async (reedId: string) =>
  (await (
    await fetch(url(`/api/doublereeds/table?reedId=${encodeURIComponent(reedId)}&today=${today()}`))
  ).json()) as TableView;
/** Buttons of what is next that a wet thumb would miss, with their height; "Why" is read dry. */
const tooSmall = () =>
  page.$$eval('main section:first-of-type button', (buttons) =>
    buttons
      .filter((one) => one.getBoundingClientRect().height < 56 && !/^Why/.test(one.textContent ?? ''))
      .map((one) => `${one.textContent ?? ''} ${one.getBoundingClientRect().height}`),
  );
/** Answers what is asked by its words, one after the other; nothing in it is smaller than a wet thumb. */
async function answers(...all: readonly string[]): Promise<void> {
  for (const one of all) {
    await sees(page, one);
    expect(await tooSmall()).toEqual([]);
    await press(page, one);
    await atRest(page);
  }
}
const GOOD_LOOKS = [
  'No line on either side',
  'Both are there',
  'I see it',
  'One lies inside the other',
  'A flat, slim lens',
];

describe('the double-reed table', () => {
  test('a flat reed is soaked, looked at, crowed and clipped a trace; its card tells of it', async () => {
    const reed = (await choose()).reeds[0];
    if (reed === undefined) throw new Error('no reed is in use');
    await tap(page, 'Lay a reed on the table', 'link');
    await sees(page, 'Which reed is it?');
    await answers(reed.name, '10 min ago', 'Go on', 'It is soaked through', ...GOOD_LOOKS, 'Both Cs, equally loud');
    for (let turns = 0; turns < 4; turns++) await press(page, 'Flatter');
    await answers('That is it');
    await sees(page, 'Clip 0.1 mm off the tip');
    await answers('Clipped 0.1 mm');
    await sees(page, 'Crow it again');
    await answers('Both Cs, equally loud', 'That is it');
    await sees(page, 'Both Cs are there and in tune');
    await visit(page, url(`/double-reeds/teodor-oboe/${reed.reedId}/card`));
    await sees(page, 'Clipped 0.1 mm: 20 cents flat before, in tune after');
  }, 300_000);

  test('the wait in water survives a reload; a crack ends a reed at once, and can be taken back', async () => {
    const reed = (await choose()).reeds[1];
    if (reed === undefined) throw new Error('one reed only is in use');
    await visit(page, url(`/double-reeds/teodor-oboe/${reed.reedId}`));
    await answers('5 min ago', 'Go on');
    await page.waitForSelector('[role="timer"]');
    await visitAgain(page);
    expect(await page.$eval('[role="timer"]', (timer) => timer.textContent)).toMatch(/^Wet enough|^In the water/);
    await answers('It is soaked through', 'A line runs down');
    await sees(page, 'It is cracked: put it away');
    const inUse = async () => (await choose()).reeds.map(({ reedId }) => reedId);
    expect(await inUse()).not.toContain(reed.reedId);
    await answers('Back');
    await sees(page, 'Do you see a crack?');
    expect(await inUse()).toContain(reed.reedId);
  }, 300_000);

  test('nine pairs of drawings stand on one printed sheet', async () => {
    await visit(page, url('/double-reeds/teodor-oboe/looks'));
    expect((await page.$$('main svg[role="img"]')).length).toBe(18);
    const pdf = Buffer.from(await page.pdf({ format: 'A4' })).toString('latin1');
    expect([...pdf.matchAll(/\/Type\s*\/Page[^s]/g)]).toHaveLength(1);
  }, 300_000);

  test('a child is led through looks only, and what is found is for the teacher', async () => {
    const { key } = await onAChildsTable();
    expect(key).not.toBe('');
    await answers('It is soaked through', ...GOOD_LOOKS, 'Both Cs, equally loud');
    for (let turns = 0; turns < 5; turns++) await press(page, 'Flatter');
    await answers('That is it');
    await sees(page, 'Show it to your teacher');
    expect(await textOf(page)).not.toMatch(/nipper|plier|wire|clip/i);
  }, 300_000);
});

/** A child with an oboe and a box of its own, whose reed is laid on the table. */
async function onAChildsTable(): Promise<{ readonly key: string }> {
  const post = async (path: string, body: object) => {
    const answer = await fetch(url(path), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
  };
  const now = new Date();
  const at = { on: today(), atMinute: now.getHours() * 60 + now.getMinutes() };
  const box = crypto.randomUUID();
  await post('/api/players', { id: 'runa', name: 'Runa', standing: 'child', does: [] });
  await post('/api/reeds/boxes', {
    ...{ key: box, now: at, playerId: 'runa', kind: 'oboe', name: 'Teasel', cut: null, strength: null },
    ...{ material: 'cane', breakIn: 'none', scrape: 'long', place: null, cost: null, cameOn: today(), before: [60] },
  });
  const key = crypto.randomUUID();
  await post('/api/doublereeds/examinations', {
    ...{ key, now: at, reedId: `${box}/1`, way: 'whole', noticed: ['flat'], soakedMinutes: 8, interviewKey: null },
  });
  await visit(page, url(`/double-reeds/-/${box}/1`));
  return { key: (await tableOf(`${box}/1`)).examination?.key ?? '' };
}
