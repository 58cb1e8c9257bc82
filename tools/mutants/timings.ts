import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Sandbox } from '#tools/mutants/sandbox.ts';

/** Beside the packages, so that a fresh set-up begins anew. */
const KEPT = 'node_modules/.cache/mutants/timings.json';
/** Tests timed in one go: few enough that both sandboxes are done at about the same time. */
const AT_ONCE = 12;

type Known = { readonly sources: string; readonly seconds: number };

/** What a test comes from, in short: the same sources pass again, and take as long. */
function digestOf(files: readonly string[]): string {
  const digest = createHash('sha256');
  for (const file of files.toSorted()) digest.update(`\0${file}\0`).update(readFileSync(file));
  return digest.digest('base64url');
}

/**
 * How long each test takes by itself, unbroken, s. What was timed before and comes from the same sources is not timed
 * again.
 *
 * @param sourcesOf everything a test comes from
 * @throws Error for a test that fails though nothing is broken: it would prove nothing
 */
export async function unbroken(
  tests: readonly string[],
  sandboxes: readonly Sandbox[],
  sourcesOf: (test: string) => readonly string[],
): Promise<ReadonlyMap<string, number>> {
  const kept = existsSync(KEPT) ? (JSON.parse(readFileSync(KEPT, 'utf8')) as Record<string, Known>) : {};
  const known = new Map(Object.entries(kept));
  const sources = new Map(tests.map((test) => [test, digestOf(sourcesOf(test))]));
  const queue = tests.filter((test) => known.get(test)?.sources !== sources.get(test));
  await Promise.all(
    sandboxes.map(async (sandbox) => {
      for (let some = queue.splice(0, AT_ONCE); some.length > 0; some = queue.splice(0, AT_ONCE))
        for (const [test, seconds] of await sandbox.timed(some)) {
          if (seconds === null) throw new Error(`${test} fails before anything is broken`);
          known.set(test, { sources: sources.get(test) ?? '', seconds });
        }
    }),
  );
  mkdirSync(path.dirname(KEPT), { recursive: true });
  writeFileSync(KEPT, JSON.stringify(Object.fromEntries(known)));
  return new Map(tests.map((test) => [test, known.get(test)?.seconds ?? 0]));
}
