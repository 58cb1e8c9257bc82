/** Plans are ordered in whole seconds: sums of minutes never compare equal. */
export const SECONDS_A_MINUTE = 60;

/** A piece of handwork for one pair of hands. Times are whole seconds, so that equal lengths compare equal. */
export type Job = {
  readonly workSeconds: number;
  /** Jobs (by index) that must be finished before this one starts, and the passive wait each leaves this one with. */
  readonly after: readonly {
    readonly job: number;
    readonly waitSeconds: number;
    /** It starts no later than this after the end of the other: what soaks is not left lying. */
    readonly mostSeconds?: number;
  }[];
  /** At which instrument it is done; turning to another takes time. */
  readonly instrument?: number;
};

type After = Job['after'][number];

/** The jobs of a subset as a problem of their own; `after` is transitive, so nothing is lost between them. */
export function jobsAmong(jobs: readonly Job[], chosen: readonly number[]): Job[] {
  const at = new Int32Array(jobs.length).fill(-1);
  chosen.forEach((job, index) => (at[job] = index));
  // Most come without a wait: one object for all who come after the same job.
  const plain = chosen.map((_, job) => ({ job, waitSeconds: 0 }));
  return chosen.map((job) => {
    const { workSeconds = 0, after = [], instrument } = jobs[job] ?? {};
    const among: After[] = [];
    for (const one of after) {
      const index = at[one.job] ?? -1;
      if (index < 0) continue;
      const isPlain = one.waitSeconds === 0 && one.mostSeconds === undefined;
      among.push((isPlain ? plain[index] : undefined) ?? { ...one, job: index });
    }
    return { workSeconds, after: among, ...(instrument !== undefined && { instrument }) };
  });
}
