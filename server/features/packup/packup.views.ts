import { bookItem } from '#core/book/book.ts';
import { isOnTheSpot } from '#core/book/care-item.ts';
import { itemIn } from '#core/book/practice.ts';
import type { Step } from '#core/book/step.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { counted } from '#core/explain/format.ts';
import { saidYes } from '#core/faults/faults-standing.ts';
import { partName } from '#core/instruments/bore-strip.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { aloneNamed } from '#core/methods/practice-alone.ts';
import { practicePlayed } from '#core/situation/alone-standing.ts';
import { methodsOfStep } from '#core/methods/chosen-method.ts';
import { wayWords } from '#core/methods/method-words.ts';
import { countFor } from '#core/packup/count-for.ts';
import type { KeptPlan, KeptStep } from '#core/packup/kept-plan.ts';
import { planReasonWords } from '#core/packup/packup-words.ts';
import { stepFor } from '#core/packup/plan-for-build.ts';
import type { RunShare } from '#core/packup/run.ts';
import { RUNS_GUIDED, wayFor, type RunWay } from '#core/players/run-way.ts';
import { handsForStep, type PlayerAbilities } from '#core/players/player.ts';
import { condensate } from '#core/water/condensation.ts';
import { passReasonWords } from '#core/water/water-words.ts';
import type { RunView, StepWords } from '#contract/packup.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { RecordedRun } from '#server/features/packup/packup.mapper.ts';
import { planOf } from '#server/features/packup/plan-of-run.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';
import { stripView } from '#server/views/strip.ts';

/** An instrument of a run with everything the book says of it. */
type RunInstrument = RunShare & { readonly reading: Reading; readonly situation: ReturnType<Reading['situation']> };

/** @throws Error when a run points at an instrument that is not there: foreign keys forbid it */
const instrumentsOf = ({ packup, readings }: Services, run: RecordedRun): RunInstrument[] =>
  packup.shares(run.id).map((share) => {
    const reading = readings.of(share.instrumentId);
    if (!reading) throw new Error(`run ${run.key} has no instrument ${share.instrumentId}`);
    return { ...share, reading, situation: reading.situation(run.startedOn) };
  });

/** What practice says of the number, beside the model's figures. */
function practiceOfRepeats({ repeats }: Step): WhyLine[] {
  if (repeats === undefined) return [];
  if (repeats.kind === 'fixed') {
    const { count, noun } = repeats;
    return [{ rule: 'practice-says', text: `Practice: ${counted(count.value, noun)}.`, mark: count.mark }];
  }
  const text = `Practice: ${repeats.usual}. One more if the cloth still comes out wet.`;
  return [{ rule: 'practice-says', text, mark: repeats.mark }];
}

function repeatsWords({ format }: Services, step: Step, mine: RunInstrument): StepWords['repeats'] {
  const practice = practicePlayed(mine.situation.methods, mine.alone);
  const setting = { ...mine, kind: practice.kind, practice, wetness: mine.reading.wetness() };
  const repeats = countFor(step.repeats, setting);
  return (
    repeats && {
      noun: repeats.noun,
      because: [...repeats.because.map((reason) => passReasonWords(reason, format)), ...practiceOfRepeats(step)],
    }
  );
}

/** What the book says of a step; nothing of one it has given up since. */
function bookWords(step: Partial<Step>, itemWhy: string | undefined) {
  const { how = null, why = itemWhy ?? null, harm = null, onlyIf = null, thread = null, holds = null } = step;
  const { cautions = [], supplies = [] } = step;
  return { how, why, harm, onlyIf, thread, holds, cautions: [...cautions], supplies: [...supplies] };
}

function wordsOf(services: Services, one: KeptStep, mine: RunInstrument, player: PlayerAbilities): StepWords {
  const { instrument } = mine.reading;
  const { kind, methods } = mine.situation;
  // As this player does it today; a step their way leaves out by now is worded as the book has it.
  const step = methods.practice.steps.find(({ id }) => id === one.id) ?? stepFor(services.book, instrument, one.id);
  const own = itemIn(methods.practice, one.item);
  const item = own ?? bookItem(services.book, one.item);
  return {
    key: one.key,
    instrumentName: instrument.name,
    itemName: item?.name ?? '',
    partName: partName(kind, one.part),
    ...bookWords(step ?? {}, own?.why),
    hands: handsForStep(step?.skill, item?.skill, player),
    repeats: step ? repeatsWords(services, step, mine) : null,
    way: step ? methodsOfStep(step, methods).map(wayWords) : [],
  };
}

