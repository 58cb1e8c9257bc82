import { Agent, request } from 'node:http';
import { at } from '#bench/measure.ts';
import { DEVICE_HEADER } from '#contract/device.ts';

/** An answer later than this is a time-out. */
const PATIENCE_MS = 10_000;

/** What came of the requests of one load. */
export type Tally = {
  readonly times: Map<string, number[]>;
  /** Told to come back; the same request is sent again. */
  readonly comeBack: Map<string, number>;
  timeouts: number;
  readonly errors: Map<string, number>;
};
export const newTally = (): Tally => ({ times: new Map(), comeBack: new Map(), timeouts: 0, errors: new Map() });

const note = (errors: Tally['errors'], what: string) => errors.set(what, (errors.get(what) ?? 0) + 1);
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** `comeBackMs`: told to come back after so long. */
type Answer = { readonly status: number; readonly comeBackMs: number | null; readonly text: string };
class TookTooLong extends Error {}

// Screens keep their connections open between two ticks, as browsers do.
const agent = new Agent({ keepAlive: true });

/** Who asks: the server serves all devices in turn. */
type Asking = { readonly device: string; readonly body?: object };

/** One request; on a connection the server has closed meanwhile it is sent once more, as browsers do. */
function send(url: string, { device, body }: Asking): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const headers = { [DEVICE_HEADER]: device, ...(body && { 'Content-Type': 'application/json' }) };
    const asked = request(url, { agent, method: body === undefined ? 'GET' : 'POST', headers }, (answer) => {
      let text = '';
      answer.setEncoding('utf8');
      answer.on('data', (chunk: string) => (text += chunk));
      answer.on('end', () => {
        const status = answer.statusCode ?? 0;
        const after = answer.headers['retry-after'];
        resolve({ status, comeBackMs: status === 503 && after !== undefined ? 1000 * Number(after) : null, text });
      });
      answer.on('error', reject);
    });
    asked.setTimeout(PATIENCE_MS, () => asked.destroy(new TookTooLong(`nothing within ${PATIENCE_MS} ms`)));
    asked.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ECONNRESET' && asked.reusedSocket) resolve(send(url, { device, ...(body && { body }) }));
      else reject(error);
    });
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

/**
 * Asks as a screen does: who is told to come back does so, for as long as the load lasts.
 *
 * @returns the answer; null where there was none, or the load has ended meanwhile
 */
export async function ask(
  tally: Tally,
  what: string,
  url: string,
  { untilMs, ...asking }: Asking & { readonly untilMs: number },
): Promise<string | null> {
  while (performance.now() < untilMs) {
    const start = performance.now();
    try {
      const { status, comeBackMs, text } = await send(url, asking);
      if (comeBackMs !== null) {
        tally.comeBack.set(what, (tally.comeBack.get(what) ?? 0) + 1);
        await pause(comeBackMs);
        continue;
      }
      const times = tally.times.get(what) ?? [];
      times.push(performance.now() - start);
      tally.times.set(what, times);
      if (status < 400) return text;
      note(tally.errors, `${what}: ${status} ${text.slice(0, 120)}`);
      return null;
    } catch (error) {
      if (error instanceof TookTooLong) tally.timeouts++;
      else note(tally.errors, `${what}: ${(error as Error).message}`);
      return null;
    }
  }
  return null;
}

const ms = (value: number): string => `${value.toFixed(0)} ms`;

/** One line for each kind of request, and what went wrong. */
export function linesOf({ times, comeBack, timeouts, errors }: Tally): string[] {
  const all = [...times.values()].flat().toSorted((a, b) => a - b);
  const line = (what: string, found: readonly number[]) =>
    `  ${what.padEnd(34)} ${String(found.length).padStart(6)}   p50 ${ms(at(found, 0.5)).padStart(7)}   p95 ${ms(at(found, 0.95)).padStart(7)}   longest ${ms(at(found, 1)).padStart(8)}`;
  const sum = (counts: ReadonlyMap<string, number>) => [...counts.values()].reduce((total, one) => total + one, 0);
  return [
    ...[...times].map(([what, found]) =>
      line(
        what,
        found.toSorted((a, b) => a - b),
      ),
    ),
    line('all', all),
    `  told to come back ${sum(comeBack)}, time-outs ${timeouts}, errors ${sum(errors)}`,
    ...[...errors].map(([what, count]) => `    ${count} × ${what}`),
  ];
}
