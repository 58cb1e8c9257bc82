import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import type { Answered, Frozen, Posted } from '#contract/fact.ts';
import { request, RequestProblem } from '#web/api/http.ts';
import { newKey } from '#web/api/new-key.ts';
import { recordChanged } from '#web/api/record-changes.ts';
import { wallNow } from '#web/clock/today.ts';
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
  readonly onLogged?: (answer: Answer, key: string) => void;
  /** The key of the entry it takes the place of. */
  readonly corrects?: string | undefined;
};

const envelopeOf = (key: string, isAnAddition: boolean): object =>
  isAnAddition ? { id: key } : { key, now: wallNow() };
/** Why a key is of no more use: what it stands for is in the record, or was taken back. */
const SPENT: readonly string[] = ['another-under-this-key', 'taken-back'];

/**
 * The one way into the record: makes the key, sends, says what was done with the way to take it back, and lets the pages
 * look again that the answer names. Sent again after a lost connection it is the same entry, for the key is made once.
 */
export function useLog<Content extends object, Answer extends object>(
  { path, answer, isAnAddition = false }: Posted<Content, Answer>,
  { form }: How = {},
) {
  const cache = useQueryClient();
  const notice = useNotice();
  const { withdraw } = useWithdraw();
  const formKey = useRef<string | null>(null);
  type Sent = { readonly key: string; readonly body: Frozen<Content>; readonly corrects: string | undefined };
  const { mutate, isPending, error, reset } = useMutation({
    mutationFn: ({ key, body, corrects }: Sent): Promise<Answered<Answer>> =>
      request(answer, path, { method: 'POST', body: { ...body, corrects, ...envelopeOf(key, isAnAddition) } }),
    onSuccess: ({ touched }) => recordChanged(cache, touched),
  });

  const log = (body: Frozen<Content>, { said, onLogged, corrects }: Then<Answer> = {}): void => {
    const key = form ? (formKey.current ??= newKey()) : newKey();
    mutate(
      { key, body, corrects },
      {
        onSuccess: (answered) => {
          formKey.current = null;
          if (said !== undefined) {
            const text = typeof said === 'string' ? said : said(answered);
            notice({ text, undo: () => withdraw(key) });
          }
          onLogged?.(answered, key);
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
