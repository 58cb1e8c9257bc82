import type { Services } from '#server/repositories.ts';
import type { OpenDatabase } from '#server/db/connection.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/care/check-book.ts';
import { practiceFor } from '#core/care/practice-book.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

export const INSTRUMENTS = 300;
export const YEARS = 10;
const DAYS = Math.round(YEARS * 365.25);
const CARE_EVERY_DAYS = 30;

/** 300 instruments played nearly every day for ten years, each with its care: about a million plays. */
export function fillBigRecord({ client }: OpenDatabase, services: Services, today: LocalDate): number {
  const loggedAt = instantOfMs(0);
  services.players.add({ id: 'p' as PlayerId, name: 'P', standing: 'grown-up', does: [] }, loggedAt);
  const play = client.prepare(
    "insert into plays (key, instrument_id, player_id, ended_on, ended_at_minute, minutes, logged_at) values (?, ?, 'p', ?, ?, ?, ?)",
  );
  const care = client.prepare("insert into care_done values (?, ?, ?, ?, 1200, 'player', null, ?)");
  const dates = Array.from({ length: DAYS }, (_, daysAgo) => addDays(today, -daysAgo));
  let plays = 0;
  services.atOnce(() => {
    for (let index = 0; index < INSTRUMENTS; index++) {
      const kind = KIND_IDS[index % KIND_IDS.length] ?? 'clarinet';
      const id = `i${index}` as InstrumentId;
      const build = usualBuild(kind);
      services.instruments.add(
        {
          id,
          kind,
          name: id,
          build,
          playerId: 'p' as PlayerId,
          acquiredOn: addDays(today, -DAYS),
          cameNew: true,
          leftOn: null,
        },
        loggedAt,
      );
      dates.forEach((on, daysAgo) => {
        if ((daysAgo + index) % 12 === 0) return;
        play.run(`${index}-${daysAgo}`, id, on, 1100, 30 + ((daysAgo * 7 + index) % 60), loggedAt);
        plays++;
      });
      for (const { id: item } of practiceFor(kind, build).items)
        for (let daysAgo = index % CARE_EVERY_DAYS; daysAgo < DAYS; daysAgo += CARE_EVERY_DAYS)
          care.run(`${index}-${item}-${daysAgo}`, id, item, dates[daysAgo], loggedAt);
    }
  });
  // A record that grew day by day has no million rows waiting in its write-ahead log.
  client.exec('analyze');
  client.pragma('wal_checkpoint(TRUNCATE)');
  return plays;
}
