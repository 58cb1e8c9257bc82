import { onABreak } from '#core/breaks/on-a-break.ts';
import { succeed, fail, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { BreakView } from '#contract/breaks.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** What to do with an instrument on a break, and about what happens in the middle of playing. */
export function breakOf({ readings, book }: Services, id: string, today: LocalDate): Outcome<BreakView, Failure> {
  const reading = readings.of(id);
  if (!reading) return fail(noInstrument());
  const { instrument, player, situation } = reading;
  const { kind, build, name } = instrument;
  const { methods } = situation(today);
  const { lines, reedDries, meanwhile } = onABreak(book, { kind, build, standing: player.standing }, methods);
  return succeed({
    instrumentId: instrument.id,
    name,
    lines: [...lines],
    reedDries: reedDries && { minutes: reedDries.value, mark: reedDries.mark },
    meanwhile: meanwhile.map((one) => ({ ...one, now: [...one.now] })),
  });
}
