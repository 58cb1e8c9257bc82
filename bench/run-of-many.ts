import { randomUUID } from 'node:crypto';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { SKILLS } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import { MOST_INSTRUMENTS_AT_ONCE } from '#contract/packup.ts';
import { addInstrument } from '#server/features/instruments/instruments.use-cases.ts';
import { runDefinition } from '#server/features/packup/run.fact.ts';
import { addPlayer } from '#server/features/players/players.use-cases.ts';
import { playDefinition } from '#server/features/plays/play.fact.ts';
import { logFact } from '#server/record/log-fact.ts';
import { withdraw } from '#server/record/withdraw.ts';
import type { Services } from '#server/services.ts';
import { at, ms, times, type Row } from '#bench/measure.ts';

const MINUTES_AT_HAND = [null, 20, 60] as const;

/** The longest turn a request for packing up can ask for: as many instruments as there can be in one run. */
export async function runOfMany(services: Services, today: LocalDate): Promise<Row> {
  const now = { on: today, atMinute: 1 };
  const playerId = 'many' as PlayerId;
  addPlayer(services, { id: playerId, name: 'Many', standing: 'grown-up', does: [...SKILLS] });
  const ids = Array.from({ length: MOST_INSTRUMENTS_AT_ONCE }, (_, index) => `many-${index}` as InstrumentId);
  for (const [index, id] of ids.entries()) {
    const kind = KIND_IDS[(index * 2) % KIND_IDS.length] ?? 'clarinet';
    const build = usualBuild(BOOK.kinds[kind]) as Record<string, string>;
    const shelved = { id, name: id, kind, build, playerId, acquiredOn: localDate('2020-01-01'), cameNew: true, today };
    addInstrument(services, shelved);
    const play = { instrumentId: id, playerId, endedOn: today, endedAtMinute: null, minutes: 60 };
    logFact(services, playDefinition, { key: randomUUID(), ...play, roomCelsius: null, now });
  }
  const parts = ids.map((instrumentId) => ({ instrumentId, playKey: null, itemIds: [] }));
  const start = (run: number) => {
    const key = randomUUID();
    const minutesAtHand = MINUTES_AT_HAND[run % MINUTES_AT_HAND.length] ?? null;
    const begun = logFact(services, runDefinition, { key, playerId, kind: 'after', parts, minutesAtHand, now });
    if (!begun.ok) throw new Error(begun.failure.refusal.code);
    return key;
  };
  const longest: number[] = [];
  await times(12, (run) => {
    const since = performance.now();
    const key = start(run);
    longest.push(performance.now() - since);
    withdraw(services, { key: randomUUID(), targetKey: key });
  });
  const sorted = longest.toSorted((a, b) => a - b);
  return {
    what: `a run of ${MOST_INSTRUMENTS_AT_ONCE} instruments begun: planned, written, shown, p95`,
    figure: ms(at(sorted, 0.95)),
    beside: `${ms(at(sorted, 0))} at the least, all the time it takes`,
    goal: 'turn < 100 ms',
  };
}
