import { asError } from '#core/kernel/as-error.ts';
import { msOfInstant } from '#core/time/instant.ts';
import type { Answered } from '#contract/fact.ts';
import { RequestProblem } from '#web/api/http.ts';
import type { Outbox, Waiting } from '#web/record/outbox.ts';

export type Posting = { readonly one: Waiting; readonly msAgo: number };
type Confirmed = Answered<{ readonly key: string }>;
type Sending = {
  readonly outbox: Outbox;
  /** Sends one entry; resolves with what is answered. @throws RequestProblem */
  readonly post: (posting: Posting) => Promise<Confirmed>;
  readonly nowMs: () => number;
  /** Calls back later; returns how to call it off. */
  readonly later: (work: () => void, ms: number) => () => void;
};
/** Who is told how it went, whether or not somebody waits for it. */
export type SenderHandlers = {
  /** @returns once the pages show it, where somebody waits for that */
  readonly confirmed: (one: Waiting, answer: Confirmed) => Promise<unknown> | undefined;
  /** Says that it was refused; without it the entry stays, with the reason. */
  readonly refused?: (one: Waiting, problem: Error) => void;
};
/** How it went with an entry that somebody waits for. */
export type Outcome =
  | { readonly kind: 'confirmed'; readonly answer: Confirmed; readonly shown: Promise<unknown> | undefined }
  | { readonly kind: 'refused'; readonly problem: Error }
  /** Nobody answers: it is kept, and sent as soon as somebody does. */
  | { readonly kind: 'held-up' };

const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 15_000;
/** Somebody who waits for an answer is told after so long that it is kept. */
export const PATIENCE_MS = 4000;

/** Worth another try: nobody answered, or the record takes nothing in just now. Any other no is a no. */
export const isHeldUp = (error: unknown): boolean =>
  error instanceof RequestProblem &&
  (error.code === 'unreachable' || error.code === 'busy' || error.code === 'unusable');

