import type { Book } from '#core/book/book.ts';
import type { Format } from '#core/explain/format.ts';
import type { Subject } from '#core/record/fact.ts';
import type { AirRepository } from '#server/features/air/air.repository.ts';
import type { HandoversRepository } from '#server/features/bench/handovers.repository.ts';
import type { CalendarRepository } from '#server/features/calendar/calendar.repository.ts';
import type { CareRepository } from '#server/features/care/care.repository.ts';
import type { ConditionsRepository } from '#server/features/conditions/conditions.repository.ts';
import type { CostsRepository } from '#server/features/costs/costs.repository.ts';
import type { DoubleReedsRepository } from '#server/features/doublereeds/doublereeds.repository.ts';
import type { FaultsRepository } from '#server/features/faults/faults.repository.ts';
import type { InspectionsRepository } from '#server/features/inspections/inspections.repository.ts';
import type { InstrumentsRepository } from '#server/features/instruments/instruments.repository.ts';
import type { Serials } from '#server/features/instruments/serials.repository.ts';
import type { MethodsRepository } from '#server/features/methods/methods.repository.ts';
import type { PackupRepository } from '#server/features/packup/packup.repository.ts';
import type { PlayersRepository } from '#server/features/players/players.repository.ts';
import type { PlaysRepository } from '#server/features/plays/plays.repository.ts';
import type { ReedsRepository } from '#server/features/reeds/reeds.repository.ts';
import type { SettingsRepository } from '#server/features/settings/settings.repository.ts';
import type { Caller } from '#server/caller.ts';
import type { OfWhom } from '#server/may.ts';
import type { Readings } from '#server/readings.ts';
import type { Remembered } from '#server/remembered.ts';
import type { Desk } from '#server/work/desk.ts';
import type { RecordOf } from '#server/record/record.repository.ts';

/** What use-cases work with, made for each request: the record and what is read from it, the book, the caller, the time. */
export type Services = {
  readonly book: Book;
  readonly caller: Caller;
  /** How dates are written for the caller. */
  readonly format: Format;
  readonly nowMs: () => number;
  /** One use-case, one transaction: either everything in `work` lands or nothing does, and nobody writes in between. */
  readonly atOnce: <Result>(work: () => Result) => Result;
  readonly record: RecordOf<Services>;
  /** May the caller see or say something of these? */
  readonly may: (ofWhom: OfWhom) => boolean;
  /** Whose pages hang on what was written of these subjects. */
  readonly reachOf: (subjects: readonly Subject[]) => readonly Subject[];
  readonly readings: Readings;
  readonly remembered: Remembered;
  /** What takes longer than a turn is handed in here, in the caller's name: it ends where they leave. */
  readonly desk: Pick<Desk, 'ask'>;
  readonly players: PlayersRepository;
  readonly instruments: InstrumentsRepository;
  readonly plays: PlaysRepository;
  readonly reeds: ReedsRepository;
  readonly doubleReeds: DoubleReedsRepository;
  readonly care: CareRepository;
  readonly packup: PackupRepository;
  readonly methods: MethodsRepository;
  readonly conditions: ConditionsRepository;
  readonly calendar: CalendarRepository;
  readonly air: AirRepository;
  readonly faults: FaultsRepository;
  readonly inspections: InspectionsRepository;
  readonly handovers: HandoversRepository;
  readonly costs: CostsRepository;
  readonly serials: Serials;
  readonly settings: SettingsRepository;
};
