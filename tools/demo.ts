/** `npm run demo`: Ulu on the demo world, in a folder of its own. A demo made on an earlier day is made anew. */
import path from 'node:path';
import process from 'node:process';
import { DataFolderRefusal } from '#server/db/connection.ts';
import { MigrationRefusal } from '#server/db/migration-order.ts';
import { HOME } from '#server/home.ts';
import { OptionRefusal, readOptions } from '#server/options.ts';
import { serveUntilStopped } from '#server/serve.ts';
import { makeDemo } from '#tools/make-demo.ts';

try {
  const options = readOptions(process.argv.slice(2), {
    port: 4181,
    dataFolder: path.join(HOME, 'demo-data'),
  });
  makeDemo(options.dataFolder);
  await serveUntilStopped({ ...options, quiet: true }, (url) => `The Ulu demo is at ${url}\nStop with Ctrl+C.`);
} catch (error) {
  const isSaidPlainly = [OptionRefusal, DataFolderRefusal, MigrationRefusal].some(
    (Refusal) => error instanceof Refusal,
  );
  if (!isSaidPlainly) throw error;
  console.error((error as Error).message);
  process.exitCode = 1;
}
