import path from 'node:path';
import { parseArgs } from 'node:util';
import { asError } from '#core/kernel/as-error.ts';
import type { ServeOptions } from '#server/serve.ts';

/** An option on the command line is wrong; the message says which. */
export class OptionRefusal extends Error {}

const LARGEST_PORT = 65_535;
function portIn(text: string): number {
  // An empty text would count as nought.
  const port = text.trim() === '' ? NaN : Number(text);
  if (Number.isInteger(port) && port >= 0 && port <= LARGEST_PORT) return port;
  throw new OptionRefusal(`--port takes a number from 0 to ${LARGEST_PORT}, not “${text}”`);
}

/** An empty host would listen on every network this machine is in. */
const HOST_LEFT_EMPTY = '--host needs an address, such as 127.0.0.1. Leave it out to stay on this machine.';
const COPIES_LEFT_EMPTY = '--copies needs a folder. Leave it out to keep copies beside the record.';
/** An empty folder would be the one the program was started in. */
const FOLDER_LEFT_EMPTY = '--data needs a folder. Leave it out for the usual one.';
function said(text: string, leftEmpty: string): string {
  if (text.trim() === '') throw new OptionRefusal(leftEmpty);
  return text;
}

/**
 * Reads `--port`, `--host`, `--data`, `--copies` and `--quiet`.
 *
 * @throws OptionFault on an unknown option, a port that is none, or a host or folder left empty
 */
export function readOptions(args: readonly string[], usual: { port: number; dataFolder: string }): ServeOptions {
  let values: { port?: string; host?: string; data?: string; copies?: string; quiet?: boolean };
  try {
    ({ values } = parseArgs({
      args: [...args],
      options: {
        port: { type: 'string' },
        host: { type: 'string' },
        data: { type: 'string' },
        copies: { type: 'string' },
        quiet: { type: 'boolean' },
      },
    }));
  } catch (error) {
    throw new OptionRefusal(asError(error).message);
  }
  // An empty text counts as nought.
  return {
    port: values.port === undefined ? usual.port : portIn(values.port),
    host: values.host === undefined ? '127.0.0.1' : said(values.host, HOST_LEFT_EMPTY),
    dataFolder: path.resolve(values.data === undefined ? usual.dataFolder : said(values.data, FOLDER_LEFT_EMPTY)),
    ...(values.copies !== undefined && { copiesFolder: path.resolve(said(values.copies, COPIES_LEFT_EMPTY)) }),
    quiet: values.quiet ?? false,
  };
}