/** The care a run is about, by name: what its steps are for, and what they do on the side. */
function itemsOf({ book }: Services, steps: readonly KeptStep[]): RunView['items'] {
  const all = steps.flatMap(({ instrumentId, item, alsoDoes }) =>
    [item, ...alsoDoes].map((itemId) => ({ instrumentId, itemId })),
  );
  const unique = new Map(all.map((one) => [`${one.instrumentId}:${one.itemId}`, one]));
  return [...unique.values()].map((one) => {
    const item = bookItem(book, one.itemId);
    return { ...one, name: item?.name ?? one.itemId, everyPlay: item?.trigger.kind === 'every-play' };
  });
}

function shareView(run: RecordedRun, { reading: { instrument }, situation, ...share }: RunInstrument) {
  const { kind } = practicePlayed(situation.methods, share.alone);
  const grams = run.kind === 'after' ? condensate(kind.water, share.playedMinutes, share.roomCelsius) : 0;
  return {
    instrumentId: instrument.id,
    name: instrument.name,
    kind: instrument.kind,
    playedMinutes: share.playedMinutes,
    aloneName: aloneNamed(situation.methods.practice, share.alone)?.name ?? null,
    strip: stripView(kind, instrument.build, grams),
  };
}

/** What the end of a run put in the record; null while it is open. */
function doneBy({ record, care }: Services, log: RunView['log']): RunView['done'] {
  const end = log.find(({ event }) => event.kind === 'finished');
  const source = end && record.find(end.key)?.id;
  return source === undefined ? null : care.doneBy(source);
}

function view(services: Services, run: RecordedRun, { because, ...plan }: KeptPlan): RunView {
  const player = services.players.find(run.playerId);
  if (!player) throw new Error(`run ${run.key} has no player`);
  const instruments = instrumentsOf(services, run);
  const log = services.packup.log(run.id);
  const steps = [...plan.steps, ...plan.leftOut.flatMap((one) => one.steps)];
  const words = steps.flatMap((one) => {
    const mine = instruments.find(({ instrumentId }) => instrumentId === one.instrumentId);
    return mine ? [wordsOf(services, one, mine, player)] : [];
  });
  return {
    key: run.key,
    kind: run.kind,
    playerId: run.playerId,
    way: wayOf(services, run, { instruments, steps }),
    isRemedy: isRemedy(run, { instruments, steps }),
    parts: instruments.map((one) => shareView(run, one)),
    minutesAtHand: run.minutesAtHand,
    startedOn: run.startedOn,
    plan: { ...plan, because: because.map(planReasonWords) },
    log,
    words,
    items: itemsOf(services, steps),
    done: doneBy(services, log),
  };
}

type InRun = { readonly instruments: readonly RunInstrument[]; readonly steps: readonly KeptStep[] };

/**
 * The way its player goes through this run: chosen, or by the kind of instrument they have done least. What is done on the
 * spot nobody knows by heart.
 */
function wayOf({ players, packup, book }: Services, run: RecordedRun, { instruments, steps }: InRun): RunWay {
  const player = players.find(run.playerId);
  const kinds = new Set(instruments.map(({ reading }) => reading.instrument.kind));
  const isSeldom = steps.some(({ item }) => {
    const found = bookItem(book, item);
    return found !== undefined && isOnTheSpot(found);
  });
  const earlier = [...kinds].map((kind) => packup.earlierOn(run, kind, RUNS_GUIDED));
  return wayFor(player?.way ?? null, player?.standing ?? 'grown-up', isSeldom ? 0 : Math.min(...earlier));
}

/** Is it a remedy of what is being asked about on one of its instruments? Then whether it helped is what is asked next. */
const isRemedy = ({ kind }: RecordedRun, { instruments, steps }: InRun): boolean =>
  kind === 'care' &&
  instruments.some(({ instrumentId, situation: { faults } }) => {
    const mine = steps.filter((step) => step.instrumentId === instrumentId).map(({ item }) => item);
    // Weekly care beside an interview about something else is no remedy of it.
    const so = faults.open === null ? [] : saidYes(faults.open);
    return faults.here.causes.some(
      ({ remedy, links }) =>
        remedy.care?.some((id) => mine.includes(id)) === true && links.some(({ sign }) => so.includes(sign)),
    );
  });

/** A run that has not been taken back. */
export function findRun(services: Services, key: string): Outcome<RunView, Failure> {
  const run = services.packup.find(key);
  if (!run) return fail(notFound('key', { code: 'no-such-run' }));
  const plan = planOf(services, run);
  return plan.ok ? succeed(view(services, run, plan.value)) : plan;
}

/** A run that is known to be there, and was written by this version. @throws Error when it is not */
export function viewOf(services: Services, key: string): RunView {
  const found = findRun(services, key);
  if (!found.ok) throw new Error(`run ${key}: ${found.failure.refusal.code}`);
  return found.value;
}
