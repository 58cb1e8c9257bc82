import { conditionNotes, itemCalls } from '#core/conditions/condition-effects.ts';
import { CONDITION_IDS, type ConditionId } from '#core/book/condition-ids.ts';
import { conditionSuggested } from '#core/conditions/condition-suggested.ts';
import { conditionNoteWords, endWords, suggestedWords } from '#core/conditions/condition-words.ts';
import { concerns, conditionKind, holdsOn, lastDay } from '#core/conditions/in-force.ts';
import type { Situation } from '#core/situation/situation.ts';
import { aloneNamed } from '#core/methods/practice-alone.ts';
import { boreStrip, partName } from '#core/instruments/bore-strip.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { ConditionOffer, ConditionsPage, ConditionView } from '#contract/conditions.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import type { StandingCondition } from '#server/features/conditions/conditions.repository.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** What has ended is shown for so many days more, so that it can be taken back. */
const SHOWN_AFTER_DAYS = 7;

type Shown = { readonly situation: Situation; readonly today: LocalDate; readonly playedToday: number };

function conditionView(
  { condition, ofPlayer, endKey, byReading }: StandingCondition,
  { situation, today, playedToday }: Shown,
): ConditionView {
  const { book } = situation.methods.context;
  const kind = conditionKind(book, condition.id);
  const lastDone = new Map(situation.care.clocks.map(({ item, lastDone: done }) => [item.id, done?.on ?? null]));
  const calls = itemCalls(condition, situation.methods.practice.items, {
    today,
    methods: situation.methods,
    doneOn: ({ id }) => lastDone.get(id) ?? null,
  });
  return {
    key: condition.key,
    condition: condition.id,
    name: kind.name,
    ofPlayer,
    beginsOn: condition.beginsOn,
    lastDay: lastDay(condition, situation.methods),
    endWords: endWords(kind),
    byReading,
    partName: condition.part === null ? null : partName(situation.kind, condition.part),
    aloneName: aloneNamed(situation.methods.practice, condition.alone)?.name ?? null,
    inForce: holdsOn(condition, today, situation.methods),
    endKey,
    calls: calls.map(({ item, call: { on, words, mark } }) => ({ itemId: item.id, name: item.name, on, words, mark })),
    effects: conditionNotes(condition, situation.methods, playedToday).map((note) => ({
      text: conditionNoteWords(note),
      mark: note.mark,
    })),
  };
}

function offerOf(id: ConditionId, { kind, methods: { context }, alone }: Situation): ConditionOffer {
  const offered = conditionKind(context.book, id);
  const { name, begins, of, asks, mayBeginLater } = offered;
  const parts = asks === 'part' ? boreStrip(kind, context.build, 0) : [];
  return {
    condition: id,
    name,
    begins,
    ofPlayer: of === 'player',
    asks: asks ?? null,
    mayBeginLater: mayBeginLater === true,
    endWords: endWords(offered),
    alone: asks === 'alone' ? alone.sets.map((one) => ({ alone: one.id, name: one.name })) : [],
    parts: parts.map((one) => ({ part: one.id, name: one.name })),
  };
}

/** What happened to it speaks for a condition nobody has said yet. */
function suggestedTo({ today, conditions, methods }: Situation, { facts }: Reading): ConditionsPage['suggested'] {
  const said = conditions.standing.filter((one) => (lastDay(one, methods) ?? today) >= today).map(({ id }) => id);
  const rained = facts.faults.mishaps.filter(({ mishap }) => mishap === 'rain').map(({ on }) => on);
  const suggested = conditionSuggested(rained, said, today);
  if (suggested === null) return null;
  const { name } = conditionKind(methods.context.book, suggested.id);
  return { condition: suggested.id, name, because: suggestedWords(suggested) };
}

const playedOn = ({ plays }: Services, instrumentId: string, day: LocalDate): number =>
  plays
    .near(instrumentId, day)
    .filter(({ endedOn }) => endedOn === day)
    .reduce((sum, { minutes }) => sum + minutes, 0);

/** The conditions an instrument and its player are in, with all they do, and those that may be entered. */
export function conditionsPageOf(
  services: Services,
  instrumentId: string,
  today: LocalDate,
): Outcome<ConditionsPage, Failure> {
  const reading = services.readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const { instrument, player, facts } = reading;
  const { kind, build } = instrument;
  const situation = reading.situation(today);
  const canBe = (id: ConditionId) => concerns(conditionKind(services.book, id), kind, build);
  const shown = { situation, today, playedToday: playedOn(services, instrument.id, today) };
  const standing = facts.entered
    .filter(({ condition }) => canBe(condition.id))
    .filter(({ condition }) => {
      const last = lastDay(condition, situation.methods);
      return last === null || last >= addDays(today, -SHOWN_AFTER_DAYS);
    });
  return succeed({
    instrumentId: instrument.id,
    playerName: player.name,
    standing: standing.map((one) => conditionView(one, shown)),
    offers: instrument.leftOn === null ? CONDITION_IDS.filter(canBe).map((id) => offerOf(id, situation)) : [],
    suggested: instrument.leftOn === null ? suggestedTo(situation, reading) : null,
  });
}
