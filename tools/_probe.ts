import { BOOK } from '#core/tables/book.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { planOf, practiceOf, partsOf, homeCare } from '#core/testing/any-run.ts';
import { doneIn } from '#core/testing/answered-run.ts';
import { playThrough } from '#core/handling/play-through.ts';
const only = process.argv[2];
for (const kind of KIND_IDS) {
  if (only && kind !== only) continue;
  const inst = { kind };
  const seen = new Set<string>();
  const dues: any[] = [['before'], ['after'], ['all'], ...homeCare(practiceOf(BOOK, inst)).map((i) => [i.id])];
  for (const due of dues) {
    const run = { instruments: [inst], due };
    const parts = partsOf(BOOK, run as any);
    const plan = planOf(BOOK, run as any);
    const steps = doneIn(plan);
    const { broken } = playThrough(
      parts.map((p) => ({ instrument: p.instrumentId, practice: p.practice, items: p.items })),
      steps.map((s) => ({ instrument: s.instrumentId, step: s.step })),
      BOOK.exceptions,
    );
    for (const b of broken)
      console.log(kind, '|', due.join(), '|', b.rule, b.step ?? 'END', b.thing, b.other ?? '', b.by ?? '');
  }
}
