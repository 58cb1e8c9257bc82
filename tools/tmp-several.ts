import { brokenWords } from '#core/handling/handling-words.ts';
import { BOOK } from '#core/tables/book.ts';
import { proveRun } from '#core/testing/prove-run.ts';
import { severalInstruments } from '#core/testing/situations.ts';
const every = Number(process.argv[2] ?? 1);
let n = 0,
  at = 0;
const seen = new Map<string, [number, string]>();
const t = Date.now();
for (const s of severalInstruments()) {
  if (at++ % every) continue;
  n++;
  const { broken } = proveRun(BOOK, s);
  for (const b of broken) {
    const k = b.instrument.replace(/^\d+-/, '') + ': ' + brokenWords(b);
    const o = seen.get(k);
    seen.set(k, [(o?.[0] ?? 0) + 1, o?.[1] ?? JSON.stringify(s.run)]);
  }
}
console.log(n, 'runs', Date.now() - t, 'ms');
for (const [k, [c, f]] of [...seen].sort((a, b) => b[1][0] - a[1][0])) console.log(c, k, '\n    ', f.slice(0, 160));
