import { itemIn } from '#core/book/practice.ts';
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
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { RunEventRequest } from '#contract/packup.ts';
import { conflict, invalid, notFound, type Failure } from '#server/failure.ts';
import type { RunEventBody } from '#server/features/packup/packup.mapper.ts';
import { viewOf } from '#server/features/packup/packup.views.ts';
import { partsOf, type RunParts } from '#server/features/packup/run-parts.ts';
import { runEventStore } from '#server/features/packup/run-store.repository.ts';
import { defineFact, type Accompanying, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** An event as it is sent, with the run it is of. */
export type SentRunEvent = RunEventRequest & { readonly runKey: string };

function eventIn(request: RunEventRequest): RunEventBody['event'] {
  if (request.kind === 'finished') return { kind: 'finished' };
  const stepKey = request.stepKey as RunStepKey;
  switch (request.kind) {
    case 'ticked':
    case 'unticked':
    case 'pulled-in':
      return { kind: request.kind, stepKey };
    case 'skipped':
      return { kind: 'skipped', stepKey, reason: request.reason };
    case 'counted':
      return { kind: 'counted', stepKey, count: request.count };
    case 'answered':
      return { kind: 'answered', stepKey, answer: request.answer };
    case 'last-pass':
      return { kind: 'last-pass', stepKey, count: request.count, found: request.found };
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

/** What a finished run has done and found: facts that come with its end. */
function doneAndSeen(parts: RunParts, end: { key: string; event: RunEvent; now: WallClock }): Accompanying[] {
  const { now } = end;
  const state = runState([...parts.events.map(({ event }) => event), end.event]);
  const leftOut = parts.leftOut.flatMap(({ steps }) => steps);
  const done = careDoneBy(parts.steps, state, leftOut).map(({ instrumentId, itemId }): Accompanying => ({
    kind: 'care',
    key: `${end.key}/${instrumentId}/${itemId}`,
    body: { instrumentId, itemId, by: 'player', wallMinute: wallMinute(now.on, now.atMinute) },
    ...now,
  }));
  const has = (instrumentId: string, itemId: string) =>
    parts.instruments.some(({ instrument, practice }) => instrument.id === instrumentId && itemIn(practice, itemId));
  // A shared page may look for what this build cannot have (lime, in a metal mouthpiece that is never soaked).
  const seen = signsSeenBy(parts.steps, state)
    .filter(({ instrumentId, itemId }) => has(instrumentId, itemId))
    .map(({ instrumentId, itemId, part }): Accompanying => ({
      kind: 'sign',
      key: `${end.key}/${instrumentId}/${itemId}/sign`,
      body: { instrumentId, itemId, part },
      ...now,
    }));
  return [...done, ...seen];
}

function decide(request: SentRunEvent, { now }: Deciding, services: Services): Outcome<ToWrite<RunEventBody>, Failure> {
  const { runKey } = request;
  const run = services.packup.find(runKey);
  if (!run) return fail(notFound('key', 'No such run in the record.'));
  const parts = partsOf(services, run);
  const said = eventIn(request);
  const event = { ...said, at: instantOfMs(services.nowMs()) } as RunEvent;
  const here = event.kind === 'pulled-in' ? parts.leftOut.flatMap((one) => one.steps) : parts.steps;
  const checked = checkRunEvent(here, parts.state, event);
  if (!checked.ok) return fail(faultOf(checked.failure));
  const body = { runKey, event: said };
  if (event.kind !== 'finished') return succeed({ body, on: run.startedOn, atMinute: null, belongsTo: runKey });
  return succeed({ body, ...now, belongsTo: runKey, with: doneAndSeen(parts, { key: request.key, event, now }) });
}

/** Only what the last pass showed and the end can be taken back; a tick is unticked, a count counted anew. */
const TAKEN_BACK: readonly RunEvent['kind'][] = ['last-pass', 'finished'];

/** One thing that happened in a run. Its end brings with it exactly what was done. */
export const runEventFact = defineFact<Services>()<RunEventBody, SentRunEvent>({
  kind: 'run-event',
  store: runEventStore,
  about: () => [],
  logged: {
    decide,
    sent: ({ body: { runKey, event } }) => ({ runKey, ...event }),
    answer: ({ body }, services) => viewOf(services, body.runKey),
  },
  keeps: ({ body }) =>
    TAKEN_BACK.includes(body.event.kind) ? null : notFound('targetKey', 'Nothing in the record has this key.'),
});
