import { homedir } from 'node:os';
import path from 'node:path';
import process from 'node:process';

/**
 * The data folder a tool works on: the one that was said, else the usual one.
 *
 * @throws Error when an empty one was said, which would be the folder the tool was started in
 */
export function recordFolder(said: string | undefined): string {
  if (said?.trim() === '') throw new Error('--data needs a folder. Leave it out for the usual one.');
  const dataHome = process.env.XDG_DATA_HOME ?? path.join(homedir(), '.local', 'share');
  return path.resolve(said ?? path.join(dataHome, 'ulu'));
}
