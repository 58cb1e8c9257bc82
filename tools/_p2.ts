import { BOOK } from '#core/tables/book.ts';
import { planOf } from '#core/testing/any-run.ts';
// find the slow one: seed 1 run set
import { KIND_IDS } from '#core/instruments/kind.ts';
import { practiceOf, homeCare } from '#core/testing/any-run.ts';
let seed = 1;
const rnd = () => {
  seed = (seed * 1103515245 + 12345) & 0x7fffffff;
  return seed / 0x7fffffff;
};
for (let i = 0; i < 600; i++) {
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
  if (kinds.join() !== 'bassoon,bassoon' || run.minutesAtHand !== 48) continue;
  const a = performance.now();
  const p = planOf(BOOK, run);
  console.log(performance.now() - a);
  for (const s of p.steps) console.log(s.key, s.workSeconds ?? '', s.activeMinutes, s.step.wait?.minutes.value ?? '');
  console.log(JSON.stringify(p.because));
}
