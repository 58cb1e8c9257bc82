type Begun = { left: number; tail: number };

/** Keeps the jobs in the order of their tails; the longest is last. */
function insertByTail(ready: Begun[], one: Begun): void {
  let at = ready.length;
  while (at > 0 && (ready[at - 1]?.tail ?? 0) > one.tail) at--;
  ready.splice(at, 0, one);
}

/**
 * Jackson's preemptive schedule: no order of jobs with heads and tails on one pair of hands ends earlier.
 * Source: Jackson 1955, as used by Carlier 1982 (EJOR 11:42–47).
 *
 * @param jobs head: earliest start; work; tail: what must follow the end of the work
 */
export function preemptiveBound(jobs: readonly { head: number; work: number; tail: number }[]): number {
  const byHead = jobs.toSorted((a, b) => a.head - b.head);
  const ready: Begun[] = [];
  let [now, next, bound] = [0, 0, 0];
  while (next < byHead.length || ready.length > 0) {
    if (ready.length === 0) now = Math.max(now, byHead[next]?.head ?? now);
    for (let one = byHead[next]; one !== undefined && one.head <= now; one = byHead[++next])
      insertByTail(ready, { left: one.work, tail: one.tail });
    const longest = ready.at(-1);
    if (longest === undefined) continue;
    const until = Math.min(now + longest.left, byHead[next]?.head ?? Infinity);
    longest.left -= until - now;
    now = until;
    if (longest.left === 0) {
      ready.pop();
      bound = Math.max(bound, now + longest.tail);
    }
  }
  return bound;
}
