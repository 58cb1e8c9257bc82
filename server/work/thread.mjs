// The first file of the thread: a thread does not inherit the loader that reads TypeScript.
import { register } from 'tsx/esm/api';

register();
await import('./worker.ts');
