import type { WhyLine } from '#core/explain/explained.ts';
import { counted, duration, listed, roughly, type Format } from '#core/explain/format.ts';
import { clockTime } from '#core/plays/play-words.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import type { WarpDriver } from '#core/reeds/warp.ts';
import { DAILY_CAP, IN_HAND, REST_HOURS, SOFT_LEFT, WARP_BY } from '#core/reeds/reed-numbers.ts';
import type { Remaining } from '#core/reeds/reed-life.ts';
import type { ReedPin } from '#core/reeds/reed-pin.ts';
import type { HeldBack } from '#core/reeds/breaking-in.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import {
  RESISTANCES,
  type Character,
  type ReedBox,
  type ReedEnd,
  type ReedFamily,
  type ReedFeel,
  type ReedFor,
  type ReedSaying,
  type ReedSign,
  type Sits,
} from '#core/reeds/reed.ts';
import { isOfWeather, type WeatherReason } from '#core/reeds/reed-weather.ts';
import { weatherReasonWords } from '#core/reeds/reed-weather-words.ts';
import type { ReedReason } from '#core/reeds/which-reed.ts';
import { dateOfDay, daysBetween, type LocalDate } from '#core/time/local-date.ts';

export const FEEL_WORDS: Readonly<Record<ReedFeel, string>> = {
  'too-hard': 'too hard',
  right: 'right',
  'too-soft': 'too soft',
};
export const USE_WORDS: Readonly<Record<ReedFor, string>> = {
  concert: 'concert',
  rehearsal: 'rehearsal',
  practice: 'practice',
};
export const SIGN_WORDS: Readonly<Record<ReedSign, string>> = {
  stuffy: 'stuffy',
  squeaks: 'squeaks',
  chipped: 'chipped',
  'corner-gone': 'a corner is gone',
  'sank-in-pitch': 'sank in pitch',
  shut: 'shut',
};
export const END_WORDS: Readonly<Record<ReedEnd, string>> = {
  soft: 'soft past use',
  dark: 'dark',
  chipped: 'chipped',
  split: 'split',
  'corner-gone': 'without a corner',
  'sank-in-pitch': 'flat for good',
  shut: 'shut',
  leaks: 'leaking at its back',
  lost: 'lost',
  'given-away': 'given away',
};

/**
 * What each box is called: "Fennel 2½"; where several came by that name, with its number among them, so that a reed is
 * known by its words alone.
 */
export function boxNames(boxes: readonly ReedBox[]): ReadonlyMap<string, string> {
  const plain = ({ name, strength }: ReedBox): string => `${name}${strength === null ? '' : ` ${strength}`}`;
  const alike = (box: ReedBox): string => `${box.kind} ${plain(box)}`;
  const counts = new Map<string, number>();
  for (const box of boxes) counts.set(alike(box), (counts.get(alike(box)) ?? 0) + 1);
  const seen = new Map<string, number>();
  return new Map(
    boxes.map((box) => {
      const nth = (seen.get(alike(box)) ?? 0) + 1;
      seen.set(alike(box), nth);
      return [box.key, (counts.get(alike(box)) ?? 0) > 1 ? `${plain(box)}, box ${nth}` : plain(box)];
    }),
  );
}

/** "Fennel 2½, reed 3". */
export const reedName = ({ boxName, number }: Pick<ReedState, 'boxName' | 'number'>): string =>
  `${boxName}, reed ${number}`;

/** Reeds one after the other; what is called as the one before is not said again: "Fennel 2½, box 4, reed 4 and reed 1". */
export const reedsTogether = (names: readonly string[]): string =>
  listed(
    names.map((name, at) => {
      const [own, before] = [name.split(', '), names[at - 1]?.split(', ') ?? []];
      const differs = own.findIndex((piece, index) => piece !== before[index]);
      return own.slice(differs < 0 ? own.length - 1 : differs).join(', ');
    }),
  );

