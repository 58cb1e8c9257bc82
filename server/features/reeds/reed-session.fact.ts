import { duration, type Format } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofPlayer } from '#core/record/fact.ts';
import { checkPins, type ReedPin } from '#core/reeds/reed-pin.ts';
import { reedPaths, reedSessionRequest, type ReedSessionRequest } from '#contract/reeds.ts';
import { invalid, notFound, type Failure } from '#server/failure.ts';
import { aliveOn, boxOfReed, reedNamer, type ReedNamer } from '#server/features/reeds/reed-told.ts';
import { reedSessions } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type ReedSessionBody = { readonly playerId: PlayerId; readonly pins: readonly ReedPin[] };

function decide(
  { playerId, pins }: ReedSessionRequest,
  { now }: Deciding,
  { players, reeds }: Services,
): Outcome<ToWrite<ReedSessionBody>, Failure> {
  if (!players.find(playerId)) return fail(notFound('playerId', { code: 'no-such-player' }));
  const record = reeds.record(playerId);
  for (const [at, { reedId, on }] of pins.entries()) {
    const field = `pins[${at}].reedId`;
    const box = boxOfReed(reedId, field, record);
    if (!box.ok) return box;
    const alive = aliveOn(reedId, on, box.value, record);
    if (!alive.ok) return fail({ ...alive.failure, field });
  }
  const checked = checkPins(pins, now.on);
  if (checked.ok) return succeed({ body: { playerId, pins: checked.value }, ...now });
  const { at, field, ...fault } = checked.failure;
  return fail(invalid(`pins[${at}].${field}`, fault));
}

function pinWords(name: string, { on, minutes }: ReedPin, format: Format): string {
  const day = format.weekdayDate(on);
  if (minutes === null) return `${name}: ${day} is left to the plan.`;
  return minutes === 0 ? `${name}: not on ${day}.` : `${name}: ${duration(minutes)} on ${day}.`;
}

const sessionWords = ({ playerId, pins }: ReedSessionBody, nameOf: ReedNamer, format: Format): string =>
  pins.map((pin) => pinWords(nameOf(playerId, pin.reedId), pin, format)).join(' ');

/** Sessions set by hand: they stay where they are, and the plan goes round them. */
export const reedSessionFact = defineFact<Services>()<ReedSessionBody, ReedSessionRequest>({
  kind: 'reed-session',
  store: bodyTable(reedSessions, { toRow: (body) => body, fromRow: ({ factId: _factId, ...body }) => body }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  words: ({ body }, told) => sessionWords(body, reedNamer(told), told.format),
  wordsOfAll: (facts, told) => {
    const nameOf = reedNamer(told);
    return facts.map(({ body }) => sessionWords(body, nameOf, told.format));
  },
  logged: { path: reedPaths.sessions, request: reedSessionRequest, decide },
});
