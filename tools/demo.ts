/** `npm run demo`: Ulu on the demo world, in a folder of its own. A demo made on an earlier day is made anew. */
import path from 'node:path';
import process from 'node:process';
import { DataFolderFault } from '#server/db/connection.ts';
import { MigrationFault } from '#server/db/migration-order.ts';
import { OptionFault, readOptions } from '#server/options.ts';
import { serveUntilStopped } from '#server/serve.ts';
import { makeDemo } from '#tools/make-demo.ts';

try {
  const options = readOptions(process.argv.slice(2), {
    port: 4181,
    dataFolder: path.resolve(import.meta.dirname, '../demo-data'),
  });
  makeDemo(options.dataFolder);
  await serveUntilStopped({ ...options, quiet: true }, (url) => `The Ulu demo is at ${url}\nStop with Ctrl+C.`);
} catch (error) {
  const isSaidPlainly = [OptionFault, DataFolderFault, MigrationFault].some((Fault) => error instanceof Fault);
  if (!isSaidPlainly) throw error;
  console.error((error as Error).message);
  process.exitCode = 1;
}
