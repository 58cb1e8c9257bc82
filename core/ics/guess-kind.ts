import type { EventKind } from '#core/calendar/event.ts';

/** Words by which a player names what is on (estimate); the first that fits is taken. */
const KIND_WORDS: readonly { readonly what: EventKind; readonly words: RegExp }[] = [
  { what: 'audition', words: /\b(auditions?|exams?|competition|contest|jury)\b/i },
  { what: 'bench', words: /\b(bench|repairs?|overhaul|instrument service)\b/i },
  {
    what: 'rehearsal',
    words: /\b(rehears\w*|run[- ]?through|sectionals?|band practice|orchestra practice|seating)\b/i,
  },
  {
    what: 'concert',
    words:
      /\b(concerts?|gala|recital|performances?|shows?|matin[ée]es?|premi[èe]re|first night|gig|evensong|parade)\b/i,
  },
  { what: 'travel', words: /\b(tour|travel|journey|flight|away)\b/i },
  { what: 'holiday', words: /\b(holidays?|vacation|break|half[- ]term|closed|dark week)\b/i },
];

/** What an entry of a calendar probably is, by what it is called; unsure, a rehearsal, or a holiday where it is whole days. */
export function guessKind(
  summary: string,
  isWholeDay: boolean,
): { readonly what: EventKind; readonly isSure: boolean } {
  const found = KIND_WORDS.find(({ words }) => words.test(summary));
  if (found !== undefined) return { what: found.what, isSure: true };
  return { what: isWholeDay ? 'holiday' : 'rehearsal', isSure: false };
}
