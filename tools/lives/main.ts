/**
 * `npm run lives`: invented people live with the program day by day through its own API, and every rule of living with it
 * is held against what they saw. `-- --life NAME` lives one life (several by commas), `-- --diary FOLDER` writes each down
 * as it is read aloud, `-- --with FOLDER` adds the lives and rules of another folder.
 */
import { spawn } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { livesAndRules } from '#tools/lives/all.ts';
import { diaryOf } from '#tools/lives/diary.ts';
import type { Breach } from '#tools/lives/life.ts';
import { live } from '#tools/lives/live.ts';

const { values } = parseArgs({
  options: {
    life: { type: 'string' },
    with: { type: 'string' },
    diary: { type: 'string' },
    /** One process of several: lives this one and says what came of it as JSON. */
    alone: { type: 'boolean', default: false },
  },
});

type Result = {
  readonly life: string;
  readonly days: number;
  readonly seconds: number;
  readonly broken: readonly {
    readonly rule: string;
    readonly expected: string | null;
    readonly breaches: readonly Breach[];
  }[];
};

const { lives, rules } = await livesAndRules(values.with);
const wanted = values.life?.split(',');
const chosen = lives.filter(({ name }) => wanted === undefined || wanted.includes(name));
if (chosen.length === 0)
  throw new Error(`no such life: ${values.life}; there are ${lives.map(({ name }) => name).join(', ')}`);

async function liveAlone(): Promise<void> {
  for (const life of chosen) {
    const began = performance.now();
    const lived = await live(life);
    if (values.diary !== undefined) {
      mkdirSync(values.diary, { recursive: true });
      writeFileSync(path.join(values.diary, `${life.name}.txt`), `${diaryOf(lived)}\n`);
    }
    const broken = rules
      .map((rule) => ({ rule: rule.name, expected: rule.expected ?? null, breaches: rule.judge(lived) }))
      .filter(({ breaches }) => breaches.length > 0);
    const seconds = (performance.now() - began) / 1000;
    console.log(JSON.stringify({ life: life.name, days: lived.days.length, seconds, broken } satisfies Result));
  }
}

/** Lives one life in a process of its own. */
function inAnotherProcess(name: string): Promise<Result[]> {
  const passed = Object.entries({ with: values.with, diary: values.diary }).flatMap(([option, value]) =>
    value === undefined ? [] : [`--${option}`, value],
  );
  const args = ['--import', 'tsx', 'tools/lives/main.ts', '--alone', '--life', name, ...passed];
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
  let said = '';
  child.stdout.on('data', (part: Buffer) => (said += part.toString()));
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) => {
      if (code !== 0) return reject(new Error(`${name} ended with ${code}`));
      return resolve(
        said
          .trim()
          .split('\n')
          .map((line) => JSON.parse(line) as Result),
      );
    });
  });
}

/** How many breaches of a rule are printed for a life. */
const SHOWN = 3;

function report({ life, days, seconds, broken }: Result): void {
  console.log(`${life}: ${days} days in ${seconds.toFixed(1)} s${broken.length === 0 ? '' : ','}`);
  for (const { rule, expected, breaches } of broken) {
    const words = rules.find(({ name }) => name === rule)?.words ?? rule;
    console.log(`  ${expected === null ? 'BROKEN' : 'expected'} ${breaches.length} times: ${words}`);
    for (const { on, words: what } of breaches.slice(0, SHOWN)) console.log(`    ${on}: ${what}`);
    if (expected !== null) console.log(`    (${expected})`);
    else process.exitCode = 1;
  }
}

if (values.alone) await liveAlone();
else {
  // The longest first, so that no core waits for the last.
  const waiting = chosen.toSorted((a, b) => b.days - a.days).map(({ name }) => name);
  const results: Result[] = [];
  const next = async (): Promise<void> => {
    for (let name = waiting.shift(); name !== undefined; name = waiting.shift())
      for (const result of await inAnotherProcess(name)) {
        results.push(result);
        report(result);
      }
  };
  const began = performance.now();
  await Promise.all(Array.from({ length: Math.max(1, availableParallelism()) }, next));
  const days = results.reduce((sum, one) => sum + one.days, 0);
  console.log(`\n${days} days of ${results.length} people in ${((performance.now() - began) / 1000).toFixed(0)} s.`);
}
