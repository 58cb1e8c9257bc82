import type { RequestHandler } from 'express';
import { sendFailure } from '#server/http/problem.ts';

/** Who would have to wait longer than this is told to come back, ms. */
const MOST_WAIT_MS = 250;
/** Never so few: a machine that was busy with something else, or asleep, is not one that has too much to do here. */
const LEAST_IN_LINE = 30;
/**
 * So long requests are answered in one go before the event loop turns, ms. Node takes in one new connection a turn: if
 * it turned only once all requests at hand are answered, newcomers would wait for seconds before anybody knew of them.
 */
const TURN_MS = 5;

type Waiting = { readonly since: number; readonly go: () => void };

/**
 * Lets requests in one after another, in the order they came.
 *
 * @param nowMs a clock that only goes forward
 * @param later calls back once the event loop has turned
 */
export function createLine(
  nowMs: () => number = () => performance.now(),
  later: (work: () => void) => void = setImmediate,
) {
  const waiting: Waiting[] = [];
  let isMoving = false;
  const move = (): void => {
    const start = nowMs();
    for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
      next.go();
      if (nowMs() - start >= TURN_MS) break;
    }
    isMoving = waiting.length > 0;
    if (isMoving) later(move);
  };
  return {
    /** Have so many waited so long that nobody else should begin to? */
    isTooLong: (): boolean => {
      const [first] = waiting;
      return first !== undefined && waiting.length >= LEAST_IN_LINE && nowMs() - first.since > MOST_WAIT_MS;
    },
    enter: (go: () => void): void => {
      waiting.push({ since: nowMs(), go });
      if (isMoving) return;
      isMoving = true;
      later(move);
    },
  };
}

/**
 * Answers requests in the order they came. Who comes while too many wait already is told to come back in a moment, at
 * the door: `atTheDoor` goes before anything that costs, `inLine` where a request is whole.
 */
export function waitingLine(): { readonly atTheDoor: RequestHandler; readonly inLine: RequestHandler } {
  const line = createLine();
  return {
    atTheDoor: (_req, res, next) =>
      line.isTooLong() ? sendFailure(res, { code: 'busy', field: '', fault: { code: 'too-much-at-once' } }) : next(),
    inLine: (_req, _res, next) => line.enter(next),
  };
}
