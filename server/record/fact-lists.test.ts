import { expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { DECLARED } from '#contract/facts.ts';
import { FACTS } from '#server/facts.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';

const RECIPE = readFileSync('docs/adding-a-fact.md', 'utf8');
/** The lines of the recipe's table: the file, and whether it is one that is there already. */
const files = [...RECIPE.matchAll(/^\| (\d+) +\| `([^`]+)` +\| (new|a line|in its room)/gm)].map(([, , file, how]) => ({
  file: file ?? '',
  how,
}));
/** The code of some folders, without their tests. */
const codeIn = (...folders: readonly string[]): string[] =>
  folders
    .flatMap((folder) => readdirSync(folder, { recursive: true }).map((file) => path.posix.join(folder, String(file))))
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$|\/(?:dist|testing)\//.test(file));
const exportedFrom = (files: readonly string[], declaration: RegExp): string[] =>
  files.flatMap((file) => [...readFileSync(file, 'utf8').matchAll(declaration)].map(([, name]) => name ?? ''));
const namedIn = (file: string) => new Set(readFileSync(file, 'utf8').match(/\w+/g));

// The checks below end in the sentence a newcomer needs: what is missing, and where it is to be written.
test('every declaration has its line in contract/facts.ts', () => {
  const listed = namedIn('contract/facts.ts');
  const missing = exportedFrom(codeIn('contract'), /export const (\w+) = fact(?:<.*?>)?\(/g)
    .filter((name) => !listed.has(name))
    .map((name) => `write ${name} in contract/facts.ts`);
  expect(missing).toEqual([]);
});

test('every definition has its line in server/facts.ts', () => {
  const listed = namedIn('server/facts.ts');
  const missing = exportedFrom(
    codeIn('server/features').filter((file) => file.endsWith('.fact.ts')),
    /export const (\w+Definition)\b/g,
  )
    .filter((name) => !listed.has(name))
    .map((name) => `write ${name} in server/facts.ts`);
  expect(missing).toEqual([]);
});

test('what is declared is defined, and has an example', () => {
  const defined = new Set<string>(FACTS.map(({ kind }) => kind));
  const missing = DECLARED.flatMap(({ kind }) => [
    ...(defined.has(kind) ? [] : [`define ${kind} in its room, server/features/<room>/${kind}.fact.ts`]),
    ...(kind in oneOfEach ? [] : [`write an example of ${kind} in server/testing/examples/`]),
  ]);
  expect(missing).toEqual([]);
});

test('the recipe is short: nine files, and those it names are there', () => {
  expect(files.length).toBeGreaterThan(6);
  expect(files.length).toBeLessThanOrEqual(9);
  const lines = files.filter(({ how, file }) => how === 'a line' && !file.includes('<'));
  expect(lines.length).toBeGreaterThan(2);
  for (const { file } of lines) expect([file, existsSync(file)]).toEqual([file, true]);
});

test('a plain kind is named by nothing but its room and the lists of the recipe', () => {
  const its = /'air-reading'|airReading(?:Fact|Definition|s)|CorrectAir/;
  const rooms = /^(contract\/air|server\/features\/air\/|web\/features\/air\/|web\/features\/record\/compartments\/)/;
  const naming = codeIn('contract', 'core', 'server', 'web').filter(
    (file) => its.test(readFileSync(file, 'utf8')) && !rooms.test(file),
  );
  const lists = files.map(({ file }) => file);
  const others = naming.filter(
    (file) => !lists.some((list) => file === list || file.startsWith(list.split('<')[0] ?? '')),
  );
  expect(others).toEqual([]);
});
