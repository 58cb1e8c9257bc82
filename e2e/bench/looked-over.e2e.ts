import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { atRest, press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/bench/asha-horn'));
}, 300_000);
afterEach(async () => {
  await page.browserContext().close();
});

/** Types into a field as a hand does, over what stands there. */
async function typed(label: string, text: string): Promise<void> {
  await page.locator(`::-p-aria([name="${label}"])`).click({ count: 3 });
  await page.keyboard.type(text);
}

describe('the bench', () => {
  test('looked over by keys: a slide that is stuck asks for the bench, and Undo takes it back', async () => {
    await sees(page, 'Nothing has been read yet.');
    await press(page, 'Look it over');
    await press(page, 'Begin');
    // The first thing is good as it is offered: Enter keeps it.
    await sees(page, 'Things that move in the shut case');
    await atRest(page);
    await page.keyboard.press('Enter');
    await sees(page, 'Hinges and latches of the case');
    await atRest(page);
    await tap(page, 'Leave this out');
    await sees(page, 'tuning slide');
    await atRest(page);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowUp');
    await sees(page, 'Keep 5, stuck: force nothing');
    await page.keyboard.press('Enter');
    // Whatever else there is stays unknown.
    for (let left = 0; left < 40; left++) {
      await atRest(page);
      if (!(await textOf(page)).includes('Leave this out')) break;
      await tap(page, 'Leave this out');
    }
    await press(page, 'Keep 2 readings');
    await sees(page, 'For the bench: pull of the slide: tuning slide.');
    await sees(page, 'A slide freed: tuning slide'.toLowerCase());
    await tap(page, 'Undo');
    await sees(page, 'Nothing has been read yet.');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('a bill is written down and counts; what is put aside lowers what is to be; the ticket is printed', async () => {
    await visit(page, url('/bench/marit-piccolo'));
    await tap(page, 'Add a bill or a quote');
    await typed('Or something bought', 'A cleaning rod');
    await typed('What it cost, EUR', '8,50');
    await tap(page, 'Note it');
    await sees(page, 'A bill: A cleaning rod, €8.50');
    await page.evaluate(() => localStorage.setItem('ulu.player', 'marit'));
    await visit(page, url('/bench'));
    await sees(page, 'What to put aside');
    const before = await textOf(page);
    await page.locator('button::-p-text(Put aside: )').click();
    await typed('Put aside so far, EUR', '5000');
    await tap(page, 'Note it');
    await sees(page, 'What is put aside is enough for the next 24 months.');
    expect(before).toMatch(/Put €[\d.,]+ aside/);
    await visit(page, url('/bench/marit-clarinet'));
    await tap(page, 'The ticket for the bench, on paper', 'link');
    await sees(page, 'Clarinet: for the bench');
    await tap(page, 'Add the serial number');
    await typed('As it is stamped on it', 'W 1907');
    await tap(page, 'Note it');
    await sees(page, 'Serial number: W 1907.');
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.length).toBeGreaterThan(5000);
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('it is packed line by line, what is not so says what to do, and a reload loses nothing', async () => {
    await visit(page, url('/bench/marit-clarinet'));
    await tap(page, 'Pack it for the bench, line by line', 'link');
    await sees(page, '1 of ');
    const count = Number(/1 of (\d+)/.exec(await textOf(page))?.[1]);
    expect(count).toBeGreaterThan(8);
    await page.keyboard.press('Enter');
    await sees(page, '2 of ');
    await tap(page, 'It is not so');
    await sees(page, 'Take them out.');
    await tap(page, 'Leave it, go on');
    await sees(page, '3 of ');
    await page.reload();
    await sees(page, '3 of ');
    await tap(page, 'Not needed here');
    for (let at = 4; at <= count; at += 1) {
      await sees(page, `${at} of `);
      await tap(page, 'It is so');
    }
    await sees(page, '1 thing not as it should be.');
    await tap(page, 'Note that it is packed');
    await sees(page, 'It is packed for the bench.');
    await visit(page, url('/bench/marit-clarinet/pack'));
    await sees(page, 'Not so then: reeds and reed case taken out: they stay at home.');
    await sees(page, '1 of ');
    expect(page.complaints).toEqual([]);
  }, 300_000);
});
