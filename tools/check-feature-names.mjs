/** A feature has one word, the same in every layer that has it. Says every break. */
import { existsSync, readdirSync } from 'node:fs';
import process from 'node:process';

/** Screens that join several features. They own no table, no contract and no core folder. */
const COMPOSITE_SCREENS = new Set(['now']);

const missing = [];
for (const layer of ['server/features', 'web/features'])
  for (const feature of readdirSync(layer))
    for (const home of [`core/${feature}`, `contract/${feature}.ts`])
      if (!COMPOSITE_SCREENS.has(feature) && !existsSync(home)) missing.push(`${layer}/${feature} has no ${home}`);

if (missing.length > 0) {
  console.error(missing.join('\n'));
  process.exit(1);
}
