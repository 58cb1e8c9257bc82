import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { barredChoice, isAsked } from '#core/methods/chosen-method.ts';
import { choiceWords } from '#core/methods/method-words.ts';
import { methodChoiceFact } from '#contract/methods.ts';
import { conflict, invalid, noInstrument, type Failure } from '#server/failure.ts';
import { methodChoices } from '#server/features/methods/methods.table.ts';
import type { Reading } from '#server/readings.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { MethodChosen } from '#core/methods/chosen-method.ts';
import type { Sending } from '#contract/fact.ts';

/** The instrument a choice is made on: one that is still on the shelf. */
export function onShelf({ readings }: Services, instrumentId: string): Outcome<Reading, Failure> {
  const reading = readings.of(instrumentId);
  if (!reading) return fail(noInstrument());
  const { leftOn }: Instrument = reading.instrument;
  if (leftOn !== null) return fail(conflict('instrumentId', { code: 'not-on-shelf' }));
  return succeed(reading);
}

function decide(
  { instrumentId, method, choice }: Sending<typeof methodChoiceFact>,
  { now }: Deciding,
  services: Services,
): Outcome<ToWrite<MethodChosen>, Failure> {
  const found = onShelf(services, instrumentId);
  if (!found.ok) return found;
  const { instrument, situation } = found.value;
  if (!isAsked(services.book, method, instrument.kind, instrument.build))
    return fail(invalid('method', { code: 'not-asked' }));
  const { choices, context } = situation(now.on).methods;
  const barred = choice === null ? null : barredChoice(method, choice, choices, context);
  if (barred !== null) return fail(invalid('choice', { code: 'cannot-be-had', why: barred }));
  return succeed({ body: { instrumentId: instrument.id, method, choice }, on: now.on, atMinute: null });
}

/** How somebody does it where practice differs, from now on; null goes back to the default. */
export const methodChoiceDefinition = defineFact<Services>()(methodChoiceFact, {
  store: bodyTable(methodChoices, {
    toRow: (choice) => choice,
    fromRow: ({ instrumentId, method, choice }) => ({ instrumentId: instrumentId, method, choice }),
  }),
  words: ({ body }, { book }) => choiceWords(book, body.method, body.choice),
  decide,
});
