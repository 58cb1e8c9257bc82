import { signOf } from '#core/book/care-item.ts';
import { type Baseline, type ClockReason, type ItemClock, type LimbReading } from '#core/care/care-clock.ts';
import type { CareState } from '#core/care/care-state.ts';
import type { DueRange } from '#core/care/project-due.ts';
import { conditionCallWords } from '#core/conditions/condition-words.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration, type Format } from '#core/explain/format.ts';
import { newWeekWords } from '#core/plays/forecast-words.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

const percent = (load: number): string => `${Math.round(load * 100)} %`;

function limbWords({ limb, since, interval, load }: LimbReading, format: Format): string {
  const about = interval.mark === 'estimate' ? 'about ' : '';
  const run = `that is ${percent(load)}`;
  switch (limb) {
    case 'days':
      return `${counted(since, 'day')} of ${about}${counted(interval.value, 'day')} have gone by: ${run}.`;
    case 'minutes':
      return `${duration(since)} played of ${about}${duration(interval.value)}: ${run}.`;
    case 'plays':
      return `${counted(since, 'play')} of ${about}${format.number(interval.value)}: ${run}.`;
  }
}

function baselineWords(baseline: Baseline, format: Format): string {
  if (baseline.kind === 'came-new') return `Counted from ${format.date(baseline.on)}, when it came new.`;
  return `Last done on ${format.date(baseline.on)}${baseline.by === 'bench' ? ', by the bench' : ''}.`;
}

/** From which play the days count of what playing wears. */
const wornWords = (from: LocalDate | null, format: Format): string =>
  from === null
    ? 'Nothing has been played since, so it is as it was: its days count from the next play.'
    : `Playing is what wears it: its days count from ${format.date(from)}, the first play since.`;

const everyPlayWords = (playsSince: number): string =>
  playsSince === 0
    ? 'It belongs to every play, and it is done since the last one.'
    : `Belongs to every play; ${counted(playsSince, 'play')} since it was last done.`;

function projectedWords({ on, earliest, latest }: DueRange, format: Format): string {
  const range =
    earliest === latest ? '' : `, between ${format.date(earliest)} and ${format.date(latest)} as your weeks vary`;
  return `At your usual weeks it falls due on ${format.date(on)}${range}.`;
}

const markOf = (reading: LimbReading) => reading.interval.mark;

/** One reason of a clock in words. The mark says how much the rule in it weighs. */
export function clockReasonWords(reason: ClockReason, format: Format): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'counted-from':
      return { rule, text: baselineWords(reason.baseline, format), mark: 'yours' };
    case 'worn-by-playing':
      return { rule, text: wornWords(reason.from, format), mark: 'estimate' };
    case 'no-history':
      return { rule, text: 'Nothing in the record says when this was last done.', mark: 'yours' };
    case 'limb': {
      const text = limbWords(reason.reading, format);
      return { rule, text: reason.leading ? `${text} This runs out first.` : text, mark: markOf(reason.reading) };
    }
    case 'method': {
      const { chosen } = reason;
      return { rule, text: `Interval: ${chosen.words} (${chosen.why}).`, mark: chosen.mark };
    }
    case 'every-play':
      return { rule, text: everyPlayWords(reason.playsSince), mark: 'one-voice' };
    case 'interval-words':
      return { rule, text: `The practice book says: ${reason.words}.`, mark: reason.item.mark };
    case 'while':
      return { rule, text: `It has no clock of its own. It is done ${reason.words}.`, mark: reason.item.mark };
    case 'condition':
      return { rule, text: conditionCallWords(reason.call, format), mark: reason.call.mark };
    case 'when-noticed':
      return { rule, text: `It has no clock. It is done when you notice ${reason.sign}.`, mark: reason.item.mark };
    case 'why':
      return { rule, text: reason.item.why, mark: reason.item.mark };
    case 'projected':
      return { rule, text: projectedWords(reason.due, format), mark: 'yours' };
    case 'new-week':
      return newWeekWords(reason.week);
    case 'noticed':
      return { rule, text: `Noticed on ${format.date(reason.on)}: ${reason.sign}.`, mark: 'yours' };
    case 'blocked':
      return {
        rule,
        text: `Waits for the bench since ${format.date(reason.since)}: ${reason.by.name.toLowerCase()}. Water would be shut in behind what is stuck.`,
        mark: 'practice',
      };
    case 'declined':
      return { rule, text: `You have said on ${format.date(reason.on)} that you do not do this.`, mark: 'yours' };
    case 'postponed':
      return { rule, text: `You let it wait until ${format.date(reason.until)}.`, mark: 'yours' };
  }
}

/** The one word that stands beside the gauge. */
export const STATE_WORDS: Readonly<Record<CareState, string>> = {
  fresh: 'fresh',
  soon: 'soon',
  due: 'due',
  overdue: 'overdue',
  unknown: 'not known',
  'as-seen': 'when seen',
  off: 'not done here',
  waiting: 'waits for the bench',
};

/** What stands beside the gauge where something other than the item's own clock decides; null where it is the clock. */
function calledWords({ item, state, because }: ItemClock, today: LocalDate): string | null {
  const [first] = because;
  if (first?.rule === 'noticed') return 'noticed';
  if (first?.rule !== 'condition' || (state !== 'due' && state !== 'overdue')) return null;
  const { kind, on } = first.call;
  if (kind === 'at-each-joining')
    return on === null ? 'at each joining' : `at each joining, for ${counted(daysBetween(today, on) + 1, 'more day')}`;
  const past = on === null ? 0 : daysBetween(on, today);
  return past > 0 && item.trigger.kind !== 'clock' ? `${counted(past, 'day')} over` : null;
}

/** What stands beside the gauge of an item without a running clock; null where one runs. */
function idleWords({ item, state }: ItemClock): string | null {
  if (state === 'as-seen') {
    const sign = signOf(item);
    if (item.trigger.kind === 'when-so') return `for ${item.trigger.words}`;
    if (sign !== undefined) return `when you notice ${sign}`;
    return item.trigger.kind === 'while' ? item.trigger.words : STATE_WORDS[state];
  }
  return ['waiting', 'unknown', 'off'].includes(state) ? STATE_WORDS[state] : null;
}

/** "due", "due in 3 days", "5 days over": what a player reads beside the gauge. */
export function standingWords(clock: ItemClock, today: LocalDate): string {
  const { state, due, item } = clock;
  if (item.trigger.kind === 'every-play') return state === 'fresh' ? 'done' : 'after this play';
  const special = idleWords(clock) ?? calledWords(clock, today);
  if (special !== null) return special;
  const over = overdueDays(clock);
  if (over > 0) return `${counted(over, 'day')} over`;
  if (state === 'due' || state === 'overdue' || due === null) return STATE_WORDS[state];
  const days = daysBetween(today, due.on);
  const about = due.earliest === due.latest ? '' : 'about ';
  return days > 60 ? `in ${about}${Math.round(days / 30.4)} months` : `in ${about}${counted(days, 'day')}`;
}

/** Days past the calendar limb; 0 when it is not past, or when only playing made it due. */
export function overdueDays(clock: ItemClock): number {
  for (const reason of clock.because)
    if (reason.rule === 'limb' && reason.reading.limb === 'days')
      return Math.max(0, Math.floor(reason.reading.since - reason.reading.interval.value));
  return 0;
}
