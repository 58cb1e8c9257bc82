/**
 * `npm run load`: 200 devices in front of one server, each with a run of its own: a tick every 8 s, and what its page and
 * a second screen on the same run then fetch; a run that is through is finished, and the next one begun after a play.
 * Three more clients take all they can get meanwhile: plans, long records and refused lists, each in a loop. Then the same
 * with eight times as many devices. Prints how long the answers took; fails on an error or a time-out, and where one of
 * the 200 is told to come back or waits too long for a tick.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { parseArgs } from 'node:util';
import type { LocalDate } from '#core/time/local-date.ts';
import { instantOfMs, localMomentOf } from '#core/time/instant.ts';
import { carePaths } from '#contract/care.ts';
import { instrumentPaths } from '#contract/instruments.ts';
import { packupPaths, type RunView } from '#contract/packup.ts';
import { playPaths } from '#contract/plays.ts';
import { at } from '#bench/measure.ts';
import { ask, linesOf, newTally, type Tally } from '#tools/load/asking.ts';
import { furnishDevices, type Device } from '#tools/load/devices.ts';
import { beGreedy } from '#tools/load/greedy.ts';
import { startVictim } from '#tools/torture/victim.ts';

const { values } = parseArgs({
  options: {
    devices: { type: 'string', default: '200' },
    seconds: { type: 'string', default: '60' },
    times: { type: 'string', default: '8' },
  },
});
const EVERY_MS = 8000;
/** Nobody waits longer for a tick, ms, in ninety-five of a hundred. */
const TICK_MS = 100;
const TICK = 'a tick';
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, Math.max(0, ms)));
const wallNow = () => localMomentOf(instantOfMs(Date.now()), 'UTC');

type Load = { readonly url: string; readonly tally: Tally; readonly untilMs: number; readonly today: LocalDate };

/** Logs a play and begins the run that packs up after it; then the page fetches what hangs on both. */
async function begin({ url, tally, untilMs }: Load, { playerId, instrumentId }: Device): Promise<RunView | null> {
  const asking = { device: playerId, untilMs };
  const now = wallNow();
  const play = { key: randomUUID(), instrumentId, playerId, endedOn: now.on, endedAtMinute: null, minutes: 1 };
  const logged = { ...play, roomCelsius: null, now };
  if ((await ask(tally, 'a play is logged', `${url}${playPaths.log}`, { body: logged, ...asking })) === null)
    return null;
  const parts = [{ instrumentId, playKey: play.key, itemIds: [] }];
  const body = { key: randomUUID(), playerId, kind: 'after', parts, minutesAtHand: null, now };
  const answer = await ask(tally, 'a run is begun', `${url}${packupPaths.start}`, { body, ...asking });
  return answer === null ? null : (JSON.parse(answer) as RunView);
}

/** One screen for as long as the load lasts. */
async function live(load: Load, device: Device, startsAfterMs: number): Promise<void> {
  const { url, tally, untilMs } = load;
  const asking = { device: device.playerId, untilMs };
  await pause(startsAfterMs);
  let run: RunView | null = null;
  let next = 0;
  for (let turn = 1; performance.now() < untilMs; turn++) {
    const since = performance.now();
    run ??= await begin(load, device);
    const step = run?.plan.steps[next++];
    if (run && step) {
      const said = step.look ? { kind: 'answered', answer: step.look.answers[0]?.id ?? '' } : { kind: 'ticked' };
      const body = { key: randomUUID(), stepKey: step.key, ...said };
      await ask(tally, TICK, `${url}${packupPaths.events(run.key)}`, { body, ...asking });
      await ask(tally, 'the run, on a second screen', `${url}${packupPaths.one(run.key)}`, asking);
    } else if (run) {
      const { on } = wallNow();
      const body = { key: randomUUID(), kind: 'finished', now: wallNow() };
      await ask(tally, 'a run is finished', `${url}${packupPaths.events(run.key)}`, { body, ...asking });
      await Promise.all([
        ask(tally, 'the run once it is finished', `${url}${packupPaths.one(run.key)}`, asking),
        ask(tally, 'the shelf', `${url}${instrumentPaths.shelf(on)}`, asking),
        ask(tally, 'the page of the instrument', `${url}${carePaths.page(device.instrumentId, on)}`, asking),
      ]);
      [run, next] = [null, 0];
    }
    await pause(EVERY_MS - (performance.now() - since));
  }
}

async function loadOf(count: number): Promise<{ readonly devices: Tally; readonly greedy: Tally }> {
  const folder = mkdtempSync(path.join(tmpdir(), 'ulu-load-'));
  const data = path.join(folder, 'data');
  const { on: today } = wallNow();
  const devices = furnishDevices(data, count, today);
  const server = await startVictim(data);
  if (server === null) throw new Error('the server did not start');
  // Everybody's page was open before the load begins.
  await fetch(`${server.url}${instrumentPaths.shelf(today)}`).then((answer) => answer.arrayBuffer());
  const tallies = { devices: newTally(), greedy: newTally() };
  const load = { url: server.url, untilMs: performance.now() + Number(values.seconds) * 1000, today };
  await Promise.all([
    ...devices.map((device, index) => live({ ...load, tally: tallies.devices }, device, (index / count) * EVERY_MS)),
    beGreedy({ ...load, tally: tallies.greedy }, devices),
  ]);
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
  return tallies;
}

const plain = Number(values.devices);
for (const count of [plain, plain * Number(values.times)]) {
  console.log(`${count} devices, a tick each every ${EVERY_MS / 1000} s, for ${values.seconds} s`);
  const { devices, greedy } = await loadOf(count);
  console.log(linesOf(devices).join('\n'));
  console.log('  those who take all they can get:');
  console.log(linesOf(greedy).join('\n'));
  if (devices.timeouts > 0 || devices.errors.size > 0) process.exitCode = 1;
  if (count > plain) continue;
  const ticks = at(
    (devices.times.get(TICK) ?? []).toSorted((a, b) => a - b),
    0.95,
  );
  if (devices.comeBack.size > 0 || ticks >= TICK_MS) process.exitCode = 1;
}
