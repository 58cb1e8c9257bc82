import { isNoticed, noticedSign } from '#core/care/what-matters.ts';
import { signsOf } from '#core/book/care-item.ts';
import { clockReasonWords, standingWords } from '#core/care/care-words.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import { goesAlong, isDueAtHome } from '#core/care/due-at-home.ts';
import { signParts } from '#core/care/sign-parts.ts';
import { signHere } from '#core/faults/faults-for.ts';
import { isLaidBy } from '#core/faults/faults-standing.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { MethodsStanding } from '#core/methods/methods-standing.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { buildWords } from '#core/instruments/build-words.ts';
import { minutesOfItem } from '#core/packup/item-minutes.ts';
import type { Format } from '#core/explain/format.ts';
import { partName } from '#core/instruments/bore-strip.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { kindName } from '#core/instruments/kind.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import type { Play } from '#core/plays/play.ts';
import { partsLeftWet, practicePlayed } from '#core/situation/alone-standing.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { condensate } from '#core/water/condensation.ts';
import { letOutAfter } from '#core/water/let-out.ts';
import { letOutWords, passReasonWords } from '#core/water/water-words.ts';
import { wetnessFactors, type Wetness } from '#core/water/wetness.ts';
import type { CareClockView, InstrumentPage } from '#contract/care.ts';
import type { InstrumentView } from '#contract/instruments.ts';

/** An instrument as a screen shows it: options by their names, not their ids. */
export function instrumentView(instrument: Instrument, kind: InstrumentKind): InstrumentView {
  return {
    id: instrument.id,
    name: instrument.name,
    kind: instrument.kind,
    kindName: kindName(kind, instrument.build),
    build: { ...instrument.build },
    buildWords: buildWords(kind, instrument.build),
    playerId: instrument.playerId,
    acquiredOn: instrument.acquiredOn,
    cameNew: instrument.cameNew,
    leftOn: instrument.leftOn,
  };
}

const minutesOf = (
  { kind, methods, plays, conditions }: Situation,
  { id }: ItemClock['item'],
  player: PlayerAbilities,
) =>
  minutesOfItem(
    { kind, practice: methods.practice, usualMinutes: plays.usualMinutes, roomCelsius: conditions.roomCelsius },
    id,
    player,
  );

/** For whom a clock is put into words: the player it falls to, their day and their way of writing dates. */
export type Reader = { readonly player: PlayerAbilities; readonly today: LocalDate; readonly format: Format };

/** The sign that was noticed, where an interview can go on from it; some lead straight to their care. */
function askable({ faults }: Situation, clock: ItemClock): CareClockView['noticedSign'] {
  const sign = noticedSign(clock);
  return sign !== null && signHere(faults.here, sign) ? sign : null;
}

export function clockView(clock: ItemClock, situation: Situation, { player, today, format }: Reader): CareClockView {
  const { item } = clock;
  const atBench = item.place === 'bench';
  const hands = atBench ? 'bench' : handsFor(item.skill, player);
  const at = { hands, isAway: situation.calendar.awayUntil !== null, isLaidBy: isLaidBy(situation.faults) };
  return {
    itemId: item.id,
    name: item.name,
    part: clock.part,
    partName: partName(situation.kind, clock.part),
    gauge: { state: clock.state, load: clock.load, words: standingWords(clock, today) },
    everyPlay: item.trigger.kind === 'every-play',
    atBench,
    hands,
    dueAtHome: isDueAtHome(clock, at),
    goesAlong: goesAlong(clock, at),
    signs: signsOf(item).map(({ id, words }) => ({ sign: id, words })),
    seenOn: [...signParts(item, situation.kind, situation.instrument.build)],
    noticed: isNoticed(clock),
    noticedSign: askable(situation, clock),
    declined: clock.because.some(({ rule }) => rule === 'declined'),
    postponedUntil: clock.postponedUntil,
    caution: item.why,
    minutes: minutesOf(situation, item, player),
    lastDone: clock.lastDone,
    due: clock.due,
    because: clock.because.map((reason) => clockReasonWords(reason, format)),
  };
}

/** What a play leaves water by: how long it was, in what room, and of which parts. */
export type LeavesWater = Pick<Play, 'minutes' | 'roomCelsius' | 'alone'>;

/** Water left by the last play, with its reasons; none once the instrument is packed up. */
export function waterView(
  situation: Situation,
  play: LeavesWater | null,
  wetness: Wetness,
  format: Format,
): InstrumentPage['water'] {
  const { water } = practicePlayed(situation.methods, partsLeftWet(situation, play?.alone ?? null)).kind;
  const minutes = play?.minutes ?? 0;
  const roomCelsius = play?.roomCelsius ?? situation.conditions.roomCelsius;
  const grams = condensate(water, minutes, roomCelsius);
  const because = grams > 0 ? [passReasonWords({ rule: 'water-blown-in', minutes, roomCelsius, grams }, format)] : [];
  const letOut = letOutAfter(situation.kind.water, roomCelsius, wetness);
  return {
    grams,
    minutes,
    because,
    letOut: letOut && { minutes: letOut.value, because: letOut.because.map((reason) => letOutWords(reason, format)) },
  };
}

/** The belief about how wet a player blows, as factors of the usual water; null where nothing is swabbed by it. */
export function wetnessView({ practice }: MethodsStanding, wetness: Wetness): InstrumentPage['wetness'] {
  if (!practice.steps.some(({ repeats }) => repeats?.kind === 'passes-by-water')) return null;
  const { factor, low, high, factors } = wetnessFactors(wetness);
  return { taps: wetness.taps, factor, low, high, factors: [...factors], weights: [...wetness.weights] };
}
