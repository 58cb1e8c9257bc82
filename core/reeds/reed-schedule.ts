import {
  breakInMinutes,
  bringsOn,
  isReady,
  leastOn,
  practiceOnlyOf,
  spentOn,
  UNIT_MINUTES,
  waitingOn,
  wearOf,
  type ReedSchedule,
  type Rotation,
  type RotationReed,
} from '#core/reeds/rotation.ts';

/** What a session is worth to the rest of the plan: less shortage, a readier concert, one reed more on the day. */
export type Gain = (day: number, minutes: number, isReady: boolean) => number;

/** The best schedule of one reed: what it costs by itself, and that less what it gains. */
export type BestSchedule = { readonly schedule: ReedSchedule; readonly value: number };

/** Sizes of sessions a reed that is broken in may have on each day: every five minutes from the least to its cap. */
type Sizes = readonly (readonly number[])[];
const sizesOf = ({ days }: Rotation, { cap }: RotationReed): Sizes =>
  days.map((day) =>
    Array.from(
      { length: Math.floor(Math.min(day.minutes, cap) / UNIT_MINUTES) },
      (_, at) => (at + 1) * UNIT_MINUTES,
    ).filter((minutes) => minutes >= leastOn(day)),
  );

/** The places a reed can be at: days of breaking in behind it, then minutes since in fives. */
type Places = {
  readonly count: number;
  /** The furthest place that can have been reached before each day. */
  readonly furthest: readonly number[];
};

/** A reed that rests plays at most every other day, so that it cannot have come further than that. */
function placesOf({ days }: Rotation, { ramp, rests, pinned }: RotationReed, sizes: Sizes): Places {
  const steps = ramp.length;
  const furthest: number[] = [];
  let [rested, tired] = [0, 0];
  days.forEach((_, day) => {
    furthest.push(Math.max(rested, tired));
    const pin = pinned[day] ?? 0;
    const units = unitsOf(Math.max(0, ...(sizes[day] ?? []), pin));
    const from = rests && pin === 0 ? rested : Math.max(rested, tired);
    [rested, tired] = [Math.max(rested, tired), from < steps ? from + 1 : from + units];
    // What has just been broken in is not tired.
    if (tired <= steps) rested = Math.max(rested, tired);
  });
  return { count: Math.max(rested, tired) + 1, furthest };
}
const unitsOf = (minutes: number): number => Math.round(minutes / UNIT_MINUTES);

/**
 * A session that may be had: its minutes, how many places it moves the reed, what it costs (a part for each minute
 * already behind it, for wear grows), and what it gains, ready for a concert or not.
 */
type Offer = {
  readonly minutes: number;
  readonly moves: number;
  readonly cost: number;
  readonly costPerMinuteBehind: number;
  readonly gain: number;
  readonly gainReady: number;
};
type OffersOfDay = {
  readonly settled: readonly Offer[];
  readonly breaking: readonly (readonly Offer[])[];
  /** What one that has to rest may have of them: a pinned session stands all the same. */
  readonly tired: number;
};

/** The sessions of each day for a reed that is broken in, and for each day of breaking in; worked out once for all places. */
function offersOf({ days }: Rotation, reed: RotationReed, sizes: Sizes, gain: Gain): OffersOfDay[] {
  const { ramp, from, pinned, life } = reed;
  return days.map((day, index) => {
    const pin = pinned[index];
    const open = day.minutes > 0 && index >= from;
    const toBreakIn = breakInMinutes(day);
    const restsFor = reed.rests && (pinned[index + 1] ?? 0) > 0;
    const minutesFor = (others: readonly number[]): readonly number[] =>
      pin !== undefined ? [pin] : open ? [0, ...others] : [0];
    const offer = (minutes: number, moves: number, cost: number): Offer => ({
      minutes,
      moves,
      cost: cost + wearOf(reed, 0, minutes),
      costPerMinuteBehind: (wearOf(reed, life, minutes) - wearOf(reed, 0, minutes)) / life,
      gain: minutes > 0 ? gain(index, minutes, false) : 0,
      gainReady: minutes > 0 ? gain(index, minutes, true) : 0,
    });
    return {
      settled: minutesFor(restsFor ? [] : (sizes[index] ?? [])).map((minutes) =>
        offer(minutes, unitsOf(minutes), spentOn(reed, day, minutes) + practiceOnlyOf(reed, minutes)),
      ),
      breaking: ramp.map((cap) =>
        minutesFor(toBreakIn > 0 ? [Math.min(cap, toBreakIn)] : []).map((minutes) =>
          offer(minutes, minutes > 0 && bringsOn(minutes, cap) ? 1 : 0, waitingOn(day, minutes)),
        ),
      ),
      tired: pin === undefined ? 1 : Infinity,
    };
  });
}

