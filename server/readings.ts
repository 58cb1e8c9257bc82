import type { CareItemId } from '#core/book/care-ids.ts';
import type { Book } from '#core/book/book.ts';
import { doneAtBench } from '#core/calendar/event.ts';
import { signsStanding } from '#core/faults/signs-standing.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { withBench } from '#core/care/done-at-bench.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { Player } from '#core/players/profile.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import type { Play } from '#core/plays/play.ts';
import { ofInstrument, ofPlayer, type Subject } from '#core/record/fact.ts';
import { situationOf, type InstrumentFacts, type Situation } from '#core/situation/situation.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { wetnessFrom, type LastPassFact } from '#core/water/wetness-from-record.ts';
import type { Wetness } from '#core/water/wetness.ts';
import type { AirRepository } from '#server/features/air/air.repository.ts';
import type { CalendarRepository } from '#server/features/calendar/calendar.repository.ts';
import type { CareRepository } from '#server/features/care/care.repository.ts';
import { standingWithAir } from '#server/features/conditions/standing-with-air.ts';
import type { ConditionsRepository, StandingCondition } from '#server/features/conditions/conditions.repository.ts';
import type { SettingsRepository } from '#server/features/settings/settings.repository.ts';
import type { FaultsRepository } from '#server/features/faults/faults.repository.ts';
import type { HandoversRepository } from '#server/features/bench/handovers.repository.ts';
import type { InspectionsRepository } from '#server/features/inspections/inspections.repository.ts';
import type { InstrumentsRepository } from '#server/features/instruments/instruments.repository.ts';
import type { MethodsRepository } from '#server/features/methods/methods.repository.ts';
import type { PackupRepository } from '#server/features/packup/packup.repository.ts';
import type { PlayersRepository } from '#server/features/players/players.repository.ts';
import type { PlaysRepository } from '#server/features/plays/plays.repository.ts';

/** Everything the record says of one instrument. */
export type ReadFacts = InstrumentFacts & {
  /** The last play with its key and room; looked up only when a page asks. */
  readonly lastPlay: () => Play | null;
  readonly openRunKey: string | null;
  /** Every care item that was ever logged, also what this build does not have any more. */
  readonly itemsLogged: readonly CareItemId[];
  /** What the cloth showed after each play since the last reset, oldest first. */
  readonly lastPasses: readonly LastPassFact[];
  readonly entered: readonly StandingCondition[];
};

/** One instrument as it has been read: once for each state of the record, however often it is asked for. */
export type Reading = {
  readonly instrument: Instrument;
  readonly player: Player;
  readonly facts: ReadFacts;
  readonly situation: (today: LocalDate) => Situation;
  readonly wetness: () => Wetness;
};

type Sources = {
  readonly players: PlayersRepository;
  readonly instruments: InstrumentsRepository;
  readonly plays: PlaysRepository;
  readonly care: CareRepository;
  readonly packup: PackupRepository;
  readonly methods: MethodsRepository;
  readonly conditions: ConditionsRepository;
  readonly calendar: CalendarRepository;
  readonly air: AirRepository;
  readonly settings: SettingsRepository;
  readonly faults: FaultsRepository;
  readonly inspections: InspectionsRepository;
  readonly handovers: HandoversRepository;
};
type Revisions = {
  readonly revision: (subject: Subject) => number;
  readonly revisions: (kind: Subject['kind']) => ReadonlyMap<string, number>;
};

/** A value worked out when it is first asked for; for the situation, anew for each day. */
function once<Value>(make: () => Value): () => Value {
  let made: { readonly value: Value } | undefined;
  return () => (made ??= { value: make() }).value;
}
function forDay(make: (today: LocalDate) => Situation): (today: LocalDate) => Situation {
  let made: Situation | undefined;
  return (today) => (made = made?.today === today ? made : make(today));
}

function readFacts(
  { plays, care, packup, methods, conditions, calendar, air, faults, inspections, handovers, settings }: Sources,
  book: Book,
  { id, playerId, kind, build }: Instrument,
): ReadFacts {
  const reads = air.of(playerId);
  const entered = standingWithAir(conditions.standing(id, playerId), reads);
  const events = calendar.of(playerId);
  const atBench = doneAtBench(events, id, (work) => book.benchWorks.works[work].care);
  const { lastDone, itemsLogged } = care.history(id);
  const wrong = faults.of(id);
  const { items } = practiceFor(book, kind, build);
  const here = faultsFor(book, kind, build);
  const signs = signsStanding(care.signs(id), wrong, { items, here, kind: book.kinds[kind] });
  return {
    plays: plays.columns(id),
    itemsLogged: [...new Set([...itemsLogged, ...atBench.keys()])],
    care: { lastDone: withBench(lastDone, atBench), signs, decisions: care.decisions(id) },
    choices: methods.choices(id),
    conditions: entered.map(({ condition }) => condition),
    entered,
    events,
    air: reads,
    usualRoom: settings.of(playerId)?.roomCelsius ?? null,
    faults: wrong,
    inspections: inspections.of(id),
    handovers: handovers.of(id),
    lastPlay: once(() => plays.last(id) ?? null),
    openRunKey: packup.openKey(id) ?? null,
    lastPasses: packup.lastPasses(id, care.lastResetId(id)),
  };
}

/**
 * Reads the facts of an instrument in one go and keeps them until a new fact touches it or its player: a page, a run or
 * the shelf asks for as many readings as it likes.
 */
export function createReadings(book: Book, { revision, revisions }: Revisions, sources: Sources) {
  const kept = new Map<string, { readonly at: string; readonly reading: Reading }>();

  const read = (id: string): Reading | undefined => {
    const instrument = sources.instruments.find(id);
    const player = instrument && sources.players.find(instrument.playerId);
    if (!instrument || !player) return undefined;
    const facts = readFacts(sources, book, instrument);
    return {
      instrument,
      player,
      facts,
      situation: forDay((today) => situationOf(book, instrument, facts, today)),
      wetness: once(() => wetnessFrom(book.kinds[instrument.kind].water, facts.lastPasses)),
    };
  };

  const readAt = (id: string, at: string): Reading | undefined => {
    const known = kept.get(id);
    if (known?.at === at) return known.reading;
    const reading = read(id);
    if (reading) kept.set(id, { at, reading });
    else kept.delete(id);
    return reading;
  };

  const find = (id: string): Reading | undefined => {
    const owner = sources.instruments.playerOf(id);
    if (owner === undefined) return undefined;
    return readAt(id, `${revision(ofInstrument(id))} ${revision(ofPlayer(owner))}`);
  };

  return {
    /** The reading of one instrument; undefined where there is none, or it was taken back. */
    of: find,

    /**
     * Every instrument in the order they were added, each to be read when its turn comes: what has been read before is
     * there at once, what has not is read from the file.
     */
    onShelf: (): (() => Reading | undefined)[] => {
      const [mine, theirs] = [revisions('instrument'), revisions('player')];
      const at = ({ id, playerId }: { id: InstrumentId; playerId: PlayerId }) =>
        `${mine.get(id) ?? 0} ${theirs.get(playerId) ?? 0}`;
      return sources.instruments.all().map((one) => () => readAt(one.id, at(one)));
    },

    /** Drops everything read so far. */
    forget: (): void => {
      kept.clear();
      sources.plays.forget();
    },
  };
}
export type Readings = ReturnType<typeof createReadings>;
