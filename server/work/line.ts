import { ByTurns } from '#server/by-turns.ts';
import { TooMuchAtOnce } from '#server/failure.ts';
import type { Order, Said } from '#server/work/long-work.ts';
import type { Thread } from '#server/work/thread.ts';

/** What comes back from the thread is what the work of that name makes: methods, for the thread knows no types. */
export type Piece = {
  readonly order: Order;
  /** Whose it is: long work goes by device in turn. */
  readonly device: string;
  resolve(result: unknown): void;
  reject(reason: unknown): void;
  onProgress?(progress: unknown): void;
  /** Called when the thread comes to it. */
  begin(): void;
};

/** So many pieces of one device may wait beside the one that is worked on. */
export const MOST_WAITING_EACH = 2;
/** And so many of all: a device is whatever says it is one. */
export const MOST_WAITING = 200;
/** Work that does not listen is given so long before its thread is ended and the next one starts, ms. */
const PATIENCE_MS = 2000;

/** Pieces of long work: one is in the hands of the thread, the others wait by device in turn. */
export class Line {
  readonly #waiting = new ByTurns<Piece>();
  #size = 0;
  #atWork: Piece | undefined;
  /** The piece at work was stopped; when this ends before the thread has noticed, so does the thread. */
  #noticing: NodeJS.Timeout | undefined;

  constructor(private readonly thread: Thread) {}

  /** @throws TooMuchAtOnce where so much waits already that it must come back */
  add(piece: Piece): void {
    if (this.#waiting.waitingOf(piece.device) >= MOST_WAITING_EACH || this.#size >= MOST_WAITING)
      throw new TooMuchAtOnce('more long work at once than anybody waits for');
    this.#waiting.add(piece.device, piece);
    this.#size += 1;
    this.#advance();
  }

  /** What the thread says of the piece in its hands. */
  hear(word: Said): void {
    const piece = this.#atWork;
    if (piece?.order.id !== word.id) return;
    if (word.kind === 'progress') {
      if (this.#noticing === undefined) piece.onProgress?.(word.progress);
      return;
    }
    this.#release();
    if (word.kind === 'done') piece.resolve(word.result);
    else piece.reject(new Error(word.message));
    this.#advance();
  }

  /** Nobody wants it any more: it ends at once, whether or not the thread listens. */
  stop(piece: Piece, reason: unknown): void {
    Atomics.store(new Int32Array(piece.order.stop), 0, 1);
    if (piece === this.#atWork) this.#noticing ??= setTimeout(() => void this.#replace(), PATIENCE_MS).unref();
    else if (this.#waiting.drop(piece.device, piece)) this.#size -= 1;
    piece.reject(reason);
  }

  /** The thread is gone, with what was in its hands; what waits cannot be done either. */
  refuseAll(reason: Error): void {
    const pieces = [...(this.#atWork ? [this.#atWork] : []), ...this.#waiting.takeAll()];
    this.#size = 0;
    this.#release();
    for (const piece of pieces) piece.reject(reason);
  }

  #release(): void {
    clearTimeout(this.#noticing);
    this.#noticing = undefined;
    this.#atWork = undefined;
  }

  async #replace(): Promise<void> {
    await this.thread.end();
    this.#release();
    this.#advance();
  }

  #advance(): void {
    if (this.#atWork) return;
    this.#atWork = this.#waiting.take();
    if (this.#atWork === undefined) {
      this.thread.keepsAlive(false);
      return;
    }
    this.#size -= 1;
    this.thread.send(this.#atWork.order);
    this.#atWork.begin();
  }
}
