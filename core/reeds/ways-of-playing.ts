import { improveRotation } from '#core/reeds/improve-rotation.ts';
import { livesOf, shareOfLife, type LivesOf } from '#core/reeds/reed-life.ts';
import { DAILY_CAP, IN_HAND } from '#core/reeds/reed-numbers.ts';
import type { Share, SeasonSight, WayOfPlaying } from '#core/reeds/play-season.ts';
import { setSessions, type ReedPin, type SetSessions } from '#core/reeds/reed-pin.ts';
import { readinessFor } from '#core/reeds/readiness.ts';
import { SEASON_RATES, usualOn } from '#core/reeds/reed-season.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import { rotationOfReeds } from '#core/reeds/rotation-of-reeds.ts';
import { isConcertReed, whichReed, type ReedProposal } from '#core/reeds/which-reed.ts';
import { wallMinute } from '#core/plays/play.ts';
import { addDays, daysBetween } from '#core/time/local-date.ts';

const isAlive = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';
const nextNew = (reeds: readonly ReedState[]): ReedState[] => reeds.filter(({ stage }) => stage === 'new').slice(0, 1);

type Sessions = readonly Share[];

/**
 * The sessions in their order until the day is played. What is left over goes to the last of those that are broken in,
 * and only where there is none to the last of all.
 */
function inOrder(sessions: Sessions, minutes: number, isSettled: (id: ReedId) => boolean): Share[] {
  const shares: Share[] = [];
  let left = minutes;
  for (const one of sessions) {
    const played = Math.min(one.minutes, left);
    if (played > 0) shares.push({ reedId: one.reedId, minutes: played });
    left -= played;
  }
  const last = shares.findLast(({ reedId }) => isSettled(reedId)) ?? shares.at(-1);
  return shares.map((one) => (one === last ? { ...one, minutes: one.minutes + left } : one));
}
const settledOf = (reeds: readonly ReedState[]) => {
  const settled = new Set(reeds.filter((reed) => isAlive(reed) && reed.breakIn === null).map(({ id }) => id));
  return (id: ReedId): boolean => settled.has(id);
};

/** One reed, straight from the packet, until it is spent. */
export const oneReedUntilSpent: WayOfPlaying = ({ day, reeds }) => {
  const [reed] = [...reeds.filter(isAlive), ...nextNew(reeds)];
  return reed ? [{ reedId: reed.id, minutes: day.minutes }] : [];
};

/** Longest unplayed first; by name where nothing says more. */
const byTurn = (a: ReedState, b: ReedState): number =>
  (a.lastPlayedOn ?? '').localeCompare(b.lastPlayedOn ?? '') || a.id.localeCompare(b.id);

/**
 * Round robin as it is taught: four in hand, each broken in by its days, then one after the other, nobody past the cap.
 * For a concert the freshest rested reed that was graded for it, where there is one.
 */
export const roundRobin: WayOfPlaying = ({ day, reeds }) => {
  const { on, minutes, isConcert } = day;
  const hand = reeds.filter(isAlive);
  const opened = hand.length < IN_HAND.single.value ? nextNew(reeds) : [];
  const breaking = [...hand.filter(({ breakIn }) => breakIn !== null), ...opened];
  const settled = hand.filter(({ breakIn }) => breakIn === null).sort(byTurn);
  const onStage = settled
    .filter((reed) => isConcertReed(reed) && reed.lastPlayedOn !== addDays(on, -1))
    .sort((a, b) => a.playedMinutes - b.playedMinutes);
  const turns = isConcert ? [...onStage, ...settled.filter((reed) => !onStage.includes(reed))] : settled;
  const brief = isConcert && settled.length > 0 ? [] : breaking;
  return inOrder(
    [
      ...brief.map(({ id, leftToday }) => ({ reedId: id, minutes: leftToday ?? minutes })),
      ...turns.map(({ id }) => ({ reedId: id, minutes: DAILY_CAP.value })),
    ],
    minutes,
    settledOf(reeds),
  );
};

const DAYS_A_WEEK = 7;
const ON_STAGE = SEASON_RATES.concertMinutes.value;
/** In the evening, when the play begins: who was played yesterday evening has rested a day. */
const NOW = 1260;
const NONE_SET: SetSessions = new Map();

