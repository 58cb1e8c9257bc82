import react from '@vitejs/plugin-react';
import process from 'node:process';
import { defineConfig } from 'vite';

// eslint-disable-next-line no-restricted-syntax -- Vite reads the default export of this file.
export default defineConfig({
  plugins: [react()],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 700 },
  server: {
    host: '127.0.0.1',
    port: 5173,
    strictPort: true,
    proxy: { '/api': `http://127.0.0.1:${process.env.ULU_API_PORT ?? 4180}` },
  },
});
