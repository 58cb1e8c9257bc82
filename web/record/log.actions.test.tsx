/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { fact } from '#contract/fact.ts';
import { amount } from '#contract/scalars.ts';
import { outbox, sender } from '#web/record/sending.ts';
import { useLog } from '#web/record/log.actions.ts';
import { loggedAs, pretendServer, refusal, renderWriting } from '#web/testing/pretend-server.tsx';

afterEach(() => {
  cleanup();
  // Each test is a device of its own.
  for (const { key } of [...outbox.shown().waiting, ...outbox.shown().refused]) outbox.remove(key);
});

const KEY = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const PATH = '/api/things';
const thingFact = fact({ kind: 'thing', path: PATH, fields: { size: amount().required() }, about: () => [] });

function Writing({ form, needsServer = false }: { readonly form?: true; readonly needsServer?: boolean }) {
  const { log, problem, open, fields } = useLog({ ...thingFact, needsServer }, form ? { form } : {});
  return (
    <>
      <button onClick={() => log({ size: 3 }, { said: 'Three is in the record.' })}>Log it</button>
      <button onClick={open}>Open anew</button>
      <output>{problem ?? 'nothing wrong'}</output>
      <ul>
        {fields.map(({ field, code }) => (
          <li key={field}>
            {field}: {code}
          </li>
        ))}
      </ul>
    </>
  );
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const keysSent = (asked: ReturnType<typeof pretendServer>['asked']) =>
  asked.filter(({ path }) => path === PATH).map(({ body }) => body?.key);

describe('the way into the record', () => {
  test('sends what is said with a key and the wall clock, and says what was done', async () => {
    const { asked } = pretendServer();
    renderWriting(<Writing />);
    press('Log it');
    await screen.findByText('Three is in the record.');
    expect(asked).toHaveLength(1);
    expect(asked[0]).toMatchObject({ method: 'POST', path: PATH, body: { size: 3, now: { on: expect.any(String) } } });
    expect(asked[0]?.body?.key).toMatch(KEY);
  });

  test('Undo takes back what was logged, and nothing else', async () => {
    const { asked } = pretendServer();
    renderWriting(<Writing />);
    press('Log it');
    await screen.findByText('Three is in the record.');
    const [logged] = keysSent(asked);
    press('Undo');
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]).toMatchObject({ method: 'POST', path: '/api/withdrawals', body: { targetKey: logged } });
    expect(asked[1]?.body?.key).not.toBe(logged);
  });

  test('each tap is an entry of its own', async () => {
    const { asked } = pretendServer();
    renderWriting(<Writing />);
    press('Log it');
    await waitFor(() => expect(asked).toHaveLength(1));
    press('Log it');
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(new Set(keysSent(asked)).size).toBe(2);
  });

  test('where nobody answers is kept on this device, said to be so, and sent once somebody does', async () => {
    const { asked, answers } = pretendServer(() => null);
    renderWriting(<Writing form />);
    press('Log it');
    await screen.findByText(/^Not sent yet: it is kept on this device/);
    expect(screen.getByText('nothing wrong')).toBeTruthy();
    expect(outbox.waiting().map(({ says }) => says)).toEqual(['Three is in the record.']);
    answers(loggedAs);
    await sender.flush();
    expect(outbox.waiting()).toEqual([]);
    expect(new Set(keysSent(asked)).size).toBe(1);
    press('Log it');
    await screen.findByText('Three is in the record.');
    expect(new Set(keysSent(asked)).size).toBe(2);
  });

  test('what waits is taken back by Undo before it was ever sent', async () => {
    const { asked, answers } = pretendServer(() => null);
    renderWriting(<Writing />);
    press('Log it');
    await screen.findByText(/^Not sent yet/);
    const tried = asked.length;
    press('Undo');
    await waitFor(() => expect(outbox.waiting()).toEqual([]));
    answers(loggedAs);
    await sender.flush();
    expect(asked.slice(tried)).toEqual([]);
  });

  test('what needs an answer at once does not wait: it says that nobody answers, and is the same entry sent again', async () => {
    const { asked, answers } = pretendServer(() => null);
    renderWriting(<Writing form needsServer />);
    press('Log it');
    await waitFor(() => expect(screen.getByRole('status').textContent).not.toBe('nothing wrong'));
    expect(outbox.waiting()).toEqual([]);
    answers(loggedAs);
    press('Log it');
    await screen.findByText('Three is in the record.');
    press('Log it');
    await waitFor(() => expect(keysSent(asked)).toHaveLength(3));
    const [lost, again, next] = keysSent(asked);
    expect(again).toBe(lost);
    expect(next).not.toBe(lost);
  });

  test('a form that opens anew has another key, and nothing is wrong with it yet', async () => {
    const { asked } = pretendServer(() => refusal('too-much', [{ field: 'size', code: 'too-much', message: 'Less.' }]));
    renderWriting(<Writing form />);
    press('Log it');
    await screen.findByText('size: too-much');
    expect(screen.getByText('It says no: too-much.')).toBeTruthy();
    press('Open anew');
    await screen.findByText('nothing wrong');
    expect(screen.queryByText('size: too-much')).toBeNull();
    press('Log it');
    await waitFor(() => expect(keysSent(asked)).toHaveLength(2));
    expect(new Set(keysSent(asked)).size).toBe(2);
  });

  test.each(['another-under-this-key', 'taken-back'])('a key that is spent (%s) is not used again', async (code) => {
    const { asked } = pretendServer(() => refusal(code, [{ field: 'key', code, message: 'Spent.' }]));
    renderWriting(<Writing form />);
    press('Log it');
    await screen.findByText(`key: ${code}`);
    press('Log it');
    await waitFor(() => expect(keysSent(asked)).toHaveLength(2));
    expect(new Set(keysSent(asked)).size).toBe(2);
  });

  test('a tap that fails says so where everything is said; a form says it itself', async () => {
    pretendServer(() => refusal('no'));
    renderWriting(<Writing />);
    press('Log it');
    expect((await screen.findByRole('alert')).textContent).toContain('It says no: no.');
    cleanup();
    renderWriting(<Writing form />);
    press('Log it');
    await screen.findByText('It says no: no.');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('an answer that is not what was agreed is not taken for one', async () => {
    pretendServer(() => ({ status: 201, body: { something: 'else' } }));
    renderWriting(<Writing />);
    press('Log it');
    await screen.findByRole('alert');
    expect(screen.queryByText('Three is in the record.')).toBeNull();
  });
});
