import type { Format } from '#core/explain/format.ts';

/**
 * What can be wrong, in words: a function for each code, which is handed the figures of the refusal. A room writes its own
 * table; the refusals of the whole program are all of them together.
 */
export type RefusalTable = Readonly<Record<string, (refusal: never, format: Format) => string>>;

/** The refusals of a table, as data. */
export type RefusalOf<Table extends RefusalTable> = {
  [Code in keyof Table & string]: Parameters<Table[Code]> extends []
    ? { readonly code: Code }
    : { readonly code: Code } & Readonly<Parameters<Table[Code]>[0]>;
}[keyof Table & string];
