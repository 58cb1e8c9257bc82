import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { shareOfLife } from '#core/reeds/reed-life.ts';
import { costWords, lifeWhy, lifeWords, supplyWhy, supplyWords } from '#core/reeds/reed-plan-words.ts';
import { pipeWords } from '#core/reeds/pipe-words.ts';
import { reedsTodayWords } from '#core/reeds/reeds-today-words.ts';
import { weatherWords } from '#core/reeds/reed-weather-words.ts';
import { makesOf } from '#core/reeds/makes.ts';
import { makeWords } from '#core/reeds/make-words.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import { warpDrivers } from '#core/reeds/warp.ts';
import {
  favouriteWords,
  heldBackWords,
  reedName,
  reedReasonWords,
  remainingWords,
  standingWords,
  TOO_SOFT_LEFT_WORDS,
  UNKNOWN_AGE_WORDS,
  warpWhy,
  warpWords,
} from '#core/reeds/reed-words.ts';
import type { ReedBox } from '#core/reeds/reed.ts';
import { spentByMonth } from '#core/reeds/supply.ts';
import type { ReedChoice } from '#core/reeds/which-reed.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { Format } from '#core/explain/format.ts';
import type {
  PlayWithReeds,
  ReedBoxView,
  ReedChoiceView,
  ReedsOfKindView,
  ReedsPageView,
  ReedView,
} from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { concertView, reedsTodayOf } from '#server/features/reeds/reeds-today.views.ts';
import { mainLives, proposalOf, reedsOf, supplyOfKind, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import { currencyOfRecord } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

/** Plays that are shown with their reeds, so that one can be said or put right. */
const PLAYS_SHOWN = 8;

type Showing = { readonly now: WallClock; readonly nowWall: number; readonly format: Format };

function choiceView(
  { reed, minutes, because }: ReedChoice,
  { air, family }: OfKind,
  { now, nowWall, format }: Showing,
): ReedChoiceView {
  const warp = family === 'single' ? warpDrivers(reed, air, now.on) : [];
  return {
    reedId: reed.id,
    name: reedName(reed),
    minutes: Math.round(minutes),
    words: standingWords(reed, nowWall, format),
    isBrokenIn: reed.breakIn === null,
    warp: warpWords(warp),
    because: [...because.map((reason) => reedReasonWords(reason, nowWall, format)), ...warpWhy(warp, format)],
  };
}

/** The day on which so many minutes are played on one of the reeds in turn, which share what is foreseen evenly. */
function likelyEnd(minutes: number, { reeds, minutesOn }: OfKind, today: LocalDate): LocalDate | null {
  const inTurn = reeds.filter(({ stage }) => stage === 'in-rotation' || stage === 'practice-only').length;
  let left = minutes * Math.max(1, inTurn);
  for (let days = 0; days < FURTHEST_END_DAYS; days++) {
    left -= minutesOn(dayNumber(today) + days);
    if (left <= 0) return addDays(today, days);
  }
  return null;
}
/** Beyond a year nobody knows. */
const FURTHEST_END_DAYS = 365;

function reedView(reed: ReedState, ofKind: OfKind, { now, nowWall, format }: Showing): ReedView {
  const { lives, left: ofLeft } = ofKind;
  const { id, number, stage, playedMinutes, lastPlayedOn, grade, ungraded, breakIn } = reed;
  const left = ofLeft.get(id);
  const isOfUnknownAge = left === null;
  return {
    reedId: id,
    number,
    stage,
    words: standingWords(reed, nowWall, format),
    playedMinutes: Math.round(playedMinutes),
    shareOfLife: stage === 'new' || isOfUnknownAge ? null : shareOfLife(reed, lives),
    leftWords: isOfUnknownAge
      ? UNKNOWN_AGE_WORDS
      : left === undefined
        ? null
        : remainingWords(left, likelyEnd(left.middle, ofKind, now.on), format),
    lastPlayedOn,
    goodFor: grade?.goodFor ?? null,
    ungraded,
    because: [
      ...(breakIn?.heldBack ?? []).map((one) => ({
        rule: 'held-back',
        text: heldBackWords(one, format),
        mark: 'estimate' as const,
      })),
      ...(left && grade?.feel === 'too-soft'
        ? [{ rule: 'too-soft', text: TOO_SOFT_LEFT_WORDS, mark: 'estimate' as const }]
        : []),
    ],
  };
}

const boxView = (box: ReedBox, ofKind: OfKind, showing: Showing): ReedBoxView => ({
  key: box.key,
  name: ofKind.names.get(box.key) ?? box.name,
  entered: { name: box.name, strength: box.strength, cost: box.cost, before: [...box.before] },
  cut: box.cut,
  material: box.material,
  breakIn: box.breakIn,
  ...(box.scrape && { scrape: box.scrape }),
  ...(box.lengthTenths && { lengthTenths: box.lengthTenths }),
  place: box.place,
  cameOn: box.cameOn,
  reeds: ofKind.reeds.filter((reed) => reed.box.key === box.key).map((reed) => reedView(reed, ofKind, showing)),
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
      const kept = told.ofPlay(play.key);
      return {
        playKey: play.key,
        instrumentId: play.instrumentId,
        name: names.get(play.instrumentId) ?? '',
        endedOn: play.endedOn,
        endedAtMinute: play.endedAtMinute,
        minutes: play.minutes,
        saidKey: kept?.key ?? null,
        high: kept?.high ?? null,
        shares: (kept?.shares ?? []).map(({ reedId, minutes }) => ({
          reedId,
          name: reedNames.get(reedId) ?? 'A reed of another box',
          minutes,
        })),
      };
    });
}

