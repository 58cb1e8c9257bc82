import { isOpen, type InterviewNoted } from '#core/faults/fault-record.ts';
import { faultsFor, type FaultsHere } from '#core/faults/faults-for.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

type Asked = { readonly instrument: Instrument; readonly interview: InterviewNoted; readonly here: FaultsHere };

/** The interview under this key with its instrument, as long as it is open; otherwise why nothing is said in it. */
export function openInterview(
  interviewKey: string,
  { faults, instruments, book }: Pick<Services, 'faults' | 'instruments' | 'book'>,
): Outcome<Asked, Failure> {
  const id = faults.instrumentOf(interviewKey);
  const instrument = id === undefined ? undefined : instruments.find(id);
  const interview = instrument && faults.of(instrument.id).interviews.find(({ key }) => key === interviewKey);
  if (!instrument || !interview) return fail(notFound('interviewKey', { code: 'no-such-interview' }));
  if (!isOpen(interview)) return fail(conflict('interviewKey', { code: 'interview-is-over' }));
  return succeed({ instrument, interview, here: faultsFor(book, instrument.kind, instrument.build) });
}
