import { VERDICT_WORDS } from '#core/agents/verdict-words.ts';
import { counted, listed, roughly, type Format } from '#core/explain/format.ts';
import type { Mark, WhyLine } from '#core/explain/explained.ts';
import type { Change, RunName } from '#core/year/consequence.ts';

const runWords = (run: RunName): string =>
  typeof run === 'object' ? run.item : { before: 'Making ready', after: 'Packing up' }[run];
const ACTIONS_NAMED = 3;

const named = (headings: readonly string[]): string => {
  const shown = headings.slice(0, ACTIONS_NAMED).map((heading) => `“${heading}”`);
  const more = headings.length > shown.length ? [counted(headings.length - shown.length, 'other')] : [];
  return listed([...shown, ...more]);
};

const moreOrLess = (from: number, to: number): string =>
  `${roughly(Math.abs(to - from))} ${to > from ? 'more' : 'less'}`;

const line = (rule: Change['rule'], text: string, mark: Mark): WhyLine => ({ rule, text, mark });

function timesWords({ item, from, to, next }: Extract<Change, { rule: 'times' }>, format: Format): string {
  const on = next === null ? '' : `, next on ${format.date(next)}`;
  if (to === 0) return `${item}: not any more, instead of ${counted(from, 'time')} this year.`;
  if (from === to) return `${item}: still ${counted(to, 'time')} this year${on}.`;
  const was = from === 0 ? '' : ` instead of ${from}`;
  return `${item}: ${counted(to, 'time')} this year${was}${on}.`;
}

/** What another choice changes, in words. */
export function changeWords(change: Change, format: Format): WhyLine {
  const { rule } = change;
  switch (rule) {
    case 'steps-added':
      return line(rule, `${runWords(change.run)}, new steps: ${named(change.headings)}.`, 'practice');
    case 'steps-gone':
      return line(rule, `${runWords(change.run)}, no longer done: ${named(change.headings)}.`, 'practice');
    case 'order':
      return line(rule, `${runWords(change.run)}: the same steps in another order.`, 'practice');
    case 'said':
      return line(rule, `${change.heading}${change.how === null ? '' : `: ${change.how}`}`, 'practice');
    case 'minutes-each':
      return line(
        rule,
        `${runWords(change.run)}: about ${moreOrLess(change.from, change.to)} each time (${roughly(change.to)}).`,
        'estimate',
      );
    case 'passes':
      return line(rule, `Passes after an ordinary play: ${change.to} instead of ${change.from}.`, 'estimate');
    case 'times':
      return line(rule, timesWords(change, format), 'yours');
    case 'habit':
      return line(rule, change.text, 'practice');
    case 'while':
      return line(rule, `${change.condition}, while it lasts: ${change.words}.`, 'practice');
    case 'verdict':
      return line(
        rule,
        `${change.agent} on ${change.surface.toLowerCase()}: ${VERDICT_WORDS[change.to]} instead of ${VERDICT_WORDS[change.from]}.`,
        'practice',
      );
    case 'minutes-a-year':
      return line(
        rule,
        `This year about ${moreOrLess(change.from, change.to)}, at ${counted(Math.round(change.plays), 'play')}.`,
        'estimate',
      );
  }
}

/** "1 h 20 min less this year": the one figure beside a choice; empty when nothing in a year changes. */
export function yearWords(changes: readonly Change[]): string {
  const year = changes.find((one) => one.rule === 'minutes-a-year');
  return year === undefined ? '' : `about ${moreOrLess(year.from, year.to)} a year`;
}
