import process from 'node:process';
import { pathToFileURL } from 'node:url';

/** The thread as `npm test` has built it, where it runs the tests: from the sources each takes two seconds to begin. */
export const builtThread = (): URL | undefined =>
  process.env.ULU_BUILT_THREAD === undefined ? undefined : pathToFileURL(process.env.ULU_BUILT_THREAD);
