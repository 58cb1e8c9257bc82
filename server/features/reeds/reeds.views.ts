import type { PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Forecast } from '#core/plays/forecast.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { readinessFor } from '#core/reeds/readiness.ts';
import { livesOf, remainingOf, shareOfLife, type LivesOf, type ReedLives } from '#core/reeds/reed-life.ts';
import { lifeWords, readinessWhy, readinessWords, supplyWhy, supplyWords } from '#core/reeds/reed-plan-words.ts';
import { reedStates, type ReedState } from '#core/reeds/reed-state.ts';
import {
  boxNames,
  favouriteWords,
  heldBackWords,
  reedName,
  reedReasonWords,
  standingWords,
} from '#core/reeds/reed-words.ts';
import { reedFamilyOf, type ReedBox, type ReedFamily, type ReedId } from '#core/reeds/reed.ts';
import { supplyOf } from '#core/reeds/supply.ts';
import { bandOf } from '#core/reeds/survival.ts';
import { whichReed, type ReedChoice, type ReedProposal } from '#core/reeds/which-reed.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { roughly, type Format } from '#core/explain/format.ts';
import type {
  PlayWithReeds,
  ReadinessView,
  ReedBoxView,
  ReedChoiceView,
  ReedsOfKindView,
  ReedsPageView,
  ReedView,
} from '#contract/reeds.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** Plays that are shown with their reeds, so that one can be said or put right. */
const PLAYS_SHOWN = 8;
const CURVE_POINTS = 24;
const MONTH_DAYS = 28;
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
  readonly minutesOn: (day: number) => number;
  /** Minutes of concerts by day. */
  readonly concerts: ReadonlyMap<number, number>;
  /** What is left of each living reed, and the curves: worked out once, for they ask the belief often. */
  readonly left: ReadonlyMap<ReedId, ReturnType<typeof remainingOf>>;
  readonly curves: Pick<ReedsOfKindView['life'], 'belief' | 'curve'>;
};

function forecastOf(instruments: readonly Reading[], today: LocalDate): (day: number) => number {
  const all: Forecast[] = instruments.map(({ situation }) => situation(today).plays.forecast);
  return (day) => all.reduce((sum, { minutesOn }) => sum + minutesOn(day), 0);
}

/** Minutes of concerts on these instruments, by day. */
function concertsOf(instruments: readonly Reading[]): ReadonlyMap<number, number> {
  const days = new Map<number, number>();
  for (const { instrument, facts } of instruments)
    for (const { on, minutes, instrumentIds, what } of facts.events)
      if (what === 'concert' && instrumentIds.includes(instrument.id))
        days.set(dayNumber(on), (days.get(dayNumber(on)) ?? 0) + minutes);
  return days;
}

/** Everything of a player's reeds, kind by kind: worked out once for each state of the record. */
export function reedsOf(services: Services, playerId: PlayerId, today: LocalDate): OfKind[] {
  const own = services.instruments.all().filter((one) => one.playerId === playerId);
  const subjects = [ofPlayer(playerId), ...own.map(({ id }) => ofInstrument(id))];
  return services.remembered.of(`reeds ${playerId}`, subjects, today, () => readReeds(services, playerId, today));
}

const isAlive = ({ stage }: ReedState): boolean => stage !== 'new' && stage !== 'retired';

/** The lives that are shown: of cane, where there is any. */
const mainLives = (reeds: readonly ReedState[], lives: LivesOf): ReedLives =>
  lives[reeds.length > 0 && reeds.every(({ box }) => box.material === 'synthetic') ? 'synthetic' : 'cane'];

function curvesOf({ belief, curve }: ReedLives): OfKind['curves'] {
  const furthest = belief.ageAt(0.02);
  return {
    belief: Array.from({ length: CURVE_POINTS + 1 }, (_, index) => {
      const minutes = (furthest * index) / CURVE_POINTS;
      return { minutes, share: belief.survival(minutes) };
    }),
    curve: curve.map((step) => {
      const [low, high] = bandOf(step);
      return { minutes: step.at, share: step.survival, low, high };
    }),
  };
}

/** Those the player has an instrument for or a box of. */
function readReeds(
  { book, reeds: told, readings, instruments }: Services,
  playerId: PlayerId,
  today: LocalDate,
): OfKind[] {
  const { boxes, uses, said } = told.record(playerId);
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
      return reedStates({ box, boxName, uses: within(uses), said: within(said) }, { today, family });
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
        left: new Map(reeds.filter(isAlive).map((reed) => [reed.id, remainingOf(reed, lives)])),
        curves: curvesOf(mainLives(reeds, lives)),
        minutesOn: forecastOf(mine, today),
        concerts: concertsOf(mine),
      },
    ];
  });
}

type Showing = { readonly now: WallClock; readonly nowWall: number; readonly format: Format };

function choiceView({ reed, minutes, because }: ReedChoice, { nowWall, format }: Showing): ReedChoiceView {
  return {
    reedId: reed.id,
    name: reedName(reed),
    minutes: Math.round(minutes),
    words: standingWords(reed, nowWall, format),
    because: because.map((reason) => reedReasonWords(reason, nowWall, format)),
  };
}

function reedView(reed: ReedState, { lives, left: ofLeft }: OfKind, { nowWall, format }: Showing): ReedView {
  const { id, number, stage, playedMinutes, lastPlayedOn, grade, ungraded, breakIn } = reed;
  const left = ofLeft.get(id) ?? null;
  return {
    reedId: id,
    number,
    stage,
    words: standingWords(reed, nowWall, format),
    playedMinutes: Math.round(playedMinutes),
    shareOfLife: stage === 'new' ? null : shareOfLife(reed, lives),
    leftWords: left && `about ${roughly(left.middle)} left (${roughly(left.low)} to ${roughly(left.high)})`,
    lastPlayedOn,
    goodFor: grade?.goodFor ?? null,
    ungraded,
    because: (breakIn?.heldBack ?? []).map((one) => ({
      rule: 'held-back',
      text: heldBackWords(one, format),
      mark: 'estimate',
    })),
  };
}

