import { bookItem, type Book } from '#core/book/book.ts';
import { itemIn } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import { partName } from '#core/instruments/bore-strip.ts';
import { countFor } from '#core/packup/count-for.ts';
import { counted } from '#core/explain/format.ts';
import { methodsOfStep } from '#core/methods/chosen-method.ts';
import { wayWords } from '#core/methods/method-words.ts';
import { planReasonWords } from '#core/packup/packup-words.ts';
import { isCalledFor, stepState, waitsUntilMs, type StepState } from '#core/packup/run-log.ts';
import { handsFor } from '#core/players/player.ts';
import { instantOfMs } from '#core/time/instant.ts';
import { condensate } from '#core/water/condensation.ts';
import { passReasonWords } from '#core/water/passes.ts';
import type { LeftOutView, RunStepView, RunView } from '#contract/packup.ts';
import { partsOf, type PlannedRunStep, type RunInstrument, type RunParts } from '#server/features/packup/run-parts.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { Run } from '#server/features/packup/packup.repository.ts';
import type { Services } from '#server/services.ts';
import { stripView } from '#server/views/strip.ts';

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
  look: step.look
    ? {
        question: step.look.question,
        answers: step.look.answers.map(({ id, words, endsItem }) => ({ id, words, stops: endsItem === true })),
      }
    : null,
});

/** What practice says of the number, beside the model's figures. */
function practiceOfRepeats({ repeats }: Step): { rule: string; text: string; mark: Step['mark'] }[] {
  if (repeats === undefined) return [];
  if (repeats.kind === 'fixed') {
    const { count, noun } = repeats;
    return [{ rule: 'practice-says', text: `Practice: ${counted(count.value, noun)}.`, mark: count.mark }];
  }
  const text = `Practice: ${repeats.usual}. One more if the cloth still comes out wet.`;
  return [{ rule: 'practice-says', text, mark: repeats.mark }];
}

function repeatsView({ step, planned }: PlannedRunStep, mine: RunInstrument): RunStepView['repeats'] {
  const repeats = countFor(step.repeats, mine);
  if (repeats === null) return null;
  const because = [...repeats.because.map(passReasonWords), ...practiceOfRepeats(step)];
  return { count: planned.count ?? repeats.count, noun: repeats.noun, because };
}

const ownerOf = (parts: RunParts, { instrumentId }: PlannedRunStep): RunInstrument | undefined =>
  parts.instruments.find(({ instrument }) => instrument.id === instrumentId);

const stateOfStep = (at: StepState): Pick<RunStepView, 'state' | 'answer' | 'skipReason' | 'counted'> => ({
  state: at.kind,
  answer: at.kind === 'ticked' ? at.answer : null,
  skipReason: at.kind === 'skipped' ? at.reason : null,
  counted: at.count,
});

function stepView(one: PlannedRunStep, parts: RunParts): RunStepView[] {
  const { state, steps, player } = parts;
  const mine = ownerOf(parts, one);
  if (!mine) return [];
  const { step, key, planned, instrumentId } = one;
  const item = itemIn(mine.practice, step.item);
  const at = stepState(state, key);
  const waitEnd = at.kind === 'open' ? waitsUntilMs(steps, state, one) : null;
  return [
    {
      key,
      stepId: step.id,
      instrumentId,
      instrumentName: mine.instrument.name,
      itemId: step.item,
      itemName: item?.name ?? '',
      part: step.part,
      partName: partName(mine.kind, step.part),
      ...bookView(step, item?.why),
      hands: handsFor(item?.skill, player),
      activeMinutes: planned.activeMinutes,
      startsAtMinute: planned.startsAtMinute,
      repeats: repeatsView(one, mine),
      way: methodsOfStep(step, mine.methods).map(wayWords),
      called: isCalledFor(steps, state, one),
      ...stateOfStep(at),
      byWater: step.repeats?.kind === 'passes-by-water',
      lastPass: state.lastPass.get(key)?.found ?? null,
      waitsUntil: waitEnd === null ? null : instantOfMs(waitEnd),
    },
  ];
}

