import { readFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

const dist = path.join(import.meta.dirname, '../web/dist');
type Chunk = { readonly file: string; readonly imports?: readonly string[]; readonly isEntry?: boolean };

type FirstView = {
  readonly gzipKb: number;
  readonly brotliKb: number;
  readonly text: string;
  /** What it is made of, by share of the characters before it is made small. */
  readonly contents: string;
};
const NAMED = 6;

/** "react-dom 38 %, react-router 15 % …" */
function contentsOf(chunks: readonly string[]): string {
  type Sizes = Readonly<Record<string, number>>;
  const all = JSON.parse(readFileSync(path.join(dist, '.vite/contents.json'), 'utf8')) as Readonly<
    Record<string, Sizes>
  >;
  const sizes = new Map<string, number>();
  for (const chunk of chunks)
    for (const [name, size] of Object.entries(all[chunk] ?? {})) sizes.set(name, (sizes.get(name) ?? 0) + size);
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0);
  return [...sizes]
    .toSorted(([, a], [, b]) => b - a)
    .slice(0, NAMED)
    .map(([name, size]) => `${name} ${((100 * size) / total).toFixed(0)} %`)
    .join(', ');
}

/** Script the first view loads: the entry, the page of "Now", and what both import, kB. */
export function firstViewScript(page = 'features/now/NowPage.tsx'): FirstView {
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
  const chunks = [...wanted].map((name) => manifest[name]?.file ?? '');
  const files = chunks.map((chunk) => readFileSync(path.join(dist, chunk)));
  const size = (compress: (file: Buffer) => Buffer) =>
    files.reduce((sum, file) => sum + compress(file).length, 0) / 1000;
  return {
    gzipKb: size(gzipSync),
    brotliKb: size(brotliCompressSync),
    text: files.join('\n'),
    contents: contentsOf(chunks),
  };
}
