import type { Instrument } from '#core/instruments/instrument.ts';
import { RAMP } from '#core/reeds/reed-numbers.ts';
import { sortOf } from '#core/doublereeds/reed-sort.ts';
import {
  reedId,
  RESISTANCES,
  SITS,
  type Character,
  type HighShare,
  type ReedBox,
  type ReedId,
  type ReedSaid,
  type ReedSaying,
} from '#core/reeds/reed.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Play } from '#core/plays/play.ts';
import { seeded, type Random } from '#demo/random.ts';
import { REED_HABITS, type ReedHabit } from '#demo/reed-habits.demo.ts';

export type DemoReedPlay = {
  readonly key: string;
  readonly play: Play;
  readonly high: HighShare;
  readonly shares: readonly { readonly reedId: ReedId; readonly minutes: number }[];
};
export type DemoReedSaid = ReedSaid & { readonly key: string };
export type DemoReeds = {
  readonly boxes: readonly ReedBox[];
  readonly plays: readonly DemoReedPlay[];
  readonly said: readonly DemoReedSaid[];
};

/** A reed as its story goes on. */
type Reed = { readonly id: ReedId; readonly lives: number; days: number; worn: number; lastOn: LocalDate | null };
const isBrokenIn = ({ days }: Reed, { breakIn }: ReedHabit): boolean => breakIn === 'none' || days >= RAMP.length;

type Story = {
  readonly habit: ReedHabit;
  readonly instrument: Instrument;
  readonly random: Random;
  readonly told: { boxes: ReedBox[]; plays: DemoReedPlay[]; said: DemoReedSaid[] };
  readonly hand: Reed[];
  readonly unopened: ReedId[];
};

function buy({ habit, instrument, random, told, unopened }: Story, cameOn: LocalDate): void {
  const { name, strength, place, material, breakIn, inBox, costMinor } = habit;
  const key = random.key();
  told.boxes.push({
    key,
    playerId: instrument.playerId,
    kind: instrument.kind,
    name,
    strength,
    cut: null,
    material,
    place,
    breakIn,
    cost: costMinor === null ? null : { minor: costMinor, currency: 'EUR' },
    cameOn,
    before: Array.from({ length: inBox }, () => 0),
  });
  for (let number = 1; number <= inBox; number++) unopened.push(reedId(key, number));
}

/** The next of the box is taken into the hand; false where the box is empty. */
function open({ habit, hand, unopened, random }: Story): boolean {
  const id = unopened.shift();
  if (id === undefined) return false;
  hand.push({ id, lives: random.whole(...habit.lives), days: 0, worn: 0, lastOn: null });
  return true;
}

/** So many in hand, one opened at a time, from a box that is bought when the last is empty. */
function keepInHand(story: Story, on: LocalDate): void {
  const { habit, hand, unopened } = story;
  while (hand.length < habit.inHand) {
    if (unopened.length === 0) buy(story, on);
    const alreadyOne = hand.some((reed) => !isBrokenIn(reed, habit));
    if (!open(story) || alreadyOne) return;
  }
}

const say = ({ told, random }: Story, id: ReedId, on: LocalDate, saying: ReedSaying): void => {
  told.said.push({ key: random.key(), reedId: id, on, ...saying });
};

/** The one whose turn it is, or the favourite out of its turn. */
function settledFor({ hand, habit, random }: Story): Reed | undefined {
  const settled = hand.filter((reed) => isBrokenIn(reed, habit));
  const inTurn = settled.toSorted((a, b) => ((a.lastOn ?? '') < (b.lastOn ?? '') ? -1 : 1));
  return random.chance(habit.favourite) ? settled[0] : inTurn[0];
}

