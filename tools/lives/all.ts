import { readdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Life, Rule } from '#tools/lives/life.ts';

const HERE = import.meta.dirname;

/** What each file of a folder holds under this name. */
async function heldIn<Held>(folder: string, name: 'life' | 'rule'): Promise<Held[]> {
  const files = readdirSync(folder)
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .toSorted();
  const all: Held[] = [];
  for (const file of files) {
    const held = (await import(pathToFileURL(path.join(folder, file)).href)) as Readonly<Record<string, Held>>;
    const one = held[name];
    if (one === undefined) throw new Error(`${file} exports no ${name}`);
    all.push(one);
  }
  return all;
}

/** The lives and the rules there are, and those of another folder that has `lives` and `rules` of its own. */
export async function livesAndRules(withFolder?: string): Promise<{ lives: Life[]; rules: Rule[] }> {
  const folders = [HERE, ...(withFolder === undefined ? [] : [path.resolve(withFolder)])];
  const lives: Life[] = [];
  const rules: Rule[] = [];
  for (const folder of folders) {
    const has = readdirSync(folder);
    if (has.includes('lives')) lives.push(...(await heldIn<Life>(path.join(folder, 'lives'), 'life')));
    if (has.includes('rules')) rules.push(...(await heldIn<Rule>(path.join(folder, 'rules'), 'rule')));
  }
  return { lives, rules };
}
