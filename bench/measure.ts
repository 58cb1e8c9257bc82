export type Row = { readonly what: string; readonly figure: string; readonly beside: string; readonly goal: string };

/** Times of `runs` calls after a warm-up, ms, sorted. */
export async function times(runs: number, work: (run: number) => unknown): Promise<number[]> {
  for (let run = 0; run < Math.min(3, runs); run++) await work(run);
  const found: number[] = [];
  for (let run = 0; run < runs; run++) {
    const start = performance.now();
    await work(run);
    found.push(performance.now() - start);
  }
  return found.toSorted((a, b) => a - b);
}

export const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
export const median = (sorted: readonly number[]): number => at(sorted, 0.5);
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;

export function print(rows: readonly Row[]): void {
  const columns = ['what', 'figure', 'beside', 'goal'] as const;
  const head: Row = { what: 'what', figure: 'here', beside: 'beside it, same run', goal: 'goal' };
  const width = (column: (typeof columns)[number]) => Math.max(...[head, ...rows].map((row) => row[column].length));
  const line = (row: Row) => columns.map((column) => row[column].padEnd(width(column))).join('  ');
  console.log([head, ...rows].map(line).join('\n'));
}
