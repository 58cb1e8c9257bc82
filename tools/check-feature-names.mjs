/** A feature has one word, the same in every layer that has it, and a room of the core its place. Says every break. */
import { existsSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
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

if (missing.length > 0) {
  console.error(missing.join('\n'));
  process.exit(1);
}