function kindView(services: Services, ofKind: OfKind, playerId: PlayerId, showing: Showing): ReedsOfKindView {
  const { kind, kindName, instruments, reeds, lives, family } = ofKind;
  const { now, format } = showing;
  const proposal = proposalOf(ofKind, now);
  const atHand = reedsTodayOf(ofKind, now);
  const supply = supplyOfKind(ofKind, now.on);
  return {
    kind,
    kindName,
    family,
    breaksIn: family === 'single',
    instruments: instruments.map(({ instrument }) => ({ instrumentId: instrument.id, name: instrument.name })),
    today: {
      words: [
        ...reedsTodayWords(atHand),
        ...(ofKind.weather ? weatherWords(ofKind.weather) : []),
        ...(family === 'pipe' && reeds.length > 0 ? pipeWords(reeds) : []),
      ],
      play: atHand.play.map((one) => choiceView(one, ofKind, showing)),
      beyond: atHand.beyond && choiceView(atHand.beyond, ofKind, showing),
    },
    first: proposal.first.map((one) => choiceView(one, ofKind, showing)),
    choices: proposal.choices.map((one) => choiceView(one, ofKind, showing)),
    resting: proposal.resting.map((one) => choiceView(one, ofKind, showing)),
    favourite: favouriteWords(reeds, family, now.on),
    concert: concertView(ofKind, now.on, format),
    boxes: ofKind.boxes.map((box) => boxView(box, ofKind, showing)).reverse(),
    plays: playsOf(services, ofKind, playerId),
    life: {
      words: lifeWords(mainLives(reeds, lives), format),
      because: lifeWhy(mainLives(reeds, lives), format),
      ...ofKind.curves,
    },
    makes: makesOf(reeds, family, ofKind.asCame).map((make) => makeWords(make, format)),
    supply: {
      words: supplyWords(supply, format),
      costWords: costWords(supply, format),
      because: supplyWhy(supply, format),
      spent: spentByMonth(ofKind.boxes, now.on).map(({ from, minor }) => ({
        from,
        minor,
        words: format.money({ minor, currency: supply.costOfOne?.currency ?? '' }),
      })),
    },
  };
}

/** All reeds of a player, kind by kind, with the one for now. */
export function reedsPageOf(services: Services, playerId: PlayerId, now: WallClock): Outcome<ReedsPageView, Failure> {
  if (!services.players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const showing = { now, nowWall: wallMinute(now.on, now.atMinute), format: services.format };
  const kinds = reedsOf(services, playerId, now.on);
  return succeed({
    playerId,
    currency: currencyOfRecord(services),
    kinds: kinds.map((ofKind) => kindView(services, ofKind, playerId, showing)),
  });
}
