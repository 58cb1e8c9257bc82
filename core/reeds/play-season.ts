import type { PlayerId } from '#core/instruments/instrument.ts';
import { DAILY_CAP, OVERPLAYED, RAMP, TOO_LITTLE } from '#core/reeds/reed-numbers.ts';
import { reedStates, type ReedState } from '#core/reeds/reed-state.ts';
import { type ReedBox, type ReedId, type ReedSaid, type ReedUse } from '#core/reeds/reed.ts';
import { SEASON_RATES, type ReedFate, type ReedSeason, type SeasonDay } from '#core/reeds/reed-season.ts';
import { isConcertReed } from '#core/reeds/which-reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Minutes of one reed on one day. */
export type Share = { readonly reedId: ReedId; readonly minutes: number };

/** What somebody sees when the day's play begins: their own record, never what a reed will turn out to be. */
export type SeasonSight = {
  readonly day: SeasonDay;
  /** From the first day of the season, which is a Monday. */
  readonly dayOfSeason: number;
  /** Every reed of every box so far, as the record has it. */
  readonly reeds: readonly ReedState[];
  /** The concert days to come, this one among them. */
  readonly concerts: readonly LocalDate[];
};
/** A way of playing one's reeds: who plays how long today. A reed is opened by being played. */
export type WayOfPlaying = (sight: SeasonSight) => readonly Share[];

export type SeasonResult = {
  readonly concerts: number;
  /** Those played to their end on reeds good enough, played before, and in truth in the first half of their life. */
  readonly ready: number;
  /** Concert days on which so many reeds of concert grade were in truth ready, by day: whoever tries them hears which. */
  readonly readyReeds: ReadonlyMap<LocalDate, number>;
  readonly opened: number;
};

/** When a play ends, minutes of the day. */
const EVENING = 1260;
const A_BOX: Omit<ReedBox, 'key' | 'cameOn'> = {
  playerId: 'season' as PlayerId,
  kind: 'clarinet',
  name: 'Season',
  cut: null,
  strength: null,
  material: 'cane',
  place: null,
  cost: null,
  breakIn: 'week',
  before: Array.from({ length: SEASON_RATES.inBox.value }, () => 0),
};

/** The record of a season as it grows, and what the reeds in it really are. */
class Told {
  readonly boxes: ReedBox[] = [];
  readonly uses: ReedUse[] = [];
  readonly said: ReedSaid[] = [];
  readonly truth = new Map<ReedId, ReedFate & { worn: number }>();
  reeds(today: LocalDate): ReedState[] {
    return this.boxes.flatMap((box) => {
      const within = <One extends { readonly reedId: ReedId }>(all: readonly One[]) =>
        all.filter(({ reedId: id }) => id.startsWith(`${box.key}/`));
      const record = { box, boxName: box.key, uses: within(this.uses), said: within(this.said) };
      return reedStates(record, { today, family: 'single' });
    });
  }
  /** There is always a box with something in it. */
  keepStock(on: LocalDate): void {
    const left = this.boxes.length * SEASON_RATES.inBox.value - this.truth.size;
    if (left >= SEASON_RATES.inBox.value / 2) return;
    this.boxes.push({ ...A_BOX, key: `box${String(this.boxes.length).padStart(3, '0')}`, cameOn: on });
  }
}

/**
 * What the cane of this season bears of a day: the ramp by the days that were neither overplayed nor hardly played; null
 * once its pores have closed. Who is advised by use or by a grade is advised: the cane knows nothing of that (estimate).
 */
function borneOf({ days }: ReedState): number | null {
  let steps = 0;
  for (const { minutes } of days) {
    const cap = RAMP[steps]?.value;
    if (cap !== undefined && minutes <= cap * OVERPLAYED.value && minutes >= cap * TOO_LITTLE.value) steps += 1;
  }
  return RAMP[steps]?.value ?? null;
}

/**
 * What a day's play wears: minutes beyond what it bears are hard ones, and so are all on a reed that is broken in and has
 * not rested.
 */
function wearOn(reed: ReedState, minutes: number, today: LocalDate): number {
  const borne = borneOf(reed);
  const isUnrested = borne === null && reed.lastPlayedOn === addDays(today, -1);
  const cap = borne === null ? DAILY_CAP.value : borne * OVERPLAYED.value;
  const hard = isUnrested ? minutes : Math.max(0, minutes - cap);
  return minutes + hard * (SEASON_RATES.hard.value - 1);
}

/** Days on which a reed must have been played before a concert: kind to whoever breaks nothing in. */
const PLAYED_BEFORE = 2;
const isReadyInTruth = ({ days }: ReedState, { isGood, lives, worn }: ReedFate & { worn: number }): boolean =>
  isGood && days.length >= PLAYED_BEFORE && worn < lives / 2;

const isReadyNow = (reed: ReedState, truth: (ReedFate & { worn: number }) | undefined): boolean =>
  truth !== undefined && isConcertReed(reed) && isReadyInTruth(reed, truth);

/** The evening after: worn reeds end, and what has just been broken in is graded for what it is. */
function evening(told: Told, shares: readonly Share[], on: LocalDate): void {
  const tomorrow = new Map(told.reeds(addDays(on, 1)).map((reed) => [reed.id, reed]));
  for (const { reedId: id } of shares) {
    const [reed, truth] = [tomorrow.get(id), told.truth.get(id)];
    if (reed === undefined || truth === undefined) continue;
    if (truth.worn >= truth.lives) told.said.push({ reedId: id, on, what: 'ended', cause: 'soft' });
    else if (reed.breakIn === null && reed.grade === null) {
      const goodFor = truth.isGood ? 'concert' : 'rehearsal';
      told.said.push({ reedId: id, on, what: 'graded', feel: 'right', goodFor, signs: [] });
    }
  }
}

/** Plays a season one way. Everything but the way is the same whoever plays. */
export function playSeason({ days, fateOf }: ReedSeason, play: WayOfPlaying): SeasonResult {
  const told = new Told();
  let ready = 0;
  const readyReeds = new Map<LocalDate, number>();
  const concerts = days.filter(({ isConcert }) => isConcert);
  days.forEach((day, dayOfSeason) => {
    const { on, minutes, isConcert } = day;
    if (minutes === 0) return;
    told.keepStock(on);
    const reeds = told.reeds(on);
    const coming = concerts.filter((one) => one.on >= on).map((one) => one.on);
    const shares = play({ day, dayOfSeason, reeds, concerts: coming });
    if (isConcert) readyReeds.set(on, reeds.filter((reed) => isReadyNow(reed, told.truth.get(reed.id))).length);
    let readyMinutes = 0;
    for (const { reedId: id, minutes: played } of shares) {
      const reed = reeds.find((one) => one.id === id);
      if (reed === undefined || reed.stage === 'retired') throw new Error(`${id} cannot be played on ${on}`);
      const truth = told.truth.get(id) ?? { ...fateOf(told.truth.size), worn: 0 };
      if (isReadyInTruth(reed, truth)) readyMinutes += played;
      told.truth.set(id, { ...truth, worn: truth.worn + wearOn(reed, played, on) });
      told.uses.push({ reedId: id, on, endedAt: wallMinute(on, EVENING), minutes: played, high: 'none' });
    }
    if (isConcert && readyMinutes >= minutes) ready += 1;
    evening(told, shares, on);
  });
  return { concerts: concerts.length, ready, readyReeds, opened: told.truth.size };
}
