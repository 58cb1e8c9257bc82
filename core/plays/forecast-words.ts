import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration } from '#core/explain/format.ts';
import { SHRINK_WEEKS, type DayReason, type UsualWeek } from '#core/plays/forecast.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** From so many weeks on a weekday speaks for itself. */
const SPEAKS_FOR_ITSELF = 4 * SHRINK_WEEKS;

/** Why a day is foreseen as it is, in words. */
export function dayReasonWords(reason: DayReason): WhyLine {
  const { rule, minutes } = reason;
  if (rule === 'planned') return { rule, text: `${reason.words}: about ${duration(minutes)}.`, mark: 'yours' };
  const day = `${WEEKDAYS[reason.weekday] ?? ''}s`;
  if (reason.seen === 0)
    return {
      rule,
      text: `${day}: none in the record yet; taken as any of your days, about ${duration(minutes)}.`,
      mark: 'estimate',
    };
  const own = `${day}: about ${duration(minutes)}, from ${counted(reason.seen, 'week')}`;
  return reason.seen >= SPEAKS_FOR_ITSELF
    ? { rule, text: `${own}.`, mark: 'yours' }
    : {
        rule,
        text: `${own} and from what any of your days holds, ${duration(reason.anyDayMinutes)}.`,
        mark: 'estimate',
      };
}

/** What the usual week stands on, in words. */
export const weekWords = ({ daysSeen, meanMinutes, seen, anyDay }: UsualWeek): WhyLine[] =>
  daysSeen === 0
    ? [{ rule: 'no-days', text: 'Nothing has been played yet, so nothing is foreseen.', mark: 'yours' }]
    : meanMinutes.map((minutes, weekday) =>
        dayReasonWords({ rule: 'weekday', weekday, minutes, seen: seen[weekday] ?? 0, anyDayMinutes: anyDay.minutes }),
      );
