import { readFileSync } from 'node:fs';
import path from 'node:path';

/** The files a file takes its names from, by the names they are imported under. */
function importsOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  return [...source.matchAll(/(?:from |import\()'#([^']+)'/g)].map(([, name = '']) => name);
}

/** The room of a file: the folder whose tests are its tests. */
const roomOf = (file: string): string => {
  const [layer = '', room = '', feature = ''] = file.split('/');
  return layer === 'server' && room === 'features' ? `${layer}/${room}/${feature}` : `${layer}/${room}`;
};

/** A test so many imports away from a file is about it, wherever it stands. */
const NEAR = 2;

/** A test of a file, and how far it is from it: none where it has its name, near where it has its first word, then its room, then by imports. */
export type NearTest = { readonly test: string; readonly far: number };

/** No more are looked at: what is nearest says most, and all that may be looked at must be timed. */
const MOST_TESTS = 8;
/** `sitting` of `sitting-weeks.ts`: what `sittings.api.test.ts` is about as well. */
const firstWordOf = (file: string): string => (stemOf(file).split('-')[0] ?? '').replace(/s$/, '');
const stemOf = (file: string): string => path.basename(file).replace(/(\.[a-z-]+)*\.tsx?$/, '');

/**
 * Which tests are those of a file, the nearest first: of its room those that reach it, through whatever they import, and
 * the near ones of others.
 */
export function testsOf(files: readonly string[]): {
  readonly tests: (file: string) => NearTest[];
  /** Everything a test comes from, itself among it. */
  readonly sourcesOf: (test: string) => readonly string[];
} {
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
  const near = (file: string): NearTest[] => {
    const room = roomOf(file);
    const found = tests.flatMap((test): NearTest[] => {
      const far = reached.get(test)?.get(file);
      const isOfRoom = path.dirname(test).startsWith(room);
      if (far === undefined || (far > NEAR && !isOfRoom)) return [];
      if (!isOfRoom) return [{ test, far: far + 1 }];
      const isAlike = stemOf(test).startsWith(firstWordOf(file));
      return [{ test, far: stemOf(test) === stemOf(file) ? 0 : isAlike ? 1 : NEAR }];
    });
    return found.toSorted((a, b) => a.far - b.far).slice(0, MOST_TESTS);
  };
  // What is no program, migrations and settings, may be read by any of them.
  const read = files.filter((file) => /\.(sql|json|mjs)$/.test(file));
  return { tests: near, sourcesOf: (test) => [...(reached.get(test)?.keys() ?? []), ...read] };
}
