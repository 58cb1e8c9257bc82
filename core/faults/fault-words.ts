import type { CauseId, Mishap, RemedyHand } from '#core/book/fault.ts';
import type { Format } from '#core/explain/format.ts';
import type { CauseHere } from '#core/faults/faults-for.ts';
import type { ChanceWord, InterviewEnd } from '#core/faults/interview.ts';
import type { RiskNoted } from '#core/faults/risks.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { handsFor, type Hands, type PlayerAbilities } from '#core/players/player.ts';

export const CHANCE_WORDS_SAID: Readonly<Record<ChanceWord, string>> = {
  'nearly-sure': 'Nearly sure',
  likely: 'Likely',
  possible: 'Possible',
};

/** Whose hands put it right for this player: a remedy of a player may still want somebody beside them. */
export function handsOfRemedy({ remedy }: CauseHere, player: PlayerAbilities): Hands | 'teacher' | 'maker' {
  if (remedy.hand !== 'player') return remedy.hand;
  const hands = handsFor(remedy.skill, player);
  if (hands !== 'player' || remedy.notAlone !== true || player.standing === 'grown-up') return hands;
  return player.standing === 'child' ? 'with-a-grown-up' : 'with-the-teacher';
}

const HANDS_SAID: Readonly<Record<Hands | 'teacher' | 'maker', string>> = {
  player: 'You can do this',
  'with-a-grown-up': 'With a grown-up',
  'with-the-teacher': 'With your teacher',
  teacher: 'Show your teacher',
  bench: 'For the bench',
  maker: 'For the maker',
};
/** A child takes nothing to the bench by themselves: a grown-up hears of it. */
const TO_A_CHILD: Readonly<Partial<Record<Hands | 'teacher' | 'maker', string>>> = {
  teacher: 'Show a grown-up or your teacher',
  bench: 'Tell a grown-up: it is for the bench',
  maker: 'Tell a grown-up: it is for the maker',
};
/** Not every grown-up has a teacher. */
export function handsSaid(hands: Hands | 'teacher' | 'maker', { standing }: PlayerAbilities): string {
  if (standing === 'child') return TO_A_CHILD[hands] ?? HANDS_SAID[hands];
  return hands === 'teacher' && standing === 'grown-up' ? 'For a teacher or the bench' : HANDS_SAID[hands];
}

const THEN: Readonly<Record<RemedyHand, string>> = {
  player: 'try the next in the list',
  teacher: 'show it to your teacher',
  bench: 'take it to the bench',
  maker: 'take it to the maker',
};
/** Who is next where it does not help; the bench where nobody else is named. */
export function thenWords(then: RemedyHand = 'bench', { standing }: PlayerAbilities): string {
  if (standing === 'child' && then !== 'player') return 'If it does not help, show it to a grown-up or your teacher.';
  const next = then === 'teacher' && standing === 'grown-up' ? 'show it to a teacher or the bench' : THEN[then];
  return `If it does not help, ${next}.`;
}

const END_SAID: Readonly<Record<Exclude<InterviewEnd, 'cannot-tell'>, string>> = {
  stopped: 'Nothing more is asked: this one is stopped.',
  clear: 'One cause is clear enough to act on.',
  'same-step': 'Whichever it is, the next step is the same.',
  'asked-enough': 'These are the best guesses after five questions.',
  'nothing-to-ask': 'No other question would tell much more.',
  'not-in-list': 'It is probably something that is not in this list. A teacher or the bench finds it.',
};

const END_TO_A_CHILD: Readonly<Record<InterviewEnd, string>> = {
  stopped: 'That is all I ask. Tell a grown-up today.',
  clear: 'That is enough. Now we know what to do.',
  'same-step': 'That is enough. Whichever it is, what comes next is the same.',
  'asked-enough': 'Those were five questions. These are the best guesses.',
  'nothing-to-ask': 'No other question would help much more.',
  'not-in-list': 'It is probably something else. Show it to a grown-up or your teacher.',
  'cannot-tell': 'That is hard to see. Show it to a grown-up or your teacher; they will find it.',
};

/** Why nothing more is asked, and what that means. */
export function endWords(end: InterviewEnd, isChild: boolean): string {
  if (isChild) return END_TO_A_CHILD[end];
  return end === 'cannot-tell'
    ? 'That is hard to see alone. Show it to a teacher or the bench; two pairs of eyes find it.'
    : END_SAID[end];
}