/** Where a reed stands on a day, as far as the value of its sessions asks. */
type Standing = {
  readonly place: number;
  readonly behind: number;
  readonly isReady: boolean;
  /** 1 where a session makes it rest the next day. */
  readonly tires: number;
};

const valueOf = (offer: Offer, { place, behind, isReady: ready, tires }: Standing, later: Float64Array): number =>
  offer.cost +
  offer.costPerMinuteBehind * behind -
  (ready ? offer.gainReady : offer.gain) +
  (later[(place + offer.moves) * 2 + (offer.minutes > 0 ? tires : 0)] ?? Infinity);

/** The best of the first `count` offers. */
function bestOf(offers: readonly Offer[], count: number, standing: Standing, later: Float64Array): Offer {
  let best = offers[0] ?? NO_OFFER;
  let least = valueOf(best, standing, later);
  for (let at = 1; at < count && at < offers.length; at++) {
    const offer = offers[at] ?? NO_OFFER;
    const value = valueOf(offer, standing, later);
    if (value < least) [best, least] = [offer, value];
  }
  return best;
}
const NO_OFFER: Offer = { minutes: 0, moves: 0, cost: 0, costPerMinuteBehind: 0, gain: 0, gainReady: 0 };
const NOTHING_OFFERED: OffersOfDay = { settled: [NO_OFFER], breaking: [], tired: 1 };

/** Value to the end of the plan for each place of a day, rested and tired, and the session that brings it. */
function valuesOf(
  { settled, breaking, tired }: OffersOfDay,
  there: readonly Standing[],
  steps: number,
  later: Float64Array,
) {
  const values = new Float64Array(later.length).fill(Infinity);
  const chosen: Offer[] = [];
  for (const standing of there) {
    const { place } = standing;
    const offered = place >= steps ? settled : (breaking[place] ?? []);
    for (let state = 0; state < 2; state++) {
      const best = bestOf(offered, state === 1 ? tired : offered.length, standing, later);
      values[place * 2 + state] = valueOf(best, standing, later);
      chosen[place * 2 + state] = best;
    }
  }
  return { values, chosen };
}

/**
 * The schedule of one reed that is best for a given worth of its sessions, by dynamic programming over day × how far it
 * has come (days of breaking in, then minutes since in fives) × whether it has rested. Exact for the sizes of sessions
 * there are. O(days × minutes × sizes).
 */
export function bestSchedule(rotation: Rotation, reed: RotationReed, gain: Gain): BestSchedule {
  const { days } = rotation;
  const sizes = sizesOf(rotation, reed);
  const { count, furthest } = placesOf(rotation, reed, sizes);
  const offers = offersOf(rotation, reed, sizes, gain);
  const steps = reed.ramp.length;
  const standings = Array.from({ length: count }, (_, place): Standing => {
    const isSettled = place >= steps;
    const behind = isSettled ? (place - steps) * UNIT_MINUTES : 0;
    const reached = { steps: Math.min(place, steps), minutes: behind };
    return { place, behind, isReady: isReady(reed, reached), tires: isSettled && reed.rests ? 1 : 0 };
  });
  let later = new Float64Array(count * 2);
  const choice: Offer[][] = [];
  for (let day = days.length - 1; day >= 0; day--) {
    const there = standings.slice(0, (furthest[day] ?? 0) + 1);
    const { values, chosen } = valuesOf(offers[day] ?? NOTHING_OFFERED, there, steps, later);
    choice.unshift(chosen);
    later = values;
  }
  const schedule: number[] = [];
  let at = 0;
  for (const chosen of choice) {
    const { minutes, moves } = chosen[at] ?? NO_OFFER;
    const place = Math.floor(at / 2);
    schedule.push(minutes);
    at = (place + moves) * 2 + (minutes > 0 ? (standings[place]?.tires ?? 0) : 0);
  }
  return { schedule, value: later[0] ?? 0 };
}
