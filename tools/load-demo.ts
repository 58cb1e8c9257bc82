import { instantOfMs } from '#core/time/instant.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { demoWorld } from '#demo/world.demo.ts';
import { storedPlan } from '#server/features/packup/packup.repository.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Services } from '#server/repositories.ts';

const MS_PER_DAY = 86_400_000;
const MIDDAY = 720;

/** Writes the demo world into an empty record, all of it or nothing. */
export function loadDemo(services: Services, today: LocalDate): void {
  const world = demoWorld(today);
  const loggedAt = instantOfMs(dayNumber(today) * MS_PER_DAY);
  services.atOnce(() => {
    // A millisecond apart, so that shelf and people keep the order they are told in.
    const addedAt = (index: number) => instantOfMs(dayNumber(today) * MS_PER_DAY + index);
    world.players.forEach((player, index) =>
      services.players.add({ ...player, id: player.id as PlayerId }, addedAt(index)),
    );
    world.instruments.forEach((instrument, index) => services.instruments.add(instrument, addedAt(index)));
    for (const play of world.plays) services.plays.add(play, loggedAt);
    for (const { events, done, plan, ...run } of world.runs) {
      const first = events[0]?.event.at ?? loggedAt;
      services.packup.add({ ...run, plan: storedPlan(plan), roomCelsius: 20, startedAt: first });
      for (const { key, event } of events) services.packup.addEvent(run.key, key, event);
      const finish = events.at(-1);
      for (const itemId of finish ? done : [])
        services.care.add({
          key: `${finish?.key}/${itemId}`,
          instrumentId: run.instrumentId,
          itemId,
          doneOn: run.startedOn,
          doneAtMinute: Math.min(1439, run.startedAtMinute + Math.ceil(plan.elapsedMinutes)),
          by: 'player',
          sourceKey: finish?.key ?? null,
          loggedAt,
        });
    }
    for (const care of world.care) services.care.add({ ...care, doneAtMinute: MIDDAY, sourceKey: null, loggedAt });
  });
}
