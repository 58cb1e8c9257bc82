import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { MethodSet } from '#core/methods/method-set-format.ts';
import { methodSetOf, readSet } from '#core/methods/method-set.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { ReadSetRequest, SetReading } from '#contract/methods.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** The player's own choices on an instrument as a file to give away. */
export function methodSetFor(
  { readings }: Services,
  instrumentId: string,
  name: string,
  today: LocalDate,
): Outcome<MethodSet, Failure> {
  const reading = readings.of(instrumentId);
  if (!reading) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const set = methodSetOf(name, reading.situation(today).methods);
  if (Object.keys(set.choices).length === 0)
    return fail(conflict('instrumentId', 'Nothing has been chosen on it yet; every question follows its default.'));
  return succeed(set);
}

/** What a set would do to an instrument; nothing is changed. */
export function readSetFor(
  { readings }: Services,
  { instrumentId, set, today }: ReadSetRequest,
): Outcome<SetReading, Failure> {
  const reading = readings.of(instrumentId);
  if (!reading) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const lines = readSet(set, reading.situation(localDate(today)).methods);
  return succeed({ name: set.name, kind: set.kind, otherKind: set.kind !== reading.instrument.kind, lines });
}
