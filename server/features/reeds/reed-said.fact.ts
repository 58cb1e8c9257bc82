import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { type Fact } from '#core/record/fact.ts';
import { reedOn } from '#core/reeds/reeds-in-play.ts';
import { sayingWords } from '#core/reeds/reed-words.ts';
import { reedSaidFact } from '#contract/reeds.ts';
import { conflict, notFound, type Failure } from '#server/failure.ts';
import { reedNamer, type ReedNamer } from '#server/features/reeds/reed-told.ts';
import { reedFailure } from '#server/reed-failure.ts';
import { saidOn, sayingBodyFromRow } from '#server/features/reeds/reeds.mapper.ts';
import { reedSayings } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';
import type { SaidOfReed } from '#core/reeds/reed.ts';
import type { Sending } from '#contract/fact.ts';

function decide(
  request: Sending<typeof reedSaidFact>,
  { now }: Deciding,
  { reeds, players }: Services,
): Outcome<ToWrite<SaidOfReed>, Failure> {
  const { reedId, what, feel, goodFor, signs, cause, resistance, sits } = request;
  // A reed is found under whoever has its box.
  for (const player of players.all()) {
    const record = reeds.record(player.id);
    const reed = reedOn(reedId, now.on, record);
    if (!reed.ok && reed.failure.code === 'no-such-box') continue;
    if (!reed.ok) return fail(reedFailure('reedId', reed.failure));
    const end = record.said.find((one) => one.reedId === reedId && one.what === 'ended');
    if (what === 'ended' && end !== undefined) return fail(conflict('reedId', { code: 'reed-has-ended', on: end.on }));
    return succeed({
      body: {
        playerId: player.id,
        reedId,
        what,
        feel,
        goodFor,
        signs,
        cause,
        ...(resistance && { resistance }),
        ...(sits && { sits }),
      },
      ...now,
    });
  }
  return fail(notFound('reedId', { code: 'no-such-box' }));
}

const saidWords = ({ body, on }: Pick<Fact<SaidOfReed>, 'body' | 'on'>, nameOf: ReedNamer): string =>
  `${nameOf(body.playerId, body.reedId)}. ${sayingWords(saidOn(body, on))}`;

/** A grade, a back rubbed flat, or that a reed is played no more. */
export const reedSaidDefinition = defineFact<Services>()(reedSaidFact, {
  store: bodyTable(reedSayings, { toRow: (body) => body, fromRow: sayingBodyFromRow }),
  words: (fact, told) => saidWords(fact, reedNamer(told)),
  wordsOfAll: (facts, told) => {
    const nameOf = reedNamer(told);
    return facts.map((fact) => saidWords(fact, nameOf));
  },
  decide,
});