export const SITS_WORDS: Readonly<Record<Sits, string>> = {
  flat: 'sits a little flat',
  'in-tune': 'sits in tune',
  sharp: 'sits a little sharp',
};
/** "resistance 3 of 5, sits in tune": what tells a double reed from the others in hand; null where nobody said. */
export function characterWords({ resistance, sits }: Character): string | null {
  const said = [
    resistance === undefined ? null : `resistance ${resistance} of ${RESISTANCES.length}`,
    sits === undefined ? null : SITS_WORDS[sits],
  ].filter((one) => one !== null);
  return said.length === 0 ? null : said.join(', ');
}

/** What was said of a reed, as it stands in the record. */
export function sayingWords(saying: ReedSaying): string {
  switch (saying.what) {
    case 'flattened':
      return 'Its back was rubbed flat.';
    case 'ended':
      return `It is ${END_WORDS[saying.cause]} and no longer played.`;
    case 'graded': {
      const signs = saying.signs.length > 0 ? `, ${saying.signs.map((sign) => SIGN_WORDS[sign]).join(', ')}` : '';
      const good = saying.goodFor === null ? '' : `, for ${USE_WORDS[saying.goodFor]}`;
      const character = characterWords(saying);
      return `It felt ${FEEL_WORDS[saying.feel]}${good}${signs}${character === null ? '' : `, ${character}`}.`;
    }
  }
}

/** "today at 21:40", or with its day where it is another one. */
function momentWords(wall: number, nowWall: number, format: Format): string {
  const day = Math.floor(wall / MINUTES_PER_DAY);
  const at = clockTime(wall % MINUTES_PER_DAY);
  const isToday = day === Math.floor(nowWall / MINUTES_PER_DAY);
  return isToday ? `today at ${at}` : `${format.weekdayDate(dateOfDay(day))} at ${at}`;
}

const penaltyWords = (penalty: number, format: Format): string =>
  `${penalty < 0 ? 'That speaks for it' : 'That counts against it'} like ${format.number(Math.abs(penalty))} min without a fit reed.`;

function capWords({ minutes, playedToday }: Extract<ReedReason, { rule: 'cap' }>): string {
  if (minutes === null) return 'It has no limit for the day.';
  const played = playedToday > 0 ? ` ${duration(playedToday)} are behind it today.` : '';
  return `A reed that is broken in plays at most about ${duration(DAILY_CAP.value)} a day.${played}`;
}

const AGAINST = {
  'not-concert-grade': 'It is not graded for concerts.',
  'second-half': 'It is in the second half of its life.',
  'practice-only': 'It is only good for practice.',
} as const;

const openedWords = (minutes: number): string =>
  `Fewer reeds are in turn than should be, so this one is opened: on its first day about ${duration(minutes)}.`;
const nothingElseWords = (minutes: number): string =>
  `No reed that has rested and is broken in is left for ${duration(minutes)}. Played on, this one wears sooner.`;

const weatherWhyLine = (reason: WeatherReason, format: Format): WhyLine => ({
  rule: reason.rule,
  text: `${weatherReasonWords(reason, format)} ${penaltyWords(reason.penalty, format)}`,
  mark: 'estimate',
});

