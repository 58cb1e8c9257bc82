import { areProgramsBuilt } from '#tools/build.mjs';

/** What `npm start` and `npm run demo` start. */
export type Program = 'main' | 'demo';

/**
 * The file to start a program by, as it was built.
 *
 * @throws Error where it was built from other sources than these: what it did would say nothing of them
 */
export function builtProgram(program: Program): string {
  if (!areProgramsBuilt()) throw new Error('server/dist is not built from these sources: run `npm test -- FILE`');
  return `server/dist/${program}.mjs`;
}
