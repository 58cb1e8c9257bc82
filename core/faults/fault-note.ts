import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What a note tells whoever looks at the instrument next. */
export type NoteOf = {
  readonly instrument: string;
  readonly since: LocalDate;
  readonly noticed: readonly string[];
  /** What was asked after, in the words of the sign. */
  readonly seen: readonly string[];
  readonly notSeen: readonly string[];
  /** Was it asked after, and nothing more was noticed? */
  readonly nothingElse: boolean;
  readonly unsure: readonly string[];
  readonly tried: readonly { readonly name: string; readonly helped: boolean }[];
  readonly known: readonly string[];
  readonly suspected: readonly string[];
  /** Does the case go along? */
  readonly hasCase: boolean;
};

const list = (label: string, lines: readonly string[]): string[] =>
  lines.length === 0 ? [] : [`${label}: ${lines.join('; ')}.`];
const plain = (sentence: string): string => sentence.replace(/\.$/, '');

/** One note made from an interview, for the teacher or the bench; every line is what somebody said or the record holds. */
export function faultNote(of: NoteOf, format: Format): string {
  return [
    `${of.instrument}, noticed on ${format.date(of.since)}.`,
    ...list('Noticed', of.noticed),
    ...(of.nothingElse ? ['Nothing else was noticed.'] : []),
    ...list('Seen or tried', of.seen),
    ...list('Not so', of.notSeen),
    ...list('Nobody could tell', of.unsure),
    ...list(
      'Done without help',
      of.tried.filter(({ helped }) => !helped).map(({ name }) => name),
    ),
    ...list('From the record', of.known.map(plain)),
    ...list('Suspected', of.suspected),
    ...(of.hasCase ? ['The case goes along.'] : []),
  ].join('\n');
}
