import type { CareItemId } from '#core/care/care-ids.ts';
import { itemIn } from '#core/care/practice-book.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import {
  careDoneBy,
  checkRunEvent,
  runState,
  signsSeenBy,
  type RunEvent,
  type RunEventFault,
} from '#core/packup/run-log.ts';
import type { RunStepKey } from '#core/packup/run-step.ts';
import type { WallClock } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { RunEventRequest, RunView, StartRunRequest } from '#contract/packup.ts';
import { conflict, invalid, notFound, type Failure, type Logged } from '#server/failure.ts';
import type { Run } from '#server/features/packup/packup.repository.ts';
import { runView } from '#server/features/packup/packup.views.ts';
import { plannedRun } from '#server/features/packup/plan-for.ts';
import { partsOf, type RunParts } from '#server/features/packup/run-parts.ts';
import type { Services } from '#server/repositories.ts';
import { playersClock } from '#server/wall-clock.ts';

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

/** The run another tab has begun already, if this start means the same one. Care runs may lie side by side. */
function openTwin({ packup }: Services, request: StartRunRequest): Run | undefined {
  const [first] = request.parts;
  const open = request.kind === 'care' || !first ? undefined : packup.open(first.instrumentId);
  const same = (run: Run) =>
    run.kind === request.kind &&
    run.shares.length === request.parts.length &&
    run.shares.every(
      ({ instrumentId, playKey }, index) =>
        instrumentId === request.parts[index]?.instrumentId && playKey === request.parts[index]?.playKey,
    );
  return open && same(open) ? open : undefined;
}

/** Begins a run: plans it and writes the plan down. The same key again, or a second tab's start, is the same run. */
export function startRun(services: Services, request: StartRunRequest): Outcome<Logged<RunView>, Failure> {
  const known = services.packup.find(request.key);
  if (known && services.record.withdrawalOf(known.key))
    return fail(conflict('key', 'This run was taken back. Start anew.'));
  if (known) return succeed({ view: viewOf(services, known), created: false });
  const clock = playersClock(request.now, services.nowMs());
  if (!clock.ok) return clock;
  const player = services.players.find(request.playerId);
  if (!player) return fail(notFound('playerId', 'No such player in the record.'));
  const twin = openTwin(services, request);
  if (twin) return succeed({ view: viewOf(services, twin), created: false });
  const run = plannedRun(services, request, { player, now: clock.value });
  if (!run.ok) return run;
  services.atOnce(() => services.packup.add(run.value));
  return succeed({ view: viewOf(services, run.value), created: true });
}

function eventFrom(request: RunEventRequest, at: RunEvent['at']): RunEvent {
  if (request.kind === 'finished') return { kind: 'finished', at };
  const stepKey = request.stepKey as RunStepKey;
  switch (request.kind) {
    case 'ticked':
    case 'unticked':
    case 'pulled-in':
      return { kind: request.kind, stepKey, at };
    case 'skipped':
      return { kind: 'skipped', stepKey, reason: request.reason, at };
    case 'counted':
      return { kind: 'counted', stepKey, count: request.count, at };
    case 'answered':
      return { kind: 'answered', stepKey, answer: request.answer, at };
    case 'last-pass':
      return { kind: 'last-pass', stepKey, count: request.count, found: request.found, at };
  }
}

function faultOf(fault: RunEventFault): Failure {
  switch (fault.code) {
    case 'already-finished':
      return conflict('kind', 'This run is finished. Undo its end to go on with it.');
    case 'no-such-step':
      return notFound('stepKey', 'This run has no such step.');
    case 'no-such-answer':
      return invalid('answer', `This look may find: ${fault.allowed.join(', ') || 'nothing, it is no look'}.`);
    case 'answer-wanted':
      return invalid('kind', `This step is a look: ${fault.question}`);
    case 'no-passes':
      return invalid('stepKey', 'This step has no passes to be tuned.');
    case 'must-steps-open':
      return conflict('kind', `Still to be done or skipped with a reason: ${fault.actions.join('; ')}.`);
  }
}

/** Writes down what a finished run has done and found. Call within a transaction. */
function writeDown({ care }: Services, parts: RunParts, end: { key: string; event: RunEvent; now: WallClock }): void {
  const state = runState([...parts.events.map(({ event }) => event), end.event]);
  const leftOut = parts.leftOut.flatMap(({ steps }) => steps);
  const common = { sourceKey: end.key, loggedAt: end.event.at };
  for (const { instrumentId, itemId } of careDoneBy(parts.steps, state, leftOut))
    care.add({
      ...common,
      key: `${end.key}/${instrumentId}/${itemId}`,
      instrumentId,
      itemId,
      doneOn: end.now.on,
      doneAtMinute: end.now.atMinute,
      by: 'player',
    });
  const has = (instrumentId: string, itemId: CareItemId) =>
    parts.instruments.some(({ instrument, practice }) => instrument.id === instrumentId && itemIn(practice, itemId));
  // A shared page may look for what this build cannot have (lime, in a metal mouthpiece that is never soaked).
  const signs = signsSeenBy(parts.steps, state).filter(({ instrumentId, itemId }) => has(instrumentId, itemId));
  for (const { instrumentId, itemId, part } of signs)
    care.addSign({
      ...common,
      key: `${end.key}/${instrumentId}/${itemId}/sign`,
      instrumentId,
      itemId,
      part,
      noticedOn: end.now.on,
      noticedAtMinute: end.now.atMinute,
    });
}

/** Adds one event to a run. Finishing writes down, in the same transaction, exactly what was done. */
export function addRunEvent(
  services: Services,
  runKey: string,
  request: RunEventRequest,
): Outcome<Logged<RunView>, Failure> {
  const { packup, record, nowMs } = services;
  const run = packup.find(runKey);
  if (!run || record.withdrawalOf(runKey)) return fail(notFound('key', 'No such run in the record.'));
  const known = packup.findEvent(request.key);
  if (known)
    return known.runKey === runKey && known.event.kind === request.kind && !record.withdrawalOf(request.key)
      ? succeed({ view: viewOf(services, run), created: false })
      : fail(conflict('key', 'Another event has this key, or it was taken back.'));
  const event = eventFrom(request, instantOfMs(nowMs()));
  const parts = partsOf(services, run);
  const { steps, leftOut, state } = parts;
  const here = event.kind === 'pulled-in' ? leftOut.flatMap((one) => one.steps) : steps;
  const checked = checkRunEvent(here, state, event);
  if (!checked.ok) return fail(faultOf(checked.failure));
  if (request.kind === 'finished') {
    const clock = playersClock(request.now, nowMs());
    if (!clock.ok) return clock;
    services.atOnce(() => {
      packup.addEvent(runKey, request.key, event);
      writeDown(services, parts, { key: request.key, event, now: clock.value });
    });
  } else packup.addEvent(runKey, request.key, event);
  return succeed({ view: viewOf(services, run), created: true });
}
