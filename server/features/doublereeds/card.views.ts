import { labelOf, reedCard } from '#core/doublereeds/reed-card.ts';
import { succeed, type Outcome } from '#core/kernel/outcome.ts';
import { reedStates } from '#core/reeds/reed-state.ts';
import { reedFamilyOf, type ReedId } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { CardView } from '#contract/doublereeds.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { doubleReed } from '#server/features/doublereeds/table-at-hand.ts';
import { nameOf } from '#server/features/doublereeds/table.views.ts';
import type { Services } from '#server/services.ts';

/** A reed's life on one line, and its label. */
export function cardOf(services: Services, reedId: ReedId, today: LocalDate): Outcome<CardView, Failure> {
  const found = doubleReed(services, reedId);
  if (!found.ok) return found;
  const { book, reeds, doubleReeds, format } = services;
  const { box, number, player } = found.value;
  const name = nameOf(found.value);
  const { uses, said } = reeds.record(player.id);
  const mine = <One extends { readonly reedId: ReedId }>(all: readonly One[]) =>
    all.filter((one) => one.reedId === reedId);
  const family = reedFamilyOf(book.kinds[box.kind]) ?? 'double';
  const record = { box, boxName: name, uses: mine(uses), said: mine(said) };
  const reed = reedStates(record, { today, family })[number - 1];
  if (reed === undefined) return { ok: false, failure: notFound('reedId', { code: 'no-such-box' }) };
  const of = { reed, said: record.said, examinations: doubleReeds.ofReed(reedId) };
  const { line, pitch } = reedCard(of, format);
  return succeed({
    reedId,
    name,
    kindName: book.kinds[box.kind].name,
    playerName: player.name,
    label: labelOf(of, name, format),
    line: line.map((one) => ({ ...one })),
    pitch: pitch.map((one) => ({ ...one })),
  });
}
