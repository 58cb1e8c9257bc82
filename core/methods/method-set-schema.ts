import type { Book } from '#core/book/book.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import {
  LONGEST_ID,
  LONGEST_NAME,
  MOST_CHOICES,
  METHOD_SET_FORMAT,
  METHOD_SET_VERSION,
} from '#core/methods/method-set-format.ts';
import { methodOf } from '#core/methods/chosen-method.ts';
import { METHOD_IDS } from '#core/book/method-ids.ts';

/**
 * The published JSON Schema (2020-12) of a method set, made from the book. Questions and choices it does not name are
 * allowed: a set of a later book is read, and what is not known is said and left out.
 */
export const methodSetSchema = (book: Pick<Book, 'methods'>) => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:ulu:method-set:2',
  title: 'Ulu method set',
  description: 'How somebody looks after an instrument where practice differs: one choice per question.',
  type: 'object',
  required: ['format', 'version', 'name', 'kind', 'choices'],
  additionalProperties: false,
  properties: {
    format: { const: METHOD_SET_FORMAT },
    version: { const: METHOD_SET_VERSION },
    name: { type: 'string', minLength: 1, maxLength: LONGEST_NAME, description: 'Whose way it is.' },
    kind: { enum: [...KIND_IDS], description: 'The kind of instrument it was made on.' },
    choices: {
      type: 'object',
      maxProperties: MOST_CHOICES,
      propertyNames: { pattern: `^[a-z0-9-]{1,${LONGEST_ID}}$` },
      additionalProperties: { type: 'string', pattern: `^[a-z0-9-]{1,${LONGEST_ID}}$` },
      properties: Object.fromEntries(
        METHOD_IDS.map((id) => {
          const { question, choices } = methodOf(book, id);
          return [id, { type: 'string', description: question, examples: Object.keys(choices) }];
        }),
      ),
    },
  },
});
