/** Writes the published schema of a method set anew. */
import { writeFileSync } from 'node:fs';
import { methodSetSchema } from '#core/methods/method-set-schema.ts';
import { BOOK } from '#core/tables/book.ts';

writeFileSync('docs/method-set.schema.json', `${JSON.stringify(methodSetSchema(BOOK), null, 2)}\n`);
