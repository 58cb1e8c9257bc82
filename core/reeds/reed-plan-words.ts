import { priceOf } from '#core/reeds/reed-price.ts';
import { entriesOf } from '#core/kernel/typed.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { asSentence, counted, duration, type Format } from '#core/explain/format.ts';
import { RAN_OUT } from '#core/solve/solve-words.ts';
import { FIRST_HALF, GOOD_PRIOR, SURE_ENOUGH } from '#core/reeds/reed-numbers.ts';
import type { ReedFamily } from '#core/reeds/reed.ts';
import type { ReedLives } from '#core/reeds/reed-life.ts';
import { reedName } from '#core/reeds/reed-words.ts';
import type { RotationPlan } from '#core/reeds/plan-rotation.ts';
import { ROTATION_PENALTY, type RotationCost } from '#core/reeds/rotation.ts';
import { SETTLING_DAYS, type Readiness } from '#core/reeds/readiness.ts';
import type { ReedWish } from '#core/settings/settings.ts';
import { DELIVERY_DAYS, type Supply } from '#core/reeds/supply.ts';

const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** Hours of playing to one place. */
const hours = (minutes: number, format: Format): string => `${format.number(minutes / 60)} h`;

/** The answer of readiness in one sentence. */
export function readinessWords(
  { wanted, openBy, toOpen, advised, table, on, unopened, costOfOne, surer }: Readiness,
  format: Format,
): string {
  const now = table[0]?.chance ?? 0;
  const goal = `${counted(wanted, 'concert reed')} on ${format.date(on)}`;
  if (openBy === null)
    return `It is too late to break in a new reed. With those you have, the chance of ${goal} is about ${percent(now)}.`;
  if (toOpen === 0) return `You have enough: the chance of ${goal} is about ${percent(now)}.`;
  if (advised === 0)
    return `You have as many reeds in turn as can be kept going: the chance of ${goal} is about ${percent(now)}.`;
  const chance = percent(table[advised]?.chance ?? 0);
  const missing = advised - unopened;
  const more = surer === null ? '' : ` With ${surer.opened} it is about ${percent(surer.chance)}.`;
  const cost =
    costOfOne === null
      ? ''
      : ` ${advised === 1 ? 'One costs' : `${advised} cost`} about ${format.money(priceOf(advised, costOfOne))}.`;
  const buy =
    missing <= 0 ? '' : ` You have ${unopened === 0 ? 'no new one' : `only ${unopened}`}, so buy ${missing} more.`;
  return `Open ${counted(advised, 'more reed')} by ${format.date(openBy)}: the chance of ${goal} is then about ${chance}.${more}${cost}${buy}`;
}

const UNKNOWN_SAID = ' Nobody knows how long it was played before: it counts as a quarter of a usual life.';
const WISH_SAID: Readonly<Record<ReedWish, string>> = {
  fewer: ', for you want to open fewer reeds',
  usual: '',
  surer: ', for you want to be surer',
};

