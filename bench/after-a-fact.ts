import { randomUUID } from 'node:crypto';
import process from 'node:process';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { ribbonOf } from '#server/features/calendar/ribbon.views.ts';
import { todayOf } from '#server/features/care/today.use-cases.ts';
import { listShelf } from '#server/features/instruments/instruments.use-cases.ts';
import { listPlayers } from '#server/features/players/players.use-cases.ts';
import { playDefinition } from '#server/features/plays/play.fact.ts';
import { logFact } from '#server/record/log-fact.ts';
import type { Services } from '#server/services.ts';
import { INSTRUMENTS } from '#bench/big-record.ts';
import { median, ms, type Row } from '#bench/measure.ts';

const RUNS = 30;
const WARM_UP = 10;
const AT_MINUTE = 30;

/** What is asked of a server most. */
const READS = {
  today: (services: Services, on: LocalDate) => todayOf(services, 'p' as PlayerId, { on, atMinute: AT_MINUTE }),
  'the shelf': listShelf,
  'the players': (services: Services) => Promise.resolve(listPlayers(services)),
  'the instruments': ({ instruments }: Services) => Promise.resolve(instruments.all()),
  'the ribbon': ribbonOf,
} as const;

/** Another day each time: no two plays are at once. */
let days = 0;
function logAPlay(services: Services, today: LocalDate): void {
  days += 1;
  const play = { instrumentId: `i${days % INSTRUMENTS}` as InstrumentId, playerId: 'p' as PlayerId, minutes: 1 };
  const when = { endedOn: addDays(today, -(days % 12)), endedAtMinute: 60 + Math.floor(days / 12), roomCelsius: null };
  const logged = logFact(services, playDefinition, {
    key: randomUUID(),
    ...play,
    ...when,
    now: { on: today, atMinute: 1439 },
  });
  if (!logged.ok) throw new Error(logged.failure.refusal.code);
}

type Read = (typeof READS)[keyof typeof READS];

/** Processor time of a read after a new fact, ms. */
async function costOf(services: Services, today: LocalDate, read: Read): Promise<number> {
  logAPlay(services, today);
  const since = process.cpuUsage();
  await read(services, today);
  const { user, system } = process.cpuUsage(since);
  return (user + system) / 1000;
}

/** What is asked most, each time after one new fact: in a record of ten years beside one of one year, by turns. */
export async function afterAFact(
  { ten, one }: { readonly ten: Services; readonly one: Services },
  today: LocalDate,
): Promise<Row[]> {
  const rows: Row[] = [];
  for (const [what, read] of Object.entries(READS)) {
    const costs = { long: [] as number[], short: [] as number[] };
    for (let run = -WARM_UP; run < RUNS; run++) {
      const [long, short] = [await costOf(ten, today, read), await costOf(one, today, read)];
      if (run < 0) continue;
      costs.long.push(long);
      costs.short.push(short);
    }
    const middle = (all: readonly number[]) => median(all.toSorted((a, b) => a - b));
    const [long, short] = [middle(costs.long), middle(costs.short)];
    rows.push({
      what: `${what} of ${INSTRUMENTS} instruments after one new fact, processor time, median`,
      figure: ms(long),
      beside: `${ms(short)} in a record of one year (×${(long / short).toFixed(2)})`,
      goal: '< 25 ms, ≤ ×1.2',
    });
  }
  return rows;
}
