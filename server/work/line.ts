import type { Order } from '#server/work/long-work.ts';

/** What comes back from the thread is what the work of that name makes: methods, for the thread knows no types. */
export type Waiting = {
  readonly order: Order;
  resolve(result: unknown): void;
  reject(reason: unknown): void;
  onProgress?(progress: unknown): void;
  /** Called when the thread comes to it. */
  begin(): void;
};

/** Pieces of long work in the order they were handed in; the first is the one being worked on. */
export class Line {
  readonly #waiting = new Map<number, Waiting>();
  /** Pieces that were stopped while they were worked on, until the thread has noticed. */
  readonly #stopping = new Map<number, NodeJS.Timeout>();
  #atWork: number | undefined;

  /** @param onEmpty called whenever nothing is left */
  constructor(private readonly onEmpty: () => void) {}

  add(one: Waiting): void {
    this.#waiting.set(one.order.id, one);
    this.#advance();
  }

  isFirst(id: number): boolean {
    return this.#waiting.keys().next().value === id;
  }

  /** What waits, in order. */
  orders(): Order[] {
    return [...this.#waiting.values()].map(({ order }) => order);
  }

  progress(id: number, progress: unknown): void {
    this.#waiting.get(id)?.onProgress?.(progress);
  }

  settle(id: number, how: (one: Waiting) => void): void {
    const one = this.#waiting.get(id);
    this.#waiting.delete(id);
    if (one) how(one);
    this.#advance();
    if (this.#waiting.size === 0) this.onEmpty();
  }

  refuseAll(reason: Error): void {
    for (const id of this.#waiting.keys()) this.settle(id, ({ reject }) => reject(reason));
  }

  /** It was stopped, and the thread is at it still; when the clock ends, somebody ends the thread. */
  notYetNoticed(id: number, clock: NodeJS.Timeout): void {
    this.#stopping.set(id, clock);
  }

  /** The thread is done with a piece, stopped or not. */
  noticed(id: number): void {
    clearTimeout(this.#stopping.get(id));
    this.#stopping.delete(id);
    this.#advance();
  }

  /** Another thread has taken over. */
  noticedAll(): void {
    for (const clock of this.#stopping.values()) clearTimeout(clock);
    this.#stopping.clear();
    this.#advance();
  }

  /** The first in line begins, unless the thread has not yet noticed that the one before was stopped. */
  #advance(): void {
    const [first] = this.#waiting.keys();
    if (first === this.#atWork || this.#stopping.size > 0) return;
    this.#atWork = first;
    if (first !== undefined) this.#waiting.get(first)?.begin();
  }
}