/** What the answer rests on, so that it can be checked by hand. */
export function readinessWhy(
  { existing, underWay, share, leadDays, toOpen, advised, wish }: Readiness,
  family: ReedFamily,
  format: Format,
): WhyLine[] {
  return [
    ...existing.map(({ reed, minutesUntil, chance }): WhyLine => ({
      rule: 'existing',
      text:
        chance === 0
          ? `${reedName(reed)} will be worn by then.`
          : `${reedName(reed)} plays about ${hours(minutesUntil, format)} until then, and is still fit with a chance of ${percent(chance)}.${reed.beforeMinutes === null ? UNKNOWN_SAID : ''}`,
      mark: 'estimate',
    })),
    ...(underWay > 0
      ? [
          {
            rule: 'under-way',
            text: `${counted(underWay, 'reed')} you have opened ${underWay === 1 ? 'is' : 'are'} not graded yet and ${underWay === 1 ? 'counts' : 'count'} as opened.`,
            mark: 'yours',
          } as const,
        ]
      : []),
    {
      rule: 'share',
      text:
        `${family === 'double' ? 'Of reeds made by hand about two in five are good enough for a concert' : 'Of a box about half are good enough for a concert'}: counted as ${GOOD_PRIOR[family].good} that were and ${GOOD_PRIOR[family].bad} that were not. ` +
        `You have graded ${counted(share.graded, 'reed')}${family === 'single' ? ' with a flat back' : ''}, which makes ${format.number(share.good)} good and ${format.number(share.bad)} not (beta-binomial).`,
      mark: share.graded === 0 ? 'estimate' : 'yours',
    },
    {
      rule: 'lead',
      text: `From opening a reed to trusting its grade takes ${counted(leadDays, 'day')}: ${family === 'single' ? `breaking in, and ${SETTLING_DAYS} days in turn` : 'it is adjusted and played in'}.`,
      mark: 'estimate',
    },
    ...(toOpen === null || toOpen > advised
      ? [
          {
            rule: 'kept-going',
            text: `To be sure it would take ${toOpen === null ? 'more than twenty' : toOpen}: that many are not kept going at once.`,
            mark: 'estimate',
          } as const,
        ]
      : []),
    {
      rule: 'sure-enough',
      text: `Enough is a chance of ${percent(SURE_ENOUGH[wish].value)}${WISH_SAID[wish]}, and a concert reed is in the first ${FIRST_HALF.value === 0.5 ? 'half' : percent(FIRST_HALF.value)} of its life.`,
      mark: 'estimate',
    },
  ];
}

/** How long reeds live, in one sentence with how sure it is. */
export function lifeWords({ belief, material, usualMinutes }: ReedLives, format: Format): string {
  const { ended, alive } = belief.seen;
  const [low, high] = [belief.ageAt(0.9), belief.ageAt(0.1)];
  const seen =
    ended + alive === 0
      ? 'No reed of yours has been seen to its end yet, so this is what is usual.'
      : `That rests on ${counted(ended, 'reed')} of yours that ended and ${alive} still alive, beside what is usual.`;
  return `Half of your ${material} reeds live longer than about ${hours(usualMinutes, format)} of playing, most between ${hours(low, format)} and ${hours(high, format)}. ${seen}`;
}

/** What a life rests on: what is usual, one's own reeds, and how the two are put together. */
export function lifeWhy({ belief, curve, beforeMinutes }: ReedLives, format: Format): WhyLine[] {
  const { ended, alive } = belief.seen;
  return [
    {
      rule: 'prior',
      text: `What is usual: half live longer than about ${hours(beforeMinutes, format)} of playing.`,
      mark: 'estimate',
    },
    ...(ended + alive > 0
      ? [
          {
            rule: 'seen',
            text: `Your record has ${ended} ${ended === 1 ? 'life' : 'lives'} seen to the end and ${alive} still going on. Lost or given away counts as still going on; minutes played high count 1.25 or 1.5 times.`,
            mark: 'yours',
          } as const,
        ]
      : []),
    {
      rule: 'method',
      text: `The broken line puts both together (Weibull, Bayes)${curve.steps.length > 0 ? '; the steps are your reeds alone with their band of 90 % (Kaplan–Meier, Greenwood)' : ''}.`,
      mark: 'published',
    },
    ...(curve.stopsAt === null
      ? []
      : [
          {
            rule: 'few-at-risk',
            text: `The steps ${curve.steps.length > 0 ? 'stop' : 'are not drawn'}: at ${hours(curve.stopsAt.at, format)} of playing only ${counted(curve.stopsAt.atRisk, 'reed')} of yours ${curve.stopsAt.atRisk === 1 ? 'was' : 'were'} watched, the others came to you later in their lives. So few say nothing of all.`,
            mark: 'estimate',
          } as const,
        ]),
  ];
}

/** When to buy, in one sentence. */
export function supplyWords(supply: Supply, format: Format): string {
  const { unopened, living, runsOutOn, buyOn, inHand, minutesADay } = supply;
  const have = `You have ${counted(unopened, 'new reed')} and ${living} in use.`;
  if (minutesADay === 0) return `${have} How long they last is not known before you have played on them.`;
  if (runsOutOn === null || buyOn === null) return `${have} That is enough for two years and more.`;
  return `${have} About ${format.date(runsOutOn)} fewer than ${inHand} are left in hand. Buy a box by ${format.date(buyOn)}.`;
}

