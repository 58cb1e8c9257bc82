import Database from 'better-sqlite3';
import { asError } from '#core/kernel/as-error.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { CopyRefusal } from '#server/backup/copy-refusal.ts';
import { appliedMigrations, readJournal } from '#server/db/migrate.ts';
import { MigrationRefusal, pendingMigrations } from '#server/db/migration-order.ts';

/** What is in a record, for a person. */
export type Held = {
  readonly players: number;
  readonly instruments: number;
  readonly plays: number;
  /** The days of its first and last play; null where it has none. */
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
  /** The number of its newest fact. */
  readonly newestFact: number;
};

const counted = (client: Database.Database, table: string): number =>
  client.prepare<[], number>(`select count(*) from ${table}`).pluck().get() ?? 0;

/** The newest fact of a record, found without going through the others; null where there is none. */
export const newestFactIn = (client: Database.Database): { readonly id: number; readonly key: string } | null =>
  client
    .prepare<[], { id: number; key: string }>('select id, key from facts where id = (select max(id) from facts)')
    .get() ?? null;

/** What a record holds, as it stands. */
export function heldIn(client: Database.Database): Held {
  const days = client
    .prepare<[], { from: LocalDate | null; to: LocalDate | null; newest: number | null }>(
      'select min(ended_on) as "from", max(ended_on) as "to", (select max(id) from facts) as newest from plays where counts',
    )
    .get();
  return {
    players: counted(client, 'players'),
    instruments: counted(client, 'instruments'),
    plays: counted(client, 'plays where counts'),
    from: days?.from ?? null,
    to: days?.to ?? null,
    newestFact: days?.newest ?? 0,
  };
}

/** @throws CopyRefusal when the file is not a whole record of this version or an earlier one */
function refuse(client: Database.Database): void {
  const pages = client.pragma('quick_check(1)', { simple: true });
  if (pages !== 'ok') throw new CopyRefusal('The copy is damaged. Take an older one.');
  const applied = appliedMigrations(client);
  if (applied.length === 0) throw new CopyRefusal('The file is a database, but no record of Ulu.');
  try {
    pendingMigrations(readJournal(), applied);
  } catch (error) {
    if (!(error instanceof MigrationRefusal)) throw error;
    throw new CopyRefusal(
      error.code === 'newer-database'
        ? 'The copy was made by a newer version of Ulu. Take it back with that version.'
        : error.message,
    );
  }
}

/**
 * Looks a record over that lies in a file: whole, of Ulu, not newer than this program.
 *
 * @returns what it holds; null where it is of an earlier version and has to be carried over first
 * @throws CopyRefusal when it cannot be taken, in one line
 */
export function lookInto(file: string): Held | null {
  let client: Database.Database | undefined;
  try {
    client = new Database(file, { readonly: true });
    refuse(client);
    return appliedMigrations(client).length === readJournal().length ? heldIn(client) : null;
  } catch (error) {
    if (error instanceof CopyRefusal) throw error;
    throw new CopyRefusal(`The file is no record of Ulu, or is damaged (${asError(error).message}).`);
  } finally {
    client?.close();
  }
}

const several = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** "3 players, 8 instruments, 412 plays, from 2024-11-02 to 2026-12-01" */
export const heldWords = ({ players, instruments, plays, from, to }: Held): string =>
  [
    several(players, 'player'),
    several(instruments, 'instrument'),
    several(plays, 'play'),
    ...(from === null || to === null ? ['nothing played yet'] : [`from ${from} to ${to}`]),
  ].join(', ');
