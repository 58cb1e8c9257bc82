import { statfsSync } from 'node:fs';
import { Transform } from 'node:stream';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';

/** Room that is left when everything has come. */
const LEFT_FREE = 100_000_000;

/** Bytes that may still be written in a folder. */
export function roomIn(folder: string): number {
  const { bavail, bsize } = statfsSync(folder);
  return Math.max(0, bavail * bsize - LEFT_FREE);
}

/** Lets through what there is room for: a packed file may say little of how much comes out of it. */
export function noMoreThan(bytes: number): Transform {
  let through = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      through += chunk.length;
      if (through > bytes) done(new CopyRefusal('There is not enough room for what is in this file.'));
      else done(null, chunk);
    },
  });
}
