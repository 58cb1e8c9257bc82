import type { LoggedRunEvent } from '#core/packup/run-event.ts';
import type { Answered } from '#contract/fact.ts';
import { msOfInstant } from '#core/time/instant.ts';
import { RequestProblem } from '#web/api/http.ts';
import type { Outbox, Unsent } from '#web/features/packup/run-outbox.ts';

export type Posting = { readonly one: Unsent; readonly msAgo: number };
type Sending = {
  readonly outbox: Outbox;
  /** Sends one entry; resolves with it as the log has it. @throws RequestProblem */
  readonly post: (posting: Posting) => Promise<Answered<LoggedRunEvent>>;
  readonly nowMs: () => number;
  /** Calls back later; returns how to call it off. */
  readonly later: (work: () => void, ms: number) => () => void;
};
export type SenderHandlers = {
  readonly confirmed: (one: Unsent, logged: Answered<LoggedRunEvent>) => void;
  readonly refused: (one: Unsent, problem: Error) => void;
};

const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 15_000;

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

/**
 * Sends what is in the outbox, in order and one after another. What cannot be sent stays and is tried again, at growing
 * intervals and whenever somebody asks; what is refused is taken out with its reason, and what comes after it goes on.
 */
export function createSender({ outbox, post, nowMs, later }: Sending) {
  let handlers: SenderHandlers | null = null;
  let sending: string | null = null;
  const heldUp = createFlag();
  let waitMs = FIRST_WAIT_MS;
  let callOff: () => void = () => undefined;

  const tryLater = (error: unknown): void => {
    heldUp.set(true);
    const asked = error instanceof RequestProblem ? error.retryAfterMs : null;
    callOff = later(() => void flush(), Math.max(waitMs, asked ?? 0));
    waitMs = Math.min(LONGEST_WAIT_MS, 2 * waitMs);
  };

  /** Sends the first entry. @returns whether there may be another */
  const sendFirst = async (to: SenderHandlers): Promise<boolean> => {
    const [one] = outbox.all();
    if (one === undefined) return false;
    sending = one.key;
    try {
      const logged = await post({ one, msAgo: Math.max(0, Math.round(nowMs() - msOfInstant(one.event.at))) });
      waitMs = FIRST_WAIT_MS;
      heldUp.set(false);
      // Into the log before it leaves the outbox: in between, it is counted once by its key.
      to.confirmed(one, logged);
      outbox.remove(one.key);
    } catch (error) {
      if (isHeldUp(error)) {
        tryLater(error);
        return false;
      }
      outbox.remove(one.key);
      to.refused(one, error as Error);
    } finally {
      sending = null;
    }
    return true;
  };

  const flush = async (): Promise<void> => {
    if (handlers === null || sending !== null) return;
    callOff();
    let more = true;
    while (more) more = await sendFirst(handlers);
    if (outbox.all().length === 0) heldUp.set(false);
  };

  return {
    /** Tries now, whatever the interval. */
    flush,
    /** Who is told how it went; the last one asked. Sends what is there. */
    start: (to: SenderHandlers): void => {
      handlers = to;
      void flush();
    },
    /** Could the last entry not be sent? */
    isHeldUp: heldUp.get,
    /** Is this entry on its way just now? */
    isSending: (key: string): boolean => sending === key,
    subscribe: heldUp.subscribe,
  };
}