export const MISHAP_NAMES: Readonly<Record<Mishap, string>> = {
  knocked: 'Dropped or knocked',
  'cold-night': 'A night in the cold',
  'hot-car': 'A hot car',
  'sweet-drink': 'A sweet drink before playing',
  'in-water': 'Into the water',
  rain: 'Rain on it',
};
const MISHAP_SAID: Readonly<Record<Mishap, string>> = {
  knocked: 'It was dropped or knocked',
  'cold-night': 'It spent a night in the cold',
  'hot-car': 'It lay in a hot car',
  'sweet-drink': 'It was played after a sweet drink',
  'in-water': 'It fell into water',
  rain: 'It was rained on',
};
export const mishapSaid = (mishap: Mishap): string => MISHAP_SAID[mishap];

type RiskSaid = {
  readonly [Risk in RiskNoted['risk']]: (noted: Extract<RiskNoted, { risk: Risk }>, format: Format) => string;
};
const happened =
  (mishap: Mishap) =>
  ({ on }: { readonly on: LocalDate }, format: Format): string =>
    `${MISHAP_SAID[mishap]} on ${format.shortDate(on)}.`;
const overdue = ({ item }: { readonly item: string }): string => `Overdue: ${item.toLowerCase()}.`;

const RISK_SAID: RiskSaid = {
  'long-play': ({ minutes }) => `The last play took ${minutes} min.`,
  'cold-room': ({ celsius }, format) => `The room is ${format.celsius(celsius)}.`,
  'damp-air': ({ humidityPercent }) => `The air was read at ${humidityPercent} %, which is damp.`,
  'dry-air': ({ humidityPercent }) =>
    humidityPercent === null ? 'The air is dry.' : `The air was read at ${humidityPercent} %, which is dry.`,
  'weather-change': ({ before, now }, format) =>
    `The air was at ${before.humidityPercent} % and ${format.celsius(before.celsius)} on ${format.shortDate(before.on)}, and is at ${now.humidityPercent} % and ${format.celsius(now.celsius)}.`,
  'pads-skipped': ({ plays }) => `The pads were not blotted after the last ${plays} plays.`,
  'long-rest': ({ days }) => (days === null ? 'It rested for long.' : `It was not played for ${days} days.`),
  'old-pads': ({ since }, format) =>
    `It came on ${format.date(since)}, and no service at the bench is in the record since.`,
  'reed-worn': ({ reed }) => `${reed} is near its end.`,
  'reed-much-played': ({ reed }) => `${reed} was played much within three days.`,
  'swab-skipped': () => 'It was not packed up after the last play.',
  'new-player': () => 'These are the first weeks on it.',
  'new-cork': () => 'A cork is new.',
  'new-wood': () => 'The wood is new.',
  'valves-out-today': () => 'All valves were out today.',
  knocked: happened('knocked'),
  'mouthpiece-knocked': happened('knocked'),
  'cold-night': happened('cold-night'),
  'hot-car': happened('hot-car'),
  'sweet-drink': happened('sweet-drink'),
  'in-water': happened('in-water'),
  rain: happened('rain'),
  'holes-overdue': overdue,
  'key-oil-overdue': overdue,
  'valve-oil-overdue': overdue,
  'slide-care-overdue': overdue,
  'grease-overdue': overdue,
  'bath-overdue': overdue,
  'service-overdue': overdue,
};

/** What in the record makes causes likelier, as a sentence. */
export const riskWords = (noted: RiskNoted, format: Format): string =>
  (RISK_SAID[noted.risk] as (noted: RiskNoted, format: Format) => string)(noted, format);

export const outcomeSaid = (name: string | undefined, cause: CauseId, helped: boolean): string =>
  `${name ?? cause}: ${helped ? 'that was it' : 'that did not help'}`;

/** The same was found more than once before: a third repair asks where it comes from. */
const OFTEN = 2;
export const againWords = (times: number): string | null =>
  times < OFTEN
    ? null
    : `It was this ${times} times before. Look at the case, at the way it is put together and at the place where it stands, before the same is done again.`;

/** It was found on other instruments of the same player. */
export const elsewhereWords = (times: number): string | null =>
  times === 0
    ? null
    : `On other instruments of the same player it was this ${times === 1 ? 'once' : `${times} times`}.`;

/** How the beginning of an interview reads in the record: what was noticed. */
export const interviewSaid = (noticed: readonly string[]): string => `Something is wrong: ${noticed.join('; ')}`;
