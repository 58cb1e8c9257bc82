import { checkRunEvent, type RunEventRefusal } from '#core/packup/check-run-event.ts';
import { CASED_DAMP } from '#core/book/care-ids.ts';
import { itemIn } from '#core/book/practice.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import type { KeptPlan } from '#core/packup/kept-plan.ts';
import type { LoggedRunEvent, RunEvent } from '#core/packup/run-event.ts';
import { careDoneBy, signsSeenBy, type CareDone } from '#core/packup/run-care.ts';
import { foldRun, isKnownBeyond, type RunKind, type RunNow } from '#core/packup/run-log.ts';
import { wallMinute, type WallClock } from '#core/plays/play.ts';
import { instantOfMs, msOfInstant, type Instant } from '#core/time/instant.ts';
import { keptRunEvent, type RunEventRequest } from '#contract/packup.ts';
import type { ProblemCode } from '#contract/problem.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { RecordedRun, RunEventBody } from '#server/features/packup/packup.mapper.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import { stopsWith } from '#server/views/stops-with.ts';
import { runEventStore } from '#server/features/packup/run-store.repository.ts';
import { defineFact, type Accompanying, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

/** An event as it is sent, with the run it is of. */
export type SentRunEvent = RunEventRequest & { readonly runKey: string };

/** Which field of the request a refusal is of, and how it is answered. */
const REFUSAL_AT: Readonly<Record<RunEventRefusal['code'], readonly [ProblemCode, string]>> = {
  'already-finished': ['conflict', 'kind'],
  'nothing-waits': ['conflict', 'kind'],
  'no-such-step': ['not-found', 'stepKey'],
  'no-such-answer': ['invalid-request', 'answer'],
  'answer-wanted': ['invalid-request', 'kind'],
  'no-look': ['invalid-request', 'kind'],
  'no-passes': ['invalid-request', 'stepKey'],
  'must-steps-open': ['conflict', 'kind'],
};

function failureOf(refusal: RunEventRefusal): Failure {
  const [code, field] = REFUSAL_AT[refusal.code];
  return { code, field, refusal };
}

/** What was cased damp before, and has been packed up at home since: dry, as the rest. */
function driedBy({ steps, isAway }: RunNow, kind: RunKind, readings: Services['readings']): CareDone[] {
  if (kind !== 'after' || isAway) return [];
  const ids = [...new Set(steps.map(({ instrumentId }) => instrumentId))];
  return ids.flatMap((instrumentId) => {
    const { signs, lastDone } = readings.of(instrumentId)?.facts.care ?? {};
    const said = signs?.get(CASED_DAMP)?.atWallMinute;
    const isDry = said === undefined || (lastDone?.get(CASED_DAMP)?.atWallMinute ?? -Infinity) >= said;
    return isDry ? [] : [{ instrumentId, itemId: CASED_DAMP }];
  });
}

/** What a finished run has done and found: facts that come with its end. */
function doneAndSeen(
  { instruments, book, readings }: Services,
  plan: KeptPlan,
  log: readonly RunEvent[],
  { key, now, kind }: { readonly key: string; readonly now: WallClock; readonly kind: RunKind },
): Accompanying[] {
  const run = foldRun(plan, log);
  const done = [...careDoneBy(run), ...driedBy(run, kind, readings)].map(({ instrumentId, itemId }): Accompanying => ({
    kind: 'care',
    key: `${key}/${instrumentId}/${itemId}`,
    body: { instrumentId, itemId, by: 'player', wallMinute: wallMinute(now.on, now.atMinute) },
    ...now,
  }));
  // A shared page may look for what this build cannot have (lime, in a metal mouthpiece that is never soaked).
  const seen = signsSeenBy(run).filter(({ instrumentId, itemId }) => {
    const built = instruments.builtAs(instrumentId);
    return built !== undefined && itemIn(practiceFor(book, built.kind, built.build), itemId) !== undefined;
  });
  return [
    ...done,
    ...seen.flatMap(({ instrumentId, itemId, sign, part }): Accompanying[] => {
      const signKey = `${key}/${instrumentId}/${itemId}/sign`;
      return [
        { kind: 'sign', key: signKey, body: { instrumentId, itemId, part, ...(sign && { sign }) }, ...now },
        ...stopsWith({ book, instruments }, { key: signKey, instrumentId, itemId, sign }, now),
      ];
    }),
  ];
}

/**
 * When an event happened: as long before it arrived as its sender says, though never before what the log holds already.
 */
function happenedAt(run: RecordedRun, log: readonly LoggedRunEvent[], atMs: number): Instant {
  const before = log.at(-1)?.event.at ?? run.startedAt;
  return instantOfMs(Math.max(atMs, msOfInstant(before)));
}

/** The event without the envelope it was sent in. */
function saidIn({ key: _key, msAgo: _ago, now: _now, runKey: _run, ...said }: SentRunEvent) {
  return said;
}

function decide(
  request: SentRunEvent,
  { now, atMs }: Deciding,
  services: Services,
): Outcome<ToWrite<RunEventBody>, Failure> {
  const { runKey, key } = request;
  const run = services.packup.find(runKey);
  if (!run) return fail(notFound('key', { code: 'no-such-run' }));
  const plan = planOf(services, run);
  if (!plan.ok) return plan;
  const log = services.packup.log(run.id);
  const events = log.map(({ event }) => event);
  const checked = checkRunEvent(foldRun(plan.value, events), saidIn(request));
  if (!checked.ok) return fail(failureOf(checked.failure));
  const event: RunEvent = { ...checked.value, at: happenedAt(run, log, atMs) };
  const body = { runKey, event };
  if (event.kind !== 'finished') return succeed({ body, on: run.startedOn, atMinute: null, belongsTo: runKey });
  const others = doneAndSeen(services, plan.value, [...events, event], { key, now, kind: run.kind });
  return succeed({ body, ...now, belongsTo: runKey, with: others });
}

/** One thing that happened in a run. Its end brings with it exactly what was done. */
export const runEventDefinition = defineFact<Services, RunEventBody, SentRunEvent>()(
  { kind: 'run-event', about: () => [], kept: keptRunEvent },
  {
    store: runEventStore,
    changesSubjects: ({ event }) => isKnownBeyond(event),
    decide,
    sent: ({ body: { runKey, event } }) => {
      const { at: _at, ...said } = event;
      return { runKey, ...said };
    },
    answer: ({ key, body: { event } }) => ({ key, event }),
    keeps: ({ body }) => (isKnownBeyond(body.event) ? null : notFound('targetKey', { code: 'nothing-under-this-key' })),
  },
);
