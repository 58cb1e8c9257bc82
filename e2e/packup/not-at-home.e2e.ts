import { expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { press, sees, tap, textOf, visit, walk } from '#e2e/walker.ts';

const { url, browser, careOf } = scene();

test('one tap keeps for home what can wait; Today holds on to it, and it is dried from there', async () => {
  const page = await walk(browser(), url('/now/teodor-oboe'));
  await page.evaluate(() => localStorage.setItem('ulu.player', 'teodor'));
  await press(page, 'I have just played');
  await press(page, 'and pack up');
  await sees(page, 'Get ready:');
  await press(page, 'I am not at home');
  await sees(page, 'the rest waits until you are at home');
  await press(page, 'All done as listed');
  await tap(page, 'Finish and record it');
  await sees(page, 'Cased for the way.');
  await visit(page, url('/now'));
  await sees(page, 'Just cased damp');
  await tap(page, 'Lay out: Oboe');
  await sees(page, 'Open the case and lay everything out');
  expect(await textOf(page)).not.toContain('I am not at home');
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
}, 300_000);

test('a break is two lines and one tap, and parts are a chip on the play', async () => {
  const page = await walk(browser(), url('/now/teodor-cor'));
  await press(page, 'A break');
  await sees(page, 'Keep a second reed soaked and ready.');
  expect(await textOf(page)).toContain('Did something happen?');
  await press(page, 'Play on');
  await press(page, 'I have just played');
  await press(page, 'Only the reed and bocal');
  await press(page, 'and pack up');
  await sees(page, 'only the reed and bocal');
  expect((await careOf('teodor-cor')).alone.wetName).toBe('Reed and bocal');
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
}, 300_000);
