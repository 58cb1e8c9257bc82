import type { ConditionSuggested } from '#core/conditions/condition-suggested.ts';
import type { ConditionCall } from '#core/conditions/condition-calls.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import type { ConditionNote } from '#core/conditions/condition-effects.ts';
import type { Book } from '#core/book/book.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import { counted, duration, type Format } from '#core/explain/format.ts';

/** What a condition asks of one item, in words. */
export function conditionCallWords({ condition, name, kind, on, words }: ConditionCall, format: Format): string {
  const since = `since ${format.date(condition.beginsOn)}`;
  if (kind === 'at-each-joining')
    return `${name} ${since}: ${words}${on === null ? '' : `, up to ${format.date(on)}`}.`;
  return `${name} ${since}: ${words}${on === null ? '' : `. The next time is ${format.date(on)}`}.`;
}

/** What a condition does besides calling for items, in words. */
export function conditionNoteWords(note: ConditionNote): string {
  switch (note.rule) {
    case 'hold':
      return note.text;
    case 'daily-minutes': {
      const left = Math.max(0, note.most - note.playedToday);
      return `At most about ${duration(note.most)} a day: ${duration(left)} left today.`;
    }
    case 'default':
      return `${note.question} By default now: ${note.words}.`;
  }
}

/** How a condition ends when it has no last day. */
export function endWords({ ends }: ConditionKind): string {
  switch (ends.kind) {
    case 'after-days':
      return `by itself after about ${counted(ends.days.value, 'day')}`;
    case 'after-days-by-method':
      return `by itself, after ${Object.values(ends.days)
        .map(({ value }) => String(value))
        .join(' or ')} days by your choice`;
    case 'when-said':
      return ends.words;
  }
}

/** A condition as it stands in the record. */
export const conditionWords = (book: Book, id: ConditionId, ofPlayer: boolean): string =>
  `${conditionKind(book, id).name}${ofPlayer ? ' (whoever plays it)' : ''}`;

/** Why a condition is suggested. */
export const suggestedWords = ({ times, days }: ConditionSuggested): string =>
  `It was in the rain on ${times} of the last ${days} days.`;