/** What playing costs in reeds, in one sentence; null where no box says what it cost. */
export const costWords = ({ costAMonth, costAnHour }: Supply, format: Format): string | null =>
  costAMonth &&
  costAnHour &&
  `Reeds cost you about ${format.money(costAMonth)} a month, ${format.money(costAnHour)} for an hour of playing.`;

/** What the supply rests on. */
export function supplyWhy({ aMonth, minutesADay, lifeMinutes, costOfOne }: Supply, format: Format): WhyLine[] {
  const price: WhyLine[] = costOfOne
    ? [
        {
          rule: 'price',
          text: `A reed costs about ${format.money(costOfOne)}: the mean of your boxes that say what they cost.`,
          mark: 'yours',
        },
      ]
    : [];
  return [
    ...price,
    {
      rule: 'use',
      text: `You play about ${duration(minutesADay)} a day on such reeds, as foreseen from your weeks.`,
      mark: 'yours',
    },
    {
      rule: 'life',
      text: `A reed lives about ${hours(lifeMinutes, format)}, so about ${format.number(aMonth)} a month are used up.`,
      mark: 'estimate',
    },
    { rule: 'delivery', text: `A new box is there ${DELIVERY_DAYS} days after it is ordered.`, mark: 'estimate' },
  ];
}

/** How good a plan is, and what would make it better. */
export function rotationWords({ gap, cost, schedules, ranOut }: RotationPlan, format: Format): string {
  if (schedules.length === 0) return 'No reed is in use, so there is nothing to plan.';
  const proved =
    gap === null
      ? 'How far it is from the best is still being worked out.'
      : gap === 0
        ? 'No plan is better: that is proved.'
        : `The best plan there is may cost at most ${format.number(Math.max(LEAST_TOLD, gap * 100))} % less.`;
  const short = cost.short / ROTATION_PENALTY.short;
  const missing =
    short < A_PLAY
      ? ''
      : ` About ${duration(short)} are left without a rested reed: one more in turn would cover ${duration(Math.min(short, MOST_OF_ONE))} of them.`;
  const unready = cost.unready / ROTATION_PENALTY.unready;
  const concerts =
    unready < A_PLAY
      ? ''
      : ` About ${duration(unready)} of concerts have no reed that is ready: see above how many to open.`;
  return `Four weeks, planned from your usual weeks. ${proved}${ranOut ? RAN_OUT : ''}${missing}${concerts}`;
}
/** Less is not told, %: nothing is only what is proved. */
const LEAST_TOLD = 0.1;
/** Less than this left over is no reason for another reed, minutes. */
const A_PLAY = 30;
/** What one more reed plays at most in four weeks: every other day its 90 minutes. */
const MOST_OF_ONE = 14 * 90;

const TERM_WORDS: Readonly<Record<keyof RotationCost, string>> = {
  short: 'minutes without a planned reed',
  unready: 'concert minutes without a ready reed',
  concertReedSpent: 'concert reeds used up on ordinary days',
  wear: 'wear, more for a reed that has more behind it',
  practiceOnly: 'sessions on reeds that are only good for practice',
  breakInWaits: 'days on which a reed being broken in lies still',
  change: 'changes of reed within a day',
};

/** What a plan weighs, term by term: all in minutes one would rather do without a fit reed. */
export function rotationWhy({ cost, bound }: RotationPlan, format: Format): WhyLine[] {
  const terms = entriesOf(TERM_WORDS).map(([term, words]): WhyLine => ({
    rule: term,
    text: `${asSentence(words)}: as bad as ${format.number(cost[term])} min without a reed.`,
    mark: 'estimate',
  }));
  const best: WhyLine[] =
    bound === null
      ? []
      : [
          {
            rule: 'bound',
            text: `No plan is less bad than ${format.number(bound)} min without a reed.`,
            mark: 'published',
          },
        ];
  return [...terms, ...best];
}
