import { readFileSync } from 'node:fs';
import path from 'node:path';

/** The files a file takes its names from, by the names they are imported under. */
function importsOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  return [...source.matchAll(/from '#([^']+)'/g)].map(([, name = '']) => name);
}

/** The room of a file: the folder whose tests are its tests. */
export const roomOf = (file: string): string => {
  const [layer = '', room = '', feature = ''] = file.split('/');
  return layer === 'server' && room === 'features' ? `${layer}/${room}/${feature}` : `${layer}/${room}`;
};

/** A test so many imports away from a file is about it, wherever it stands. */
const NEAR = 2;

/** A test of a file, and how many imports away from it. */
export type NearTest = { readonly test: string; readonly far: number };

/** Which tests are those of a file: of its room all that reach it, through whatever they import, and the near ones of others. */
export function testsOf(files: readonly string[]): (file: string) => NearTest[] {
  const known = new Map(files.filter((file) => /\.tsx?$/.test(file)).map((file) => [file, importsOf(file)]));
  /** How many imports away each file is from a test. */
  const reachedFrom = (test: string): ReadonlyMap<string, number> => {
    const away = new Map([[test, 0]]);
    for (const [file, far] of away)
      for (const next of known.get(file) ?? []) if (!away.has(next) && known.has(next)) away.set(next, far + 1);
    return away;
  };
  const tests = files.filter((file) => /^(core|server|tools)\/.*\.test\.ts$/.test(file));
  const reached = new Map(tests.map((test) => [test, reachedFrom(test)]));
  return (file) => {
    const room = roomOf(file);
    return tests.flatMap((test): NearTest[] => {
      const far = reached.get(test)?.get(file);
      return far !== undefined && (far <= NEAR || path.dirname(test).startsWith(room)) ? [{ test, far }] : [];
    });
  };
}
