import type { CareStanding } from '#core/care/care-standing.ts';
import { counted, duration, listed, type Format } from '#core/explain/format.ts';
import { GRADE_WORDS, measureWords, readingWords } from '#core/inspections/inspection-words.ts';
import type { InspectionsStanding } from '#core/inspections/inspections-standing.ts';
import type { Played } from '#core/plays/play-columns.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** How much it was played in a year. */
export const playedWords = ({ plays, minutes }: Played): string =>
  plays === 0 ? 'It was not played.' : `Played ${counted(plays, 'time')}, ${duration(minutes)} in all.`;

/** How its regular care stands. */
export function careWords({ clocks }: Pick<CareStanding, 'clocks'>): string {
  const regular = clocks.filter(({ item, state }) => item.trigger.kind !== 'every-play' && state !== 'off');
  const names = regular.filter(({ state }) => state === 'overdue').map(({ item }) => item.name.toLowerCase());
  if (names.length === 0) return 'No regular care is overdue.';
  return `Overdue: ${listed(names)}.`;
}

/** What was read of each thing in a time: the first and the last, and what the last says. */
export function readInYear(
  { standing }: Pick<InspectionsStanding, 'standing'>,
  from: LocalDate,
  format: Format,
): { readonly name: string; readonly text: string }[] {
  return standing.flatMap(({ measure, place, lines, newest }) => {
    const line = lines.at(-1);
    const reads = line?.reads.filter(({ on }) => on >= from) ?? [];
    const [first] = reads;
    const last = reads.at(-1);
    if (line === undefined || first === undefined || last === undefined) return [];
    const now = `${readingWords(line.way, last.value, format)} on ${format.date(last.on)}`;
    const since =
      first === last ? '' : `${readingWords(line.way, first.value, format)} on ${format.date(first.on)}, then `;
    // What its own page says of it: a repair since, or a growth that is no matter of the number alone, among it.
    const grade = newest === null ? 'seen to since' : GRADE_WORDS[newest.grade].toLowerCase();
    return [{ name: measureWords(measure, place), text: `${since}${now}: ${grade}.` }];
  });
}
