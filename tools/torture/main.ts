/** `npm run torture -- --cycles N --seed S`: prints what was done to the program, and fails on any loss, 5xx or hang. */
import process from 'node:process';
import { parseArgs } from 'node:util';
import { countsWords } from '#tools/torture/counts.ts';
import { torture } from '#tools/torture/torture.ts';

const { values } = parseArgs({
  options: {
    cycles: { type: 'string', default: '10' },
    seed: { type: 'string', default: String(Date.now() % 100_000) },
  },
});
const [cycles, seed] = [Number(values.cycles), Number(values.seed)];
if (!Number.isInteger(cycles) || cycles < 1)
  throw new Error(`--cycles is a whole number from 1 on, not ${values.cycles}`);
console.log(`${cycles} cycles, seed ${seed} …`);
const counts = await torture({ cycles, seed });
console.log(countsWords(counts));
process.exitCode = counts.faults.length > 0 ? 1 : 0;
