import { describe, expect, test } from '@jest/globals';
import { share } from '#server/work/shared-work.ts';

/** Work that is done when it is told so, and somebody who may leave. */
function sharing() {
  let finish: (plan: string) => void = () => undefined;
  const done = new Promise<string>((resolve) => {
    finish = resolve;
  });
  const heard: string[] = [];
  const shared = share(
    (wanted) => {
      wanted.addEventListener('abort', () => heard.push('ended'));
      return { done };
    },
    () => heard.push('unwanted'),
  );
  const ask = (left: AbortSignal) => shared.wait(left, (work) => work.done);
  return { ask, heard, finish: (plan: string) => finish(plan) };
}
const leave = (who: AbortController) => who.abort(new Error('gone'));

describe('work that several wait for', () => {
  test('is done once for all of them', async () => {
    const { ask, heard, finish } = sharing();
    const both = Promise.all([ask(new AbortController().signal), ask(new AbortController().signal)]);
    finish('a plan');
    expect(await both).toEqual(['a plan', 'a plan']);
    expect(heard).toEqual([]);
  });

  test('goes on when one of them leaves, and ends when the last does', async () => {
    const { ask, heard } = sharing();
    const [one, other] = [new AbortController(), new AbortController()];
    const answers = [ask(one.signal), ask(other.signal)];
    leave(one);
    await expect(answers[0]).rejects.toThrow('gone');
    expect(heard).toEqual([]);
    leave(other);
    await expect(answers[1]).rejects.toThrow('gone');
    // First forgotten, then ended: nobody joins what is ending.
    expect(heard).toEqual(['unwanted', 'ended']);
  });

  test('is not ended by who leaves after the answer', async () => {
    const { ask, heard, finish } = sharing();
    const one = new AbortController();
    const answer = ask(one.signal);
    finish('a plan');
    await answer;
    leave(one);
    expect(heard).toEqual([]);
  });

  test('is refused to who had left before, and nobody else waits', async () => {
    const { ask, heard } = sharing();
    const one = new AbortController();
    leave(one);
    await expect(ask(one.signal)).rejects.toThrow('gone');
    expect(heard).toEqual(['unwanted', 'ended']);
  });
});
