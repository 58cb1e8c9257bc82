import type { Request, RequestHandler } from 'express';
import { ByTurns } from '#server/by-turns.ts';
import { deviceOf } from '#server/http/caller.ts';
import { sendFailure } from '#server/http/problem.ts';

/** Who would have to wait longer than this is told to come back, ms: coming back takes longer than that. */
const MOST_WAIT_MS = 1000;
/** Never so few: a machine that was busy with something else, or asleep, is not one that has too much to do here. */
const LEAST_IN_LINE = 30;
/**
 * So long requests are answered in one go before the event loop turns, ms. Node takes in one new connection a turn: if
 * it turned only once all requests at hand are answered, newcomers would wait for seconds before anybody knew of them.
 */
const TURN_MS = 5;

/** What a hand at an instrument waits for goes before what is looked up. */
export type Urgency = 'now' | 'soon';
/** So often in a row, and then one that has time has its turn: nobody is kept waiting for ever. */
const MOST_IN_A_ROW = 8;

/**
 * Lets requests in by client in turn, what is wanted now before what is wanted soon.
 *
 * @param nowMs a clock that only goes forward
 * @param later calls back once the event loop has turned
 */
export function createLine(
  nowMs: () => number = () => performance.now(),
  later: (work: () => void) => void = setImmediate,
) {
  const waiting = { now: new ByTurns<() => void>(nowMs), soon: new ByTurns<() => void>(nowMs) };
  let isMoving = false;
  let inARow = 0;
  const next = (): (() => void) | undefined => {
    const urgent = inARow < MOST_IN_A_ROW || waiting.soon.clients === 0 ? waiting.now.take() : undefined;
    inARow = urgent ? inARow + 1 : 0;
    return urgent ?? waiting.soon.take();
  };
  const move = (): void => {
    const start = nowMs();
    for (let go = next(); go; go = next()) {
      go();
      if (nowMs() - start >= TURN_MS) break;
    }
    isMoving = waiting.now.clients + waiting.soon.clients > 0;
    if (isMoving) later(move);
  };
  return {
    /**
     * Should this client not begin to wait? It should not where it has so much waiting itself already, or so many others
     * wait, and their turns come so late, that its own would.
     */
    isTooLong: (client: string, urgency: Urgency): boolean => {
      const queue = waiting[urgency];
      const isGreedy = queue.waitingOf(client) >= LEAST_IN_LINE && queue.oldestWaitMs(client) > MOST_WAIT_MS;
      return isGreedy || (queue.clients >= LEAST_IN_LINE && queue.turnWaitMs() > MOST_WAIT_MS);
    },
    enter: (client: string, urgency: Urgency, go: () => void): void => {
      waiting[urgency].add(client, go);
      if (isMoving) return;
      isMoving = true;
      later(move);
    },
  };
}

/**
 * Answers requests by device in turn. Who comes while too much waits already is told to come back in a moment, at the
 * door: `atTheDoor` goes before anything that costs, `inLine` where a request is whole.
 *
 * @param urgencyOf what a hand at an instrument waits for
 */
export function waitingLine(urgencyOf: (req: Request) => Urgency): {
  readonly atTheDoor: RequestHandler;
  readonly inLine: RequestHandler;
} {
  const line = createLine();
  return {
    atTheDoor: (req, res, next) =>
      line.isTooLong(deviceOf(req), urgencyOf(req))
        ? sendFailure(res, { code: 'busy', field: '', refusal: { code: 'too-much-at-once' } })
        : next(),
    inLine: (req, _res, next) => line.enter(deviceOf(req), urgencyOf(req), next),
  };
}
