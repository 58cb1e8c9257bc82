import { createReadStream, statSync } from 'node:fs';
import { createGunzip } from 'node:zlib';
import { isPacked } from '#server/backup/what-file.ts';
import { fieldOf } from '#core/record/fact.ts';
import { NoDocument, SplitDocument, type Element } from '#core/data/split-document.ts';

/** What a document says beside its lists, once it has been read to its end. */
export type ReadTo = {
  rest?: Readonly<Record<string, unknown>>;
  /** How much of the file has been read, from 0 to 1. */
  progress?: number;
};

/** Text that is UTF-8; undefined where it is not. */
function utf8(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** Errors of zlib have a code of their own. */
const isOfPacking = (error: unknown): boolean => String(fieldOf(error, 'code')).startsWith('Z_');

/**
 * The elements of a document in a file, packed or not, in turns.
 *
 * @param read is given what the document says beside them
 * @throws NoDocument when it is none
 */
export async function* elementsOf(file: string, read: ReadTo): AsyncGenerator<Element[]> {
  const stream = createReadStream(file, { highWaterMark: 65_536 });
  const bytes: AsyncIterable<Buffer> = isPacked(file) ? stream.pipe(createGunzip()) : stream;
  const { size } = statSync(file);
  const splitter = new SplitDocument(utf8);
  try {
    for await (const chunk of bytes) {
      const elements = [...splitter.push(chunk)];
      read.progress = size === 0 ? 0 : Math.min(1, stream.bytesRead / size);
      if (elements.length > 0) yield elements;
    }
  } catch (error) {
    throw isOfPacking(error) ? new NoDocument('not-unpacked') : error;
  }
  read.rest = splitter.end();
}
