import process from 'node:process';
import { setTimeout as pause } from 'node:timers/promises';
import { launch, startDemo } from '#e2e/harness.ts';
import { press, visit, visitAgain, walk } from '#e2e/walker.ts';
const demo = await startDemo();
const { browser, close } = await launch();
const out = '/tmp/looks';
const page = await walk(browser, 'about:blank');
const as = async (id: string) => { await page.evaluate((p) => localStorage.setItem('ulu.player', p), id); await visitAgain(page); };
const shot = async (name: string, phone = false) => {
  await page.setViewport(phone ? { width: 390, height: 844 } : { width: 1280, height: 800 });
  await pause(500);
  await page.screenshot({ path: `${out}/${name}.png` });
};
try {
  await visit(page, demo.url + '/now'); await as('wren'); await shot('1-today-wren');
  await visit(page, demo.url + '/now/wren-pipes'); await shot('2-now-pipes');
  await press(page, 'Lay it out and dry it'); await page.waitForSelector('::-p-text(Step by step)'); await shot('3-run-home');
  await visit(page, demo.url + '/now/ife-alto'); await as('ife'); await shot('4-ife-alto', true);
  await press(page, 'Make ready: mouthpiece and neck'); await page.waitForSelector('::-p-text(Step by step)'); await shot('5-ife-ready', true);
  await visit(page, demo.url + '/now/teodor-oboe'); await as('teodor'); await press(page, 'A break'); await page.waitForSelector('::-p-text(so far)'); await shot('6-break');
  await press(page, 'A key sticks'); await shot('7-break-phone', true);
  await visit(page, demo.url + '/now/teodor-oboe'); await press(page, 'I have just played'); await shot('8-played');
  await press(page, 'and pack up'); await page.waitForSelector('::-p-text(Step by step)'); await shot('9-run');
  await press(page, 'I am not at home'); await shot('10-run-away'); await shot('11-run-away-phone', true);
} catch (e) { console.error(e); await page.screenshot({ path: `${out}/error.png` }); }
await close(); await demo.stop(); process.exit(0);
