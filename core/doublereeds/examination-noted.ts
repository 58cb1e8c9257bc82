import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type {
  Crow,
  Examination,
  ExaminationWay,
  Look,
  LookAnswer,
  Noticed,
  ReedStep,
  SoakSaid,
  TableEvent,
} from '#core/doublereeds/examination.ts';
import type { ReedId } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** A reed was laid on the table, as the record has it. */
export type ExaminationNoted = {
  readonly playerId: PlayerId;
  readonly reedId: ReedId;
  readonly way: ExaminationWay;
  readonly noticed: readonly Noticed[];
  readonly soakedMinutes: number;
  readonly interviewKey: string | null;
  /** The instrument of that interview: what is found is told of it, too. */
  readonly interviewOf: InstrumentId | null;
  readonly atMs: number;
};
type SaidAt = { readonly examinationKey: string; readonly atMs: number };
export type LookNoted = SaidAt & { readonly look: Look | 'soak'; readonly answer: LookAnswer | SoakSaid };
export type CrowNoted = SaidAt & Crow;
/** Whose reed it was stands with each step, so that the clips of a player are found. */
export type StepNoted = SaidAt & { readonly playerId: PlayerId; readonly step: ReedStep; readonly tenths: number };

/** One thing said at the table, under its key. */
export type Told = { readonly key: string; readonly event: TableEvent };
/** An examination with all that was said in it, in the order it was said. */
export type ExaminationTold = ExaminationNoted & {
  readonly key: string;
  readonly on: LocalDate;
  readonly told: readonly Told[];
};

const MS_PER_MINUTE = 60_000;

/** What the core goes by of an examination as the record has it. */
export const examinationOf = ({ way, noticed, soakedMinutes, atMs, told }: ExaminationTold): Examination => ({
  way,
  noticed,
  soakedFromMs: atMs - soakedMinutes * MS_PER_MINUTE,
  events: told.map(({ event }) => event),
});

/** When something was last said of it. */
export const lastSaidMs = ({ atMs, told }: ExaminationTold): number => told.at(-1)?.event.atMs ?? atMs;
