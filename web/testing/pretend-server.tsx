import { jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { recordPaths } from '#contract/record.ts';
import { NoticeProvider } from '#web/ui/Notice.tsx';

type Answer = { readonly status: number; readonly body: unknown };
export type Asked = { readonly method: string; readonly path: string; readonly body: Record<string, unknown> | null };

/** An answer of the program's own kind that says no. */
export const refusal = (code: string, errors: readonly object[] = []): Answer => ({
  status: 400,
  body: {
    type: 'about:blank',
    title: 'No',
    status: 400,
    code: 'invalid-request',
    detail: `It says no: ${code}.`,
    errors,
  },
});
/** What was logged is answered with its key, what was taken back with its own as well. */
export const loggedAs = ({ path, body }: Asked): Answer => ({
  status: 201,
  body:
    path === recordPaths.withdraw
      ? { key: body?.key, targetKey: body?.targetKey, at: '2026-11-24T20:00:00.000Z', touched: [] }
      : { key: body?.key, touched: [] },
});

/** What a component asks of the server, and the answers it gets: `null` is none at all, as of a server that has gone. */
export function pretendServer(answer: (asked: Asked) => Answer | null = loggedAs) {
  const asked: Asked[] = [];
  const settings = { answer };
  globalThis.fetch = jest.fn(async (path: unknown, { method = 'GET', body }: RequestInit = {}) => {
    const one: Asked = { method, path: String(path), body: typeof body === 'string' ? JSON.parse(body) : null };
    asked.push(one);
    const given = settings.answer(one);
    if (given === null) throw new TypeError('nobody answers');
    const ok = given.status < 400;
    return { ok, status: given.status, headers: new Map(), json: async () => given.body } as unknown as Response;
  }) as typeof fetch;
  return {
    asked,
    answers: (next: (of: Asked) => Answer | null) => {
      settings.answer = next;
    },
  };
}

/** Draws what writes to the record, with the notices and the cache the app has. */
export function renderWriting(children: ReactNode) {
  const cache = new QueryClient({ defaultOptions: { mutations: { retry: false, networkMode: 'always' } } });
  return render(
    <QueryClientProvider client={cache}>
      <NoticeProvider>{children}</NoticeProvider>
    </QueryClientProvider>,
  );
}
