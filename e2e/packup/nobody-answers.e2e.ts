import { expect, test } from '@jest/globals';
import { runView, type RunView } from '#contract/packup.ts';
import { shownRun, type ShownRun } from '#contract/shown-run.ts';
import { scene } from '#e2e/scene.ts';
import {
  allSent,
  closedSteps,
  press,
  progress,
  sees,
  stepByStep,
  tap,
  textOf,
  visitAgain,
  walk,
  type Walker,
} from '#e2e/walker.ts';

const { server, url, browser, careOf } = scene();

const shownAt = async (page: Walker): Promise<ShownRun> => {
  const key = page.url().split('/').at(-1);
  const answer = await fetch(url(`/api/runs/${key}`));
  return shownRun(runView.validateSync(await answer.json(), { strict: true }) as unknown as RunView);
};
const ticked = (run: ShownRun) => run.steps.filter(({ state }) => state !== 'open').map(({ key }) => key);

/** Ticks the step at hand, whatever it asks. */
const goOn = async (page: Walker): Promise<void> => {
  const { closed } = await progress(page);
  await tap(page, (await textOf(page)).includes('No, not needed') ? 'No, not needed' : 'Done');
  await closedSteps(page, closed + 1).catch(() => undefined);
};

test('a run is ticked through while the server stands still, and every tick arrives once it is back', async () => {
  const page = await walk(browser(), url('/now/ife-clarinet'));
  await tap(page, 'I have just played');
  await press(page, 'and pack up');
  await sees(page, 'Take the reed off and dry it');
  await stepByStep(page);
  const { total } = await progress(page);
  await goOn(page);
  await allSent(page);
  await server().pause();
  for (let closed = 1; closed < total; closed++) await goOn(page);
  await tap(page, 'Finish and record it');
  await sees(page, 'Packed up.');
  await sees(page, 'kept on this device');
  await server().resume();
  await tap(page, 'Try now');
  await allSent(page);
  await page.waitForFunction(() => !document.body.innerText.includes('kept on this device'));
  const run = await shownAt(page);
  expect([ticked(run).length, run.finishedAt !== null]).toEqual([total, true]);
  expect(run.doneNames).toContain('swab the bore');
  // In the order they were made, each at its own moment.
  const moments = (await (await fetch(url(`/api/runs/${run.key}`))).json()).log.map(
    ({ event }: { event: { at: string } }) => event.at,
  );
  expect(moments).toEqual([...moments].sort());
  expect(new Set(moments).size).toBeGreaterThan(total / 2);
  await page.browserContext().close();
}, 300_000);

test('on the train home nobody answers: what can wait is kept for home at once, and it is cased damp once it is sent', async () => {
  const page = await walk(browser(), url('/now/teodor-oboe'));
  await tap(page, 'I have just played');
  await press(page, 'and pack up');
  await sees(page, ' steps');
  await stepByStep(page);
  const { total } = await progress(page);
  await allSent(page);
  await server().pause();
  await press(page, 'I am not at home');
  await sees(page, 'the rest waits until you are at home');
  const waits = (await progress(page)).total;
  expect(waits).toBeLessThan(total);
  for (let closed = 0; closed < waits; closed++) await goOn(page);
  await tap(page, 'Finish and record it');
  await sees(page, 'Cased for the way.');
  await server().resume();
  await visitAgain(page);
  await allSent(page);
  const run = await shownAt(page);
  expect([run.isAway, run.finishedAt !== null]).toEqual([true, true]);
  expect((await careOf('teodor-oboe')).damp).not.toBeNull();
  await page.browserContext().close();
}, 300_000);

test('closed while nobody answers, the page sends what it kept when it is opened again', async () => {
  const page = await walk(browser(), url('/now/lucan-trumpet'));
  await tap(page, 'I have just played');
  await press(page, 'and pack up');
  await sees(page, 'Let the water out of every water key');
  await stepByStep(page);
  const before = ticked(await shownAt(page)).length;
  await server().pause();
  await goOn(page);
  await goOn(page);
  await sees(page, 'kept on this device');
  await server().resume();
  await visitAgain(page);
  await allSent(page);
  expect(ticked(await shownAt(page)).length).toBe(before + 2);
  // A log that was being read meanwhile is asked for once more.
  await closedSteps(page, before + 2);
  await page.browserContext().close();
}, 300_000);

test('a play is logged while the server stands still, and lands in the record once it is back', async () => {
  const page = await walk(browser(), url('/now/asha-horn'));
  const record = async (): Promise<string[]> =>
    (await (await fetch(url('/api/record/asha-horn?limit=5'))).json()).entries.map(
      ({ words }: { words: string }) => words,
    );
  const before = await record();
  await tap(page, 'I have just played');
  await sees(page, 'and pack up');
  await server().pause();
  await press(page, 'Only log it');
  await sees(page, 'Not sent yet: it is kept on this device until Ulu answers.');
  await sees(page, 'one entry is kept on this device');
  await server().resume();
  await visitAgain(page);
  await allSent(page);
  const after = await record();
  expect([after.length, after[0]?.startsWith('Played')]).toEqual([before.length, true]);
  expect(after).not.toEqual(before);
  await page.browserContext().close();
}, 300_000);

test('what is refused is rolled back with its reason: the run was ended on another device', async () => {
  const page = await walk(browser(), url('/now/wren-flute'));
  await tap(page, 'Make ready to play');
  await sees(page, ' steps');
  await stepByStep(page);
  const run = await shownAt(page);
  const send = (body: object) =>
    fetch(url(`/api/runs/${run.key}/events`), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ key: crypto.randomUUID(), ...body }),
    });
  for (const { key: stepKey, look } of run.steps)
    await send(look ? { kind: 'answered', stepKey, answer: look.answers[0]?.id } : { kind: 'ticked', stepKey });
  const now = new Date();
  const on = now.toLocaleDateString('sv');
  expect((await send({ kind: 'finished', now: { on, atMinute: now.getHours() * 60 + now.getMinutes() } })).status).toBe(
    201,
  );
  await tap(page, 'Done');
  await sees(page, 'Not kept: ');
  await sees(page, 'This run is finished.');
  await allSent(page);
  await sees(page, 'Done.');
  await page.browserContext().close();
}, 300_000);
