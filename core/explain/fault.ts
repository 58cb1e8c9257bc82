import type { Format } from '#core/explain/format.ts';

/**
 * What can be wrong, in words: a function for each code, which is handed the figures of the fault. A room writes its own
 * table; the faults of the whole program are all of them together.
 */
export type FaultTable = Readonly<Record<string, (fault: never, format: Format) => string>>;

/** The faults of a table, as data. */
export type FaultOf<Table extends FaultTable> = {
  [Code in keyof Table & string]: Parameters<Table[Code]> extends []
    ? { readonly code: Code }
    : { readonly code: Code } & Readonly<Parameters<Table[Code]>[0]>;
}[keyof Table & string];
