import { randomUUID } from 'node:crypto';
import type { LocalDate } from '#core/time/local-date.ts';
import { packupPaths, type RunView } from '#contract/packup.ts';
import type { Services } from '#server/services.ts';
import { at, median, ms, times, type Row } from '#bench/measure.ts';
import { ask, whileServing } from '#bench/serving.ts';

const TICKS = 200;

/** One tick of a run of one, from the request to the answer, written to the disk in between. */
export const tick = (services: () => Services, today: LocalDate, instrumentId: string): Promise<Row> =>
  whileServing(services, async (url) => {
    const now = { on: today, atMinute: 1 };
    const parts = [{ instrumentId, playKey: null, itemIds: [] }];
    const start = { key: randomUUID(), playerId: 'p', kind: 'after', parts, minutesAtHand: null, now };
    const run = JSON.parse(await ask(`${url}${packupPaths.start}`, start)) as RunView;
    const steps = run.plan.steps.filter(({ look }) => look === null);
    const one = (index: number) => {
      // Ticked and taken back in turn: a log of hundreds of entries is longer than any run's.
      const step = steps[Math.floor(index / 2) % steps.length];
      const kind = index % 2 === 0 ? 'ticked' : 'unticked';
      return ask(`${url}${packupPaths.events(run.key)}`, { key: randomUUID(), kind, stepKey: step?.key });
    };
    const ticks = await times(TICKS, one);
    const reads = await times(50, () => ask(`${url}${packupPaths.one(run.key)}`));
    return {
      what: 'a tick in a run of one, p95',
      figure: ms(at(ticks, 0.95)),
      beside: `${ms(median(ticks))} in the middle; ${ms(at(reads, 0.95))} to fetch the whole run`,
      goal: '< 10 ms',
    };
  });
