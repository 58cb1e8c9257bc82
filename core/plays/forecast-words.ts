import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration } from '#core/explain/format.ts';
import type { DayReason } from '#core/plays/forecast.ts';
import { WELL_KNOWN_WEEKS, type UsualWeek } from '#core/plays/usual-week.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** Why a day is foreseen as it is, in words. */
export function dayReasonWords(reason: DayReason): WhyLine {
  const { rule, minutes } = reason;
  if (rule === 'planned') return { rule, text: `${reason.words}: about ${duration(minutes)}.`, mark: 'yours' };
  const day = `${WEEKDAYS[reason.weekday] ?? ''}s`;
  if (reason.seen === 0)
    return {
      rule,
      text: `${day}: none in the record yet; taken as an average day of yours, about ${duration(minutes)}.`,
      mark: 'estimate',
    };
  const own = `${day}: about ${duration(minutes)}, from ${counted(reason.seen, 'week')}`;
  return reason.seen >= WELL_KNOWN_WEEKS
    ? { rule, text: `${own}.`, mark: 'yours' }
    : {
        rule,
        text: `${own} and from your average day, ${duration(reason.anyDayMinutes)}.`,
        mark: 'estimate',
      };
}

/** What a date stands on that is foreseen from a week not well known yet. */
export const newWeekWords = ({ daysSeen, anyDay }: UsualWeek): WhyLine => ({
  rule: 'new-week',
  text: `Foreseen from ${counted(daysSeen, 'day')} so far. A weekday with few records leans on your average day, about ${duration(anyDay.minutes)}.`,
  mark: 'estimate',
});
