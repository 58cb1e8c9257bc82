import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { OpenDatabase } from '#server/db/connection.ts';
import type { NewFact } from '#server/record/record-writer.repository.ts';
import type { Services } from '#server/services.ts';

export const INSTRUMENTS = 300;
export const YEARS = 10;
const DAYS = Math.round(YEARS * 365.25);
const CARE_EVERY_DAYS = 30;
const [PLAYED_AT, CARED_AT] = [1100, 1200];

/** The people and the instruments, through the record itself. */
function arrivals(today: LocalDate): NewFact[] {
  const common = { on: today, atMinute: null, loggedAt: instantOfMs(0), corrects: null };
  const playerId = 'p' as PlayerId;
  const profile = { playerId, name: 'P', standing: 'grown-up', does: [] };
  const people: NewFact[] = [
    { ...common, key: 'player/p', kind: 'player', belongsTo: null, body: { id: playerId } },
    { ...common, key: 'profile/p', kind: 'profile', belongsTo: 'player/p', body: profile },
  ];
  const instruments = Array.from({ length: INSTRUMENTS }, (_, index): NewFact[] => {
    const kind = kindAt(index);
    const id = `i${index}` as InstrumentId;
    const body = { id, kind, name: id, playerId, acquiredOn: addDays(today, -DAYS), cameNew: true };
    const key = `instrument/${id}`;
    return [
      { ...common, key, kind: 'instrument', belongsTo: null, body },
      {
        ...common,
        key: `build/${id}`,
        kind: 'build',
        belongsTo: key,
        body: { instrumentId: id, build: usualBuild(BOOK.kinds[kind]) },
      },
    ];
  });
  return [...people, ...instruments.flat()];
}

const kindAt = (index: number) => KIND_IDS[index % KIND_IDS.length] ?? 'clarinet';

/** 300 instruments played nearly every day, for ten years unless less is asked for, each with its care: two million facts. */
export function fillBigRecord(
  { client }: OpenDatabase,
  { record, atOnce }: Services,
  { today, years = YEARS }: { readonly today: LocalDate; readonly years?: number },
): number {
  const days = Math.round(years * 365.25);
  atOnce(() => record.append(arrivals(today)));
  const loggedAt = instantOfMs(0);
  const spine = client.prepare('insert into facts (key, kind, "on", at_minute, logged_at) values (?, ?, ?, ?, ?)');
  const about = client.prepare('insert into fact_subjects values (?, ?, ?)');
  const play = client.prepare(
    "insert into plays (fact_id, instrument_id, player_id, ended_on, ended_at_minute, minutes) values (?, ?, 'p', ?, ?, ?)",
  );
  const care = client.prepare(
    "insert into care_done (fact_id, instrument_id, item_id, by, wall_minute) values (?, ?, ?, 'player', ?)",
  );
  const subject = client.prepare("select id from subjects where kind = 'instrument' and name = ?").pluck();
  const dates = Array.from({ length: days }, (_, daysAgo) => addDays(today, -daysAgo));
  let plays = 0;
  atOnce(() => {
    for (let index = 0; index < INSTRUMENTS; index++) {
      const kind = kindAt(index);
      const id = `i${index}`;
      const subjectId = subject.get(id);
      dates.forEach((on, daysAgo) => {
        if ((daysAgo + index) % 12 === 0) return;
        const fact = spine.run(`${index}-${daysAgo}`, 'play', on, PLAYED_AT, loggedAt).lastInsertRowid;
        about.run(fact, subjectId, dayNumber(on) * 1440 + PLAYED_AT);
        play.run(fact, id, on, PLAYED_AT, 30 + ((daysAgo * 7 + index) % 60));
        plays++;
      });
      for (const { id: item } of practiceFor(BOOK, kind, usualBuild(BOOK.kinds[kind])).items)
        for (let daysAgo = index % CARE_EVERY_DAYS; daysAgo < days; daysAgo += CARE_EVERY_DAYS) {
          const on = dates[daysAgo] ?? today;
          const fact = spine.run(`${index}-${item}-${daysAgo}`, 'care', on, null, loggedAt).lastInsertRowid;
          about.run(fact, subjectId, dayNumber(on) * 1440);
          care.run(fact, id, item, dayNumber(on) * 1440 + CARED_AT);
        }
    }
  });
  // A record that grew day by day has no million rows waiting in its write-ahead log.
  client.pragma('wal_checkpoint(TRUNCATE)');
  return plays;
}
