import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { atRest, closedSteps, press, progress, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
beforeEach(async () => {
  page = await walk(browser(), url('/now/wren-flute'));
}, 300_000);
afterEach(async () => {
  await page.browserContext().close();
});

/** Answers what is asked until nothing is: yes where the question says one of these words, no otherwise. */
async function answerAll(yes: readonly string[]): Promise<void> {
  for (let asked = 0; asked < 12; asked++) {
    await atRest(page);
    const question = await page.$eval('main h2', (head) => (head as HTMLElement).innerText);
    const isAsked = (await textOf(page)).includes('I cannot tell');
    if (!isAsked) return;
    const before = question;
    const offered = await page.$$eval('main button', (all) => all.map((one) => one.innerText.trim()));
    const no = offered.find((words) => ['Nothing else', 'None of these'].includes(words)) ?? 'No';
    await tap(page, yes.some((word) => question.includes(word)) ? 'Yes' : no);
    await page.waitForFunction(
      (said) => (document.querySelector('main h2') as HTMLElement | null)?.innerText !== said,
      {},
      before,
    );
  }
}

// The tests share one record: each that asks a question, and leaves it open, has an instrument of its own.
describe('something is wrong', () => {
  test('from a word typed to a remedy that helped, which the record keeps; Undo asks again', async () => {
    await tap(page, 'Something is wrong', 'link');
    await sees(page, 'What do you notice on Bamboo flute?');
    await visit(page, url('/faults/marit-piccolo'));
    await page.locator('::-p-aria([name="In your own words"])').fill('bubbles');
    await tap(page, 'One note gurgles or bubbles');
    await tap(page, 'Find out what it may be');
    await sees(page, 'What it may be');
    await answerAll(['clear']);
    await sees(page, 'Blow the hole out and blot its pad');
    await sees(page, 'Do not poke into the hole.');
    await tap(page, 'That was it');
    await sees(page, 'Water in a tone hole: that was it');
    await sees(page, 'What it was before');
    await tap(page, 'Undo');
    await sees(page, 'What was said');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('what is stopped is said on Now and asked of nobody, until somebody with a name has looked', async () => {
    await visit(page, url('/now/petra-bassoon'));
    await sees(page, 'Stopped: not to be played.');
    expect(await textOf(page)).not.toContain('Make ready to play');
    await tap(page, 'See what it is', 'link');
    await sees(page, 'Nobody could tell.');
    await tap(page, 'A teacher or the bench has looked: it is well');
    await sees(page, 'it is well again');
    await visit(page, url('/now/petra-bassoon'));
    await sees(page, 'Make ready to play');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('what happened to it is two taps, and changes what is asked first', async () => {
    await visit(page, url('/faults/marit-clarinet'));
    await tap(page, 'Something happened');
    await page.locator('[role="dialog"] ::-p-text(Dropped or knocked)').click();
    await tap(page, 'Mouthpiece');
    await tap(page, 'Note it');
    await sees(page, 'It was dropped or knocked: mouthpiece');
    await tap(page, 'It squeaks');
    await tap(page, 'Find out what it may be');
    // Her air is dry, and dry wood cracks: that comes before anything else.
    await sees(page, 'Do you see a line or crack in the wood');
    await tap(page, 'No');
    await sees(page, 'Is the tip of the mouthpiece itself chipped?');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('what else is noticed is chosen from one list; it can be said otherwise, and taken back', async () => {
    await visit(page, url('/faults/marit-alto'));
    await tap(page, 'It squeaks');
    await tap(page, 'Find out what it may be');
    // The first look has not settled it.
    await sees(page, 'Question 1');
    await atRest(page);
    await tap(page, (await textOf(page)).includes('None of these') ? 'None of these' : 'No');
    await sees(page, 'What else do you notice?');
    await tap(page, 'The high notes are weak');
    await tap(page, 'That is all');
    await sees(page, 'What else do you notice? · The high notes are weak');
    await sees(page, 'Noticed: It squeaks; The high notes are weak.');
    await tap(page, 'Change: What else do you notice?');
    await tap(page, 'The high notes are weak');
    await tap(page, 'Nothing else');
    await sees(page, 'What else do you notice? · nothing');
    await sees(page, 'Nothing else was noticed.');
    await atRest(page);
    await tap(page, 'Undo');
    // Of the last answer, and of nothing before it.
    await sees(page, 'What else do you notice? · The high notes are weak');
    expect(page.complaints).toEqual([]);
  }, 300_000);

  test('what is done on the spot goes step by step, and leads on to whether it helped', async () => {
    await visit(page, url('/faults/ife-alto'));
    await tap(page, 'It squeaks');
    await tap(page, 'Find out what it may be');
    await answerAll(['crooked']);
    await tap(page, 'Do it step by step');
    await sees(page, 'Take the ligature and the reed off');
    expect(await progress(page)).toEqual({ closed: 0, total: 3 });
    // Nobody knows it by heart: each step has the page to itself.
    await sees(page, 'Skip…');
    for (const closed of [1, 2, 3]) {
      await tap(page, 'Done');
      await closedSteps(page, closed);
    }
    await press(page, 'Finish');
    await sees(page, 'In the record: set the reed anew.');
    await tap(page, 'Say whether it helped', 'link');
    await tap(page, 'That was it');
    await sees(page, 'that was it');
    await sees(page, 'What it was before');
    expect(page.complaints).toEqual([]);
  }, 300_000);
});
