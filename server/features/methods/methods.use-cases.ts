import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { MethodSet } from '#core/methods/method-set-format.ts';
import { methodSetOf, readSet } from '#core/methods/method-set.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ReadSetRequest, SetReading } from '#contract/methods.ts';
import { conflict, noInstrument, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** The player's own choices on an instrument as a file to give away. */
export function methodSetFor(
  { readings }: Services,
  instrumentId: string,
  name: string,
  today: LocalDate,
): Outcome<MethodSet, Failure> {
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const set = methodSetOf(name, reading.situation(today).methods);
  if (Object.keys(set.choices).length === 0) return fail(conflict('instrumentId', { code: 'nothing-chosen' }));
  return succeed(set);
}

/** What a set would do to an instrument; nothing is changed. */
export function readSetFor(
  { readings }: Services,
  { instrumentId, set, today }: ReadSetRequest,
): Outcome<SetReading, Failure> {
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const lines = readSet(set, reading.situation(today).methods);
  return succeed({ name: set.name, kind: set.kind, otherKind: set.kind !== reading.instrument.kind, lines });
}
