import type { Schema } from 'yup';
import { RECORD_FORMAT, RECORD_VERSION } from '#core/data/document.ts';
import { writtenFact, writtenOtherKey } from '#contract/document.ts';
import { jsonSchemaOf } from '#server/features/data/json-schema-of.ts';

type Kind = { readonly kind: string; readonly kept: Schema };

/**
 * The published JSON Schema (2020-12) of a record as one open document, made of what the kinds of fact say of themselves:
 * docs/record.schema.json.
 */
export function recordSchema(kinds: readonly Kind[]) {
  const envelope = jsonSchemaOf(writtenFact);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:ulu:record:${RECORD_VERSION}`,
    title: 'Ulu record',
    description:
      'Everything that was ever said, in the order it arrived. A fact is never changed: a withdrawal takes one back (targetKey), another takes its place (corrects). One counts only while the fact it belongs to does.',
    type: 'object',
    required: ['format', 'version', 'instrument', 'facts', 'otherKeys'],
    additionalProperties: false,
    properties: {
      format: { const: RECORD_FORMAT },
      version: { const: RECORD_VERSION },
      instrument: {
        type: ['string', 'null'],
        description: 'The one instrument of whose history this is; null: a whole record.',
      },
      facts: { type: 'array', items: { ...envelope, oneOf: kinds.map(({ kind }) => ({ $ref: `#/$defs/${kind}` })) } },
      otherKeys: {
        type: 'array',
        description: 'Other keys a fact is known under, with what was sent under them.',
        items: jsonSchemaOf(writtenOtherKey),
      },
    },
    $defs: Object.fromEntries(
      kinds.map(({ kind, kept }) => [
        kind,
        { type: 'object', properties: { kind: { const: kind }, body: jsonSchemaOf(kept) } },
      ]),
    ),
  };
}