const boxView = (box: ReedBox, of: OfKind, showing: Showing): ReedBoxView => ({
  key: box.key,
  name: of.names.get(box.key) ?? box.name,
  cut: box.cut,
  material: box.material,
  breakIn: box.breakIn,
  place: box.place,
  cameOn: box.cameOn,
  reeds: of.reeds.filter((reed) => reed.box.key === box.key).map((reed) => reedView(reed, of, showing)),
});

/** The last plays on instruments of this kind, each with the reeds it was on. */
function playsOf({ reeds: told }: Services, { instruments, reeds }: OfKind, playerId: PlayerId): PlayWithReeds[] {
  const names = new Map(instruments.map(({ instrument }) => [instrument.id, instrument.name]));
  const reedNames = new Map(reeds.map((reed) => [reed.id, reedName(reed)]));
  return told
    .newestPlays(playerId, PLAYS_SHOWN * 4)
    .filter(({ instrumentId }) => names.has(instrumentId))
    .slice(0, PLAYS_SHOWN)
    .map((play): PlayWithReeds => {
      const said = told.ofPlay(play.key);
      return {
        playKey: play.key,
        instrumentId: play.instrumentId,
        name: names.get(play.instrumentId) ?? '',
        endedOn: play.endedOn,
        endedAtMinute: play.endedAtMinute,
        minutes: play.minutes,
        saidKey: said?.key ?? null,
        high: said?.high ?? null,
        shares: (said?.shares ?? []).map(({ reedId, minutes }) => ({
          reedId,
          name: reedNames.get(reedId) ?? 'A reed of another box',
          minutes,
        })),
      };
    });
}

/** Which reed for the play at hand: today's concert, or an ordinary one as long as usual. */
export function proposalOf({ instruments, reeds, lives, concerts }: OfKind, now: WallClock): ReedProposal {
  const [first] = instruments;
  const concertMinutes = concerts.get(dayNumber(now.on));
  return whichReed(reeds, {
    nowWall: wallMinute(now.on, now.atMinute),
    today: now.on,
    minutes: concertMinutes ?? first?.situation(now.on).plays.usualMinutes ?? USUAL_MINUTES,
    isConcert: concertMinutes !== undefined,
    shareOfLife: (reed) => shareOfLife(reed, lives),
  });
}

function kindView(services: Services, of: OfKind, playerId: PlayerId, showing: Showing): ReedsOfKindView {
  const { kind, kindName, instruments, reeds, lives, family, minutesOn } = of;
  const { now, format } = showing;
  const proposal = proposalOf(of, now);
  const day = dayNumber(now.on);
  const month = Array.from({ length: MONTH_DAYS }, (_, index) => minutesOn(day + index));
  const minutesADay = month.reduce((sum, one) => sum + one, 0) / MONTH_DAYS;
  const supply = supplyOf({ today: now.on, family, reeds, lives, minutesADay });
  return {
    kind,
    kindName,
    instruments: instruments.map(({ instrument }) => ({ instrumentId: instrument.id, name: instrument.name })),
    first: proposal.first.map((one) => choiceView(one, showing)),
    choices: proposal.choices.map((one) => choiceView(one, showing)),
    resting: proposal.resting.map((one) => choiceView(one, showing)),
    favourite: favouriteWords(reeds, family),
    boxes: of.boxes.map((box) => boxView(box, of, showing)).reverse(),
    plays: playsOf(services, of, playerId),
    life: { words: lifeWords(mainLives(reeds, lives), format), ...of.curves },
    supply: { words: supplyWords(supply, format), because: supplyWhy(supply, format) },
  };
}

/** All reeds of a player, kind by kind, with the one for now. */
export function reedsPageOf(services: Services, playerId: PlayerId, now: WallClock): Outcome<ReedsPageView, Failure> {
  if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const showing = { now, nowWall: wallMinute(now.on, now.atMinute), format: services.format };
  const kinds = reedsOf(services, playerId, now.on);
  return succeed({ playerId, kinds: kinds.map((of) => kindView(services, of, playerId, showing)) });
}

type Wanting = { readonly kind: KindId; readonly on: LocalDate; readonly wanted: number; readonly today: LocalDate };

/** How many reeds to open for a day, and by when. */
export function readinessOf(
  services: Services,
  playerId: PlayerId,
  { kind, on, wanted, today }: Wanting,
): Outcome<ReadinessView, Failure> {
  const of = reedsOf(services, playerId, today).find((one) => one.kind === kind);
  if (of === undefined) return fail(notFound('kind', { code: 'no-reeds-on-it' }));
  const [from, to] = [dayNumber(today), dayNumber(on)];
  const minutesUntil = Array.from({ length: Math.max(0, to - from) }, (_, index) => of.minutesOn(from + index));
  const ready = readinessFor({
    on,
    wanted,
    today,
    reeds: of.reeds,
    lives: of.lives,
    minutesUntil: minutesUntil.reduce((sum, one) => sum + one, 0),
    breakIn: of.boxes.at(-1)?.breakIn ?? 'week',
  });
  const { format } = services;
  return succeed({
    words: readinessWords(ready, format),
    because: readinessWhy(ready, format),
    table: ready.table.map(({ opened, chance }) => ({ opened, chance })),
  });
}
