import type { BenchTerms } from '#core/bench/bench-terms.ts';
import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What a bench is told of an instrument that comes to it: every line is what somebody said, read, or the record holds. */
export type Ticket = {
  readonly today: LocalDate;
  readonly instrument: string;
  readonly kindName: string;
  readonly build: readonly string[];
  readonly serial: string | null;
  readonly player: string;
  readonly bench: Pick<BenchTerms, 'name' | 'phone'>;
  /** What is to be done, each with why. */
  readonly wanted: readonly { readonly name: string; readonly why: string }[];
  /** The note of what is being asked about, its lines. */
  readonly note: readonly string[];
  /** What was measured, and where it goes. */
  readonly readings: readonly { readonly name: string; readonly words: string; readonly line: string }[];
  /** When the bench last had it, and what was done. */
  readonly last: string | null;
  readonly hasCase: boolean;
};

const section = (title: string, lines: readonly string[]): string[] =>
  lines.length === 0 ? [] : ['', title, ...lines.map((line) => `- ${line}`)];

/** The ticket as plain text, to be sent as a file or in a message. */
export function ticketText(ticket: Ticket, format: Format): string {
  const { instrument, kindName, build, serial, player, bench, wanted, note, readings, last, hasCase, today } = ticket;
  return [
    `For the bench${bench.name === null ? '' : `: ${bench.name}`}`,
    `${instrument} (${kindName.toLowerCase()}), played by ${player}. ${format.date(today)}.`,
    `Serial number: ${serial ?? 'not written down'}. Built: ${build.join(', ').toLowerCase()}.`,
    ...section(
      'To be done',
      wanted.map(({ name, why }) => `${name}. ${why}`),
    ),
    ...section('What was noticed and tried', note),
    ...section(
      'What was measured',
      readings.map(({ name, words, line }) => `${name}: ${words}. ${line}`),
    ),
    ...section('Before', last === null ? [] : [last]),
    ...section('With it', hasCase ? ['The case: please look at it, too (lining, hinges, latches).'] : []),
    '',
  ].join('\n');
}
