import { USUAL_ROOM_CELSIUS } from '#core/air/room.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { dayNumber, type LocalDate } from '#core/time/local-date.ts';
import { demoWorld, type DemoWorld } from '#demo/world.demo.ts';
import { storedPlan } from '#server/features/packup/packup.repository.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Services } from '#server/repositories.ts';

const MS_PER_DAY = 86_400_000;
const MIDDAY = 720;
const MS_PER_MINUTE = 60_000;

const startOf = (on: LocalDate, minute: number) => instantOfMs(dayNumber(on) * MS_PER_DAY + minute * MS_PER_MINUTE);

function addRun({ packup, care }: Services, run: DemoWorld['runs'][number]): void {
  const { events, done, plan, instrumentId, playKey, playedMinutes, thirst, ...rest } = run;
  const startedAt = startOf(rest.startedOn, rest.startedAtMinute);
  packup.add({
    ...rest,
    shares: [{ instrumentId, playKey, playedMinutes, roomCelsius: USUAL_ROOM_CELSIUS, thirst }],
    plan: storedPlan(plan),
    startedAt,
  });
  for (const { key, event } of events) packup.addEvent(run.key, key, event);
  const finish = events.at(-1);
  if (!finish) return;
  for (const { instrumentId: of, itemId } of done)
    care.add({
      key: `${finish.key}/${of}/${itemId}`,
      instrumentId: of,
      itemId,
      doneOn: run.startedOn,
      doneAtMinute: Math.min(1439, run.startedAtMinute + Math.ceil(plan.elapsedMinutes)),
      by: 'player',
      sourceKey: finish.key,
      loggedAt: startedAt,
    });
}

/** Writes the demo world into an empty record, all of it or nothing. */
export function loadDemo(services: Services, today: LocalDate): void {
  const world = demoWorld(today);
  const loggedAt = instantOfMs(dayNumber(today) * MS_PER_DAY);
  // A millisecond apart, so that shelf and people keep the order they are told in.
  const addedAt = (index: number) => instantOfMs(dayNumber(today) * MS_PER_DAY + index);
  services.atOnce(() => {
    world.players.forEach((player, index) =>
      services.players.add({ ...player, id: player.id as PlayerId }, addedAt(index)),
    );
    world.instruments.forEach((instrument, index) => services.instruments.add(instrument, addedAt(index)));
    for (const play of world.plays) services.plays.add(play, loggedAt);
    for (const run of world.runs) addRun(services, run);
    for (const sign of world.signs)
      services.care.addSign({ ...sign, noticedAtMinute: MIDDAY, sourceKey: null, loggedAt });
    for (const { key, instrumentId, school, choice, chosenOn } of world.choices)
      services.schools.add({ key, instrumentId, school, choice, chosenOn, sourceKey: null, loggedAt });
    for (const { key, instrumentId, condition, beginsOn, part = null, air } of world.conditions)
      services.conditions.add({
        key,
        condition,
        instrumentId,
        playerId: null,
        beginsOn,
        endsOn: null,
        part,
        celsius: air?.celsius ?? null,
        humidityPercent: air?.humidityPercent ?? null,
        loggedAt,
      });
    for (const care of world.care) services.care.add({ ...care, doneAtMinute: MIDDAY, sourceKey: null, loggedAt });
  });
}
