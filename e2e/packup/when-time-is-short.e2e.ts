import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { closedSteps, press, progress, sees, stepByStep, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser, careOf, stateOf } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/pack-up'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
});

describe('when time is short, and with several instruments', () => {
  test('three instruments after a show go in one run; six minutes name what waits, and it can be pulled in', async () => {
    await visit(page, url('/pack-up'));
    await sees(page, 'To pack up');
    await tap(page, '6 min');
    await press(page, 'Pack up 3 instruments in one go');
    await sees(page, 'You have 6 min');
    await sees(page, 'What did not fit into your time');
    const { total } = await progress(page);
    await press(page, 'Do it too');
    await page.waitForFunction((before) => !document.body.innerText.includes(`of ${before} steps`), {}, total);
    expect((await progress(page)).total).toBeGreaterThan(total);
    expect(['due', 'overdue']).toContain(await stateOf('marit-alto', 'saxophone/swab-body'));
    expect((await careOf('marit-piccolo')).openRunKey).toBe((await careOf('marit-alto')).openRunKey);
  }, 300_000);

  test('the look at the chanter decides what comes after it', async () => {
    await visit(page, url('/now/wren-pipes'));
    await tap(page, 'I have played again');
    await press(page, 'and pack up');
    await sees(page, ' steps');
    await stepByStep(page);
    // Trap or valve, then the blowpipe; the chanter comes after them.
    for (let closed = 1; !(await textOf(page)).includes('How wet is the reed seat?'); closed++) {
      await tap(page, 'Done');
      await closedSteps(page, closed);
    }
    const { closed } = await progress(page);
    await tap(page, 'Drops');
    await closedSteps(page, closed + 1);
    // What the answer calls for comes after the chanter is looked after.
    for (let more = 1; !(await textOf(page)).includes('Take each drone out'); more++) {
      await tap(page, 'Done');
      await closedSteps(page, closed + 1 + more);
    }
  }, 300_000);
});
