import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { wallMinute } from '#core/plays/play.ts';
import { reedId } from '#core/reeds/reed.ts';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { tableOf } from '#server/features/doublereeds/table.views.ts';
import type { NewFact } from '#server/record/record-writer.repository.ts';
import type { Services } from '#server/services.ts';
import { at, median, ms, type Row } from '#bench/measure.ts';

const MS_PER_DAY = 86_400_000;
const OBOIST = 'oboist' as PlayerId;
const RUNS = 60;
/** A box of three lives for so many days; one of it lies on the table each day. */
const DAYS_OF_A_BOX = 30;
const keyOf = (kind: string, number: number): string =>
  `${kind
    .padEnd(8, '0')
    .slice(0, 8)
    .replace(/[^0-9a-f]/g, '0')}-0000-4000-a000-${String(number).padStart(12, '0')}`;
const LOOKS = [
  ['soak', 'through'],
  ['light', 'whole'],
  ['corners', 'there'],
  ['heart', 'seen'],
  ['offset', 'nested'],
  ['opening', 'lens'],
] as const;

/** An oboist who lays a reed on the table every day, clips every third time, and plays it for an hour. */
function record(today: LocalDate, days: number): NewFact[] {
  const common = { atMinute: 600, loggedAt: instantOfMs(0), corrects: null, belongsTo: null };
  const of = (fact: Pick<NewFact, 'key' | 'kind' | 'on' | 'body'> & Partial<NewFact>): NewFact => ({
    ...common,
    ...fact,
  });
  const from = addDays(today, -days);
  const facts: NewFact[] = [
    of({ key: 'player/oboist', kind: 'player', on: from, body: { id: OBOIST } }),
    of({
      ...{ key: 'profile/oboist', kind: 'profile', on: from, belongsTo: 'player/oboist' },
      body: { playerId: OBOIST, name: 'O', standing: 'grown-up', does: [] },
    }),
    of({
      ...{ key: 'own/oboe', kind: 'instrument', on: from },
      body: { id: 'oboe', kind: 'oboe', name: 'Oboe', playerId: OBOIST, acquiredOn: from, cameNew: true },
    }),
    of({
      ...{ key: 'built/oboe', kind: 'build', on: from, belongsTo: 'own/oboe' },
      body: {
        instrumentId: 'oboe',
        build: { body: 'wood', tenons: 'cork', pads: 'skin', swabTail: 'two-cords', scrape: 'long' },
      },
    }),
  ];
  for (let day = 0; day < days; day++) {
    const on = addDays(from, day);
    const boxNumber = Math.floor(day / DAYS_OF_A_BOX);
    const box = keyOf('b', boxNumber);
    if (day % DAYS_OF_A_BOX === 0)
      facts.push(
        of({
          ...{ key: box, kind: 'reed-box', on },
          body: {
            ...{ playerId: OBOIST, kind: 'oboe', name: 'Teasel', cut: null, strength: null, material: 'cane' },
            ...{ place: null, cost: null, breakIn: 'none', cameOn: on, before: [0, 0, 0], scrape: 'long' },
          },
        }),
      );
    const reed = reedId(box, (day % 3) + 1);
    const [play, exam] = [keyOf('p', day), keyOf('e', day)];
    const atMs = dayNumber(on) * MS_PER_DAY + 36_000_000;
    const body = { instrumentId: 'oboe', playerId: OBOIST, endedOn: on, endedAtMinute: 700, minutes: 60 };
    facts.push(
      of({
        key: play,
        kind: 'play',
        on,
        body: { ...body, roomCelsius: null, wallMinute: wallMinute(on, 700), alone: null },
      }),
      of({
        ...{ key: `${play}/reeds`, kind: 'reed-play', on, belongsTo: play },
        body: { playerId: OBOIST, playKey: play, ofMinutes: 60, high: 'none', shares: [{ reedId: reed, minutes: 60 }] },
      }),
      of({
        ...{ key: exam, kind: 'reed-examination', on },
        body: {
          ...{ playerId: OBOIST, reedId: reed, way: 'whole', noticed: [], soakedMinutes: 8 },
          ...{ interviewKey: null, interviewOf: null, atMs },
        },
      }),
    );
    const say = (kind: string, what: object): void => {
      const key = `${exam}/${facts.length}`;
      facts.push(of({ key, kind, on, belongsTo: exam, body: { examinationKey: exam, atMs, ...what } }));
    };
    for (const [look, answer] of LOOKS) say('reed-look', { look, answer });
    say('reed-crow', { heard: 'both', cents: -20, from: 'crow' });
    if (day % 3 === 0) {
      say('reed-step', { playerId: OBOIST, step: 'clip', tenths: 1 });
      say('reed-crow', { heard: 'both', cents: -15, from: 'crow' });
    }
  }
  return facts;
}

/** Times of the table of today's reed, right after something new was said of the player. */
function tableTimes(services: Services, today: LocalDate, days: number): number[] {
  const found: number[] = [];
  const reed = reedId(keyOf('b', Math.floor((days - 1) / DAYS_OF_A_BOX)), ((days - 1) % 3) + 1);
  for (let run = 0; run < RUNS; run++) {
    const body = { playerId: OBOIST, celsius: 20, humidityPercent: 40 + (run % 9) };
    const fact = { key: `air/${run}/${days}`, kind: 'air-reading', on: today, atMinute: run, body };
    services.atOnce(() =>
      services.record.append([{ ...fact, loggedAt: instantOfMs(0), corrects: null, belongsTo: null }]),
    );
    const start = performance.now();
    tableOf(services, reed);
    found.push(performance.now() - start);
  }
  return found.toSorted((a, b) => a - b);
}

/** The table of a reed in the record of one year and of ten. */
export function doubleReedRows(today: LocalDate): Row[] {
  const measured = [365, 3652].map((days) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'ulu-double-reeds-'));
    const opened = openDatabase(folder);
    const services = compose(opened, { book: BOOK, nowMs: () => dayNumber(today) * MS_PER_DAY })();
    services.atOnce(() => services.record.append(record(today, days)));
    const found = tableTimes(services, today, days);
    opened.close();
    rmSync(folder, { recursive: true, force: true });
    return found;
  });
  const [one, ten] = measured;
  return [
    {
      what: 'the double-reed table, ten years of a reed a day, p95',
      figure: ms(at(ten ?? [], 0.95)),
      beside: `${ms(median(ten ?? []))} in the middle; after one year ${ms(at(one ?? [], 0.95))}`,
      goal: '< 25 ms',
    },
  ];
}
