import { launch } from '#e2e/harness.ts';
import { walk, tap, atRest } from '#e2e/walker.ts';
const { browser, close } = await launch();
const page = await walk(browser, 'http://127.0.0.1:4555', 'light');
await page.setViewport({ width: 390, height: 844, deviceScaleFactor: 1 });
const shot = async (n: string, full = false) => { await atRest(page); await page.screenshot({ path: `/tmp/p${n}.png`, fullPage: full }); };
await page.goto('http://127.0.0.1:4555/faults/ife-alto'); await atRest(page);
await shot('1'); console.log((await page.evaluate(() => document.body.innerText)).slice(0,600));
await tap(page, 'It squeaks'); await tap(page, 'Find out what it may be'); await shot('2');
console.log(await page.evaluate(() => document.querySelector('h2')?.textContent));
for (let i = 0; i < 6; i++) {
  await atRest(page);
  const t = await page.evaluate(() => document.body.innerText.slice(0, 900));
  console.log('---', t.replaceAll('\n', ' | '));
  if (t.includes('What else')) { await shot('3'); await page.evaluate(() => window.scrollTo(0, 700)); await shot('4'); await page.evaluate(() => window.scrollTo(0, 0)); await tap(page, 'Nothing else'); await atRest(page); continue; }
  if (/None of these/.test(t)) { await tap(page, 'None of these'); continue; }
  if (/\bNo\b/.test(t)) { await tap(page, 'No'); continue; }
  break;
}
await shot('5', true);
await close();
