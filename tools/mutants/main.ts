/**
 * `npm run mutants`: formulas are broken one at a time, by lot, and the tests of their room run; a test that can fail
 * does. Two at a time, at most twenty minutes. `-- --seed N` draws others, `--only core/reeds` those of some files,
 * `--count N` how many. What survives is printed, with its reason where
 * `survivors.json` has one. What stands there is not run: what changes nothing at all (`same: …`) counts neither way,
 * everything else as survived; `--again` looks once more. Fails where fewer than nine of ten in `core/`, or four of five
 * in `server/`, are noticed.
 */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import process from 'node:process';
import { parseArgs } from 'node:util';
import { mutantsOf, nameOf, type Mutant } from '#tools/mutants/mutate.ts';
import { Sandbox } from '#tools/mutants/sandbox.ts';
import { testsOf, type NearTest } from '#tools/mutants/tests-of.ts';
import { unbroken } from '#tools/mutants/timings.ts';

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    count: { type: 'string', default: '320' },
    only: { type: 'string', default: '' },
    minutes: { type: 'string', default: '20' },
    again: { type: 'boolean', default: false },
  },
});

const AT_A_TIME = 2;
/** A test that takes so many times as long as it should has been broken as well. */
const PATIENCE = { times: 4, seconds: 15 };
/** A broken formula is looked for no longer, seconds of its tests unbroken. */
const LONGEST_SECONDS = { core: 20, server: 32 } as const;
/** Of so many the formulas of the core are three quarters. */
const CORE_SHARE = 0.75;
const GOALS = { core: 0.9, server: 0.8 } as const;
type Layer = keyof typeof GOALS;
const layerOf = ({ file }: Mutant): Layer => (file.startsWith('core/') ? 'core' : 'server');

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { encoding: 'utf8' })
  .trim()
  .split('\n');
/** Tables are facts, words are read, what is under testing is a test itself, and what starts the program starts it. */
const NO_FORMULAS =
  /\.(test|d)\.ts$|-words\.ts$|\.table\.ts$|-ids\.ts$|^core\/(tables|testing|check|book)\/|^server\/(testing|db)\/|^server\/(serve|main|facts|compose)\.ts$/;
const sources = files.filter((file) => /^(core|server)\/.*\.ts$/.test(file) && !NO_FORMULAS.test(file));

/** The survivors that are known, each with its reason. */
const KNOWN = JSON.parse(readFileSync('tools/mutants/survivors.json', 'utf8')) as Readonly<Record<string, string>>;
/** A reason that begins so says that the change changes nothing: it is no formula that could be noticed. */
const CHANGES_NOTHING = 'same: ';

/** So many by lot: each formula has a number of its own by seed and name, so that a change elsewhere draws no others. */
function drawn(of: readonly Mutant[], count: number): Mutant[] {
  const lot = (one: Mutant): string =>
    createHash('sha256')
      .update(`${values.seed} ${nameOf(one)}`)
      .digest('hex');
  return of
    .map((one) => ({ one, number: lot(one) }))
    .sort((a, b) => (a.number < b.number ? -1 : 1))
    .slice(0, count)
    .map(({ one }) => one);
}

const isChosen = (file: string): boolean => values.only.split(',').some((start) => file.startsWith(start));
const all = sources.filter(isChosen).flatMap((file) => mutantsOf(file, readFileSync(file, 'utf8')));
const count = Number(values.count);
const ofLayer = (layer: Layer): Mutant[] => all.filter((one) => layerOf(one) === layer);
/** In the order of their lot, so that what is not tried when the time is up is of both layers. */
const chosen = drawn(
  [
    ...drawn(ofLayer('core'), Math.round(count * CORE_SHARE)),
    ...drawn(ofLayer('server'), Math.round(count * (1 - CORE_SHARE))),
  ],
  count,
);

const { tests, sourcesOf } = testsOf(files);
const sandboxes = Array.from({ length: AT_A_TIME }, () => new Sandbox(files));
const ends = performance.now() + Number(values.minutes) * 60_000;

const needed = [...new Set(chosen.flatMap(({ file }) => tests(file).map(({ test }) => test)))];
const took = await unbroken(needed, sandboxes, sourcesOf);
/** Of the tests that are a file's the nearest, as many as take so long together, one at least; what is near and quick first. */
function quickest(all: readonly NearTest[], most: number): { readonly own: readonly string[]; readonly usual: number } {
  const secondsOf = ({ test }: NearTest): number => took.get(test) ?? 0;
  let usual = 0;
  const own = all
    .toSorted((a, b) => a.far - b.far || secondsOf(a) - secondsOf(b))
    .filter((one, at) => {
      const isIn = at === 0 || usual + secondsOf(one) <= most;
      if (isIn) usual += secondsOf(one);
      return isIn;
    })
    .toSorted((a, b) => secondsOf(a) * (1 + a.far) - secondsOf(b) * (1 + b.far));
  return { own: own.map(({ test }) => test), usual };
}
console.log(`${all.length} formulas of ${sources.length} files, ${chosen.length} broken one at a time.`);
const tally = { core: { noticed: 0, survived: 0, same: 0 }, server: { noticed: 0, survived: 0, same: 0 } };
const queue = [...chosen];
await Promise.all(
  sandboxes.map(async (sandbox) => {
    for (let one = queue.shift(); one !== undefined && performance.now() < ends; one = queue.shift()) {
      const reason = KNOWN[nameOf(one)];
      const mine = tally[layerOf(one)];
      if (reason?.startsWith(CHANGES_NOTHING) === true) {
        mine.same++;
        continue;
      }
      // What survived and has its reason would survive again; `--again` looks.
      const isKnown = reason !== undefined && !values.again;
      const { own, usual } = quickest(tests(one.file), LONGEST_SECONDS[layerOf(one)]);
      const { passed } =
        own.length === 0 || isKnown
          ? { passed: true }
          : await sandbox.runBroken(one, own, usual * PATIENCE.times + PATIENCE.seconds);
      mine[passed ? 'survived' : 'noticed']++;
      if (passed)
        console.log(
          `SURVIVED ${one.file}:${one.line}  ${one.was} → ${one.is}  ${one.text}\n      ${reason ?? 'no reason known'}`,
        );
    }
  }),
);
for (const sandbox of sandboxes) sandbox.remove();
if (queue.length > 0) console.log(`${queue.length} were not tried: the time was up.`);
for (const layer of ['core', 'server'] as const) {
  const { noticed, survived, same } = tally[layer];
  if (noticed + survived === 0) continue;
  const share = noticed / (noticed + survived);
  const told = `${noticed} of ${noticed + survived} noticed, ${(share * 100).toFixed(1)} % (goal ${GOALS[layer] * 100} %)`;
  console.log(`${layer}: ${told}; ${same} more change nothing, each with its reason`);
  if (share < GOALS[layer]) process.exitCode = 1;
}