/** A yes or no that tells of its changes. */
function createFlag() {
  let is = false;
  const listeners = new Set<() => void>();
  return {
    get: (): boolean => is,
    set: (next: boolean): void => {
      if (is === next) return;
      is = next;
      for (const listener of listeners) listener();
    },
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}

/** Whoever waits for entries, by their keys. */
function createWaiters(later: Sending['later']) {
  const waiters = new Map<string, (outcome: Outcome) => void>();
  return {
    wait: (key: string): Promise<Outcome> =>
      new Promise((resolve) => {
        const callOff = later(() => waiters.get(key)?.({ kind: 'held-up' }), PATIENCE_MS);
        waiters.set(key, (outcome) => {
          waiters.delete(key);
          callOff();
          resolve(outcome);
        });
      }),
    /** @returns whether somebody waited */
    tell: (key: string, outcome: Outcome): boolean => {
      const waiter = waiters.get(key);
      waiter?.(outcome);
      return waiter !== undefined;
    },
    tellAll: (outcome: Outcome): void => {
      for (const waiter of [...waiters.values()]) waiter(outcome);
    },
  };
}

/** When it is tried again: at growing intervals, until something has gone through. */
function createRetry(later: Sending['later']) {
  let waitMs = FIRST_WAIT_MS;
  let callOff: () => void = () => undefined;
  return {
    /** @param askedMs how long the server asked to wait */
    after: (work: () => void, askedMs: number | null): void => {
      callOff = later(work, Math.max(waitMs, askedMs ?? 0));
      waitMs = Math.min(LONGEST_WAIT_MS, 2 * waitMs);
    },
    callOff: (): void => callOff(),
    wentThrough: (): void => {
      waitMs = FIRST_WAIT_MS;
    },
  };
}

/**
 * Sends what is in the outbox, in order and one after another. What cannot be sent stays and is tried again, at growing
 * intervals and whenever somebody asks; what is refused is told to whoever waits for it, or stays with its reason, and
 * what comes after it goes on.
 */
export class Sender {
  readonly #retry: ReturnType<typeof createRetry>;
  readonly #waiters: ReturnType<typeof createWaiters>;
  readonly #heldUp = createFlag();
  readonly #byKind = new Map<string, SenderHandlers>();
  #others: SenderHandlers | null = null;
  #isBusy = false;
  #askedAgain = false;
  #underWay: string | null = null;

  constructor(private readonly sending: Sending) {
    this.#retry = createRetry(sending.later);
    this.#waiters = createWaiters(sending.later);
  }

  /** Who is told how it went; the last one asked. Sends what is there. */
  start(to: SenderHandlers): void {
    this.#others = to;
    void this.flush();
  }

  /** Who is told of one kind instead. */
  handle(kind: string, to: SenderHandlers): void {
    this.#byKind.set(kind, to);
  }

  /** Puts an entry into the outbox and says how it went with it. */
  send(one: Waiting): Promise<Outcome> {
    const outcome = this.#waiters.wait(one.key);
    this.sending.outbox.add(one);
    void this.flush();
    return outcome;
  }

  /** Tries now, whatever the interval. */
  async flush(): Promise<void> {
    if (this.#others === null) return;
    this.#askedAgain = true;
    if (this.#isBusy) return;
    this.#isBusy = true;
    this.#retry.callOff();
    try {
      await this.sending.outbox.ready;
      // Whoever asks while the last one is on its way is heard: what they have put there goes too.
      while (this.#askedAgain) {
        this.#askedAgain = false;
        let more = true;
        while (more) more = await this.#sendFirst(this.#others);
      }
    } finally {
      this.#isBusy = false;
    }
    if (this.sending.outbox.waiting().length === 0) this.#heldUp.set(false);
  }

  /** Could the last entry not be sent? */
  readonly isHeldUp = (): boolean => this.#heldUp.get();

  readonly subscribe = (listener: () => void): (() => void) => this.#heldUp.subscribe(listener);

  /** Is this entry on its way just now? */
  isSending(key: string): boolean {
    return this.#underWay === key;
  }

  /** Sends the first entry. @returns whether there may be another */
  async #sendFirst(usually: SenderHandlers): Promise<boolean> {
    const { outbox, post, nowMs } = this.sending;
    const [next] = outbox.waiting();
    if (next === undefined) return false;
    await outbox.kept(next.key);
    // What was taken back meanwhile is not sent.
    const [one] = outbox.waiting();
    if (one?.key !== next.key) return true;
    this.#underWay = one.key;
    const to = this.#byKind.get(one.kind) ?? usually;
    try {
      const answer = await post({ one, msAgo: Math.max(0, Math.round(nowMs() - msOfInstant(one.at))) });
      this.#confirmed(one, answer, to);
    } catch (error) {
      if (isHeldUp(error)) {
        this.#tryLater(error);
        return false;
      }
      this.#refused(one, asError(error), to);
    } finally {
      this.#underWay = null;
    }
    return true;
  }

  #confirmed(one: Waiting, answer: Confirmed, to: SenderHandlers): void {
    this.#retry.wentThrough();
    this.#heldUp.set(false);
    // Into what the page shows before it leaves the outbox: in between, it is counted once by its key.
    const shown = to.confirmed(one, answer);
    this.sending.outbox.remove(one.key);
    this.#waiters.tell(one.key, { kind: 'confirmed', answer, shown });
  }

  #refused(one: Waiting, problem: Error, to: SenderHandlers): void {
    const { outbox } = this.sending;
    const isTold = this.#waiters.tell(one.key, { kind: 'refused', problem });
    if (!isTold && to.refused === undefined) return outbox.refuse(one.key, problem.message);
    outbox.remove(one.key);
    return isTold ? undefined : to.refused?.(one, problem);
  }

  #tryLater(error: unknown): void {
    this.#heldUp.set(true);
    this.#waiters.tellAll({ kind: 'held-up' });
    this.#retry.after(() => void this.flush(), error instanceof RequestProblem ? error.retryAfterMs : null);
  }
}
