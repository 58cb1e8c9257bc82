/** Is it one of these? Says so to the compiler, too. */
export const isOneOf = <One>(list: readonly One[], value: unknown): value is One =>
  (list as readonly unknown[]).includes(value);

/** The keys of a table, by their names: a table written down in the code has no others. */
export const keysOf = <Key extends string>(table: Readonly<Partial<Record<Key, unknown>>>): Key[] =>
  Object.keys(table) as Key[];

/** The entries of a table, by the names of its keys: a table written down in the code has no others. */
export const entriesOf = <Key extends string, Value>(table: Readonly<Partial<Record<Key, Value>>>): [Key, Value][] =>
  Object.entries(table) as [Key, Value][];
