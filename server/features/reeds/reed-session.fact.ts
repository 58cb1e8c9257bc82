import type { Format } from '#core/explain/format.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { reedOn } from '#core/reeds/reeds-in-play.ts';
import { checkPins } from '#core/reeds/reed-pin.ts';
import { pinWords } from '#core/reeds/reed-words.ts';
import { reedSessionFact } from '#contract/reeds.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { reedNamer, type ReedNamer } from '#server/features/reeds/reed-told.ts';
import { reedFailure } from '#server/reed-failure.ts';
import { reedSessions } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { ReedSessions } from '#core/reeds/reed-pin.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  { playerId, pins }: Sending<typeof reedSessionFact>,
  { now }: Deciding,
  { players, reeds }: Services,
): Outcome<ToWrite<ReedSessions>, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const record = reeds.record(playerId);
  for (const [at, { reedId, on }] of pins.entries()) {
    const field = `pins[${at}].reedId`;
    const reed = reedOn(reedId, on, record);
    if (!reed.ok) return fail(reedFailure(field, reed.failure));
  }
  const checked = checkPins(pins, now.on);
  if (checked.ok) return succeed({ body: { playerId, pins: checked.value }, ...now });
  const { at, field, ...refusal } = checked.failure;
  return fail(invalid(`pins[${at}].${field}`, refusal));
}

const sessionWords = ({ playerId, pins }: ReedSessions, nameOf: ReedNamer, format: Format): string =>
  pins.map((pin) => pinWords(nameOf(playerId, pin.reedId), pin, format)).join(' ');

/** Sessions set by hand: they stay where they are, and the plan goes round them. */
export const reedSessionDefinition = defineFact<Services>()(reedSessionFact, {
  store: bodyTable(reedSessions, { toRow: (body) => body, fromRow: ({ factId: _factId, ...body }) => body }),
  words: ({ body }, told) => sessionWords(body, reedNamer(told), told.format),
  wordsOfAll: (facts, told) => {
    const nameOf = reedNamer(told);
    return facts.map(({ body }) => sessionWords(body, nameOf, told.format));
  },
  decide,
});
