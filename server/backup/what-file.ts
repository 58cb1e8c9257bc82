import { closeSync, createReadStream, openSync, readSync } from 'node:fs';
import { createGunzip } from 'node:zlib';

const PACKED = Buffer.from([0x1f, 0x8b]);
const DATABASE = Buffer.from('SQLite format 3\0');

/** The first bytes of a file. */
function startOf(file: string, length: number): Buffer {
  const start = Buffer.alloc(length);
  const handle = openSync(file, 'r');
  try {
    return start.subarray(0, readSync(handle, start, 0, length, 0));
  } finally {
    closeSync(handle);
  }
}

/** Is the file packed (gzip)? */
export const isPacked = (file: string): boolean => startOf(file, PACKED.length).equals(PACKED);
/** Where an archive (tar, POSIX.1-1988) says what it is, and what it says. */
const ARCHIVE = { at: 257, says: Buffer.from('ustar') };
const saysArchive = (start: Buffer): boolean =>
  start.subarray(ARCHIVE.at, ARCHIVE.at + ARCHIVE.says.length).equals(ARCHIVE.says);

/** Is it an archive: a copy with its blobs? */
export const isArchive = async (file: string): Promise<boolean> => saysArchive(await peek(file));

export const FILE_KINDS = ['copy', 'record', 'table', 'unknown'] as const;
export type FileKind = (typeof FILE_KINDS)[number];

const PEEKED = 4096;

/** The first bytes of what is in a file, unpacked where it is packed. */
async function peek(file: string): Promise<Buffer> {
  const stream = createReadStream(file, { highWaterMark: PEEKED });
  const bytes: AsyncIterable<Buffer> = isPacked(file) ? stream.pipe(createGunzip()) : stream;
  try {
    for await (const chunk of bytes) return chunk.subarray(0, PEEKED);
    return Buffer.alloc(0);
  } catch {
    return Buffer.alloc(0);
  } finally {
    stream.destroy();
  }
}

const UTF16: readonly Buffer[] = [Buffer.from([0xff, 0xfe]), Buffer.from([0xfe, 0xff])];

/**
 * What a file is, by what is in it and not by its name: a copy of a record (a database, or an archive of it with its
 * blobs), a record as an open document
 * (JSON), or something like a table (text).
 */
export async function whatFile(file: string): Promise<FileKind> {
  const start = await peek(file);
  if (start.length === 0) return 'unknown';
  if (start.subarray(0, DATABASE.length).equals(DATABASE) || saysArchive(start)) return 'copy';
  if (UTF16.some((mark) => start.subarray(0, mark.length).equals(mark))) return 'table';
  if (start.includes(0)) return 'unknown';
  return /^\ufeff?\s*[{[]/.test(start.toString('utf8')) ? 'record' : 'table';
}
