import type { Db } from '#server/db/connection.ts';
import { createCareRepository } from '#server/features/care/care.repository.ts';
import { createConditionsRepository } from '#server/features/conditions/conditions.repository.ts';
import { createInstrumentsRepository } from '#server/features/instruments/instruments.repository.ts';
import { createPackupRepository } from '#server/features/packup/packup.repository.ts';
import { createPlayersRepository } from '#server/features/players/players.repository.ts';
import { createPlaysRepository } from '#server/features/plays/plays.repository.ts';
import { createRecordRepository } from '#server/features/record/record.repository.ts';
import { createSchoolsRepository } from '#server/features/schools/schools.repository.ts';

const repositoriesOn = (db: Db) => ({
  players: createPlayersRepository(db),
  instruments: createInstrumentsRepository(db),
  plays: createPlaysRepository(db),
  care: createCareRepository(db),
  packup: createPackupRepository(db),
  schools: createSchoolsRepository(db),
  conditions: createConditionsRepository(db),
  record: createRecordRepository(db),
});
export type Repositories = ReturnType<typeof repositoriesOn>;

/** What use-cases work with: the record, a way to change it all or not at all, and the time. */
export type Services = Repositories & {
  /** One use-case, one transaction: either every save in `work` lands or none does. */
  readonly atOnce: <Result>(work: () => Result) => Result;
  readonly nowMs: () => number;
};

/** SQLite runs one connection here, so a transaction covers whatever the repositories do while it is open. */
export const servicesOn = (db: Db, nowMs: () => number): Services => ({
  ...repositoriesOn(db),
  atOnce: (work) => db.transaction(() => work()),
  nowMs,
});
