import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { scene } from '#e2e/scene.ts';
import { atRest, heldBy, press, sees, tap, textOf, visit, walk, type Walker } from '#e2e/walker.ts';

const { url, browser } = scene();
let page: Walker;
let folder: string;
beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'ulu-data-'));
  page = await walk(browser(), 'about:blank');
  await heldBy(page, 'marit');
  await visit(page, url('/data'));
}, 300_000);
afterEach(async () => {
  expect(page.complaints).toEqual([]);
  await page.browserContext().close();
  rmSync(folder, { recursive: true, force: true });
});

/** Chooses a file that says this. */
async function choose(name: string, text: string | Buffer): Promise<void> {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  const [chooser] = await Promise.all([page.waitForFileChooser(), tap(page, 'Choose a file')]);
  await chooser.accept([file]);
}
const playsOf = async (id: string): Promise<string[]> => {
  const answer = await fetch(url(`/api/record/${id}?limit=200`));
  const { entries } = (await answer.json()) as { entries: { kind: string; on: string }[] };
  return entries.filter(({ kind }) => kind === 'play').map(({ on }) => on);
};

test('a copy in one tap; taken back it undoes what was said since, in every tab', async () => {
  await tap(page, 'Make a copy now');
  await sees(page, 'The copy is whole:');
  await sees(page, 'The newest copy is of today.');
  const other = await walk(browser(), url('/care/marit-clarinet'));
  const before = await playsOf('marit-clarinet');
  const said = await fetch(url('/api/plays'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      key: '00000000-0000-4000-8000-00000000abcd',
      ...{ instrumentId: 'marit-clarinet', playerId: 'marit', endedOn: '2025-06-15', endedAtMinute: 3, minutes: 2 },
      ...{ roomCelsius: null, now: { on: new Date().toLocaleDateString('sv'), atMinute: 1 } },
    }),
  });
  expect(said.status).toBe(201);
  await press(page, 'Take back…');
  await sees(page, 'It takes the place of your record');
  await tap(page, 'Take it back');
  await sees(page, 'Taken back:');
  await tap(page, 'Close');
  await atRest(page);
  expect(await playsOf('marit-clarinet')).toEqual(before);
  await atRest(other);
  expect(other.complaints).toEqual([]);
  await other.browserContext().close();
}, 300_000);

test('a table from a spreadsheet: what does not fit is told by its row, the rest waits; put right it comes in as one', async () => {
  const rows = ['Datum;Dauer', '03.02.2020;1:15', '31.02.2020;45'];
  const add = { id: 'old-clarinet', name: 'Old clarinet', kind: 'clarinet', build: {}, playerId: 'marit' };
  const kinds = (await (await fetch(url('/api/kinds'))).json()) as {
    id: string;
    fields: { field: string; usual: string }[];
  }[];
  const fields = kinds.find(({ id }) => id === 'clarinet')?.fields ?? [];
  const added = await fetch(url('/api/instruments'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      ...add,
      build: Object.fromEntries(fields.map(({ field, usual }) => [field, usual])),
      ...{ acquiredOn: '2019-01-01', cameNew: false, today: new Date().toLocaleDateString('sv') },
    }),
  });
  expect(added.status).toBe(201);
  await choose('practice.csv', rows.join('\r\n'));
  await sees(page, 'Read as UTF-8, with a semicolon between the cells.');
  await page.locator('::-p-aria([name="Of which instrument"][role="combobox"])').click();
  await press(page, 'Old clarinet');
  await sees(page, 'Row 3: “31.02.2020” is no day.');
  await tap(page, 'Not now');
  await choose('practice.csv', [...rows.slice(0, 2), '29.02.2020;45'].join('\r\n'));
  await sees(page, 'Read as UTF-8');
  await page.locator('::-p-aria([name="Of which instrument"][role="combobox"])').click();
  await press(page, 'Old clarinet');
  await sees(page, '2 plays are new.');
  await tap(page, 'Take it in');
  await sees(page, '2 plays are in your record now.');
  expect(await playsOf('old-clarinet')).toEqual(['2020-02-29', '2020-02-03']);
}, 300_000);

test('what is no file of ours is refused in words, and everything goes out as one', async () => {
  await choose('picture.png', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1]));
  await sees(page, 'This is no copy of Ulu, no record and no table.');
  await tap(page, 'Close');
  const record = (await (await fetch(url('/api/data/record.json'))).json()) as { format: string };
  expect(record.format).toBe('ulu-record');
  expect(await textOf(page)).toContain('Your record lies on this machine');
  expect(readFileSync('docs/record.schema.json', 'utf8')).toContain('ulu-record');
}, 300_000);
