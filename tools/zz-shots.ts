import { mkdirSync } from 'node:fs';
import { launch, startDemo } from '#e2e/harness.ts';
const out = process.argv[2]!;
mkdirSync(out, { recursive: true });
const which = (process.argv[3] ?? '').split(',').filter(Boolean);
const server = await startDemo();
const { browser, close } = await launch();
const press = async (page: any, words: string) => page.locator(`::-p-text(${words})`).setTimeout(8000).click();
type S = { name: string; path: string; phone?: boolean; dark?: boolean; as?: string; then?: (p: any) => Promise<void> };
export const shots: S[] = [
  {
    name: 'guided',
    path: '/now/ife-clarinet',
    as: 'ife',
    then: async (p) => {
      await press(p, 'I have just played');
      await press(p, 'and pack up');
      await p.waitForSelector('::-p-text(Step by step)');
      await press(p, 'Done');
      await press(p, 'Done');
      await press(p, 'Done');
    },
  },
  {
    name: 'guided-phone',
    path: '/pack-up/ife-clarinet',
    phone: true,
    as: 'ife',
    then: async (p) => {
      await p.waitForSelector('::-p-text(Step by step)');
    },
  },
  {
    name: 'stretches',
    path: '/now/lucan-trumpet',
    as: 'lucan',
    then: async (p) => {
      await press(p, 'I have just played');
      await press(p, 'and pack up');
      await p.waitForSelector('::-p-text(Step by step)');
    },
  },
  {
    name: 'stretches-marit',
    path: '/now/marit-clarinet',
    as: 'marit',
    then: async (p) => {
      await press(p, 'Start packing up');
      await p.waitForSelector('::-p-text(Step by step)');
      await p.locator('button[aria-label^="Done:"]').click();
    },
  },
  {
    name: 'stretches-marit-dark',
    path: '/pack-up/marit-clarinet',
    dark: true,
    as: 'marit',
    then: async (p) => {
      await p.waitForSelector('::-p-text(Step by step)');
      await press(p, 'Swab the upper joint');
    },
  },
  {
    name: 'stretches-marit-phone',
    path: '/pack-up/marit-clarinet',
    phone: true,
    as: 'marit',
    then: async (p) => {
      await p.waitForSelector('::-p-text(Step by step)');
    },
  },
  {
    name: 'finish',
    path: '/pack-up/marit-clarinet',
    as: 'marit',
    then: async (p) => {
      await p.waitForSelector('::-p-text(Step by step)');
      await press(p, 'All done as listed');
      await p.waitForSelector('::-p-text(Finish packing up)');
    },
  },
  { name: 'today', path: '/now', as: 'marit' },
  { name: 'today-phone', path: '/now', as: 'marit', phone: true },
  { name: 'today-lucan', path: '/now', as: 'lucan' },
  { name: 'today-ife', path: '/now', as: 'ife' },
];
for (const s of shots) {
  if (which.length && !which.includes(s.name)) continue;
  const page = await browser.newPage();
  await page.setViewport(
    s.phone
      ? { width: 390, height: 844, deviceScaleFactor: 1, isMobile: true, hasTouch: true }
      : { width: 1280, height: 800 },
  );
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: s.dark ? 'dark' : 'light' }]);
  await page.goto(server.url + s.path, { waitUntil: 'networkidle0' });
  if (s.as) {
    await page.evaluate((id: string) => localStorage.setItem('ulu.player', id), s.as);
    await page.reload({ waitUntil: 'networkidle0' });
  }
  try {
    await s.then?.(page);
  } catch (e) {
    console.log(s.name, String(e).slice(0, 200));
  }
  await new Promise((r) => setTimeout(r, 700));
  await page.screenshot({ path: `${out}/${s.name}.png` });
  console.log(s.name, page.url());
  await page.close();
}
await close();
await server.stop();
