import { randomUUID } from 'node:crypto';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { addInstrument } from '#server/features/instruments/instruments.use-cases.ts';
import { addPlayer } from '#server/features/players/players.use-cases.ts';
import { playDefinition } from '#server/features/plays/play.fact.ts';
import { logFact } from '#server/record/log-fact.ts';

/** A player with an instrument of their own, in front of one screen. */
export type Device = { readonly playerId: PlayerId; readonly instrumentId: InstrumentId };

const PLAYS_EACH = 60;

/** Puts so many players with an instrument and two months of playing each into a new record. */
export function furnishDevices(dataFolder: string, count: number, today: LocalDate): Device[] {
  const database = openDatabase(dataFolder);
  const services = compose(database, { book: BOOK, nowMs: () => Date.now() })();
  const devices = Array.from({ length: count }, (_, index): Device => {
    const kind = KIND_IDS[index % KIND_IDS.length] ?? 'clarinet';
    const build = usualBuild(BOOK.kinds[kind]) as Record<string, string>;
    const [playerId, instrumentId] = [`player-${index}` as PlayerId, `instrument-${index}` as InstrumentId];
    addPlayer(services, { id: playerId, name: `Player ${index}`, standing: 'grown-up', does: [] });
    const acquiredOn = addDays(today, -400);
    addInstrument(services, { id: instrumentId, name: kind, kind, build, playerId, acquiredOn, cameNew: true, today });
    return { playerId, instrumentId };
  });
  // All in one go: what is to be measured is not how fast a record is filled.
  services.atOnce(() => {
    for (const { playerId, instrumentId } of devices)
      for (let daysAgo = PLAYS_EACH; daysAgo >= 1; daysAgo--) {
        const play = { instrumentId, playerId, endedOn: addDays(today, -daysAgo), endedAtMinute: 1100, minutes: 45 };
        logFact(services, playDefinition, {
          key: randomUUID(),
          ...play,
          roomCelsius: null,
          now: { on: today, atMinute: 0 },
        });
      }
  });
  database.close();
  return devices;
}
