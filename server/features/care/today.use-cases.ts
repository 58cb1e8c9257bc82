import { reedFamilyOf } from '#core/reeds/reed.ts';
import { isForTheBench, waitsForTheStay } from '#core/bench/bench-jobs.ts';
import { isNoticed } from '#core/care/what-matters.ts';
import { isOnStage } from '#core/calendar/event.ts';
import { goesToday } from '#core/calendar/handover.ts';
import type { Format } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { usualEvening } from '#core/plays/usual-evening.ts';
import type { Situation } from '#core/situation/situation.ts';
import { bookSign } from '#core/faults/faults-for.ts';
import { interviewSaid } from '#core/faults/fault-words.ts';
import { looksDue } from '#core/inspections/inspections-standing.ts';
import { isLaidBy, saidYes } from '#core/faults/faults-standing.ts';
import { stopSaid } from '#core/faults/stop-words.ts';
import { todayList, type StandsToday, type TodayLine } from '#core/situation/today-list.ts';
import { partsLeftWet, practicePlayed } from '#core/situation/alone-standing.ts';
import { firstNoteReasons, firstNoteWords } from '#core/care/first-note-words.ts';
import { dampCost, dampWords } from '#core/situation/damp-words.ts';
import { wetWords } from '#core/situation/today-words.ts';
import { addDays } from '#core/time/local-date.ts';
import { condensate } from '#core/water/condensation.ts';
import type { TodayLineView, TodayView } from '#contract/today.ts';
import { handoverAsked, handoverSaid, measureSaid } from '#server/features/care/bench-asks.ts';
import { clockView, waterView } from '#server/features/care/care.views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { inTurns } from '#server/turns.ts';

type Read = { readonly reading: Reading; readonly stands: StandsToday };

/** What calls, without what the bench does once that has its day there: nobody is told to every morning until then.
 * What was noticed since is said all the same: the day may be too late for it. */
const stillCalling = ({ care, calendar, today }: Situation, player: Reading['player']): StandsToday['calling'] =>
  waitsForTheStay(calendar.goesOn, today)
    ? care.calling.filter((clock) => isNoticed(clock) || !isForTheBench(clock, player))
    : care.calling;

/** How an instrument stands by now, as far as today's list asks. */
function standsToday(reading: Reading, now: WallClock): StandsToday {
  const {
    instrument: { id },
    player,
    facts,
    situation,
  } = reading;
  const standing = situation(now.on);
  const { care, methods, conditions, calendar, faults, inspections } = standing;
  const looks = looksDue(inspections, now.on, player.standing);
  const lastPlay = care.awaitsPackUp ? facts.lastPlay() : null;
  const roomCelsius = lastPlay?.roomCelsius ?? conditions.roomCelsius;
  return {
    id,
    isAway: calendar.awayUntil !== null,
    goesToday: goesToday(standing.handover, now.on),
    stopped: faults.stopped === null ? null : isLaidBy(faults) ? 'laid-by' : 'with-care',
    asked: faults.open && saidYes(faults.open),
    openRunKey: facts.openRunKey,
    awaitsPackUp: care.awaitsPackUp,
    playedAt: lastPlay?.endedAtMinute == null ? null : wallMinute(lastPlay.endedOn, lastPlay.endedAtMinute),
    grams: lastPlay
      ? condensate(
          practicePlayed(methods, partsLeftWet(standing, lastPlay.alone)).kind.water,
          lastPlay.minutes,
          roomCelsius,
        )
      : 0,
    dampSince: care.dampSince,
    // What rests is looked over when it is taken up again; nobody is told to every day.
    looksDue: looks.length,
    isKnocked: looks.some(({ again }) => again?.because === 'mishap'),
    handover: handoverAsked(reading, now.on),
    isToBeLookedOver: care.firstNote?.why.rule === 'never-played',
    leftForLater: care.leftForLater,
    calling: stillCalling(standing, player),
  };
}

/** Where the water of the last play comes from. */
const waterWhy = ({ facts, situation, wetness }: Reading, on: WallClock['on'], format: Services['format']) =>
  waterView(situation(on), facts.lastPlay(), wetness(), format).because;

/** An instrument by name, and whose it is where it is not the player's own. */
const instrumentView = ({ instrument, player }: Reading, me: PlayerId): TodayView['fine'][number] => ({
  instrumentId: instrument.id,
  name: instrument.name,
  kind: instrument.kind,
  playerId: player.id,
  ownerName: player.id === me ? null : player.name,
});

/** What a stop says, or what was noticed of what is asked about. */
function faultSaid(
  { what }: TodayLine,
  { faults }: Situation,
  { book }: Services,
  told: Pick<Reading['player'], 'standing'>,
): Pick<TodayLineView, 'words' | 'because'> | null {
  if (what === 'stopped' && faults.stopped) {
    const { heading, meanwhile, why } = stopSaid(faults.stopped, told);
    return { words: heading, because: [{ rule: 'stopped', text: `${meanwhile} ${why}`, mark: 'practice' }] };
  }
  if (what !== 'wrong' || !faults.open) return null;
  return { words: interviewSaid(faults.open.noticed.map((id) => bookSign(book, id)?.words ?? id)), because: [] };
}

/** How long an instrument has lain cased damp, and what that costs. */
const dampSaid = (line: TodayLine, { instrument }: Reading, { on, atMinute }: WallClock) =>
  line.what === 'damp'
    ? { words: dampWords(line.sinceWallMinute, wallMinute(on, atMinute)), because: [...dampCost(instrument.build)] }
    : null;

