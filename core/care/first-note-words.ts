import type { FirstNote } from '#core/care/first-note.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { counted } from '#core/explain/format.ts';
import type { Build } from '#core/instruments/build.ts';

/** Why it is looked over before it is played. */
export const firstNoteWords = ({ why }: FirstNote): string =>
  why.rule === 'never-played'
    ? 'New to you: look it over before the first note'
    : `Not played for ${counted(why.days, 'day')}: look it over before the first note`;

/** What that is for, and what else is to be known of the first days. */
export function firstNoteReasons({ benchUnknown }: FirstNote, { body }: Build, cameNew: boolean): WhyLine[] {
  const lines: WhyLine[] = [
    {
      rule: 'first-note',
      text: 'What lies long dries and sets: oil and grease come before playing, and nothing is forced.',
      mark: 'practice',
    },
  ];
  if (body === 'wood' && cameNew)
    lines.push({
      rule: 'new-wood',
      text: 'New wood: 15 to 20 minutes a day in the first two weeks, warmed in the hands first and swabbed halfway. The maker’s leaflet overrules this.',
      mark: 'general',
    });
  if (benchUnknown)
    lines.push({
      rule: 'bench-unknown',
      text: 'Nothing is known of its last service. Ask the bench for a check-up.',
      mark: 'practice',
    });
  return lines;
}
