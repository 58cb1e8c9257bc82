import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { goodReading } from '#core/inspections/grade.ts';
import { measuresFor } from '#core/inspections/measures-for.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { BOOK } from '#core/tables/book.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { compose } from '#server/compose.ts';
import { openDatabase } from '#server/db/connection.ts';
import { benchPageOf } from '#server/features/calendar/bench.views.ts';
import { inspectionsPageOf } from '#server/features/inspections/inspections.views.ts';
import type { NewFact } from '#server/record/record-writer.repository.ts';
import type { Services } from '#server/services.ts';
import { costsPageOf } from '#server/views/costs-page.ts';
import { at, median, ms, type Row } from '#bench/measure.ts';

const KINDS = ['trumpet', 'clarinet', 'tuba', 'alto-saxophone'] as const;
const DAYS = 3652;
const EVERY_DAYS = 28;
/** Enough that the first few, which every program has once after its start, are not its p95. */
const RUNS = 200;
const OWNER = 'owner' as PlayerId;
const idOf = (kind: string): InstrumentId => `own-${kind}` as InstrumentId;

/** One person with four instruments, and everything on each of them read each month for ten years. */
function tenYears(today: LocalDate): NewFact[] {
  const common = { atMinute: null, loggedAt: instantOfMs(0), corrects: null };
  const of = (key: string, kind: string, on: LocalDate, body: object, belongsTo: string | null = null): NewFact => ({
    ...common,
    ...{ key, kind, on, belongsTo, body },
  });
  const acquiredOn = addDays(today, -DAYS);
  return [
    of('player/owner', 'player', acquiredOn, { id: OWNER }),
    of(
      'profile/owner',
      'profile',
      acquiredOn,
      { playerId: OWNER, name: 'O', standing: 'grown-up', does: [] },
      'player/owner',
    ),
    ...KINDS.flatMap((kind) => {
      const id = idOf(kind);
      const build = usualBuild(BOOK.kinds[kind]);
      const things = measuresFor(BOOK, kind, build).flatMap(({ id: measure, places, ways: [way] }) =>
        (places ?? [null]).map((place) => ({ measure, place: place?.id ?? null, way })),
      );
      const looks = Array.from({ length: Math.floor(DAYS / EVERY_DAYS) }, (_, month) => {
        const on = addDays(today, -DAYS + (month + 1) * EVERY_DAYS - 1);
        const readings = things.map(({ measure, place, way }, index) => {
          const value =
            (goodReading(way) ?? way.range.least + 5 * way.range.step) + ((month + index) % 3) * way.range.step;
          return { measure, place, way: way.id, value: Math.min(way.range.most, value) };
        });
        return of(`look/${id}/${month}`, 'inspection', on, { instrumentId: id, readOn: on, by: 'bench', readings });
      });
      return [
        of(`own/${id}`, 'instrument', acquiredOn, { id, kind, name: id, playerId: OWNER, acquiredOn, cameNew: true }),
        of(`built/${id}`, 'build', acquiredOn, { instrumentId: id, build }, `own/${id}`),
        ...looks,
      ];
    }),
  ];
}

/** Times of a page right after a new reading, and again with nothing new, ms, sorted. */
async function pageTimes(services: Services, today: LocalDate, page: (id: InstrumentId) => unknown) {
  const [fresh, again]: [number[], number[]] = [[], []];
  for (let run = 0; run < RUNS; run++) {
    const id = idOf(KINDS[run % KINDS.length] ?? 'trumpet');
    const readings = [{ measure: 'any/loose-in-case', place: null, way: 'by-ear', value: 0 }];
    const body = { instrumentId: id, readOn: today, by: 'player', readings };
    const fact = { key: `now/${run}/${Math.random()}`, kind: 'inspection', on: today, atMinute: null, body };
    services.atOnce(() =>
      services.record.append([{ ...fact, loggedAt: instantOfMs(0), corrects: null, belongsTo: null }]),
    );
    for (const into of [fresh, again]) {
      const start = performance.now();
      await page(id);
      into.push(performance.now() - start);
    }
  }
  return { fresh: fresh.toSorted((a, b) => a - b), again: again.toSorted((a, b) => a - b) };
}

/** The pages of the bench with ten years of readings, right after a new one. */
export async function benchRows(today: LocalDate): Promise<Row[]> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-bench-room-'));
  const opened = openDatabase(folder);
  const services = compose(opened, { book: BOOK, nowMs: () => Date.now() })();
  services.atOnce(() => services.record.append(tenYears(today)));
  const pages = {
    'what was measured': (id: InstrumentId) => inspectionsPageOf(services, id, today),
    'when to the bench, four instruments': () => benchPageOf(services, OWNER, today),
    'what it costs, four instruments': () => costsPageOf(services, OWNER, today),
  };
  const rows: Row[] = [];
  for (const [what, page] of Object.entries(pages)) {
    const { fresh, again } = await pageTimes(services, today, page);
    rows.push({
      what: `${what}, ten years of readings, one new, p95`,
      figure: ms(at(fresh, 0.95)),
      beside: `${ms(median(fresh))} in the middle; ${ms(at(again, 0.95))} asked again`,
      goal: '< 25 ms',
    });
  }
  opened.close();
  rmSync(folder, { recursive: true, force: true });
  return rows;
}