/** One reason of a proposal in words. */
export function reedReasonWords(reason: ReedReason, nowWall: number, format: Format): WhyLine {
  if (isOfWeather(reason)) return weatherWhyLine(reason, format);
  const { rule } = reason;
  switch (rule) {
    case 'cap':
      return { rule, text: capWords(reason), mark: 'estimate' };
    case 'break-in':
      return {
        rule,
        text: `Day ${reason.reached} of ${reason.of} of breaking it in: about ${duration(reason.minutes)}, no more.`,
        mark: 'one-voice',
      };
    case 'opened':
      return { rule, text: openedWords(reason.minutes), mark: 'one-voice' };
    case 'nothing-else':
      return { rule, text: nothingElseWords(reason.minutes), mark: 'estimate' };
    case 'not-rested':
      return {
        rule,
        text: `It rests ${REST_HOURS.value} hours after a play: until ${momentWords(reason.until, nowWall, format)}.`,
        mark: REST_HOURS.mark,
      };
    case 'set':
      return { rule, text: `You have set it for today: ${duration(reason.minutes)}.`, mark: 'yours' };
    case 'set-aside':
      return { rule, text: 'You have set it aside for today.', mark: 'yours' };
    case 'set-for-tomorrow':
      return { rule, text: 'You have set it for tomorrow, so it rests today.', mark: 'yours' };
    case 'uncovered':
      return {
        rule,
        text: `It may not play the last ${duration(reason.minutes)}. ${penaltyWords(reason.penalty, format)}`,
        mark: 'estimate',
      };
    case 'concert-reed-spent':
      return {
        rule,
        text: `It is a concert reed, and this is no concert. ${penaltyWords(reason.penalty, format)}`,
        mark: 'estimate',
      };
    case 'wear':
      return {
        rule,
        text: `About ${Math.round(reason.share * 100)} % of its expected life is behind it. ${penaltyWords(reason.penalty, format)}`,
        mark: 'estimate',
      };
    case 'waited':
      return {
        rule,
        text: `It has waited for ${counted(reason.days, 'day')}. ${penaltyWords(reason.penalty, format)}`,
        mark: 'estimate',
      };
    case 'not-concert-grade':
    case 'second-half':
    case 'practice-only':
      return { rule, text: `${AGAINST[rule]} ${penaltyWords(reason.penalty, format)}`, mark: 'estimate' };
  }
}

/** That its back may have bulged, and what to do; null where nothing speaks for it. */
export const warpWords = (drivers: readonly WarpDriver[]): string | null =>
  drivers.length === 0
    ? null
    : 'Its back may have bulged since you played it. Lay it on glass: if it rocks, rub its back flat on plain paper.';

/** Why that is. */
export function warpWhy(drivers: readonly WarpDriver[], format: Format): WhyLine[] {
  return drivers.map((driver): WhyLine => {
    if (driver.rule === 'much-played')
      return {
        rule: driver.rule,
        text: `It was played ${duration(driver.minutes)} in ${counted(driver.days, 'day')}: cane that is soaked through bulges sooner.`,
        mark: 'practice',
      };
    if (driver.rule === 'another-place')
      return {
        rule: driver.rule,
        text: `On ${format.date(driver.on)} you came to another place, and its air is not what the reed was last played in.`,
        mark: 'yours',
      };
    if (driver.rule === 'lain-long')
      return {
        rule: driver.rule,
        text: `It was last played ${counted(driver.days, 'day')} ago: the air of a room changes with the season.`,
        mark: 'estimate',
      };
    const { before, now } = driver;
    return {
      rule: driver.rule,
      text:
        `The air was at ${format.number(before.humidityPercent)} % and ${format.celsius(before.celsius)} when it was last played, ` +
        `and is at ${format.number(now.humidityPercent)} % and ${format.celsius(now.celsius)} today. ` +
        `A change of ${WARP_BY.humidityPercent.value} % or ${format.celsius(WARP_BY.celsius.value)} is what cane feels.`,
      mark: 'estimate',
    };
  });
}

/** Why less is left of a reed than its age would leave. */
export const TOO_SOFT_LEFT_WORDS = `It was last too soft, so ${Math.round(SOFT_LEFT.value * 100)} % of what its age would leave is counted.`;
export const UNKNOWN_AGE_WORDS = 'nobody knows how old it is';

/** What is left of a reed, with its range and the day it likely comes to; null where that is more than a year off. */
export function remainingWords({ low, middle, high }: Remaining, until: LocalDate | null, format: Format): string {
  const end = until === null ? '' : `, likely until ${format.date(until)}`;
  return `about ${roughly(middle)} left (${roughly(low)} to ${roughly(high)})${end}`;
}

