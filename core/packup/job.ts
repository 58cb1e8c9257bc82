/** A piece of handwork for one pair of hands. Times are whole seconds, so that equal lengths compare equal. */
export type Job = {
  readonly workSeconds: number;
  /** Jobs (by index) that must be finished before this one starts, and the passive wait each leaves this one with. */
  readonly after: readonly { readonly job: number; readonly waitSeconds: number }[];
};

/** The jobs of a subset as a problem of their own; `after` is transitive, so nothing is lost between them. */
export function jobsAmong(jobs: readonly Job[], chosen: readonly number[]): Job[] {
  const at = new Int32Array(jobs.length).fill(-1);
  chosen.forEach((job, index) => (at[job] = index));
  // Most come without a wait: one object for all who come after the same job.
  const plain = chosen.map((_, job) => ({ job, waitSeconds: 0 }));
  return chosen.map((job) => {
    const after: { readonly job: number; readonly waitSeconds: number }[] = [];
    for (const { job: before, waitSeconds } of jobs[job]?.after ?? []) {
      const index = at[before] ?? -1;
      const known = waitSeconds === 0 ? plain[index] : undefined;
      if (known) after.push(known);
      else if (index >= 0) after.push({ job: index, waitSeconds });
    }
    return { workSeconds: jobs[job]?.workSeconds ?? 0, after };
  });
}
