/** `npm run record-schema`: publishes what a record looks like as an open document, in docs/record.schema.json. */
import { writeFileSync } from 'node:fs';
import { FACTS } from '#server/facts.ts';
import { recordSchema } from '#server/features/data/record-schema.ts';
import { withdrawalDefinition } from '#server/record/withdrawal.fact.ts';

writeFileSync(
  'docs/record.schema.json',
  `${JSON.stringify(recordSchema([...FACTS, withdrawalDefinition]), null, 2)}\n`,
);
