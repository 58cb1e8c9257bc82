import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { asError } from '#core/kernel/as-error.ts';
import { marketSplit } from '#core/testing/market-split.ts';
import { draftProgram, type Program } from '#core/solve/program.ts';
import { TooMuchAtOnce } from '#server/failure.ts';
import { MOST_WAITING, MOST_WAITING_EACH } from '#server/work/line.ts';
import { createDesk, OutOfPatience, WorkerTrouble, type Desk } from '#server/work/desk.ts';

// One thread for all of them: it takes longer to start than most of the work.
let desk: Desk;
beforeAll(() => {
  desk = createDesk();
});
afterAll(() => desk.close());

/** The cheapest whole number that is at least `least`. */
function least(of: number): Program {
  const { column, row, program } = draftProgram();
  const one = column({ name: 'one', cost: 1, whole: true });
  row({ name: 'enough', terms: [[one, 1]], least: of });
  return program();
}
/** No machine is done with it in the time of a test. */
const hard = (): Program => marketSplit(6);
const limits = { seconds: 60, gap: 0, iterations: 1e6, nodes: 1e6 };

describe('long work', () => {
  test('is done in a thread of its own, while this one goes on', async () => {
    let turns = 0;
    const counting = setInterval(() => (turns += 1), 5);
    const stop = new AbortController();
    const asked = desk.ask('solve', { program: hard(), limits: { ...limits, seconds: 1 } }, { signal: stop.signal });
    const answer = await asked;
    clearInterval(counting);
    expect(answer.kind).toBe('found');
    expect(turns).toBeGreaterThan(50);
  });

  test('is answered each in its own, in whatever number', async () => {
    const answers = await Promise.all([2.5, 0, 7].map((of) => desk.ask('solve', { program: least(of), limits })));
    expect(answers.map((answer) => answer.kind === 'found' && answer.cost)).toEqual([3, 0, 7]);
  });

  test('that is stopped ends at once, and what waits behind it is done', async () => {
    const stop = new AbortController();
    const long = desk.ask('solve', { program: hard(), limits }, { signal: stop.signal });
    const behind = desk.ask('solve', { program: least(4), limits });
    setTimeout(() => stop.abort(new Error('no longer wanted')), 300);
    await expect(long).rejects.toThrow('no longer wanted');
    expect(await behind).toMatchObject({ kind: 'found', cost: 4 });
    await expect(desk.ask('solve', { program: least(1), limits }, { signal: stop.signal })).rejects.toThrow(
      'no longer wanted',
    );
  });

  test('that fails says why, and the next piece is done', async () => {
    const broken: Program = {
      columns: [{ name: 'a', cost: 1, least: 0, most: 1, whole: false }],
      rows: [{ name: 'r', terms: [[7, 1]], least: 0, most: 1 }],
    };
    await expect(desk.ask('solve', { program: broken, limits })).rejects.toThrow();
    await expect(desk.ask('no such work' as never, {} as never)).rejects.toThrow('no long work called');
    expect(await desk.ask('solve', { program: least(2), limits })).toMatchObject({ cost: 2 });
  });

  test('is given its time from when it begins: what waits behind something long is not to blame', async () => {
    const long = desk.ask('solve', { program: hard(), limits: { ...limits, seconds: 1.5 } });
    const behind = desk.ask('solve', { program: least(4), limits }, { patienceMs: 1000 });
    expect(await behind).toMatchObject({ kind: 'found', cost: 4 });
    await long;
    const endless = desk.ask('solve', { program: hard(), limits }, { patienceMs: 300 });
    const next = desk.ask('solve', { program: least(2), limits }, { patienceMs: 10_000 });
    await expect(endless).rejects.toThrow(OutOfPatience);
    expect(await next).toMatchObject({ cost: 2 });
  });

  test('goes by device in turn: who asks for much makes nobody else wait for all of it', async () => {
    const done: string[] = [];
    const ask = (device: string, name: string) =>
      desk
        .ask('solve', { program: hard(), limits: { ...limits, seconds: 0.5 } }, { device })
        .then(() => void done.push(name));
    await Promise.all([ask('a', 'a1'), ask('a', 'a2'), ask('a', 'a3'), ask('b', 'b1')]);
    expect(done).toEqual(['a1', 'a2', 'b1', 'a3']);
  });

  test('waits in twos for each device: more is refused at once, and so is too much of all', async () => {
    const stops: AbortController[] = [];
    const ask = (device: string) => {
      const stop = new AbortController();
      stops.push(stop);
      const asked = desk.ask('solve', { program: hard(), limits }, { device, signal: stop.signal });
      return asked.catch(asError);
    };
    const first = [ask('a'), ask('a'), ask('a')];
    expect(await ask('a')).toBeInstanceOf(TooMuchAtOnce);
    const others = Array.from({ length: MOST_WAITING - MOST_WAITING_EACH }, (_, index) => ask(`other ${index}`));
    expect(await ask('new')).toBeInstanceOf(TooMuchAtOnce);
    for (const stop of stops) stop.abort(new Error('enough'));
    const ends = await Promise.all([...first, ...others]);
    expect(new Set(ends.map((end) => 'message' in end && end.message))).toEqual(new Set(['enough']));
    expect(await desk.ask('solve', { program: least(2), limits }, { device: 'a' })).toMatchObject({ cost: 2 });
  });

  test('that is stopped while it waits gives its place to the next', async () => {
    const stop = new AbortController();
    const ask = (signal?: AbortSignal) =>
      desk.ask('solve', { program: hard(), limits: { ...limits, seconds: 0.5 } }, { ...(signal && { signal }) });
    const first = ask();
    const second = expect(ask(stop.signal)).rejects.toThrow('no longer');
    const third = ask();
    stop.abort(new Error('no longer'));
    await second;
    const fourth = ask();
    expect((await Promise.all([first, third, fourth])).map(({ kind }) => kind)).toEqual(['found', 'found', 'found']);
  });

  test('that waits when the desk is closed is refused', async () => {
    const closing = createDesk();
    const ask = () => expect(closing.ask('solve', { program: hard(), limits })).rejects.toThrow(WorkerTrouble);
    const refused = [ask(), ask()];
    await closing.close();
    await Promise.all(refused);
  });
});
