import type { CareItem, CareItemId, StepId } from '#core/care/care-item.ts';
import { itemIn, practiceFor, type Practice } from '#core/care/practice-book.ts';
import { situationOf, type Situation } from '#core/care/situation.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { planRun } from '#core/packup/plan-run.ts';
import {
  careDoneBy,
  checkRunEvent,
  runState,
  type RunEvent,
  type RunEventFault,
  type RunKind,
} from '#core/packup/run-log.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { USUAL_ROOM_CELSIUS } from '#core/water/condensation.ts';
import type { RunEventRequest, RunView, StartRunRequest } from '#contract/packup.ts';
import { conflict, invalid, notFound, type Failure, type Logged } from '#server/failure.ts';
import { storedPlan, type Run } from '#server/features/packup/packup.repository.ts';
import { runView, stepsOfRun, type RunParts } from '#server/features/packup/packup.views.ts';
import type { Services } from '#server/repositories.ts';
import { playersClock } from '#server/wall-clock.ts';

function partsOf(services: Services, run: Run): RunParts {
  const instrument = services.instruments.find(run.instrumentId);
  const player = services.players.find(run.playerId);
  if (!instrument || !player) throw new Error(`run ${run.key} points at nothing`);
  return {
    run,
    events: services.packup.events(run.key),
    instrument,
    kind: kindOf(instrument.kind),
    practice: practiceFor(instrument.kind, instrument.build),
    player,
  };
}

function viewOf(services: Services, run: Run): RunView {
  const parts = partsOf(services, run);
  const finishKey = parts.events.find(({ event }) => event.kind === 'finished')?.key;
  return runView(parts, finishKey === undefined ? [] : services.care.doneBySource(finishKey));
}

/** A run that has not been taken back. */
export function findRun(services: Services, key: string): Outcome<RunView, Failure> {
  const run = services.packup.find(key);
  if (!run || services.record.withdrawalOf(key)) return fail(notFound('key', 'No such run in the record.'));
  return succeed(viewOf(services, run));
}

const belongsToEvery = (kind: RunKind) => (item: CareItem) =>
  item.trigger.kind === 'every-play' && item.trigger.moment === kind;

/** The items of a run: those of every play by its kind, and the ones asked for, if they may be done at home. */
function itemsOf(
  practice: Practice,
  request: StartRunRequest,
  player: PlayerAbilities,
): Outcome<CareItemId[], Failure> {
  const asked: CareItem[] = [];
  for (const [index, id] of request.itemIds.entries()) {
    const field = `itemIds[${index}]`;
    const item = itemIn(practice, id as CareItemId);
    if (!item) return fail(notFound(field, 'This instrument has no such care.'));
    if (item.place === 'bench' || handsFor(item.skill, player) === 'bench')
      return fail(invalid(field, `${item.name} is the bench’s; it is not a step at home.`));
    asked.push(item);
  }
  const items = [...practice.items.filter(belongsToEvery(request.kind)), ...asked].map(({ id }) => id);
  if (items.length === 0) return fail(invalid('itemIds', 'Name at least one thing to be done.'));
  return succeed([...new Set(items)]);
}

function situationFor(services: Services, instrument: Instrument, now: WallClock): Situation {
  const { plays, care } = services;
  const items = practiceFor(instrument.kind, instrument.build).items.map(({ id }) => id);
  return situationOf(
    instrument,
    { plays: plays.columns(instrument.id), lastDone: care.lastDone(instrument.id, items) },
    {},
    now.on,
  );
}

/** What the run follows on: the play named, else the last one if it has not been packed up; 0 min for other runs. */
function playedBefore(services: Services, request: StartRunRequest, situation: Situation): Outcome<number, Failure> {
  if (request.playKey !== null) {
    const play = services.plays.find(request.playKey);
    if (!play || play.instrumentId !== request.instrumentId || services.record.withdrawalOf(play.key))
      return fail(notFound('playKey', 'No such play of this instrument in the record.'));
    return succeed(play.minutes);
  }
  const last =
    request.kind === 'after' && situation.awaitsPackUp ? services.plays.last(request.instrumentId) : undefined;
  return succeed(last?.minutes ?? 0);
}

type Starting = { readonly instrument: Instrument; readonly player: PlayerAbilities; readonly now: WallClock };

