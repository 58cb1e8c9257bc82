import type { PlayerId } from '#core/instruments/instrument.ts';
import { isOnStage, minutesIn } from '#core/calendar/event.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import {
  livesOf,
  remainingOf,
  shareOfLife,
  type LivesOf,
  type ReedLives,
  type Remaining,
} from '#core/reeds/reed-life.ts';
import { setSessions, type SetSessions } from '#core/reeds/reed-pin.ts';
import type { AsCame } from '#core/reeds/makes.ts';
import { reedStates, type ReedState } from '#core/reeds/reed-state.ts';
import { boxNames } from '#core/reeds/reed-words.ts';
import { cameAs, lastFound } from '#core/doublereeds/last-found.ts';
import { reedFamilyOf, type ReedBox, type ReedFamily, type ReedId } from '#core/reeds/reed.ts';
import { weatherOf, type DoubleWeather } from '#core/reeds/reed-weather.ts';
import type { AirOfReeds } from '#core/reeds/warp.ts';
import { supplyOf, type Supply } from '#core/reeds/supply.ts';
import { bandOf } from '#core/reeds/survival.ts';
import { whichReed, type ReedProposal } from '#core/reeds/which-reed.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { ReedsOfKindView } from '#contract/reed-views.ts';
import type { ReedWish } from '#core/settings/settings.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

const CURVE_POINTS = 24;
/** What is offered where the record says nothing yet. */
const USUAL_MINUTES = 45;

/** The reeds of one kind of instrument of one player, with what is computed of them for a day. */
export type OfKind = {
  readonly kind: KindId;
  readonly kindName: string;
  readonly family: ReedFamily;
  readonly instruments: readonly Reading[];
  readonly boxes: readonly ReedBox[];
  /** What each box is called. */
  readonly names: ReadonlyMap<string, string>;
  readonly reeds: readonly ReedState[];
  readonly lives: LivesOf;
  /** How many reeds the player wants to have opened for a concert. */
  readonly wish: ReedWish;
  /** Sessions the player has set by hand. */
  readonly set: SetSessions;
  /** Which double reeds were sent back, of those looked at as they came. */
  readonly asCame: AsCame;
  /** Of double reeds: what the air of today asks of the choice. */
  readonly weather: DoubleWeather | undefined;
  /** What is known of the air they lie in. */
  readonly air: AirOfReeds;
  readonly minutesOn: (day: number) => number;
  /** Minutes of concerts by day. */
  readonly concerts: ReadonlyMap<number, number>;
  /** What is left of each living reed, and the curves: worked out once, for they ask the belief often. */
  readonly left: ReadonlyMap<ReedId, Remaining | null>;
  readonly curves: Pick<ReedsOfKindView['life'], 'belief' | 'curve'>;
};

function forecastOf(instruments: readonly Reading[], today: LocalDate): (day: number) => number {
  const all: Forecast[] = instruments.map(({ situation }) => situation(today).plays.forecast);
  return (day) => all.reduce((sum, { minutesOn }) => sum + minutesOn(day), 0);
}

/** Minutes before an audience on these instruments, by day. */
function concertsOf(instruments: readonly Reading[]): ReadonlyMap<number, number> {
  const days = new Map<number, number>();
  for (const { instrument, facts } of instruments)
    for (const event of facts.events)
      if (isOnStage(event.what) && event.instrumentIds.includes(instrument.id)) {
        const day = dayNumber(event.on);
        days.set(day, (days.get(day) ?? 0) + (minutesIn(event, instrument.id) ?? 0));
      }
  return days;
}

/** Journeys on which one of these instruments came along: reeds of one that stays at home lie in the air they lay in. */
const journeysOf = (instruments: readonly Reading[]): AirOfReeds['journeys'] =>
  instruments.flatMap(({ instrument, facts }) =>
    facts.events.filter(({ what, instrumentIds }) => what === 'travel' && instrumentIds.includes(instrument.id)),
  );

/** Everything of a player's reeds, kind by kind: worked out once for each state of the record. */
export function reedsOf(services: Services, playerId: PlayerId, today: LocalDate): OfKind[] {
  const own = services.instruments.ofPlayer(playerId);
  const subjects = [ofPlayer(playerId), ...own.map(({ id }) => ofInstrument(id))];
  return services.remembered.of({ name: `reeds ${playerId}`, subjects, day: today }, () =>
    readReeds(services, playerId, today),
  );
}

/** Days of the forecast whose mean says how much is played a day. */
const MONTH_DAYS = 28;

/** How long the reeds of a kind last, at the minutes foreseen for the next weeks. */
export function supplyOfKind({ family, reeds, lives, minutesOn }: OfKind, today: LocalDate): Supply {
  const day = dayNumber(today);
  const month = Array.from({ length: MONTH_DAYS }, (_, index) => minutesOn(day + index));
  const minutesADay = month.reduce((sum, one) => sum + one, 0) / MONTH_DAYS;
  return supplyOf({ today, family, reeds, lives, minutesADay });
}

const isAlive = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';

/** The lives that are shown: of cane, where there is any. */
export const mainLives = (reeds: readonly ReedState[], lives: LivesOf): ReedLives =>
  lives[reeds.length > 0 && reeds.every(({ box }) => box.material === 'synthetic') ? 'synthetic' : 'cane'];

