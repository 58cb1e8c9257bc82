import type { AddressInfo } from 'node:net';
import { createApp } from '#server/app.ts';
import type { Services } from '#server/services.ts';

/** The server on a free port of this machine, for as long as `work` lasts. */
export async function whileServing<Result>(
  services: () => Services,
  work: (url: string) => Promise<Result>,
): Promise<Result> {
  const app = createApp({
    serve: services,
    health: () => ({ version: 'bench', database: 'ok', migrations: 1 }),
    boundHost: '127.0.0.1',
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  try {
    return await work(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  } finally {
    server.close();
    server.closeAllConnections();
  }
}

/** Asks, and throws where the answer is a refusal. */
export async function ask(url: string, body?: object): Promise<string> {
  const init =
    body === undefined
      ? {}
      : { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  const answer = await fetch(url, init);
  const text = await answer.text();
  if (!answer.ok) throw new Error(`the server answered ${answer.status}: ${text}`);
  return text;
}
