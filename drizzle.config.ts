import { defineConfig } from 'drizzle-kit';

// eslint-disable-next-line no-restricted-syntax -- drizzle-kit reads the default export of this file.
export default defineConfig({
  dialect: 'sqlite',
  schema: ['./server/record/*.table.ts', './server/features/*/*.table.ts'],
  out: './server/db/migrations',
});