/** How many new reeds to open for the next concert, a week before they must be; and so that there are enough in hand. */
function toOpen({ day, dayOfSeason, reeds, concerts }: SeasonSight, lives: LivesOf, wanted: number): number {
  const { on: today } = day;
  const missing = Math.max(0, IN_HAND.single.value - reeds.filter(isAlive).length);
  const next = concerts.find((on) => on > today);
  if (next === undefined) return missing;
  const minutesUntil = Array.from({ length: daysBetween(today, next) }, (_, index) =>
    usualOn((dayOfSeason + index) % DAYS_A_WEEK),
  );
  const { openBy, toOpen: more } = readinessFor({
    on: next,
    wanted,
    today,
    reeds,
    lives,
    minutesUntil: minutesUntil.reduce((sum, one) => sum + one, 0),
    breakIn: 'week',
  });
  const isTime = openBy !== null && openBy <= addDays(today, DAYS_A_WEEK);
  return Math.max(missing, isTime ? (more ?? 0) : 0);
}

/** At most so many reeds are broken in on one day of a season (estimate). */
const BROKEN_IN_A_DAY = 2;

/** What is proposed, first who is being broken in, then in order; who rests comes last, for the day must be played. */
const asShares = ({ first, choices, resting }: ReedProposal, minutes: number): Share[] => [
  ...[...first.slice(0, BROKEN_IN_A_DAY), ...choices].map((one) => ({
    reedId: one.reed.id,
    minutes: Math.round(one.minutes),
  })),
  ...resting.slice(0, choices.length > 0 ? 0 : 1).map(({ reed }) => ({ reedId: reed.id, minutes })),
];

/** The sessions of the days until next Monday. */
function weekOf({
  sight: { day, dayOfSeason, reeds, concerts },
  lives: lives,
  proposed,
}: {
  readonly sight: SeasonSight;
  readonly lives: LivesOf;
  readonly proposed: ReedProposal;
}): SetSessions {
  const { on: today, minutes } = day;
  const isConcertIn = (days: number): boolean => concerts.includes(addDays(today, days));
  const { rotation, reeds: planned } = rotationOfReeds({
    today,
    reeds,
    lives: lives,
    set: NONE_SET,
    minutesIn: (days) =>
      days === 0 ? minutes : isConcertIn(days) ? ON_STAGE : usualOn((dayOfSeason + days) % DAYS_A_WEEK),
    concertMinutesIn: (days) => (isConcertIn(days) ? ON_STAGE : 0),
    proposed: [...proposed.first.slice(0, BROKEN_IN_A_DAY), ...proposed.choices.slice(0, 1)],
  });
  const schedules = improveRotation(rotation, { rounds: 0, stop: { aborted: false } });
  const pins = planned.flatMap(({ id }, at) =>
    Array.from({ length: DAYS_A_WEEK - (dayOfSeason % DAYS_A_WEEK) }, (_, days): ReedPin => {
      const session = schedules[at]?.[days] ?? 0;
      return { reedId: id, on: addDays(today, days), minutes: session > 0 ? session : null };
    }),
  );
  return setSessions(pins);
}

/**
 * As Ulu plans it: every Monday a first plan of four weeks, each day which reed it proposes, and as many new reeds
 * opened as it says for the next concert, so that so many are ready.
 */
export function asPlanned(wanted = 1): WayOfPlaying {
  let set: SetSessions = NONE_SET;
  let lives: LivesOf | null = null;
  let opening = 0;
  let week = -1;
  return (sight) => {
    const { day, dayOfSeason, reeds } = sight;
    const { on: today, minutes, isConcert } = day;
    const wantedFor = (lives: LivesOf, sessions: SetSessions) => ({
      nowWall: wallMinute(today, NOW),
      today,
      minutes,
      isConcert,
      shareOfLife: (reed: ReedState) => shareOfLife(reed, lives),
      set: sessions,
    });
    const isNewWeek = Math.floor(dayOfSeason / DAYS_A_WEEK) !== week;
    if (lives === null || isNewWeek) {
      week = Math.floor(dayOfSeason / DAYS_A_WEEK);
      lives = livesOf(reeds);
      opening = toOpen(sight, lives, wanted);
      set = weekOf({ sight, lives, proposed: whichReed(reeds, wantedFor(lives, NONE_SET)) });
    }
    const opened = opening > 0 && !isConcert ? nextNew(reeds) : [];
    opening -= opened.length;
    const proposal = whichReed(reeds, wantedFor(lives, isConcert ? NONE_SET : set));
    const sessions = [
      ...opened.map(({ id, leftToday }) => ({ reedId: id, minutes: leftToday ?? minutes })),
      ...asShares(proposal, minutes),
    ];
    // On the very first day of all nothing else is there.
    const [anyNew] = nextNew(reeds);
    const all = sessions.length > 0 || !anyNew ? sessions : [{ reedId: anyNew.id, minutes }];
    return inOrder(all, minutes, settledOf(reeds));
  };
}
