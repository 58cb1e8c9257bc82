import { randomUUID } from 'node:crypto';
import { packupPaths } from '#contract/packup.ts';
import { recordPaths } from '#contract/record.ts';
import { sittingPaths } from '#contract/sittings.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { ask, type Tally } from '#tools/load/asking.ts';
import type { Device } from '#tools/load/devices.ts';

const ROWS = 200;
/** Some 90 kB: far more than anybody may name at once. */
const TOO_MANY = 45_000;

type Greed = { readonly url: string; readonly tally: Tally; readonly untilMs: number; readonly today: LocalDate };

/** Asks again as soon as it is answered, for as long as the load lasts. */
async function inALoop({ untilMs }: Greed, once: (round: number) => Promise<unknown>): Promise<void> {
  for (let round = 0; performance.now() < untilMs; round++) await once(round);
}

/** Three clients that take all they can get: one plans, one long records, one sends lists that are refused. */
export async function beGreedy(load: Greed, devices: readonly Device[]): Promise<void> {
  const { url, tally, untilMs, today } = load;
  const of = (round: number): Device => devices[round % devices.length] as Device;
  const tooMany = { itemIds: Array.from({ length: TOO_MANY }, () => 1) };
  await Promise.all([
    inALoop(load, (round) => {
      const page = `${url}${sittingPaths.of(of(round).playerId, today)}`;
      return ask(tally, 'a plan', page, { device: 'greedy for plans', untilMs });
    }),
    inALoop(load, (round) => {
      const page = `${url}${recordPaths.of(of(round).instrumentId, ROWS)}`;
      return ask(tally, 'a long record', page, { device: 'greedy for records', untilMs });
    }),
    inALoop(load, (round) => {
      const { playerId, instrumentId } = of(round);
      const parts = [{ instrumentId, playKey: null, ...tooMany }];
      const body = { key: randomUUID(), playerId, kind: 'after', parts, minutesAtHand: null, now: null };
      return ask(tally, 'a list that is refused', `${url}${packupPaths.start}`, { device: 'greedy', body, untilMs });
    }),
  ]);
}
