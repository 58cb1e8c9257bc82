import type { WallClock } from '#core/plays/play.ts';
import { addDays, dayNumber, localDate } from '#core/time/local-date.ts';
import { oneOfEach } from '#server/testing/one-of-each.ts';
import { TODAY } from '#server/testing/test-server.ts';

/** Sends something; null where nobody answered, which is a server that was killed. */
export type Send = (path: string, body: object) => Promise<{ readonly status: number; readonly body: string } | null>;
export type Entry = { readonly path: string; readonly body: Readonly<Record<string, unknown>> };

/** The server is gone. */
export class Gone extends Error {}

const A_DAY = /\b\d{4}-\d{2}-\d{2}\b/g;

/** The same some days earlier or later, sent now. */
function moved<Body extends object>(body: Body, days: number, now: WallClock): Body {
  const text = JSON.stringify(body).replace(A_DAY, (day) => addDays(localDate(day), days));
  const same = JSON.parse(text) as Body;
  return 'now' in same ? { ...same, now } : same;
}

/** Every kind of fact there is to be logged, by the list of facts: a new one is in it without being named here. */
export const KINDS: readonly string[] = Object.keys(oneOfEach);

/**
 * An example of a kind, so many days ago; what it stands on is sent first.
 *
 * @throws Gone where nobody answers any more
 */
export async function entryOf(kind: string, daysAgo: number, now: WallClock, send: Send): Promise<Entry | null> {
  const days = dayNumber(now.on) - dayNumber(localDate(TODAY)) - daysAgo;
  /** As the examples know it: what they stand on is there, or there is no example. */
  const post = (path: string, body: object) => ({
    expect: async (status: number) => {
      const answer = await send(path, moved(body, days, now));
      if (answer === null) throw new Gone();
      if (answer.status !== status) throw new Error(`${path}: ${answer.status}`);
      return { body: JSON.parse(answer.body) as unknown };
    },
  });
  try {
    const made = await oneOfEach[kind]?.make(post as never);
    if (made === undefined) return null;
    const body = moved(made.body, days, now);
    // What has left is logged on no more: the one nothing else is logged on goes.
    return { path: made.path, body: kind === 'departure' ? { ...body, instrumentId: 'other' } : body };
  } catch (error) {
    if (error instanceof Gone) throw error;
    // What it stands on was refused: two plays at one time, a reed that is played no more.
    return null;
  }
}