/** Who starts what, and when; or what is missing. */
function startingOf(services: Services, request: StartRunRequest): Outcome<Starting, Failure> {
  const clock = playersClock(request.now, services.nowMs());
  if (!clock.ok) return clock;
  const instrument = services.instruments.find(request.instrumentId);
  const player = services.players.find(request.playerId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  if (!player) return fail(notFound('playerId', 'No such player in the record.'));
  if (instrument.leftOn !== null)
    return fail(conflict('instrumentId', 'It is no longer on the shelf. Put it back first.'));
  return succeed({ instrument, player, now: clock.value });
}

/** Plans the run that was asked for. */
function plannedRun(services: Services, request: StartRunRequest, starting: Starting): Outcome<Run, Failure> {
  const { instrument, player, now } = starting;
  const situation = situationFor(services, instrument, now);
  const items = itemsOf(situation.practice, request, player);
  if (!items.ok) return items;
  const played = playedBefore(services, request, situation);
  if (!played.ok) return played;
  const { kind, practice } = situation;
  const work = { kind, practice, items: items.value, schools: situation, player };
  const plan = planRun({ ...work, playedMinutes: played.value, roomCelsius: USUAL_ROOM_CELSIUS });
  return succeed({
    key: request.key,
    instrumentId: instrument.id,
    playerId: request.playerId as Run['playerId'],
    kind: request.kind,
    playKey: request.playKey,
    playedMinutes: played.value,
    roomCelsius: USUAL_ROOM_CELSIUS,
    plan: storedPlan(plan),
    startedOn: now.on,
    startedAtMinute: now.atMinute,
    startedAt: instantOfMs(services.nowMs()),
  });
}

/** The run another tab has begun already, if this start means the same one. Care runs may lie side by side. */
function openTwin({ packup }: Services, request: StartRunRequest): Run | undefined {
  const open = request.kind === 'care' ? undefined : packup.open(request.instrumentId);
  return open?.kind === request.kind && open.playKey === request.playKey ? open : undefined;
}

/** Begins a run: plans it and writes the plan down. The same key again, or a second tab's start, is the same run. */
export function startRun(services: Services, request: StartRunRequest): Outcome<Logged<RunView>, Failure> {
  const known = services.packup.find(request.key);
  if (known && services.record.withdrawalOf(known.key))
    return fail(conflict('key', 'This run was taken back. Start anew.'));
  if (known) return succeed({ view: viewOf(services, known), created: false });
  const starting = startingOf(services, request);
  if (!starting.ok) return starting;
  const twin = openTwin(services, request);
  if (twin) return succeed({ view: viewOf(services, twin), created: false });
  const run = plannedRun(services, request, starting.value);
  if (!run.ok) return run;
  services.packup.add(run.value);
  return succeed({ view: viewOf(services, run.value), created: true });
}

function eventFrom(request: RunEventRequest, at: RunEvent['at']): RunEvent {
  switch (request.kind) {
    case 'ticked':
    case 'unticked':
      return { kind: request.kind, stepId: request.stepId as StepId, at };
    case 'skipped':
      return { kind: 'skipped', stepId: request.stepId as StepId, reason: request.reason, at };
    case 'counted':
      return { kind: 'counted', stepId: request.stepId as StepId, count: request.count, at };
    case 'finished':
      return { kind: 'finished', at };
  }
}

function faultOf(fault: RunEventFault): Failure {
  switch (fault.code) {
    case 'already-finished':
      return conflict('kind', 'This run is finished. Undo its end to go on with it.');
    case 'no-such-step':
      return notFound('stepId', 'This run has no such step.');
    case 'must-steps-open':
      return conflict('kind', `Still to be done or skipped with a reason: ${fault.stepIds.join(', ')}.`);
  }
}

/** Adds one event to a run. Finishing writes down, in the same transaction, exactly what was done. */
export function addRunEvent(
  services: Services,
  runKey: string,
  request: RunEventRequest,
): Outcome<Logged<RunView>, Failure> {
  const { packup, record, care, nowMs } = services;
  const run = packup.find(runKey);
  if (!run || record.withdrawalOf(runKey)) return fail(notFound('key', 'No such run in the record.'));
  const known = packup.findEvent(request.key);
  if (known)
    return known.runKey === runKey && known.event.kind === request.kind && !record.withdrawalOf(request.key)
      ? succeed({ view: viewOf(services, run), created: false })
      : fail(conflict('key', 'Another event has this key, or it was taken back.'));
  const event = eventFrom(request, instantOfMs(nowMs()));
  const { practice, events } = partsOf(services, run);
  const steps = stepsOfRun(run, practice);
  const log = events.map((one) => one.event);
  const checked = checkRunEvent(steps, runState(log), event);
  if (!checked.ok) return fail(faultOf(checked.failure));
  if (request.kind === 'finished') {
    const clock = playersClock(request.now, nowMs());
    if (!clock.ok) return clock;
    services.atOnce(() => {
      packup.addEvent(runKey, request.key, event);
      for (const itemId of careDoneBy(steps, runState([...log, event])))
        care.add({
          key: `${request.key}/${itemId}`,
          instrumentId: run.instrumentId,
          itemId,
          doneOn: clock.value.on,
          doneAtMinute: clock.value.atMinute,
          by: 'player',
          sourceKey: request.key,
          loggedAt: event.at,
        });
    });
  } else packup.addEvent(runKey, request.key, event);
  return succeed({ view: viewOf(services, run), created: true });
}
