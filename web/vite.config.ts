import react from '@vitejs/plugin-react';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';

/** What each chunk is made of, by package, in characters before it is made small: `npm run bench` says it. */
const contents = (): Plugin => ({
  name: 'contents',
  generateBundle(_options, bundle) {
    const packageOf = (id: string) => /node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(id)?.[1] ?? 'ulu';
    const chunks = Object.values(bundle).flatMap((file) => {
      if (file.type !== 'chunk') return [];
      const sizes: Record<string, number> = {};
      for (const [id, { renderedLength }] of Object.entries(file.modules))
        sizes[packageOf(id)] = (sizes[packageOf(id)] ?? 0) + renderedLength;
      return [[file.fileName, sizes] as const];
    });
    this.emitFile({
      type: 'asset',
      fileName: '.vite/contents.json',
      source: JSON.stringify(Object.fromEntries(chunks)),
    });
  },
});

/** Below that, packing saves less than the name of the file beside it. */
const WORTH_PACKING_BYTES = 1_000;

/**
 * Scripts and styles packed once, beside themselves: the server packed the same ones for every device that came. Done when
 * all is written, for Vite says last of all in a script what it is to fetch.
 */
const packed = (): Plugin => ({
  name: 'packed',
  writeBundle({ dir = '.' }, bundle) {
    for (const fileName of Object.keys(bundle).filter((name) => /\.(?:js|css|svg)$/.test(name))) {
      const bytes = readFileSync(path.join(dir, fileName));
      if (bytes.length < WORTH_PACKING_BYTES) continue;
      writeFileSync(path.join(dir, `${fileName}.gz`), gzipSync(bytes, { level: 9 }));
    }
  },
});

/** What every page needs lies in one file: cut up by who else needs it, it would be larger. */
const BASE =
  /node_modules\/(react|react-dom|scheduler|react-router|yup|property-expr|tiny-case|toposort|@tanstack\/[^/]+|@emotion\/[^/]+|@mui\/(styled-engine|private-theming|utils|system)|clsx|stylis)\//;

// eslint-disable-next-line no-restricted-syntax -- Vite reads the default export of this file.
export default defineConfig({
  plugins: [react(), contents(), packed()],
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 700,
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'base', test: BASE }] } } },
  },
  server: {
    host: '127.0.0.1',
    port: 5173,
    strictPort: true,
    proxy: { '/api': `http://127.0.0.1:${process.env.ULU_API_PORT ?? 4180}` },
  },
});
