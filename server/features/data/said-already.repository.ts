import { sql } from 'drizzle-orm';
import { fieldOf } from '#core/record/fact.ts';
import type { Db } from '#server/db/connection.ts';
import type { RowSaid } from '#server/features/data/table-rows.ts';

/** Entries of a day that say what a row says, however they came into the record; by their keys. */
function alike(db: Db, { kind, said }: RowSaid): string[] {
  const value = (field: string) => fieldOf(said, field) ?? null;
  const keys =
    kind === 'play'
      ? sql`select f.key from plays p join facts f on f.id = p.fact_id
          where p.instrument_id = ${value('instrumentId')} and p.counts = 1
            and p.wall_minute between unixepoch(${value('endedOn')}) / 60 and unixepoch(${value('endedOn')}) / 60 + 1439
            and p.ended_on = ${value('endedOn')} and p.minutes = ${value('minutes')} and p.player_id = ${value('playerId')}
            and (${value('endedAtMinute')} is null or p.ended_at_minute = ${value('endedAtMinute')})
          order by p.fact_id`
      : sql`select f.key from care_done c join facts f on f.id = c.fact_id and f.counts = 1
          where c.instrument_id = ${value('instrumentId')} and c.item_id = ${value('itemId')} and f."on" = ${value('doneOn')}
          order by c.fact_id`;
  return db.all<{ key: string }>(keys).map(({ key }) => key);
}

/** The entry that says what a row says and has not been found for another row; null where there is none. */
export const saysSo = (db: Db, row: RowSaid, taken: ReadonlySet<string>): string | null =>
  alike(db, row).find((key) => !taken.has(key)) ?? null;
