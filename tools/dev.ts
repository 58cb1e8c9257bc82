/** `npm run dev`: the server restarted on change, and the web app with hot reload, on a record of their own. */
import { spawn } from 'node:child_process';
import process from 'node:process';

const API_PORT = process.env.ULU_API_PORT ?? '4180';
const programs = [
  ['node_modules/tsx/dist/cli.mjs', 'watch', 'server/main.ts', '--port', API_PORT, '--data', 'dev-data'],
  ['node_modules/vite/bin/vite.js', 'web'],
].map((args) => spawn(process.execPath, args, { stdio: 'inherit', env: { ...process.env, ULU_API_PORT: API_PORT } }));
console.log('Ulu in development: http://127.0.0.1:5173 (its record is in dev-data). Stop with Ctrl+C.');

const stopAll = (): void => programs.forEach((program) => program.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.once(signal, stopAll);
for (const program of programs)
  program.once('exit', (code) => {
    process.exitCode ||= code ?? 0;
    stopAll();
  });
