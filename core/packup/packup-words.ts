import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration } from '#core/explain/format.ts';
import type { PlanReason } from '#core/packup/plan-reason.ts';

/** Less idling than this is none, minutes. */
const LEAST_IDLE_MINUTES = 0.5;

function minutesWords({ pace, learned }: { pace: number; learned: number }): WhyLine {
  const beginner = pace > 1 ? ` At a beginner’s pace, about ${pace} times the practised time.` : '';
  const own = learned > 0 ? ` For ${counted(learned, 'step')} they follow your own ticks.` : '';
  return {
    rule: 'minutes-are-estimates',
    text: `The minutes of each step are this program’s estimates.${beginner}${own}`,
    mark: learned > 0 ? 'yours' : 'estimate',
  };
}

/** How long the must-steps take; "3 min, but about 3 min" would help nobody. */
const mustWords = ({ minutes, mustMinutes }: { minutes: number; mustMinutes: number }): string =>
  duration(minutes) === duration(mustMinutes) ? 'a little longer' : `about ${duration(mustMinutes)}`;

/** What the waits of a run leave for other steps, and for nothing at all. */
const waitsWords = ({ waitMinutes, idleMinutes }: { waitMinutes: number; idleMinutes: number }): string =>
  idleMinutes < LEAST_IDLE_MINUTES
    ? `Other steps fill all ${duration(waitMinutes)} of waiting.`
    : `Of ${duration(waitMinutes)} of waiting, other steps fill what they can; for about ${duration(idleMinutes)} there is nothing to do.`;

const mostWords = ({ isKept }: { isKept: boolean }): string =>
  isKept
    ? 'What soaks is taken out in time: nothing longer is put in between.'
    : 'No order was found in which nothing soaks too long: take out what soaks when its time is up.';

const SET_ASIDE =
  'The instrument made ready last stays in your hands: play it first. The others are set aside, and a double reed is wetted when its turn comes.';

const turningWords = ({ turns, seconds }: { turns: number; seconds: number }): string =>
  `Turning to another instrument counts as ${seconds} seconds, ${counted(turns, 'time')} in this run.`;

/** A plan's reason in words. */
export function planReasonWords(reason: PlanReason): WhyLine {
  const { rule } = reason;
  switch (rule) {
    case 'minutes-are-estimates':
      return minutesWords(reason);
    case 'order': {
      const text = reason.proved
        ? 'No order that keeps what must come first is shorter.'
        : `The best order found; at most ${duration(reason.gapMinutes)} longer than the shortest.`;
      return { rule, text, mark: 'practice' };
    }
    case 'waits-overlapped':
      return { rule, text: waitsWords(reason), mark: 'estimate' };
    case 'most-of-waits':
      return { rule, text: mostWords(reason), mark: 'estimate' };
    case 'set-aside':
      return { rule, text: SET_ASIDE, mark: 'general' };
    case 'turning':
      return { rule, text: turningWords(reason), mark: 'estimate' };
    case 'usual-look':
      return {
        rule,
        text: `${reason.question} Counted as “${reason.answer.toLowerCase()}”; another answer brings other steps.`,
        mark: 'estimate',
      };
    case 'own-look':
      return {
        rule,
        text: `${reason.question} You have found “${reason.answer.toLowerCase()}” ${counted(reason.times, 'time')} of your last ${reason.looks}, so the run begins with that. Another answer brings other steps. Methods can switch this off.`,
        mark: 'yours',
      };
    case 'time-at-hand': {
      const best = reason.proved ? 'nothing that fits protects more' : 'the best choice found';
      return {
        rule,
        text: `You have ${duration(reason.minutes)}. What must be done takes about ${duration(reason.mustMinutes)}; of the rest, ${best}: nearest the mouth, lasting damage and the longest overdue weigh most.`,
        mark: 'estimate',
      };
    }
    case 'kept-apart':
      return {
        rule,
        text: `“${reason.second}” comes only after “${reason.first}”: the two would react.`,
        mark: 'published',
      };
    case 'not-together':
      return {
        rule,
        text: `${reason.left} waits for another day: with “${reason.meets.toLowerCase()}” it would make ${reason.gas}.`,
        mark: 'published',
      };
    case 'must-exceeds':
      return {
        rule,
        text: `You have ${duration(reason.minutes)}, but what must be done takes ${mustWords(reason)}. Do these; the rest waits until you are at home.`,
        mark: 'estimate',
      };
  }
}
