import { spawn, type ChildProcess } from 'node:child_process';
import process from 'node:process';
import { builtProgram, type Program } from '#tools/testing/programs.ts';
import { count, type Counts } from '#tools/torture/counts.ts';

/** An answer later than this is a hang. */
const HANG_MS = 5000;
const LARGEST_ANSWER = 4_000_000;
/** So much of an address and of an answer is told of a fault. */
const LONGEST_TOLD = 120;

/** A server that will be killed. */
export type Victim = {
  readonly url: string;
  readonly pid: number;
  /** kill -9, and gone when this resolves. */
  readonly kill: () => Promise<void>;
  readonly stop: () => Promise<void>;
};

/** Starts a server on a data folder; `onSpawn` gets the process before it says where it is. */
export function startVictim(
  dataFolder: string,
  onSpawn: (child: ChildProcess) => void = () => undefined,
  program: Program = 'main',
): Promise<Victim | null> {
  const args = [builtProgram(program), '--port', '0', '--quiet', '--data', dataFolder];
  const child = spawn(process.execPath, args, {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  onSpawn(child);
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const end = (signal: NodeJS.Signals) => () => {
    child.kill(signal);
    return gone;
  };
  return new Promise((resolve) => {
    let said = '';
    child.stderr?.resume();
    child.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const url = /at (http:\/\/\S+)/.exec(said)?.[1];
      if (url) resolve({ url, pid: child.pid ?? 0, kill: end('SIGKILL'), stop: end('SIGTERM') });
    });
    void gone.then(() => resolve(null));
  });
}

export type Answer = { readonly status: number; readonly body: string };

const COME_BACK_MS = 200;
/** Who is told to come back so often is never served. */
const MOST_TRIES = 50;
const isToComeBack = ({ status, headers }: Response): boolean => status === 503 && headers.has('retry-after');

/**
 * Asks a victim something; who is told to come back does so. Any other 5xx, an answer that does not come, and one without end are faults; a server that was killed
 * meanwhile answers nothing, which is none.
 */
export async function ask(
  counts: Counts,
  { url }: Pick<Victim, 'url'>,
  path: string,
  init: RequestInit = {},
): Promise<Answer | null> {
  count(counts, 'requests');
  try {
    const send = () => fetch(`${url}${path}`, { ...init, signal: AbortSignal.timeout(HANG_MS) });
    let answer = await send();
    for (let tries = 1; tries < MOST_TRIES && isToComeBack(answer); tries++) {
      count(counts, '  told to come back');
      await new Promise((resolve) => setTimeout(resolve, COME_BACK_MS));
      answer = await send();
    }
    const body = await answer.text();
    if (answer.status >= 500)
      counts.faults.push(
        `${init.method ?? 'GET'} ${path.slice(0, LONGEST_TOLD)}: ${answer.status} ${body.slice(0, LONGEST_TOLD)}`,
      );
    if (body.length > LARGEST_ANSWER) counts.faults.push(`${path}: an answer of ${body.length} bytes`);
    return { status: answer.status, body };
  } catch (error) {
    if ((error as Error).name === 'TimeoutError')
      counts.faults.push(`${init.method ?? 'GET'} ${path}: no answer in ${HANG_MS} ms`);
    return null;
  }
}

export const post = (
  counts: Counts,
  victim: Pick<Victim, 'url'>,
  path: string,
  body: unknown,
): Promise<Answer | null> =>
  ask(counts, victim, path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
