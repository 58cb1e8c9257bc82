import { defaultLocale, ValidationError } from 'yup';

/** How long the lists and texts of a request may be, as its schema has it. */
export type Lengths =
  | { readonly kind: 'list'; readonly most: number; readonly of: Lengths }
  | { readonly kind: 'text'; readonly most: number }
  | { readonly kind: 'fields'; readonly fields: Readonly<Record<string, Lengths>> }
  /** Numbers, and what is judged by the words it may be. */
  | { readonly kind: 'short' };

/** As much as is read of what Yup describes. */
type Description = {
  readonly type: string;
  readonly tests?: readonly { readonly name?: string; readonly params?: Readonly<Record<string, unknown>> }[];
  readonly oneOf?: readonly unknown[];
  readonly innerType?: Description;
  readonly fields?: Readonly<Record<string, Description>>;
};

const mostOf = ({ tests = [] }: Description): number => {
  const limits = tests.flatMap(({ name, params }) =>
    name === 'max' || name === 'length' ? [Number(params?.[name])] : [],
  );
  return Math.min(Infinity, ...limits);
};

const ANYTHING: Description = { type: 'mixed' };

function lengthsOf(description: Description): Lengths {
  switch (description.type) {
    case 'array':
      return { kind: 'list', most: mostOf(description), of: lengthsOf(description.innerType ?? ANYTHING) };
    case 'object':
      return {
        kind: 'fields',
        fields: Object.fromEntries(
          Object.entries(description.fields ?? {}).map(([name, one]) => [name, lengthsOf(one)]),
        ),
      };
    case 'string':
      return (description.oneOf ?? []).length > 0 ? { kind: 'short' } : { kind: 'text', most: mostOf(description) };
    default:
      return { kind: 'short' };
  }
}

/** Read off a schema. A list or text without a largest length has `Infinity`. */
export const lengthsIn = (schema: { describe(): unknown }): Lengths => lengthsOf(schema.describe() as Description);

const tooLong = (path: string, max: number, words: unknown): ValidationError =>
  new ValidationError(ValidationError.formatError(String(words), { path, max }), undefined, path, 'max');

const firstOf = (
  values: Iterable<readonly [path: string, lengths: Lengths, value: unknown]>,
): ValidationError | null => {
  for (const [path, lengths, value] of values) {
    const refusal = lengthRefusal(lengths, value, path);
    if (refusal) return refusal;
  }
  return null;
};

function inList({ most, of }: Lengths & { kind: 'list' }, value: unknown, path: string): ValidationError | null {
  if (!Array.isArray(value)) return null;
  if (value.length > most) return tooLong(path, most, defaultLocale.array?.max);
  return firstOf(value.map((one: unknown, at) => [`${path}[${at}]`, of, one]));
}

function inFields({ fields }: Lengths & { kind: 'fields' }, value: unknown, path: string): ValidationError | null {
  if (typeof value !== 'object' || value === null) return null;
  const there = Object.entries(fields).filter(([name]) => Object.hasOwn(value, name));
  return firstOf(there.map(([name, of]) => [path === '' ? name : `${path}.${name}`, of, Reflect.get(value, name)]));
}

/**
 * The first list or text that is too long; null where none is. Lists are not looked into before their length is judged:
 * what nobody may send costs nothing but its count.
 *
 * @param path of the value, as Yup writes it
 */
export function lengthRefusal(lengths: Lengths, value: unknown, path = ''): ValidationError | null {
  switch (lengths.kind) {
    case 'list':
      return inList(lengths, value, path);
    case 'fields':
      return inFields(lengths, value, path);
    case 'text':
      return typeof value === 'string' && value.length > lengths.most
        ? tooLong(path, lengths.most, defaultLocale.string?.max)
        : null;
    case 'short':
      return null;
  }
}
