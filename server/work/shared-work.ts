import { asError } from '#core/kernel/as-error.ts';

/** Work that several wait for. */
export type Shared<Work> = {
  readonly work: Work;
  /** Waits for what `ask` promises, as long as whoever waits has not left. */
  readonly wait: <Answer>(left: AbortSignal, ask: (work: Work) => Promise<Answer>) => Promise<Answer>;
};

/** What was promised, or why nobody waits for it any more. */
function unless<Answer>(left: AbortSignal, promised: Promise<Answer>): Promise<Answer> {
  if (left.aborted) return Promise.reject(asError(left.reason));
  return new Promise((resolve, reject) => {
    const onLeft = (): void => reject(asError(left.reason));
    left.addEventListener('abort', onLeft, { once: true });
    void promised.then(resolve, reject).finally(() => left.removeEventListener('abort', onLeft));
  });
}

/**
 * Begins work that others may join. When one leaves before the answer, and nobody else waits, the work is told that it is
 * not wanted any more.
 *
 * @param onUnwanted called then, before anybody can join what is ending
 */
export function share<Work>(begin: (wanted: AbortSignal) => Work, onUnwanted: () => void): Shared<Work> {
  const wanted = new AbortController();
  const work = begin(wanted.signal);
  let waiting = 0;
  return {
    work,
    wait: async (left, ask) => {
      waiting += 1;
      try {
        return await unless(left, ask(work));
      } finally {
        waiting -= 1;
        if (left.aborted && waiting === 0) {
          onUnwanted();
          wanted.abort(left.reason);
        }
      }
    },
  };
}
