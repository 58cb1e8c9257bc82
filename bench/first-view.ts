import { readFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const dist = path.join(import.meta.dirname, '../web/dist');
type Chunk = { readonly file: string; readonly imports?: readonly string[]; readonly isEntry?: boolean };

/** Script the first view loads: the entry, the page of "Now", and what both import, kB. */
export function firstViewScript(page = 'features/now/NowPage.tsx'): { gzipKb: number; brotliKb: number; text: string } {
  const manifest = JSON.parse(readFileSync(path.join(dist, '.vite/manifest.json'), 'utf8')) as Record<string, Chunk>;
  const wanted = new Set<string>();
  const take = (name: string): void => {
    if (wanted.has(name)) return;
    wanted.add(name);
    manifest[name]?.imports?.forEach(take);
  };
  const entry = Object.keys(manifest).find((name) => manifest[name]?.isEntry);
  if (entry === undefined || manifest[page] === undefined) throw new Error(`the manifest has no entry or no ${page}`);
  take(entry);
  take(page);
  const files = [...wanted].map((name) => readFileSync(path.join(dist, manifest[name]?.file ?? '')));
  const size = (compress: (file: Buffer) => Buffer) =>
    files.reduce((sum, file) => sum + compress(file).length, 0) / 1000;
  return { gzipKb: size(gzipSync), brotliKb: size(brotliCompressSync), text: files.join('\n') };
}
