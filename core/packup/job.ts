/** A piece of handwork for one pair of hands. Times are whole seconds, so that equal lengths compare equal. */
export type Job = {
  readonly workSeconds: number;
  /** Jobs (by index) that must be finished before this one starts, and the passive wait each leaves this one with. */
  readonly after: readonly { readonly job: number; readonly waitSeconds: number }[];
};

/** The jobs of a subset as a problem of their own; `after` is transitive, so nothing is lost between them. */
export function jobsAmong(jobs: readonly Job[], chosen: readonly number[]): Job[] {
  const at = new Map(chosen.map((job, index) => [job, index]));
  return chosen.map((job) => ({
    workSeconds: jobs[job]?.workSeconds ?? 0,
    after: (jobs[job]?.after ?? []).flatMap(({ job: before, waitSeconds }) => {
      const index = at.get(before);
      return index === undefined ? [] : [{ job: index, waitSeconds }];
    }),
  }));
}
