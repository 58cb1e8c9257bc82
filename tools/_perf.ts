import { BOOK } from '#core/tables/book.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { planOf, practiceOf, homeCare } from '#core/testing/any-run.ts';
let seed = Number(process.argv[2] ?? 1);
const rnd = () => {
  seed = (seed * 1103515245 + 12345) & 0x7fffffff;
  return seed / 0x7fffffff;
};
const N = Number(process.argv[3] ?? 3000);
const t: number[] = [];
let unp = 0;
const slow: any[] = [];
for (let i = 0; i < N; i++) {
  const n = 1 + Math.floor(rnd() * 3);
  const kinds = Array.from({ length: n }, () => KIND_IDS[Math.floor(rnd() * 22)]!);
  const care = [...new Set(kinds.flatMap((k) => homeCare(practiceOf(BOOK, { kind: k })).map((x) => x.id)))].filter(
    () => rnd() < 0.5,
  );
  const run: any = {
    instruments: kinds.map((kind) => ({ kind })),
    due: [...(rnd() < 0.8 ? ['after'] : []), ...care],
    minutesAtHand: rnd() < 0.5 ? null : Math.floor(rnd() * 60),
  };
  const a = performance.now();
  const p = planOf(BOOK, run);
  const d = performance.now() - a;
  t.push(d);
  const o = p.because.find((b) => b.rule === 'order') as any;
  const th = p.because.find((b) => b.rule === 'time-at-hand') as any;
  const bad = !o.proved || (th && !th.proved);
  if (bad) unp++;
  if (d > 100 || bad)
    slow.push([Math.round(d), !!o.proved, th?.proved, kinds.join('+'), run.minutesAtHand, p.steps.length]);
}
t.sort((a, b) => a - b);
console.log('median', t[(N / 2) | 0], 'p99', t[(N * 0.99) | 0], 'max', t[N - 1], 'unproved', unp);
for (const s of slow.slice(0, 25)) console.log(s.join(' '));
