import { closeSync, fsyncSync, openSync } from 'node:fs';

/** What is written is on the disk before it gets its name. */
export function toDisk(file: string): void {
  const handle = openSync(file, 'r+');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
