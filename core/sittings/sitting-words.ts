import { SEVERITY_WEIGHT } from '#core/book/care-item.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import type { Hands } from '#core/players/player.ts';
import { counted, duration, type Format } from '#core/explain/format.ts';
import { SITTING_PENALTY, type SittingsCost } from '#core/sittings/sittings.ts';

export type SittingsTold = {
  /** Sittings of the plan, and how many there would be with each thing on its own date. */
  readonly count: number;
  readonly apart: number;
  /** What does not find a day. */
  readonly left: number;
  readonly gap: number | null;
  /** What falls due, too, and is not planned: others are more pressing. */
  readonly beyond: number;
  /** The player has said that there is none, every day is taken by something else, or there is some. */
  readonly time: 'none-said' | 'none-left' | 'some';
};

/** Less is not told, %. */
const LEAST_TOLD = 0.1;

/** What the plan comes to, in a few sentences. */
export function sittingsWords({ count, apart, left, gap, beyond, time }: SittingsTold, format: Format): string {
  if (time === 'none-said')
    return 'You have said that you have no time on any day. Say when you have some, and Ulu plans it.';
  if (time === 'none-left')
    return 'Every day of these six weeks is taken by an audience, a journey or a holiday. Nothing finds a day.';
  if (count === 0 && left === 0) return 'Nothing falls due in the next six weeks.';
  const saved = apart > count ? ` Each thing on its own date would be ${counted(apart, 'sitting')}.` : '';
  const proved =
    gap === null
      ? ''
      : gap === 0
        ? ' No plan is better: that is proved.'
        : ` The best plan there is may cost at most ${format.number(Math.max(LEAST_TOLD, gap * 100))} % less.`;
  const missing =
    left === 0 ? '' : ` ${counted(left, 'thing')} ${left === 1 ? 'finds' : 'find'} no day: see below what it needs.`;
  const further =
    beyond === 0
      ? ''
      : ` ${counted(beyond, 'thing')} more ${beyond === 1 ? 'is' : 'are'} less pressing and not planned yet.`;
  return `${counted(count, 'sitting')} in six weeks.${saved}${proved}${missing}${further}`;
}

/** What a plan weighs, term by term. */
export const sittingsWhy = ({ sittings, early, late, moved, left }: SittingsCost, format: Format): WhyLine[] => [
  {
    rule: 'sittings',
    text: `${format.number(sittings)} penalty minutes for the sittings, ${SITTING_PENALTY.sitting} each: getting everything out and putting it away.`,
    mark: 'estimate',
  },
  {
    rule: 'early',
    text: `${format.number(early)} penalty minutes for work done before it is due, its minutes by the share of the interval that is lost.`,
    mark: 'estimate',
  },
  {
    rule: 'late',
    text: `${format.number(late)} penalty minutes for work done late: ${SEVERITY_WEIGHT.looks.value} a day for looks, ${SEVERITY_WEIGHT.function.value} for how it plays, ${SEVERITY_WEIGHT.person.value} for health and lasting harm; ${SITTING_PENALTY.overdueDay} a day more once half its time more has gone by.`,
    mark: 'estimate',
  },
  {
    rule: 'moved',
    text: `${format.number(moved)} penalty minutes for what lies on another day than the plan before has shown, ${SITTING_PENALTY.moved} each.`,
    mark: 'estimate',
  },
  {
    rule: 'left',
    text: `${format.number(left)} penalty minutes for what finds no day.`,
    mark: 'estimate',
  },
];

/** Why something lies on its day. */
export function placedWords(day: number, due: number): string {
  if (due === 0) return day === 0 ? 'It is due.' : 'It is due already; this is the first good day.';
  if (day === due) return 'It is due that day.';
  return day < due
    ? `It is due ${counted(due - day, 'day')} later, and comes along.`
    : `It is due ${counted(day - due, 'day')} before, and waits for a sitting.`;
}

/** Who has to be there for it; nothing where the player does it alone. */
export const handsWords: Readonly<Record<Hands, string>> = {
  player: '',
  'with-a-grown-up': 'with a grown-up',
  'with-the-teacher': 'with the teacher',
  bench: '',
};

/** About how long a sitting is. */
export const sittingMinutes = (minutes: number): string => `about ${duration(Math.max(1, Math.round(minutes)))}`;
