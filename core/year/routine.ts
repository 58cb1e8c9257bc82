import type { CareItem, Limbs } from '#core/book/care-item.ts';
import { limbsOf } from '#core/care/care-clock.ts';
import { counted, duration, listed } from '#core/explain/format.ts';
import type { Mark } from '#core/explain/explained.ts';
import { planRun } from '#core/packup/plan-run.ts';
import type { PlannedStep } from '#core/packup/run-plan.ts';
import type { Player } from '#core/players/profile.ts';
import { tuningWords } from '#core/settings/settings-words.ts';
import { runPartOf } from '#core/situation/run-part-of.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { Wetness } from '#core/water/wetness.ts';

/** What is done every so often. */
export const RHYTHMS = ['weekly', 'monthly', 'yearly'] as const;
export type Rhythm = (typeof RHYTHMS)[number];

/** How one instrument is looked after, as it is built and by the methods in force: no dates, for the lid of its case. */
export type Routine = {
  readonly before: readonly string[];
  readonly after: readonly string[];
  readonly every: Readonly<Record<Rhythm, readonly string[]>>;
  readonly never: readonly string[];
};

const [MOST_WEEKLY_DAYS, MOST_MONTHLY_DAYS, DAYS_A_MONTH] = [10, 45, 30];
/** Counted in plays alone: so many are a week's, so many a month's (estimate: a play a day). */
const [MOST_WEEKLY_PLAYS, MOST_MONTHLY_PLAYS] = [7, 30];
/** The same in minutes of playing (estimate: three quarters of an hour a day). */
const MINUTES_A_DAY = 45;

/** The days an interval comes to, the shortest of its limbs; a play is taken as a day. */
function daysOf({ days, months, plays, minutes }: Limbs): number {
  return Math.min(
    days?.value ?? Infinity,
    (months?.value ?? Infinity) * DAYS_A_MONTH,
    plays === undefined
      ? Infinity
      : plays.value <= MOST_WEEKLY_PLAYS
        ? MOST_WEEKLY_DAYS
        : plays.value <= MOST_MONTHLY_PLAYS
          ? MOST_MONTHLY_DAYS
          : plays.value,
    (minutes?.value ?? Infinity) / MINUTES_A_DAY,
  );
}

/** How often an interval comes round. */
export function rhythmOf(limbs: Limbs): Rhythm {
  const days = daysOf(limbs);
  if (days <= MOST_WEEKLY_DAYS) return 'weekly';
  return days <= MOST_MONTHLY_DAYS ? 'monthly' : 'yearly';
}

const MONTHS_A_YEAR = 12;
const every = (count: number, noun: string): string =>
  count === 1 ? `every ${noun}` : `every ${counted(count, noun)}`;
const monthsWords = (months: number): string =>
  months % MONTHS_A_YEAR === 0 ? every(months / MONTHS_A_YEAR, 'year') : every(months, 'month');

/** "about every 30 days or every 20 plays". */
export function limbsWords({ days, months, plays, minutes }: Limbs): string {
  const about = (mark: Mark | undefined) => (mark === 'estimate' ? 'about ' : '');
  const words = [
    days && `${about(days.mark)}${every(days.value, 'day')}`,
    months && `${about(months.mark)}${monthsWords(months.value)}`,
    plays && `${about(plays.mark)}${every(plays.value, 'play')}`,
    minutes && `${about(minutes.mark)}every ${duration(minutes.value)} played`,
  ].filter((one) => one !== undefined);
  return words.join(' or ');
}

/** A step as it stands on paper: what to do, how often, with what. */
function stepLine({ step: { heading, supplies = [] }, repeats }: PlannedStep): string {
  const times = repeats === null || repeats.count < 2 ? '' : `, about ${counted(repeats.count, repeats.noun)}`;
  const with_ = supplies.length === 0 ? '' : ` (${listed(supplies)})`;
  return `${heading}${times}${with_}`;
}

type Asked = {
  readonly player: Player;
  readonly wetness: Wetness;
  /** The A its player tunes to, Hz; null where they have not said. */
  readonly tuningHertz: number | null;
};

/** The steps of every play, before it or after it, in the order they are done. */
function everyPlay(
  situation: Situation,
  { player, wetness }: Omit<Asked, 'tuningHertz'>,
  moment: 'before' | 'after',
): string[] {
  const items = situation.methods.practice.items.filter(
    ({ trigger }) => trigger.kind === 'every-play' && trigger.moment === moment,
  );
  const play = { minutes: situation.plays.usualMinutes, roomCelsius: situation.conditions.usualRoomCelsius };
  const part = runPartOf(situation, {
    items: items.map(({ id }) => id),
    play: moment === 'after' ? play : null,
    wetness,
  });
  return planRun({ parts: [part], player, minutesAtHand: null, learned: new Map() })
    .steps.filter(({ step, unless }) => step.calledBy === undefined && unless.length === 0)
    .map(stepLine);
}

/** The pipes are tuned to their own low A, which is far from the A of the others (common practice). */
const tunesByItself = ({ kind }: Situation): boolean => kind.id === 'highland-pipes';

/** What it is tuned to, last before the first note. */
const tuning = (situation: Situation, { tuningHertz }: Asked): string[] =>
  tuningHertz === null || tunesByItself(situation) ? [] : [`Tune to ${tuningWords(tuningHertz)}, once it is warm`];

/** Whose hands something asks for, where it is not done at home. */
function handsWords({ place, skill }: CareItem, { does }: Player): string {
  if (place === 'bench') return ', at the bench';
  return skill !== undefined && !does.includes(skill) ? ', by your teacher or the bench' : '';
}

/** Something done every so often, with its interval and whose hands it asks for. */
const itemLine = (item: CareItem, limbs: Limbs, player: Player): string =>
  `${item.name}: ${limbsWords(limbs)}${handsWords(item, player)}`;

/** The routine of an instrument: what belongs to every play, what comes round, and what is never done. */
export function routineOf(situation: Situation, asked: Asked): Routine {
  const { practice, choices, context } = situation.methods;
  const timed = practice.items.flatMap((item) => {
    const limbs = limbsOf(item, { choices, context });
    return limbs === null ? [] : [{ item, limbs }];
  });
  const of = (rhythm: Rhythm) =>
    timed
      .filter(({ limbs }) => rhythmOf(limbs) === rhythm)
      .toSorted((one, other) => daysOf(one.limbs) - daysOf(other.limbs))
      .map(({ item, limbs }) => itemLine(item, limbs, asked.player));
  return {
    before: [...everyPlay(situation, asked, 'before'), ...tuning(situation, asked)],
    after: everyPlay(situation, asked, 'after'),
    every: { weekly: of('weekly'), monthly: of('monthly'), yearly: of('yearly') },
    never: practice.neverDos.map(({ text }) => text),
  };
}
