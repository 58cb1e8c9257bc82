import type { Schema, SchemaDescription, SchemaFieldDescription } from 'yup';

/** A JSON Schema, as data. */
export type JsonSchema = { readonly [key: string]: unknown };

type Described = SchemaDescription & {
  readonly fields?: Readonly<Record<string, SchemaFieldDescription>>;
  readonly innerType?: SchemaFieldDescription;
};

const paramOf = ({ tests }: Pick<SchemaDescription, 'tests'>, name: string, param: string): unknown =>
  tests.find((test) => test.name === name)?.params?.[param];
const limits = (described: Described, min: string, max: string): JsonSchema =>
  Object.fromEntries(
    (
      [
        [min, paramOf(described, 'min', 'min')],
        [max, paramOf(described, 'max', 'max')],
      ] as const
    ).filter(([, value]) => typeof value === 'number'),
  );

function textSchema(described: Described): JsonSchema {
  const pattern = paramOf(described, 'matches', 'regex');
  return {
    type: 'string',
    ...limits(described, 'minLength', 'maxLength'),
    ...(pattern instanceof RegExp && { pattern: pattern.source }),
    ...(described.tests.some(({ name }) => name === 'local-date') && { format: 'date' }),
    ...(described.tests.some(({ name }) => name === 'instant') && { format: 'date-time' }),
  };
}

/** Fields of which there may be others: what the shape does not list. */
const isOpen = ({ tests, fields = {} }: Described): boolean =>
  Object.keys(fields).length === 0 && !tests.some(({ name }) => name === 'exact');

function objectSchema(described: Described): JsonSchema {
  if (isOpen(described)) return { type: 'object' };
  const fields = Object.entries(described.fields ?? {});
  return {
    type: 'object',
    required: fields.filter(([, field]) => !('optional' in field) || !field.optional).map(([name]) => name),
    additionalProperties: false,
    properties: Object.fromEntries(fields.map(([name, field]) => [name, ofDescription(field)])),
  };
}

function plain(described: Described): JsonSchema {
  switch (described.type) {
    case 'string':
      return textSchema(described);
    case 'number':
      return {
        type: described.tests.some(({ name }) => name === 'integer') ? 'integer' : 'number',
        ...limits(described, 'minimum', 'maximum'),
      };
    case 'boolean':
      return { type: 'boolean' };
    case 'array':
      return {
        type: 'array',
        ...limits(described, 'minItems', 'maxItems'),
        ...(described.innerType && { items: ofDescription(described.innerType) }),
      };
    case 'object':
      return objectSchema(described);
    default:
      // What follows from another field is not said in a schema.
      return {};
  }
}

function ofDescription(field: SchemaFieldDescription): JsonSchema {
  if (!('tests' in field)) return {};
  const described = field as Described;
  const own: JsonSchema =
    described.oneOf.length > 0 ? { enum: described.oneOf.filter((one) => one !== null) } : plain(described);
  return described.nullable && Object.keys(own).length > 0 ? { anyOf: [own, { type: 'null' }] } : own;
}

/** What a schema of the contract lets through, as a JSON Schema (2020-12): its shape, its words, its limits. */
export const jsonSchemaOf = (schema: Schema): JsonSchema => ofDescription(schema.describe());
