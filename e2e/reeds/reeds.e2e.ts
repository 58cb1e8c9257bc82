import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { ReedsOfKindView, ReedsPageView } from '#contract/reed-views.ts';
import { scene } from '#e2e/scene.ts';
import { atRest, press, sees, tap, textOf, visit, visitAgain, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/reeds/marit-alto'));
  await page.evaluate(() => localStorage.setItem('ulu.player', 'marit'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

async function altoReeds(): Promise<ReedsOfKindView> {
  // As late as the page has it: a reed rests to the minute.
  const now = new Date();
  const [today, atMinute] = [now.toLocaleDateString('sv'), now.getHours() * 60 + now.getMinutes()];
  const answer = await fetch(url(`/api/reeds?playerId=marit&today=${today}&atMinute=${atMinute}`));
  const { kinds } = (await answer.json()) as ReedsPageView;
  const of = kinds.find(({ kind }) => kind === 'alto-saxophone');
  if (of === undefined) throw new Error('no reeds of the alto');
  return of;
}

describe('reeds', () => {
  test('a play is logged on the reed that is proposed, with no tap more, and its Undo takes both back', async () => {
    const { choices } = await altoReeds();
    const proposed = choices[0];
    if (proposed === undefined) throw new Error('nothing proposed');
    await visit(page, url('/now/marit-alto'));
    await tap(page, 'I have played again');
    await sees(page, 'On which reed?');
    await press(page, 'Only log it');
    await sees(page, 'logged.');
    await atRest(page);
    const after = await altoReeds();
    expect(after.plays[0]?.shares.map(({ reedId }) => reedId)).toEqual([proposed.reedId]);
    await tap(page, 'Undo');
    await atRest(page);
    expect((await altoReeds()).plays[0]?.playKey).not.toBe(after.plays[0]?.playKey);
  }, 300_000);

  test('a reed is graded in two taps, too hard asks for a flat back first, and an end can be taken back', async () => {
    const { choices } = await altoReeds();
    const [one] = choices;
    const number = one?.name.split(' ').at(-1) ?? '';
    const open = () => page.locator(`button[aria-label^="Reed ${number}: "]:not([aria-label*="since"])`).click();
    await open();
    await press(page, 'too soft');
    await press(page, 'practice');
    await sees(page, 'Graded too soft, for practice.');
    await atRest(page);
    await open();
    await press(page, 'too hard');
    await sees(page, 'Has its back been rubbed flat?');
    await press(page, 'I have just rubbed it flat');
    await sees(page, 'How did it feel?');
    await press(page, 'Retire this reed…');
    await press(page, 'chipped');
    await sees(page, 'No longer played: chipped.');
    const stageOf = async () =>
      (await altoReeds()).boxes.flatMap(({ reeds }) => reeds).find(({ reedId }) => reedId === one?.reedId)?.stage;
    expect(await stageOf()).toBe('retired');
    await tap(page, 'Undo');
    await atRest(page);
    expect(await stageOf()).toBe('practice-only');
  }, 300_000);

  test('a box is opened by its name alone, and its reeds stand there', async () => {
    await tap(page, 'Add a box');
    await sees(page, 'Add a box of reeds: Alto saxophone');
    await page.locator('::-p-aria([name="Name"][role="textbox"])').fill('Heron');
    await tap(page, 'Add the box');
    await sees(page, 'The box is in the record.');
    expect((await altoReeds()).boxes[0]).toMatchObject({ name: 'Heron', reeds: { length: 10 } });
  }, 300_000);

  test('the few minutes of breaking in are counted, survive a reload and can be stopped', async () => {
    await visit(page, url('/reeds/marit-clarinet'));
    await page.locator('button[aria-label^="Start "]').click();
    await page.waitForSelector('[role="timer"]');
    await visitAgain(page);
    expect(await page.$eval('[role="timer"]', (timer) => timer.textContent)).toMatch(/^\d+:\d\d$/);
    await page.evaluate(() => {
      for (const key of Object.keys(localStorage))
        if (key.startsWith('ulu.break-in.')) localStorage.setItem(key, String(Date.now() - 3_000_000));
    });
    await visitAgain(page);
    await sees(page, 'That is enough for today.');
    await page.locator('button[aria-label^="Stop"]').click();
    await page.waitForSelector('button[aria-label^="Start "]');
  }, 300_000);

  test('a planned session is moved by keys, and by its sheet left to the plan again', async () => {
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
    await page.$eval('::-p-text(Four weeks)', (title) => title.scrollIntoView());
    await page.waitForSelector('[data-cell]');
    await atRest(page);
    await page.$eval('[data-cell][tabindex="0"]', (one) => (one as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    const before = await focused();
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Escape');
    expect(await focused()).toBe(before);
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Space');
    const session = '[data-cell][aria-label$=", set by you"]:not([aria-label*=": not on "])';
    await page.waitForSelector(session);
    await page.waitForSelector('[data-cell][aria-label*=": not on "]');
    await atRest(page);
    const moved = await page.$eval(session, (one) => one.getAttribute('aria-label') ?? '');
    expect(moved.split(' on ')[0]).toBe(before.split(' on ')[0]);
    expect(moved).not.toBe(`${before}, set by you`);
    await page.$eval(session, (one) => (one as SVGElement).focus());
    await page.keyboard.press('Enter');
    await press(page, 'Let Ulu plan it again');
    await page.waitForSelector(session, { hidden: true });
  }, 300_000);

  test('a concert is answered with a number of reeds, a day and a table', async () => {
    const day = new Date(Date.now() + 40 * 86_400_000).toLocaleDateString('sv');
    await page.$eval(
      'input[type="date"]',
      (field, value) => {
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, value);
        field.dispatchEvent(new Event('input', { bubbles: true }));
      },
      day,
    );
    await sees(page, 'the chance of 2 concert reeds');
    expect(await textOf(page)).toMatch(/You have enough|Open \d+ more reeds? by/);
  }, 300_000);
});
