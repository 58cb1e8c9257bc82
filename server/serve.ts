import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import process from 'node:process';
import pino from 'pino';
import { checkBook } from '#core/care/check-book.ts';
import { createApp } from '#server/app.ts';
import { openDatabase, DataFolderFault } from '#server/db/connection.ts';
import { appliedMigrations } from '#server/db/migrate.ts';
import { MigrationFault } from '#server/db/migration-order.ts';
import { servicesOn } from '#server/repositories.ts';

export type ServeOptions = {
  readonly port: number;
  readonly host: string;
  readonly dataFolder: string;
  readonly quiet: boolean;
};

/** The server cannot start; the message says what to do. */
export class StartFault extends Error {}

const root = path.resolve(import.meta.dirname, '..');
const { version } = JSON.parse(readFileSync(path.join(root, 'package.json'), 'utf8')) as { version: string };

const portMessage = (port: number, code: string | undefined): string => {
  if (code === 'EADDRINUSE') return `Port ${port} is taken, perhaps by another Ulu. Choose another with --port NUMBER.`;
  return `The server cannot listen on port ${port} (${code ?? 'unknown reason'}). Choose another with --port NUMBER.`;
};

/**
 * Opens the data folder and listens. Resolves once requests are answered.
 *
 * @throws StartFault when the port is taken or the data folder cannot be used
 */
export async function serve({
  port,
  host,
  dataFolder,
  quiet,
}: ServeOptions): Promise<{ url: string; stop: () => Promise<void> }> {
  checkBook();
  let database: ReturnType<typeof openDatabase>;
  try {
    database = openDatabase(dataFolder);
  } catch (error) {
    if (error instanceof DataFolderFault || error instanceof MigrationFault) throw new StartFault(error.message);
    throw error;
  }
  const log = pino({ level: quiet ? 'silent' : 'info' }, pino.destination(2));
  const app = createApp({
    services: servicesOn(database.db, () => Date.now()),
    version,
    countMigrations: () => appliedMigrations(database.client).length,
    boundHost: host,
    log,
    webFolder: path.join(root, 'web/dist'),
  });
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(port, host, (error?: NodeJS.ErrnoException) => {
      if (!error) return resolve(listening);
      database.close();
      return reject(new StartFault(portMessage(port, error.code)));
    });
  });
  const address = server.address();
  const boundPort = typeof address === 'object' && address ? address.port : port;
  return {
    url: `http://${host.includes(':') ? `[${host}]` : host}:${boundPort}`,
    stop: () =>
      new Promise((resolve) => {
        server.close(() => {
          // Folds the write-ahead log into the file, so that what is left behind is one whole database.
          database.client.pragma('wal_checkpoint(TRUNCATE)');
          database.close();
          resolve();
        });
        server.closeAllConnections();
      }),
  };
}

/** Serves until a signal asks for the end; says where, or why not. */
export async function serveUntilStopped(options: ServeOptions, greeting: (url: string) => string): Promise<void> {
  try {
    const { url, stop } = await serve(options);
    console.log(greeting(url));
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
      process.once(signal, () => {
        void stop().then(() => process.exit(0));
      });
  } catch (error) {
    if (!(error instanceof StartFault)) throw error;
    console.error(error.message);
    process.exitCode = 1;
  }
}
