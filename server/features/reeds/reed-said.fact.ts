import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { ofPlayer, type Fact } from '#core/record/fact.ts';
import { type ReedEnd, type ReedFeel, type ReedFor, type ReedId, type ReedSign } from '#core/reeds/reed.ts';
import { sayingWords } from '#core/reeds/reed-words.ts';
import { reedPaths, reedSaidRequest, type REED_WHATS, type ReedSaidRequest } from '#contract/reeds.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import { aliveOn, boxOfReed, reedNamer, type ReedNamer } from '#server/features/reeds/reed-told.ts';
import { saidFromRow } from '#server/features/reeds/reeds.mapper.ts';
import { reedSayings } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

export type ReedSaidBody = {
  readonly playerId: PlayerId;
  readonly reedId: ReedId;
  readonly what: (typeof REED_WHATS)[number];
  readonly feel: ReedFeel | null;
  readonly goodFor: ReedFor | null;
  readonly signs: readonly ReedSign[];
  readonly cause: ReedEnd | null;
};

function decide(
  request: ReedSaidRequest,
  { now }: Deciding,
  { reeds, players }: Services,
): Outcome<ToWrite<ReedSaidBody>, Failure> {
  const { reedId, what, feel, goodFor, signs, cause } = request;
  // A reed is found under whoever has its box.
  for (const player of players.all()) {
    const record = reeds.record(player.id);
    const box = boxOfReed(reedId, 'reedId', record);
    if (!box.ok) {
      if (box.failure.fault.code === 'no-such-box') continue;
      return box;
    }
    const alive = aliveOn(reedId, now.on, box.value, record);
    if (!alive.ok) return alive;
    const end = record.said.find((one) => one.reedId === reedId && one.what === 'ended');
    if (what === 'ended' && end !== undefined) return fail(conflict('reedId', { code: 'reed-has-ended', on: end.on }));
    return succeed({ body: { playerId: player.id, reedId, what, feel, goodFor, signs, cause }, ...now });
  }
  return fail(notFound('reedId', { code: 'no-such-box' }));
}

const saidWords = ({ body, on }: Pick<Fact<ReedSaidBody>, 'body' | 'on'>, nameOf: ReedNamer): string =>
  `${nameOf(body.playerId, body.reedId)}. ${sayingWords(saidFromRow({ ...body, factId: 0 }, on))}`;

/** A grade, a back rubbed flat, or that a reed is played no more. */
export const reedSaidFact = defineFact<Services>()<ReedSaidBody, ReedSaidRequest>({
  kind: 'reed-said',
  store: bodyTable(reedSayings, { toRow: (body) => body, fromRow: ({ factId: _factId, ...body }) => body }),
  about: ({ playerId }) => [ofPlayer(playerId)],
  words: (fact, told) => saidWords(fact, reedNamer(told)),
  wordsOfAll: (facts, told) => {
    const nameOf = reedNamer(told);
    return facts.map((fact) => saidWords(fact, nameOf));
  },
  logged: { path: reedPaths.said, request: reedSaidRequest, decide },
});