function playedOn(story: Story, play: Play): void {
  const { habit, hand, told, random } = story;
  keepInHand(story, play.endedOn);
  // The last one that was opened.
  const fresh = hand.findLast((reed) => !isBrokenIn(reed, habit));
  const settled = settledFor(story);
  const brief = fresh ? Math.min(RAMP[fresh.days]?.value ?? 0, play.minutes) : 0;
  const rest = play.minutes - brief;
  const shares = [
    ...(fresh && brief > 0 ? [{ reed: fresh, minutes: brief }] : []),
    ...(rest > 0 && settled ? [{ reed: settled, minutes: rest }] : []),
  ];
  if (shares.length === 0) return;
  const high: HighShare = random.chance(habit.high) ? 'some' : 'none';
  told.plays.push({
    key: random.key(),
    play,
    high,
    shares: shares.map(({ reed, minutes }) => ({ reedId: reed.id, minutes })),
  });
  for (const { reed, minutes } of shares)
    afterPlaying(story, reed, minutes * (high === 'some' ? 1.25 : 1), play.endedOn);
}

const isDouble = ({ instrument: { kind } }: Story): boolean => sortOf(kind, null) !== undefined;
/** Double reeds in hand are unlike one another: how much one resists and where it sits, by the order they were graded in. */
function characterOf(story: Story): Character {
  const graded = story.told.said.length;
  return isDouble(story)
    ? { resistance: RESISTANCES[(graded * 2 + 1) % RESISTANCES.length], sits: SITS[graded % SITS.length] }
    : {};
}

/** Graded when it is broken in; ended when its life is over. */
function afterPlaying(story: Story, reed: Reed, wear: number, on: LocalDate): void {
  const { habit, hand, random } = story;
  const wasNew = !isBrokenIn(reed, habit);
  reed.days += 1;
  reed.worn += wear;
  reed.lastOn = on;
  if ((wasNew && isBrokenIn(reed, habit)) || (habit.breakIn === 'none' && reed.days === 3)) {
    const isGood = random.whole(1, 100) <= habit.good;
    const graded = { what: 'graded', feel: 'right', goodFor: isGood ? 'concert' : 'rehearsal', signs: [] } as const;
    say(story, reed.id, on, { ...graded, ...characterOf(story) });
  }
  if (reed.worn < reed.lives) return;
  const early = random.chance(0.2);
  // A double reed splits overnight: that is seen when it is laid on the table the day after.
  if (early && isDouble(story)) say(story, reed.id, addDays(on, 1), { what: 'ended', cause: 'split' });
  else say(story, reed.id, on, { what: 'ended', cause: early ? 'chipped' : 'soft' });
  hand.splice(hand.indexOf(reed), 1);
}

/** The reeds of one instrument, told play by play. */
function tellReeds(
  habit: ReedHabit,
  instrument: Instrument,
  plays: readonly Play[],
  { today, random }: { readonly today: LocalDate; readonly random: Random },
): DemoReeds {
  const story: Story = {
    habit,
    instrument,
    random,
    told: { boxes: [], plays: [], said: [] },
    hand: [],
    unopened: [],
  };
  const { newBoxDaysAgo, onlySinceDaysAgo } = habit;
  if (onlySinceDaysAgo !== undefined) {
    buy(story, addDays(today, -onlySinceDaysAgo));
    return story.told;
  }
  const newBoxOn = newBoxDaysAgo === undefined ? null : addDays(today, -newBoxDaysAgo);
  let hasNewBox = false;
  for (const play of plays) {
    if (newBoxOn !== null && play.endedOn >= newBoxOn && !hasNewBox) {
      // One of it is opened at once, whoever is in turn: too late to be broken in today.
      buy(story, newBoxOn);
      open(story);
      hasNewBox = true;
    }
    playedOn(story, play);
  }
  return story.told;
}

/** The reeds have dice of their own: what else happened stays the same whatever is told of them. */
const REED_SEED = 7;

/** All reeds of the demo, instrument by instrument. */
export function demoReeds(instruments: readonly Instrument[], plays: readonly Play[], today: LocalDate): DemoReeds {
  const random = seeded(REED_SEED);
  const all = REED_HABITS.flatMap((habit) => {
    const instrument = instruments.find(({ id }) => id === habit.instrumentId);
    const mine = plays.filter(({ instrumentId }) => instrumentId === habit.instrumentId);
    return instrument ? [tellReeds(habit, instrument, mine, { today, random })] : [];
  });
  return {
    boxes: all.flatMap(({ boxes }) => boxes),
    plays: all.flatMap((one) => one.plays),
    said: all.flatMap(({ said }) => said),
  };
}
