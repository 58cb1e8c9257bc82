import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import path from 'node:path';
import process from 'node:process';
import pino from 'pino';
import { asError } from '#core/kernel/as-error.ts';
import { checkBook } from '#core/check/check-book.ts';
import { RECORD_REFUSALS } from '#core/record/record-refusal-words.ts';
import { fieldOf } from '#core/record/fact.ts';
import { BOOK } from '#core/tables/book.ts';
import { createApp } from '#server/app.ts';
import { IncomingFiles } from '#server/features/data/incoming.ts';
import { FACTS } from '#server/facts.ts';
import { holdRecord, type HeldRecord } from '#server/held-record.ts';
import { HOME } from '#server/home.ts';
import { foldersOf, newestCopyWords } from '#server/backup/kept-copies.ts';
import { type OpenDatabase, DataFolderRefusal, RecordDamaged } from '#server/db/connection.ts';
import { appliedMigrations } from '#server/db/migrate.ts';
import { MigrationRefusal } from '#server/db/migration-order.ts';
import { keepDailyCopies } from '#server/backup/daily-copies.ts';
import { createDesk } from '#server/work/desk.ts';
import { lookOver, orphanWords } from '#server/db/look-over.ts';
import { recordTrouble, RecordUnusable } from '#server/db/record-trouble.ts';

export type ServeOptions = {
  readonly port: number;
  readonly host: string;
  readonly dataFolder: string;
  /** Where copies are kept; beside the record unless it is said. */
  readonly copiesFolder?: string;
  readonly quiet: boolean;
};

/** The server cannot start or stop as it should; the message says what to do. */
class StartRefusal extends Error {}

const version = String(fieldOf(JSON.parse(readFileSync(path.join(HOME, 'package.json'), 'utf8')), 'version'));

/** A request that does not come to its end is let go: nobody needs longer for so little. */
const PATIENCE = {
  headersTimeout: 5000,
  requestTimeout: 10_000,
  // Longer than a player takes from one tick to the next: a new connection costs more than an idle one.
  keepAliveTimeout: 65_000,
  connectionsCheckingInterval: 1000,
} as const;

/** Connections that may wait to be taken in: who is not even that waits for seconds before anybody hears of them. */
const BACKLOG = 4096;

const NO_ADDRESS: readonly string[] = ['EADDRNOTAVAIL', 'ENOTFOUND', 'EAI_AGAIN'];
/** Addresses that stand for every network the machine is in. */
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];
const EVERYWHERE_WORDS =
  'Ulu listens on every network this machine is in, but answers only under the machine’s own names: it has no passwords yet, so other devices are refused.';

/** Why the server cannot listen, by the codes of the system. */
function listenRefusal({ host, port }: ServeOptions, code: string | undefined): string {
  if (code === 'EADDRINUSE') return `Port ${port} is taken, perhaps by another Ulu. Choose another with --port NUMBER.`;
  if (code !== undefined && NO_ADDRESS.includes(code))
    return `${host} is no address of this machine. Leave --host out, or name one that is.`;
  return `The server cannot listen on port ${port} (${code ?? 'unknown reason'}). Choose another with --port NUMBER.`;
}

function open({ dataFolder, copiesFolder }: ServeOptions, composing: Parameters<typeof holdRecord>[1]): HeldRecord {
  try {
    return holdRecord(dataFolder, composing, { copiesFolder });
  } catch (error) {
    if (error instanceof RecordDamaged)
      throw new StartRefusal([error.message, ...newestCopyWords(foldersOf(dataFolder, copiesFolder))].join(' '));
    if (error instanceof DataFolderRefusal || error instanceof MigrationRefusal) throw new StartRefusal(error.message);
    throw error;
  }
}

const listen = (server: Server, options: ServeOptions): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      reject(new StartRefusal(listenRefusal(options, error.code))),
    );
    server.listen({ port: options.port, host: options.host, backlog: BACKLOG }, () => resolve());
  });

/** Folds the write-ahead log into the file, so that what is left behind is one whole database. @throws StartFault */
function closeRecord({ client, close }: OpenDatabase): void {
  try {
    client.pragma('wal_checkpoint(TRUNCATE)');
  } catch (error) {
    const why = recordTrouble(error)?.message ?? asError(error).message;
    throw new StartRefusal(`Stopped, but the record could not be tidied up: ${why}`);
  } finally {
    close();
  }
}

/** A running server. */
export type Served = { readonly url: string; readonly stop: () => Promise<void> };

/**
 * Opens the data folder and listens. Resolves once requests are answered.
 *
 * @throws StartFault when the port is taken or the data folder cannot be used
 */
export async function serve(options: ServeOptions): Promise<Served> {
  const { port, host, quiet } = options;
  checkBook(BOOK);
  const log = pino({ level: quiet ? 'silent' : 'info' }, pino.destination(2));
  const desk = createDesk();
  const composing = { book: BOOK, nowMs: () => Date.now(), desk };
  const record = open(options, composing);
  const incoming = new IncomingFiles({ ...composing, record, definitions: FACTS });
  const app = createApp({
    serve: record.serve,
    files: { record, incoming, nowMs: composing.nowMs },
    health: () => ({
      version,
      database: record.database().watch.state(),
      migrations: appliedMigrations(record.database().client).length,
    }),
    boundHost: host,
    noticed: (error) => record.database().watch.noticed(error),
    log,
    webFolder: path.join(HOME, 'web/dist'),
  });
  const server = createServer(PATIENCE, app);
  try {
    await listen(server, options);
  } catch (error) {
    record.database().close();
    throw error;
  }
  const endCopies = keepDailyCopies(record.database, record.folders, console.error);
  const { client, watch } = record.database();
  const looking = lookOver(client.name);
  void looking.found.then((found) => {
    if (found === null) return;
    if (!found.isWhole) watch.noticed(new RecordUnusable('damaged'));
    const words = found.isWhole ? orphanWords(client.name, found) : RECORD_REFUSALS.damaged();
    if (words !== null) console.error(words);
  });
  const address = server.address();
  const boundPort = typeof address === 'object' && address ? address.port : port;
  const named = EVERYWHERE.includes(host) ? '127.0.0.1' : host;
  return {
    url: `http://${named.includes(':') ? `[${named}]` : named}:${boundPort}`,
    stop: () =>
      new Promise((resolve, reject) => {
        endCopies();
        incoming.endAll();
        void desk.close();
        void looking.end();
        server.close(() => {
          try {
            closeRecord(record.database());
            resolve();
          } catch (error) {
            reject(asError(error));
          }
        });
        server.closeAllConnections();
      }),
  };
}

/** One line for a person, whatever went wrong; never a stack. */
function say(error: unknown): void {
  const known = error instanceof StartRefusal;
  console.error(known ? error.message : `Ulu could not go on: ${asError(error).message}`);
  process.exitCode = 1;
}

/** Serves until a signal asks for the end; says where, or why not. */
export async function serveUntilStopped(options: ServeOptions, greeting: (url: string) => string): Promise<void> {
  try {
    const { url, stop } = await serve(options);
    console.log(greeting(url));
    if (EVERYWHERE.includes(options.host)) console.log(EVERYWHERE_WORDS);
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
      process.once(signal, () => {
        void stop()
          .catch(say)
          .then(() => process.exit(process.exitCode ?? 0));
      });
  } catch (error) {
    say(error);
  }
}
