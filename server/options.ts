import path from 'node:path';
import { parseArgs } from 'node:util';
import { asError } from '#core/kernel/as-error.ts';
import type { ServeOptions } from '#server/serve.ts';

/** An option on the command line is wrong; the message says which. */
export class OptionFault extends Error {}

/**
 * Reads `--port`, `--host`, `--data` and `--quiet`.
 *
 * @throws OptionFault on an unknown option, a port that is none, or a host or folder left empty
 */
export function readOptions(args: readonly string[], usual: { port: number; dataFolder: string }): ServeOptions {
  let values: { port?: string; host?: string; data?: string; quiet?: boolean };
  try {
    ({ values } = parseArgs({
      args: [...args],
      options: {
        port: { type: 'string' },
        host: { type: 'string' },
        data: { type: 'string' },
        quiet: { type: 'boolean' },
      },
    }));
  } catch (error) {
    throw new OptionFault(asError(error).message);
  }
  // An empty text counts as nought.
  const port = values.port === undefined ? usual.port : values.port.trim() === '' ? NaN : Number(values.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new OptionFault(`--port takes a number from 0 to 65535, not “${values.port}”`);
  // An empty host would listen on every network this machine is in.
  if (values.host?.trim() === '')
    throw new OptionFault('--host needs an address, such as 127.0.0.1. Leave it out to stay on this machine.');
  // An empty folder would be the one the program was started in.
  if (values.data?.trim() === '') throw new OptionFault('--data needs a folder. Leave it out for the usual one.');
  return {
    port,
    host: values.host ?? '127.0.0.1',
    dataFolder: path.resolve(values.data ?? usual.dataFolder),
    quiet: values.quiet ?? false,
  };
}
