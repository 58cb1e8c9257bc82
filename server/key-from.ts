import { createHash } from 'node:crypto';

/** A key made of what it stands for: the same whenever it is asked for, of the shape of those that are made by lot. */
export function keyFrom(parts: readonly (string | null)[]): string {
  const hash = createHash('sha256').update(JSON.stringify(parts)).digest('hex');
  return [hash.slice(0, 8), hash.slice(8, 12), hash.slice(12, 16), hash.slice(16, 20), hash.slice(20, 32)].join('-');
}
