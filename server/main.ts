/** `npm start`: Ulu on the user's own data folder. */
import { homedir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { OptionRefusal, readOptions } from '#server/options.ts';
import { serveUntilStopped } from '#server/serve.ts';

const dataHome = process.env.XDG_DATA_HOME ?? path.join(homedir(), '.local', 'share');

try {
  const options = readOptions(process.argv.slice(2), { port: 4180, dataFolder: path.join(dataHome, 'ulu') });
  await serveUntilStopped(
    options,
    (url) => `Ulu is at ${url}\nYour record is in ${options.dataFolder}\nStop with Ctrl+C.`,
  );
} catch (error) {
  if (!(error instanceof OptionRefusal)) throw error;
  console.error(error.message);
  process.exitCode = 1;
}
