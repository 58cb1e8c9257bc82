import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { instantOfMs } from '#core/time/instant.ts';
import type { Answered, Frozen, Posted } from '#contract/fact.ts';
import { request, RequestProblem } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { wallNow } from '#web/clock/today.ts';
import { sending, useSending } from '#web/record/use-sending.ts';
import { useWithdraw } from '#web/record/withdraw.actions.ts';
import { useNotice } from '#web/ui/Notice.tsx';

type How = {
  /**
   * A form keeps one key from its opening until what it says stands, and shows itself what is wrong with it. What is done
   * by a tap has a key for each tap, and says so when it fails.
   */
  readonly form?: true;
};

type Then<Answer> = {
  /** What is said once it stands, with Undo beside it. */
  readonly said?: string | ((answer: Answer) => string);
  /** It stands in the record, or is kept on this device until it does. */
  readonly onLogged?: (key: string) => void;
  /** The server has answered: of what does not wait on the device. */
  readonly onAnswered?: (answer: Answer) => void;
  /** The key of the entry it takes the place of. */
  readonly corrects?: string | undefined;
};

/** Why a key is of no more use: what it stands for is in the record, or was taken back. */
const SPENT: readonly string[] = ['another-under-this-key', 'taken-back'];
const NOT_SENT = 'Not sent yet: it is kept on this device until Ulu answers.';

type Saying<Content> = {
  readonly key: string;
  readonly body: Frozen<Content>;
  readonly corrects: string | undefined;
  readonly says: string;
};

/** By way of the outbox: it is kept where nobody answers. @returns whether it stands @throws RequestProblem where it is refused */
async function throughOutbox<Content>(kind: string, path: string, saying: Saying<Content>): Promise<boolean> {
  const { key, body, corrects, says } = saying;
  const at = instantOfMs(Date.now());
  const { sender } = await sending();
  const outcome = await sender.send({ key, kind, path, content: body as object, corrects, says, at, now: wallNow() });
  if (outcome.kind === 'refused') throw outcome.problem;
  if (outcome.kind === 'held-up') return false;
  // What is said was done is on the page by then.
  await outcome.shown;
  return true;
}

/** Takes back what was said: out of the outbox while it waits there, else out of the record. */
async function takeBack(key: string, withdraw: (key: string) => void): Promise<void> {
  const { outbox, sender } = await sending();
  const waits = outbox.waiting().some((one) => one.key === key) && !sender.isSending(key);
  if (waits) outbox.remove(key);
  else withdraw(key);
}

/**
 * The one way into the record: makes the key, sends, says what was done with the way to take it back, and lets the pages
 * look again that the answer names. Where nobody answers it is kept on this device and sent later, once and in its turn;
 * what needs an answer at once says so instead. Sent again it is the same entry, for the key is made once.
 */
export function useLog<Content extends object, Answer extends object>(
  { path, answer, kind, needsServer = false, isAnAddition = false }: Posted<Content, Answer>,
  { form }: How = {},
) {
  const cache = useQueryClient();
  const notice = useNotice();
  const { withdraw } = useWithdraw();
  useSending();
  /** It may wait on this device. */
  const kept = kind !== undefined && !needsServer;
  const formKey = useRef<string | null>(null);
  type Logged = { readonly stands: boolean; readonly answered: Answered<Answer> | null };
  const { mutate, isPending, error, reset } = useMutation({
    mutationFn: async (saying: Saying<Content>): Promise<Logged> => {
      if (kept) return { stands: await throughOutbox(kind, path, saying), answered: null };
      const { key, body, corrects } = saying;
      const envelope = isAnAddition ? { id: key } : { key, now: wallNow() };
      const answered = await request(answer, path, { method: 'POST', body: { ...body, corrects, ...envelope } });
      await recordChanged(cache, answered.touched);
      return { stands: true, answered };
    },
  });

  const log = (body: Frozen<Content>, { said, onLogged, onAnswered, corrects }: Then<Answer> = {}): void => {
    const key = form ? (formKey.current ??= newKey()) : newKey();
    const says = typeof said === 'string' ? said : '';
    mutate(
      { key, body, corrects, says },
      {
        onSuccess: ({ stands, answered }) => {
          formKey.current = null;
          const undo = () => void (kept ? takeBack(key, withdraw) : withdraw(key));
          if (!stands) notice({ text: NOT_SENT, undo });
          else if (typeof said === 'string') notice({ text: said, undo });
          else if (said !== undefined && answered) notice({ text: said(answered), undo });
          onLogged?.(key);
          if (answered) onAnswered?.(answered);
        },
        onError: (problem) => {
          if (problem instanceof RequestProblem && problem.fields.some(({ code }) => SPENT.includes(code)))
            formKey.current = null;
          if (!form) notice({ text: problem.message, tone: 'failed' });
        },
      },
    );
  };
  return {
    log,
    busy: isPending,
    problem: error?.message ?? null,
    /** What is wrong with it, field by field. */
    fields: error instanceof RequestProblem ? error.fields : [],
    /** The form opens anew: another key, and nothing wrong yet. */
    open: () => {
      formKey.current = null;
      reset();
    },
  };
}
