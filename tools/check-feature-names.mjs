/** A feature has one word, the same in every layer that has it, and a room of the core its place. Says every break. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import process from 'node:process';

/** Screens that join several features. They own no table, no contract and no core folder. */
const COMPOSITE_SCREENS = new Set(['now']);

const missing = [];
for (const layer of ['server/features', 'web/features'])
  for (const feature of readdirSync(layer))
    for (const home of [`core/${feature}`, `contract/${feature}.ts`])
      if (!COMPOSITE_SCREENS.has(feature) && !existsSync(home)) missing.push(`${layer}/${feature} has no ${home}`);

/** What stands beside the rooms: data, and what tries them out. */
const BESIDE_THE_ROOMS = new Set(['tables', 'testing', 'check']);
const { forbidden } = createRequire(import.meta.url)('../.dependency-cruiser.cjs');
for (const { name: room } of readdirSync('core', { withFileTypes: true }).filter((entry) => entry.isDirectory()))
  if (!BESIDE_THE_ROOMS.has(room) && !forbidden.some(({ name }) => name.startsWith(`core-room-${room}-`)))
    missing.push(`core/${room} has no place in CORE_ROOMS of .dependency-cruiser.cjs: which rooms may it use?`);

const IMPORTS =
  /import\s+((?:type\s+)?(?:\{[^}]*\}|\w+))\s+from '#web\/features\/([^/']+)|import\('#web\/features\/([^/']+)/g;
/** Which features of the web load which: a circle of them could be taken apart by nobody. */
const loads = new Map();
for (const file of readdirSync('web/features', { recursive: true }).filter((one) => /(?<!\.test)\.tsx?$/.test(one))) {
  const feature = file.split(path.sep)[0];
  const text = readFileSync(path.join('web/features', file), 'utf8');
  for (const [, names = '', from, later] of text.matchAll(IMPORTS)) {
    const isTypes = /^type\s/.test(names) || (names !== '' && !/[{,]\s*(?!type\s)\w/.test(names));
    if (!isTypes && (from ?? later) !== feature)
      loads.set(feature, (loads.get(feature) ?? new Set()).add(from ?? later));
  }
}
const reached = (from, seen = new Set()) => {
  for (const next of loads.get(from) ?? []) if (!seen.has(next)) reached(next, seen.add(next));
  return seen;
};
for (const feature of loads.keys())
  if (reached(feature).has(feature))
    missing.push(`web/features/${feature} loads, by ${[...loads.get(feature)].join(', ')}, what loads it`);

if (missing.length > 0) {
  console.error(missing.join('\n'));
  process.exit(1);
}
