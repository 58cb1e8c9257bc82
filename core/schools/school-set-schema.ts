import { KIND_IDS } from '#core/instruments/kind.ts';
import {
  LONGEST_ID,
  LONGEST_NAME,
  MOST_CHOICES,
  SCHOOL_SET_FORMAT,
  SCHOOL_SET_VERSION,
} from '#core/schools/school-set-format.ts';
import { schoolOf } from '#core/schools/chosen-school.ts';
import { SCHOOL_IDS } from '#core/schools/school-ids.ts';

/**
 * The published JSON Schema (2020-12) of a school set, made from the book. Questions and choices it does not name are
 * allowed: a set of a later book is read, and what is not known is said and left out.
 */
export const schoolSetSchema = () => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:ulu:school-set:1',
  title: 'Ulu school set',
  description: 'How somebody looks after an instrument where practice differs: one choice per question.',
  type: 'object',
  required: ['format', 'version', 'name', 'kind', 'choices'],
  additionalProperties: false,
  properties: {
    format: { const: SCHOOL_SET_FORMAT },
    version: { const: SCHOOL_SET_VERSION },
    name: { type: 'string', minLength: 1, maxLength: LONGEST_NAME, description: 'Whose way it is.' },
    kind: { enum: [...KIND_IDS], description: 'The kind of instrument it was made on.' },
    choices: {
      type: 'object',
      maxProperties: MOST_CHOICES,
      propertyNames: { pattern: `^[a-z0-9-]{1,${LONGEST_ID}}$` },
      additionalProperties: { type: 'string', pattern: `^[a-z0-9-]{1,${LONGEST_ID}}$` },
      properties: Object.fromEntries(
        SCHOOL_IDS.map((id) => {
          const { question, choices } = schoolOf(id);
          return [id, { type: 'string', description: question, examples: Object.keys(choices) }];
        }),
      ),
    },
  },
});
