import type { Stop } from '#core/solve/answer.ts';

/** What long work is given beside its input: whether it is still wanted, and a way to say how far it is. */
export type AtWork = { readonly stop: Stop; readonly report: (progress: unknown) => void };

/** A long computation: from plain data to plain data, for both cross a thread. */
export type LongWork = (input: never, at: AtWork) => Promise<unknown>;
export type LongWorks = Readonly<Record<string, LongWork>>;

/** What is said between the desk and the thread that works. */
export type Order = {
  readonly id: number;
  readonly name: string;
  readonly input: unknown;
  readonly stop: SharedArrayBuffer;
};
export type Said =
  | { readonly id: number; readonly kind: 'progress'; readonly progress: unknown }
  | { readonly id: number; readonly kind: 'done'; readonly result: unknown }
  | { readonly id: number; readonly kind: 'failed'; readonly message: string };
