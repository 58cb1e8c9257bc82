import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { scene } from '#e2e/scene.ts';
import { press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser, careOf } = scene();
let page: Walker;
let folder: string;
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-sets-'));
  page = await walk(browser(), url('/care/asha-horn/methods'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
  rmSync(folder, { recursive: true, force: true });
});

const choose = async (question: string, words: string) => {
  await press(page, question);
  await tap(page, `Do it this way: ${words}`);
  await sees(page, `${question} ${words}.`);
};
const openFile = async (content: string, name = 'way.json') => {
  const file = path.join(folder, name);
  writeFileSync(file, content);
  const input = (await page.waitForSelector('input[type="file"]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
};

describe('where practice differs', () => {
  test('a question is answered with one tap, says first what that costs in a year, and is taken back', async () => {
    await press(page, 'Where does slide grease go?');
    await tap(page, 'What changes: Where does slide grease go? on the receiving half as well');
    await sees(page, 'The receiving half gets a little as well.');
    await tap(page, 'Do it this way: on the receiving half as well');
    await sees(page, '1 answered by you');
    await tap(page, 'Undo');
    await sees(page, 'all at their defaults');
    await press(page, 'Does water go through with the rotors in?');
    await sees(page, 'less a year');
  }, 300_000);

  test('the choice reaches the care it is about at once, in this tab and in another', async () => {
    const other = await walk(browser(), url('/care/asha-horn/methods'));
    await visit(page, url('/care/petra-bassoon/methods'));
    await choose('How often are the keys oiled?', 'only at the bench');
    const { clocks } = await careOf('petra-bassoon');
    expect(clocks.find(({ itemId }) => itemId === 'keyed/key-oil')?.gauge.state).toBe('off');
    await visit(other, url('/care/petra-bassoon'));
    expect(await textOf(other)).toContain('Not done here');
    await other.browserContext().close();
  }, 300_000);

  test('a teacher’s choices travel as a file to a pupil’s instrument, read before they are taken', async () => {
    const session = await browser().target().createCDPSession();
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      browserContextId: page.browserContext().id ?? '',
      eventsEnabled: true,
    });
    const downloaded = new Promise<void>((resolve) => {
      session.on('Browser.downloadProgress', ({ state }) => state === 'completed' && resolve());
    });
    await visit(page, url('/care/marit-clarinet/methods'));
    await choose('How often is the swab washed?', 'monthly, at the very latest');
    await tap(page, 'Share your methods');
    await page.locator('::-p-aria([name="Whose methods are they?"])').fill('Marit’s way');
    await tap(page, 'Save the file');
    const file = path.join(folder, 'marit-s-way.json');
    await downloaded;
    expect(readdirSync(folder)).toContain('marit-s-way.json');
    const set = readFileSync(file, 'utf8');
    expect(JSON.parse(set)).toMatchObject({ format: 'ulu-method-set', version: 2, kind: 'clarinet' });

    // The pupil sits at a device of their own.
    await page.browserContext().close();
    page = await walk(browser(), url('/care/ife-clarinet/methods'));
    await tap(page, 'Import methods');
    await openFile(set);
    await sees(page, 'Will change');
    await tap(page, 'Take 2 choices');
    await sees(page, '2 choices taken from “Marit’s way”.');
    await sees(page, '3 answered by you');
    await tap(page, 'Undo');
    await sees(page, '1 answered by you');
  }, 300_000);

  test.each([
    ['no JSON at all', 'hello there', 'is no JSON file'],
    [
      'another version',
      '{"format":"ulu-method-set","version":3,"name":"x","kind":"horn","choices":{}}',
      'another version',
    ],
    ['something else altogether', '{"reeds":[]}', 'no method set'],
    ['hostile size', `{"a":"${'x'.repeat(70_000)}"}`, 'larger than a set'],
  ])(
    'a file with %s is refused in words, and nothing changes',
    async (_what, content, words) => {
      await tap(page, 'Import methods');
      await openFile(content);
      await sees(page, words);
      await tap(page, 'Close');
      expect(await textOf(page)).toContain('all at their defaults');
      // A refused file is an answer of the server, which the browser notes as one.
      page.complaints.length = 0;
    },
    300_000,
  );
});
