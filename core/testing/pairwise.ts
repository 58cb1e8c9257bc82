/** Options of all dials in one line: where those of each begin, and how many there are in all. */
const beginnings = (counts: readonly number[]): { readonly first: readonly number[]; readonly all: number } => {
  const first: number[] = [];
  let all = 0;
  for (const count of counts) {
    first.push(all);
    all += count;
  }
  return { first, all };
};

/**
 * Rows in which every pair of options of every two dials occurs at least once; greedy, deterministic, for tests.
 * A dial is a name and its options. Pairs stand by number in one table: every proof begins with these rows.
 */
export function pairwise(dials: Readonly<Record<string, readonly string[]>>): Record<string, string>[] {
  const names = Object.keys(dials);
  const options = names.map((name) => dials[name] ?? []);
  const counts = options.map(({ length }) => length);
  const { first, all } = beginnings(counts);
  const number = (at: number, option: number): number => (first[at] ?? 0) + option;
  /** Pairs still to come, the option of the earlier dial first, in the order in which they are looked for. */
  const open = new Uint8Array(all * all);
  const pairs: (readonly [number, number, number, number])[] = [];
  for (const [a, count] of counts.entries())
    for (let b = a + 1; b < counts.length; b++)
      for (let x = 0; x < count; x++)
        for (let y = 0; y < (counts[b] ?? 0); y++) {
          open[number(a, x) * all + number(b, y)] = 1;
          pairs.push([a, x, b, y]);
        }
  const rows: number[][] = [];
  const take = (row: number[]): void => {
    for (const [a, x] of row.entries())
      for (let b = a + 1; b < row.length; b++) open[number(a, x) * all + number(b, row[b] ?? 0)] = 0;
    rows.push(row);
  };
  const covered = (row: readonly number[], at: number, option: number): number => {
    let sum = 0;
    for (const [other, chosen] of row.entries()) sum += open[number(other, chosen) * all + number(at, option)] ?? 0;
    return sum;
  };
  const likeliest = (row: readonly number[], at: number): number => {
    let best = 0;
    for (let option = 1; option < (counts[at] ?? 0); option++)
      if (covered(row, at, option) > covered(row, at, best)) best = option;
    return best;
  };
  if (names.length === 1) for (let option = 0; option < (counts[0] ?? 0); option++) take([option]);
  for (const [a, x, b, y] of pairs) {
    if (open[number(a, x) * all + number(b, y)] === 0) continue;
    const row: number[] = [];
    for (const at of names.keys()) row.push(at === a ? x : at === b ? y : likeliest(row, at));
    take(row);
  }
  return rows.map((row) => Object.fromEntries(names.map((name, at) => [name, options[at]?.[row[at] ?? 0] ?? ''])));
}