/** What waits, named by its item where it is whole, by its action where it is one step of every play. */
function leftOutView(left: RunParts['leftOut'][number], parts: RunParts): LeftOutView[] {
  const [first] = left.steps;
  const mine = first && ownerOf(parts, first);
  if (!first || !mine) return [];
  const item = itemIn(mine.practice, first.step.item);
  const single = item?.trigger.kind === 'every-play';
  return [
    {
      stepKeys: left.steps.map(({ key }) => key),
      name: single ? first.step.action : (item?.name ?? first.step.action),
      instrumentName: mine.instrument.name,
      moreMinutes: left.moreMinutes,
      value: left.value,
      cost: first.step.harm ?? item?.why ?? null,
    },
  ];
}

/** Names of the items of this run that are done, and of those that are not. */
function doneAndWaiting(book: Book, parts: RunParts, done: readonly { instrumentId: string; itemId: string }[]) {
  const several = parts.instruments.length > 1;
  const name = (instrumentId: string, itemId: string): string => {
    const mine = parts.instruments.find(({ instrument }) => instrument.id === instrumentId);
    const words = (bookItem(book, itemId)?.name ?? itemId).toLowerCase();
    return several && mine ? `${words} (${mine.instrument.name})` : words;
  };
  const isDone = (instrumentId: string, itemId: string) =>
    done.some((one) => one.instrumentId === instrumentId && one.itemId === itemId);
  const all = [...parts.steps, ...parts.leftOut.flatMap(({ steps }) => steps)];
  const waiting = all.filter(({ instrumentId, step }) => !isDone(instrumentId, step.item));
  return {
    doneNames: [...new Set(done.map(({ instrumentId, itemId }) => name(instrumentId, itemId)))],
    waitingNames: [...new Set(waiting.map(({ instrumentId, step }) => name(instrumentId, step.item)))],
  };
}

/** A run as the screen shows it: the stored plan, the book's words and the state its log adds up to. */
function runView(book: Book, parts: RunParts, done: readonly { instrumentId: string; itemId: string }[]): RunView {
  const { run, events, state, steps, leftOut, instruments } = parts;
  return {
    key: run.key,
    kind: run.kind,
    parts: instruments.map(({ instrument, kind, playedMinutes, roomCelsius }) => ({
      instrumentId: instrument.id,
      name: instrument.name,
      kind: instrument.kind,
      playedMinutes,
      strip: stripView(
        kind,
        instrument.build,
        run.kind === 'after' ? condensate(kind.water, playedMinutes, roomCelsius) : 0,
      ),
    })),
    minutesAtHand: run.minutesAtHand,
    startedOn: run.startedOn,
    finishedAt: state.finishedAt,
    finishKey: events.find(({ event }) => event.kind === 'finished')?.key ?? null,
    ...doneAndWaiting(book, parts, done),
    steps: steps.flatMap((one) => stepView(one, parts)),
    leftOut: leftOut.flatMap((one) => leftOutView(one, parts)),
    activeMinutes: run.plan.activeMinutes,
    elapsedMinutes: run.plan.elapsedMinutes,
    supplies: [...new Set(steps.flatMap(({ step }) => step.supplies ?? []))],
    because: run.plan.because.map(planReasonWords),
  };
}

function shown(services: Services, run: Run): RunView {
  const { record, care, book } = services;
  const parts = partsOf(services, run);
  const finishKey = parts.events.find(({ event }) => event.kind === 'finished')?.key;
  const source = finishKey === undefined ? undefined : record.find(finishKey)?.id;
  return runView(book, parts, source === undefined ? [] : care.doneBy(source));
}

/** A run that has not been taken back. */
export function findRun(services: Services, key: string): Outcome<RunView, Failure> {
  const run = services.packup.find(key);
  return run ? succeed(shown(services, run)) : fail(notFound('key', 'No such run in the record.'));
}

/** A run that is known to be there. @throws Error when it is not */
export function viewOf(services: Services, key: string): RunView {
  const run = services.packup.find(key);
  if (!run) throw new Error(`no run ${key}`);
  return shown(services, run);
}