/** What comes before the first note of an instrument, and why. */
function firstNoteSaid({ what }: TodayLine, { instrument, situation }: Reading, on: WallClock['on']) {
  const { firstNote } = situation(on).care;
  if (what !== 'first-note' || firstNote === null) return null;
  const because = firstNoteReasons(firstNote, instrument.build, instrument.cameNew);
  return { words: firstNoteWords(firstNote), because };
}

/** How long it has stood wet, and where its figures come from. */
const wetSaid = (line: TodayLine, reading: Reading, { on }: WallClock, { format }: Services) =>
  line.what === 'wet'
    ? { words: wetWords(line.wetMinutes, line.grams, format), because: waterWhy(reading, on, format) }
    : null;

/** What the room of the bench asks. */
function benchSaid({ what }: TodayLine, reading: Reading, on: WallClock['on'], format: Format) {
  if (what === 'pack' || what === 'fetch') return { words: handoverSaid(reading, on), because: [] };
  return what === 'measure' ? { words: measureSaid(reading, on, format), because: [] } : null;
}

/** When it is read, and by whom. */
type Reader = { readonly now: WallClock; readonly me: PlayerId };
const GROWN_UP = { standing: 'grown-up' } as const;

/** What stands in the way in words, and why; nothing of a run and of what a clock says. */
const lineSaid = (services: Services, line: TodayLine, reading: Reading, { now, me }: Reader) =>
  wetSaid(line, reading, now, services) ??
  dampSaid(line, reading, now) ??
  firstNoteSaid(line, reading, now.on) ??
  benchSaid(line, reading, now.on, services.format) ??
  // Whoever looks after a child is a grown-up.
  faultSaid(line, reading.situation(now.on), services, reading.player.id === me ? reading.player : GROWN_UP) ?? {
    words: null,
    because: [],
  };

function lineView(services: Services, line: TodayLine, reading: Reading, reader: Reader): TodayLineView {
  const { what } = line;
  const { player, situation } = reading;
  const {
    now: { on },
    me,
  } = reader;
  const isClock = what === 'first' || what === 'due';
  return {
    what,
    ...instrumentView(reading, me),
    ...lineSaid(services, line, reading, reader),
    runKey: what === 'run' ? line.runKey : null,
    itemIds: what === 'first-note' ? [...(situation(on).care.firstNote?.itemIds ?? [])] : [],
    clock: isClock ? clockView(line.clock, situation(on), { player, today: on, format: services.format }) : null,
  };
}

/** With a concert so near, the reeds come first. */
const CONCERT_NEAR_DAYS = 2;

/** Is it played to an audience today or in the next days, on a reed? */
function isConcertNear({ instrument, facts }: Reading, today: WallClock['on'], { book }: Services): boolean {
  if (reedFamilyOf(book.kinds[instrument.kind]) === null) return false;
  const last = addDays(today, CONCERT_NEAR_DAYS);
  return facts.events.some(
    ({ what, on, instrumentIds }) =>
      isOnStage(what) && on >= today && on <= last && instrumentIds.includes(instrument.id),
  );
}

/**
 * What a player has to do today, in one order over their instruments and those of whom they look after, and what they
 * have probably played this evening.
 */
export async function todayOf(
  services: Services,
  playerId: string,
  now: WallClock,
): Promise<Outcome<TodayView, Failure>> {
  const { players, readings } = services;
  const me = players.find(playerId);
  if (!me) return fail(notFound('playerId', { code: 'no-such-player' }));
  const minded = new Set(players.all().flatMap(({ id, minderId }) => (minderId === me.id ? [id] : [])));
  const read = await inTurns(readings.onShelf(), (next): Read[] => {
    const reading = next();
    const owner = reading?.instrument.playerId;
    if (reading === undefined || owner === undefined || reading.instrument.leftOn !== null) return [];
    return owner === me.id || minded.has(owner) ? [{ reading, stands: standsToday(reading, now) }] : [];
  });
  const readingOf = new Map(read.map(({ reading }) => [reading.instrument.id, reading]));
  const { lines, fine, unknown, away } = todayList(
    read.map(({ stands }) => stands),
    wallMinute(now.on, now.atMinute),
  );
  // What is at the bench was not played this evening.
  const mine = read.filter(({ reading, stands }) => reading.player.id === me.id && !stands.isAway);
  const candidates = mine.map(({ reading: { instrument, facts, situation }, stands }) => ({
    id: { instrument, awaitsPackUp: stands.awaitsPackUp, alone: situation(now.on).alone.usual?.alone ?? null },
    plays: facts.plays,
    usualMinutes: situation(now.on).plays.usualMinutes,
  }));
  const named = (ids: readonly InstrumentId[]): TodayView['fine'] =>
    ids.flatMap((id) => {
      const reading = readingOf.get(id);
      return reading ? [instrumentView(reading, me.id)] : [];
    });
  return succeed({
    lines: lines.flatMap((line) => {
      const reading = readingOf.get(line.id);
      return reading ? [lineView(services, line, reading, { now, me: me.id })] : [];
    }),
    fine: named(fine),
    unknown: named(unknown),
    away: named(away),
    instruments: read.length,
    reedsFirst: [
      ...new Set(
        mine.flatMap(({ reading }) => (isConcertNear(reading, now.on, services) ? [reading.instrument.kind] : [])),
      ),
    ],
    evening: usualEvening(candidates, now.on).map(({ id: { instrument, awaitsPackUp, alone }, minutes, usual }) => ({
      instrumentId: instrument.id,
      name: instrument.name,
      kind: instrument.kind,
      minutes,
      alone: alone && { alone: alone.id, name: alone.name },
      usual,
      awaitsPackUp,
    })),
  });
}
