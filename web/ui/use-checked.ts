import { useState } from 'react';
import { ValidationError, type Schema } from 'yup';

/** What is wrong with each field of what was typed, in words; nothing where a field is right. */
export type FieldProblems<Entry> = { readonly [Field in keyof Entry]?: string };

/** The first problem of each field; null where the whole is right. */
function problemsOf<Entry extends object>(schema: Schema, entry: Entry): FieldProblems<Entry> | null {
  try {
    schema.validateSync(entry, { abortEarly: false });
    return null;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return Object.fromEntries(
      error.inner.toReversed().map(({ path = '', message }) => [path, message]),
    ) as FieldProblems<Entry>;
  }
}

/**
 * What a form holds while it is filled in. What is wrong is told once it was sent, and from then on with each key.
 *
 * @returns `check` says whether it may be sent
 */
export function useChecked<Entry extends object>(schema: Schema, initial: Entry) {
  const [entry, setEntry] = useState(initial);
  const [wasSent, setWasSent] = useState(false);
  const found = problemsOf(schema, entry);
  return {
    entry,
    change: (over: Partial<Entry>) => setEntry({ ...entry, ...over }),
    problems: (wasSent && found) || ({} as FieldProblems<Entry>),
    check: (): boolean => {
      setWasSent(true);
      return found === null;
    },
  };
}
