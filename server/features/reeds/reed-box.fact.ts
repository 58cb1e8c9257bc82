import { counted } from '#core/explain/format.ts';
import { partsOfReedId, reedFamilyOf, type ReedId } from '#core/reeds/reed.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { reedBoxFact } from '#contract/reeds.ts';
import { conflict, invalid, notFound, type Failure } from '#server/failure.ts';
import { boxBodyFromRow, rowFromBox, type BoxBody } from '#server/features/reeds/reeds.mapper.ts';
import { reedBoxes } from '#server/features/reeds/reeds.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact, type Deciding, type ToWrite } from '#server/record/define-fact.ts';
import { costRefusal } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';
import type { Sending } from '#contract/fact.ts';

/** Numbers of a box of which something is known already. */
function numbersTold(boxKey: string, playerId: BoxBody['playerId'], { reeds }: Services): number[] {
  const { uses, said } = reeds.record(playerId);
  const ids: ReedId[] = [...uses, ...said].map(({ reedId }) => reedId);
  return ids.flatMap((id) => {
    const parts = partsOfReedId(id);
    return parts?.boxKey === boxKey ? [parts.number] : [];
  });
}

/** A box whose reeds have been played keeps its kind, and the numbers that were. */
function correctionRefusal(
  box: Pick<BoxBody, 'playerId' | 'kind' | 'before'>,
  corrects: string,
  services: Services,
): Failure | null {
  const numbers = numbersTold(corrects, box.playerId, services);
  const old = services.reeds.record(box.playerId).boxes.find(({ key }) => key === corrects);
  if (numbers.length > 0 && old?.kind !== box.kind) return conflict('kind', { code: 'kind-is-played' });
  const most = Math.max(0, ...numbers);
  return most > box.before.length ? conflict('before', { code: 'numbers-are-played', number: most }) : null;
}

function decide(
  { key: _key, now: _now, corrects: _corrects, ...box }: Sending<typeof reedBoxFact>,
  { now, corrects }: Deciding,
  services: Services,
): Outcome<ToWrite<BoxBody>, Failure> {
  const { players, book } = services;
  const player = players.find(box.playerId);
  if (!player) return fail(notFound('playerId', { code: 'no-such-player' }));
  if (reedFamilyOf(book.kinds[box.kind]) === null) return fail(invalid('kind', { code: 'no-reeds-on-it' }));
  if (box.cameOn > now.on) return fail(invalid('cameOn', { code: 'box-from-tomorrow' }));
  const refusal =
    costRefusal(box.cost, services, { field: 'cost.currency', without: corrects }) ??
    (corrects && correctionRefusal(box, corrects, services));
  if (refusal) return fail(refusal);
  const { cost, ...rest } = box;
  const body = { ...rest, cost: cost ? { minor: cost.minor, currency: cost.currency } : null };
  return succeed({ body, on: box.cameOn, atMinute: null });
}

/** A box of reeds has come; its reeds are known by its key and their numbers. */
export const reedBoxDefinition = defineFact<Services>()(reedBoxFact, {
  store: bodyTable(reedBoxes, { toRow: rowFromBox, fromRow: boxBodyFromRow }),
  words: ({ body: { name, strength, before } }) =>
    `A box of ${counted(before.length, 'reed')}: ${name}${strength === null ? '' : ` ${strength}`}.`,
  decide,
  keeps: ({ key, body: { playerId } }, services) =>
    numbersTold(key, playerId, services).length > 0 ? conflict('targetKey', { code: 'kind-is-played' }) : null,
});
