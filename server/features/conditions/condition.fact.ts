import { checkCondition } from '#core/conditions/check-condition.ts';
import { conditionWords } from '#core/conditions/condition-words.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import type { Condition } from '#core/book/condition.ts';
import { boreStrip } from '#core/instruments/bore-strip.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { aloneNamed } from '#core/methods/practice-alone.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { conditionFact } from '#contract/conditions.ts';
import { conflict, invalid, noInstrument, type Failure } from '#server/failure.ts';
import { conditions } from '#server/features/conditions/conditions.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { ConditionBegun } from '#core/conditions/condition-begun.ts';
import type { Sending } from '#contract/fact.ts';

/** Of an instrument or of its player: one of the two is null. */
/** The condition that is asked for, if it may be written down of this instrument. */
function checkedCondition(
  { key, condition: id, beginsOn, endsOn, part, alone = null, air }: Sending<typeof conditionFact>,
  instrument: Instrument,
  today: LocalDate,
  { book }: Services,
): Outcome<Condition, Failure> {
  const last = endsOn;
  const condition: Condition = { key, id, beginsOn, endsOn: last, part, alone, air };
  const checked = checkCondition({ book, condition }, instrument, today);
  if (!checked.ok) {
    const { field, ...refusal } = checked.failure;
    return fail(refusal.code === 'has-left' ? conflict(field, refusal) : invalid(field, refusal));
  }
  const strip = boreStrip(book.kinds[instrument.kind], instrument.build, 0);
  if (part !== null && !strip.some((one) => one.id === part)) return fail(invalid('part', { code: 'no-such-part' }));
  if (alone !== null && !aloneNamed(practiceFor(book, instrument.kind, instrument.build), alone))
    return fail(invalid('alone', { code: 'not-played-so' }));
  return succeed(condition);
}

function decide(
  request: Sending<typeof conditionFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<ConditionBegun>, Failure> {
  const instrument = services.instruments.find(request.instrumentId);
  if (!instrument) return fail(noInstrument());
  const checked = checkedCondition(request, instrument, now.on, services);
  if (!checked.ok) return checked;
  const { id, beginsOn, endsOn, part, alone, air } = checked.value;
  const ofWhom =
    conditionKind(services.book, id).of === 'player'
      ? { instrumentId: null, playerId: instrument.playerId }
      : { instrumentId: instrument.id, playerId: null };
  const body = { condition: id, ...ofWhom, saidOn: instrument.id, beginsOn, endsOn, part, alone, air };
  return succeed({ body, on: beginsOn, atMinute: null });
}

/** A condition has begun, for one instrument or, where it is the player's, for all they play. */
export const conditionDefinition = defineFact<Services>()(conditionFact, {
  store: bodyTable(conditions, {
    toRow: ({ air, saidOn, ...condition }) => ({
      ...condition,
      saidOn: saidOn ?? null,
      celsius: air?.celsius ?? null,
      humidityPercent: air?.humidityPercent ?? null,
    }),
    fromRow: ({
      condition,
      instrumentId,
      playerId,
      saidOn,
      beginsOn,
      endsOn,
      part,
      alone,
      celsius,
      humidityPercent,
    }) => ({
      condition,
      instrumentId: instrumentId,
      playerId: playerId,
      saidOn: saidOn ?? undefined,
      beginsOn,
      endsOn,
      part,
      alone,
      air: celsius === null || humidityPercent === null ? null : { celsius, humidityPercent },
    }),
  }),
  words: ({ body }, { book }) => conditionWords(book, body.condition, body.playerId !== null),
  decide,
  sent: ({ body }) => ({ ...body, instrumentId: body.instrumentId ?? body.saidOn }),
});
