/** Pairs of options still to come, by number: every proof begins with rows of them. */
function pairTable(counts: readonly number[]) {
  const first: number[] = [];
  let all = 0;
  for (const count of counts) {
    first.push(all);
    all += count;
  }
  const open = new Uint8Array(all * all);
  /** Of the option of one dial with that of a later one. */
  const place = (a: number, x: number, b: number, y: number): number =>
    ((first[a] ?? 0) + x) * all + (first[b] ?? 0) + y;
  return {
    add: (a: number, x: number, b: number, y: number) => void (open[place(a, x, b, y)] = 1),
    isOpen: (a: number, x: number, b: number, y: number): boolean => open[place(a, x, b, y)] === 1,
    /** How many of the row's pairs with this option are still to come. */
    covered: (row: readonly number[], at: number, option: number): number => {
      let sum = 0;
      for (const [other, chosen] of row.entries()) sum += open[place(other, chosen, at, option)] ?? 0;
      return sum;
    },
    close: (row: readonly number[]): void => {
      for (const [a, x] of row.entries())
        for (let b = a + 1; b < row.length; b++) open[place(a, x, b, row[b] ?? 0)] = 0;
    },
  };
}

/** Every pair of options of two dials, the earlier dial first. */
function* everyPair(counts: readonly number[]): Generator<readonly [number, number, number, number]> {
  for (const [a, count] of counts.entries())
    for (let b = a + 1; b < counts.length; b++)
      for (let x = 0; x < count; x++) for (let y = 0; y < (counts[b] ?? 0); y++) yield [a, x, b, y];
}

/** Rows of option numbers, see {@link pairwise}; of two options that cover as much the earlier one. */
function rowsOf(counts: readonly number[]): number[][] {
  if (counts.length === 1) return Array.from({ length: counts[0] ?? 0 }, (_, option) => [option]);
  const table = pairTable(counts);
  const likeliest = (row: readonly number[], at: number): number => {
    let [best, most] = [0, table.covered(row, at, 0)];
    for (let option = 1; option < (counts[at] ?? 0); option++) {
      const covered = table.covered(row, at, option);
      if (covered > most) [best, most] = [option, covered];
    }
    return best;
  };
  for (const pair of everyPair(counts)) table.add(...pair);
  const rows: number[][] = [];
  for (const [a, x, b, y] of everyPair(counts)) {
    if (!table.isOpen(a, x, b, y)) continue;
    const row: number[] = [];
    for (const at of counts.keys()) row.push(at === a ? x : at === b ? y : likeliest(row, at));
    table.close(row);
    rows.push(row);
  }
  return rows;
}

/**
 * Rows in which every pair of options of every two dials occurs at least once; greedy, deterministic, for tests.
 * A dial is a name and its options.
 */
export function pairwise(dials: Readonly<Record<string, readonly string[]>>): Record<string, string>[] {
  const named = Object.entries(dials);
  return rowsOf(named.map(([, options]) => options.length)).map((row) =>
    Object.fromEntries(named.map(([name, options], at) => [name, options[row[at] ?? 0] ?? ''])),
  );
}
