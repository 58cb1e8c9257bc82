/** What a round has done, and what went wrong in it: any entry of `faults` fails the torture. */
export type Counts = {
  readonly done: Map<string, number>;
  readonly faults: string[];
};

export const noCounts = (): Counts => ({ done: new Map(), faults: [] });

export const count = ({ done }: Counts, what: string, by = 1): void => {
  done.set(what, (done.get(what) ?? 0) + by);
};

const MOST_SHOWN = 20;

/** The counts as they are printed. */
export function countsWords({ done, faults }: Counts): string {
  const lines = [...done].map(([what, times]) => `${String(times).padStart(7)}  ${what}`);
  const shown = faults.slice(0, MOST_SHOWN).map((fault) => `  FAULT  ${fault}`);
  return [...lines, ...shown, `${String(faults.length).padStart(7)}  faults`].join('\n');
}
