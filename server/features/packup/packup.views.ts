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

type StepContext = RunParts & { readonly steps: readonly Step[]; readonly state: RunState };

/** What the book says of a step; what it leaves unsaid is null on the wire. */
const bookView = (step: Step, itemWhy: string | undefined) => ({
  action: step.action,
  how: step.how ?? null,
  why: step.why ?? itemWhy ?? null,
  harm: step.harm ?? null,
  cautions: [...(step.cautions ?? [])],
  supplies: [...(step.supplies ?? [])],
  must: step.must === true,
  onlyIf: step.onlyIf ?? null,
  wait: step.wait ? { minutes: step.wait.minutes.value, why: step.wait.why } : null,
  thread: step.thread ?? null,
});

function repeatsView(step: Step, plannedCount: number | null, { kind, run }: StepContext): RunStepView['repeats'] {
  const { playedMinutes, roomCelsius } = run;
  const repeats = countFor(step.repeats, { kind, playedMinutes, roomCelsius });
  if (repeats === null) return null;
  const because = [...repeats.because.map(passReasonWords), ...practiceOfRepeats(step)];
  return { count: plannedCount ?? repeats.count, noun: repeats.noun, because };
}

function stepView(step: Step, planned: Run['plan']['steps'][number], context: StepContext): RunStepView {
  const { practice, kind, player, steps, state } = context;
  const item = itemIn(practice, step.item);
  const at = stepState(state, step.id);
  const waitEnd = at.kind === 'open' ? waitsUntilMs(steps, state, step) : null;
  return {
    id: step.id,
    itemId: step.item,
    itemName: item?.name ?? '',
    part: step.part,
    partName: partName(kind, step.part),
    ...bookView(step, item?.why),
    hands: handsFor(item?.skill, player),
    activeMinutes: planned.activeMinutes,
    startsAtMinute: planned.startsAtMinute,
    repeats: repeatsView(step, planned.count, context),
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
      return plan ? [stepView(step, plan, { ...parts, steps, state })] : [];
    }),
    strip: stripView(kind, grams),
    activeMinutes: run.plan.activeMinutes,
    elapsedMinutes: run.plan.elapsedMinutes,
    supplies: [...new Set(steps.flatMap(({ supplies }) => supplies ?? []))],
    because: run.plan.because.map(planReasonWords),
  };
}