function curvesOf({ belief, curve }: ReedLives): OfKind['curves'] {
  const furthest = belief.ageAt(0.02);
  return {
    belief: Array.from({ length: CURVE_POINTS + 1 }, (_, index) => {
      const minutes = (furthest * index) / CURVE_POINTS;
      return { minutes, share: belief.survival(minutes) };
    }),
    curve: curve.steps.map((step) => {
      const [low, high] = bandOf(step);
      return { minutes: step.at, share: step.survival, low, high };
    }),
  };
}

/** What was found at the table holds for so long: by then it has ended, or been looked at again. */
const FOUND_HOLDS_MS = 42 * 86_400_000;
/** Without its corners or its heart, a reed is for practice, whatever it was graded before. */
const asFound = (reed: ReedState, found: ReadonlySet<ReedId>): ReedState =>
  reed.stage === 'in-rotation' && found.has(reed.id) ? { ...reed, stage: 'practice-only' } : reed;

/** Those the player has an instrument for or a box of. */
function readReeds(
  { book, reeds: told, doubleReeds, readings, instruments, air, settings, nowMs }: Services,
  playerId: PlayerId,
  today: LocalDate,
): OfKind[] {
  const { boxes, uses, said, pins } = told.record(playerId);
  const set = setSessions(pins);
  const asCame = cameAs(doubleReeds.quick(playerId));
  const found = lastFound(doubleReeds.since(playerId, nowMs() - FOUND_HOLDS_MS));
  const reads = air.of(playerId);
  const wish = settings.of(playerId)?.reedWish ?? 'usual';
  const names = boxNames(boxes);
  const own = instruments
    .all()
    .filter((one) => one.playerId === playerId)
    .flatMap(({ id }) => readings.of(id) ?? [])
    .filter(({ instrument }) => instrument.leftOn === null);
  return KIND_IDS.flatMap((kind): OfKind[] => {
    const family = reedFamilyOf(book.kinds[kind]);
    const mine = own.filter(({ instrument }) => instrument.kind === kind);
    const kept = boxes.filter((box) => box.kind === kind);
    if (family === null || (mine.length === 0 && kept.length === 0)) return [];
    const reeds = kept.flatMap((box) => {
      const within = <One extends { readonly reedId: string }>(all: readonly One[]) =>
        all.filter(({ reedId }) => reedId.startsWith(`${box.key}/`));
      const boxName = names.get(box.key) ?? box.name;
      const states = reedStates({ box, boxName, uses: within(uses), said: within(said) }, { today, family });
      return family === 'double' ? states.map((reed) => asFound(reed, found)) : states;
    });
    const lives = livesOf(reeds);
    return [
      {
        kind,
        kindName: book.kinds[kind].name,
        family,
        instruments: mine,
        boxes: kept,
        names,
        reeds,
        lives,
        wish,
        set,
        asCame,
        weather: family === 'double' ? weatherOf(reads.findLast(({ on }) => on === today)) : undefined,
        air: { reads, journeys: journeysOf(mine) },
        left: new Map(reeds.filter(isAlive).map((reed) => [reed.id, remainingOf(reed, lives)])),
        curves: curvesOf(mainLives(reeds, lives)),
        minutesOn: forecastOf(mine, today),
        concerts: concertsOf(mine),
      },
    ];
  });
}

/** Nobody says when a concert begins: of an evening (estimate), minutes of the day. */
const CONCERT_AT = 19 * 60 + 30;
/** So much of a concert's minutes played on a day is taken to have been the concert (estimate). */
const PLAYED_AS_CONCERT = 0.5;

/** Minutes of today's concert; undefined where there is none, and once as much has been played today. */
function concertToCome({ concerts, reeds }: OfKind, today: LocalDate): number | undefined {
  const minutes = concerts.get(dayNumber(today));
  const played = reeds.reduce((sum, { playedToday }) => sum + playedToday, 0);
  return minutes !== undefined && played >= minutes * PLAYED_AS_CONCERT ? undefined : minutes;
}

/** The days of concerts to come, the next first; today's until it has been played. */
export const concertDays = (ofKind: OfKind, today: LocalDate): number[] =>
  [...ofKind.concerts.keys()]
    .filter((day) => day > dayNumber(today) || (day === dayNumber(today) && concertToCome(ofKind, today) !== undefined))
    .sort((a, b) => a - b);

/** The play at hand: today's concert, or an ordinary one as long as usual. */
export function playAtHand(ofKind: OfKind, { on }: WallClock) {
  const [first] = ofKind.instruments;
  const concertMinutes = concertToCome(ofKind, on);
  const minutes = concertMinutes ?? first?.situation(on).plays.usualMinutes ?? USUAL_MINUTES;
  return { minutes, isConcert: concertMinutes !== undefined };
}

/** Which reed for the play at hand; at a concert those that will have rested by then. */
export function proposalOf(ofKind: OfKind, now: WallClock): ReedProposal {
  const { reeds, lives, set, weather } = ofKind;
  const atHand = playAtHand(ofKind, now);
  const atMinute = atHand.isConcert ? Math.max(now.atMinute, CONCERT_AT) : now.atMinute;
  return whichReed(reeds, {
    nowWall: wallMinute(now.on, atMinute),
    today: now.on,
    ...atHand,
    shareOfLife: (reed) => shareOfLife(reed, lives),
    set,
    weather,
  });
}
