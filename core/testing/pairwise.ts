/**
 * Rows in which every pair of options of every two dials occurs at least once; greedy, deterministic, for tests.
 * A dial is a name and its options.
 */
export function pairwise(dials: Readonly<Record<string, readonly string[]>>): Record<string, string>[] {
  const names = Object.keys(dials);
  const key = (a: number, x: string, b: number, y: string) => `${a}=${x};${b}=${y}`;
  const open = new Set<string>();
  names.forEach((name, a) =>
    names.slice(a + 1).forEach((other, offset) => {
      for (const x of dials[name] ?? []) for (const y of dials[other] ?? []) open.add(key(a, x, a + 1 + offset, y));
    }),
  );
  const covered = (row: readonly string[], at: number, option: string): number =>
    row.reduce((sum, chosen, other) => sum + (other < at && open.has(key(other, chosen, at, option)) ? 1 : 0), 0);
  const rows: string[][] = [];
  const take = (row: string[]): void => {
    for (let a = 0; a < row.length; a++)
      for (let b = a + 1; b < row.length; b++) open.delete(key(a, row[a] ?? '', b, row[b] ?? ''));
    rows.push(row);
  };
  if (names.length === 1) for (const option of dials[names[0] ?? ''] ?? []) take([option]);
  while (open.size > 0) {
    const [seed = ''] = open;
    const fixed = new Map(seed.split(';').map((part) => part.split('=') as [string, string]));
    const row: string[] = [];
    names.forEach((name, at) => {
      const options = fixed.has(String(at)) ? [fixed.get(String(at)) ?? ''] : [...(dials[name] ?? [])];
      row.push(options.reduce((best, option) => (covered(row, at, option) > covered(row, at, best) ? option : best)));
    });
    take(row);
  }
  return rows.map((row) => Object.fromEntries(names.map((name, at) => [name, row[at] ?? ''])));
}
