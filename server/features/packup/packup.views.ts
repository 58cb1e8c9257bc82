import { itemIn, stepIn, type Practice } from '#core/care/practice-book.ts';
import type { Step } from '#core/care/step.ts';
import { partName } from '#core/instruments/bore-strip.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { countFor, planReasonWords } from '#core/packup/plan-run.ts';
import { runState, stepState, waitsUntilMs, type RunState } from '#core/packup/run-log.ts';
import { handsFor, type PlayerAbilities } from '#core/players/player.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { condensate } from '#core/water/condensation.ts';
import { passReasonWords } from '#core/water/passes.ts';
import type { RunStepView, RunView } from '#contract/packup.ts';
import type { Run, createPackupRepository } from '#server/features/packup/packup.repository.ts';
import { stripView } from '#server/views/strip.ts';

type RunEvents = ReturnType<ReturnType<typeof createPackupRepository>['events']>;

export type RunParts = {
  readonly run: Run;
  readonly events: RunEvents;
  readonly instrument: Instrument;
  readonly kind: InstrumentKind;
  readonly practice: Practice;
  readonly player: PlayerAbilities;
};

/** The steps of a run as they were planned; a step that no longer applies to an edited build is left out. */
export const stepsOfRun = (run: Run, practice: Practice): Step[] =>
  run.plan.steps.flatMap(({ id }) => stepIn(practice, id) ?? []);

function stepView(
  step: Step,
  planned: Run['plan']['steps'][number],
  steps: readonly Step[],
  state: RunState,
  parts: RunParts,
): RunStepView {
  const item = itemIn(parts.practice, step.item);
  const at = stepState(state, step.id);
  const repeats = countFor(step.repeats, {
    kind: parts.kind,
    playedMinutes: parts.run.playedMinutes,
    roomCelsius: parts.run.roomCelsius,
  });
  const waitEnd = at.kind === 'open' ? waitsUntilMs(steps, state, step) : null;
  return {
    id: step.id,
    itemId: step.item,
    itemName: item?.name ?? '',
    part: step.part,
    partName: partName(parts.kind, step.part),
    action: step.action,
    how: step.how ?? null,
    why: step.why ?? item?.why ?? null,
    harm: step.harm ?? null,
    cautions: [...(step.cautions ?? [])],
    supplies: [...(step.supplies ?? [])],
    hands: handsFor(item?.skill, parts.player),
    must: step.must === true,
    onlyIf: step.onlyIf ?? null,
    activeMinutes: planned.activeMinutes,
    startsAtMinute: planned.startsAtMinute,
    repeats: repeats && {
      count: planned.count ?? repeats.count,
      noun: repeats.noun,
      because: [...repeats.because.map(passReasonWords), ...practiceOfRepeats(step)],
    },
    wait: step.wait ? { minutes: step.wait.minutes.value, why: step.wait.why } : null,
    thread: step.thread ?? null,
    state: at.kind,
    skipReason: at.kind === 'skipped' ? at.reason : null,
    counted: at.count,
    waitsUntil: waitEnd === null ? null : instantOfMs(waitEnd),
  };
}

/** What practice says of the number, beside the model's figures. */
function practiceOfRepeats({ repeats }: Step): { rule: string; text: string; mark: Step['mark'] }[] {
  if (repeats?.kind !== 'passes-by-water') return [];
  return [
    {
      rule: 'practice-says',
      text: `Practice: ${repeats.usual}. One more if the cloth still comes out wet.`,
      mark: repeats.mark,
    },
  ];
}

/** A run as the screen shows it: the stored plan, the book's words and the state its log adds up to. */
export function runView(parts: RunParts, doneItems: readonly string[]): RunView {
  const { run, events, instrument, kind, practice } = parts;
  const state = runState(events.map(({ event }) => event));
  const steps = stepsOfRun(run, practice);
  const planned = new Map(run.plan.steps.map((step) => [step.id, step]));
  const grams = run.kind === 'after' ? condensate(kind.water, run.playedMinutes, run.roomCelsius) : 0;
  return {
    key: run.key,
    kind: run.kind,
    instrumentId: instrument.id,
    instrumentName: instrument.name,
    instrumentKind: instrument.kind,
    playedMinutes: run.playedMinutes,
    startedOn: run.startedOn,
    finishedAt: state.finishedAt,
    finishKey: events.find(({ event }) => event.kind === 'finished')?.key ?? null,
    doneItems: [...doneItems],
    steps: steps.flatMap((step) => {
      const plan = planned.get(step.id);
      return plan ? [stepView(step, plan, steps, state, parts)] : [];
    }),
    strip: stripView(kind, grams),
    activeMinutes: run.plan.activeMinutes,
    elapsedMinutes: run.plan.elapsedMinutes,
    supplies: [...new Set(steps.flatMap(({ supplies }) => supplies ?? []))],
    because: run.plan.because.map(planReasonWords),
  };
}