/** A day of breaking in that did not count. */
export const heldBackWords = ({ on, minutes, cap, over }: HeldBack, format: Format): string =>
  over
    ? `On ${format.date(on)} it was played ${duration(minutes)} instead of about ${duration(cap)}. That day does not bring it on.`
    : `On ${format.date(on)} it was only played ${duration(minutes)}. That day does not bring it on.`;

/** How a reed stands, in one line beside its name. */
export function standingWords(reed: ReedState, nowWall: number, format: Format): string {
  const { stage, breakIn, ended, leftToday, restedFrom, playedToday, ungraded, grade, flattenedOn } = reed;
  if (ended !== null) return `${END_WORDS[ended.cause]} since ${format.shortDate(ended.on)}`;
  if (stage === 'new') return 'new, not opened';
  if (breakIn !== null) {
    const today = playedToday > 0 ? 'done for today' : `about ${duration(leftToday ?? 0)} today`;
    return `being broken in, day ${Math.min(breakIn.reached + 1, breakIn.of)} of ${breakIn.of}: ${today}`;
  }
  if (restedFrom !== null && restedFrom > nowWall) return `rests until ${momentWords(restedFrom, nowWall, format)}`;
  if (ungraded)
    return flattenedOn !== null && grade !== null && flattenedOn > grade.on
      ? 'its back was rubbed flat: try it again and grade it'
      : `${grade?.feel === 'too-hard' ? 'too hard' : 'not right'} so far: rub its back flat and try it again`;
  const goodFor = grade?.goodFor ?? null;
  return goodFor === null ? 'in rotation, not graded yet' : `in rotation, for ${USE_WORDS[goodFor]}`;
}

/** A favourite that has ended is missed so long (estimate), days. */
const MISSED_DAYS = 14;

/**
 * A favourite that is played on and on, said kindly; null where none is, and while others are still being broken in. When it
 * has died it is said once more: that is when the next one feels too hard.
 */
export function favouriteWords(reeds: readonly ReedState[], family: ReedFamily, today: LocalDate): string | null {
  if (reeds.some(({ stage }) => stage === 'breaking-in')) return null;
  const isMissed = ({ ended }: ReedState): boolean => ended !== null && daysBetween(ended.on, today) <= MISSED_DAYS;
  const inTurn = reeds.filter(
    (reed) => reed.stage === 'in-rotation' || reed.stage === 'practice-only' || isMissed(reed),
  );
  const all = inTurn.reduce((sum, { playedMinutes }) => sum + playedMinutes, 0);
  const favourite = inTurn.toSorted((a, b) => b.playedMinutes - a.playedMinutes)[0];
  if (favourite === undefined || inTurn.length < 2 || all < FAVOURITE_FROM) return null;
  const share = favourite.playedMinutes / all;
  if (share < FAVOURITE_SHARE) return null;
  const most = `About ${Math.round(share * 100)} % of your playing was on ${reedName(favourite)}. `;
  if (favourite.ended !== null)
    return `${most}Your lips have followed it as it softened, so the next one feels too hard at first. Play it for a few minutes a day, a little longer each day, and keep ${IN_HAND[family].value} in turn.`;
  return (
    most +
    `Your lips follow one reed as it softens, and the next one then feels too hard. ` +
    `Play another for a few minutes first, a little longer each day, and keep ${IN_HAND[family].value} in turn.`
  );
}
/** Minutes on the living reeds together before anything is said, and the share that makes a favourite (estimates). */
const FAVOURITE_FROM = 300;
const FAVOURITE_SHARE = 0.6;

/** A session set by hand: what was said of a reed and a day. */
export function pinWords(name: string, { on, minutes }: ReedPin, format: Format): string {
  const day = format.weekdayDate(on);
  if (minutes === null) return `${name}: ${day} is left to the plan.`;
  return minutes === 0 ? `${name}: not on ${day}.` : `${name}: ${duration(minutes)} on ${day}.`;
}
