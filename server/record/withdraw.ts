import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { fieldOf } from '#core/record/fact.ts';
import type { WithdrawRequest } from '#contract/record.ts';
import { conflict, notFound, notYours, type Failure, type Logged } from '#server/failure.ts';
import { touchedBy, type Telling } from '#server/record/log-fact.ts';
import { WITHDRAWAL } from '#server/record/withdrawal.fact.ts';
import { stampNow } from '#server/wall-clock.ts';

type WithdrawalView = { readonly key: string; readonly targetKey: string; readonly at: string };

/** What an entry already under this key says otherwise than this withdrawal; null where it is the same, or none is. */
function differingUnder<Told>({ record }: Telling<Told>, { key, targetKey }: WithdrawRequest): string | null {
  const entry = record.find(key) ?? record.findOtherKey(key)?.fact;
  if (entry === undefined) return null;
  if (entry.kind !== WITHDRAWAL) return 'kind';
  return fieldOf(entry.body, 'targetKey') === targetKey ? null : 'targetKey';
}

function write<Told>(telling: Telling<Told> & Told, request: WithdrawRequest): Outcome<boolean, Failure> {
  const { record, nowMs } = telling;
  const { key, targetKey } = request;
  const differs = differingUnder(telling, request);
  if (differs !== null) return fail(conflict('key', { code: 'another-under-this-key', fields: [differs] }));
  if (record.withdrawalOf(targetKey)) return succeed(false);
  const target = record.find(targetKey);
  if (target?.kind === WITHDRAWAL) return fail(conflict('targetKey', { code: 'withdrawal-stays' }));
  if (target === undefined) return fail(notFound('targetKey', { code: 'nothing-under-this-key' }));
  if (!telling.may(() => record.touchedBy(targetKey))) return fail(notYours());
  const kept = record.definitionOf(target.kind).keeps?.(target, telling) ?? null;
  if (kept !== null) return fail(kept);
  const stamp = stampNow(nowMs());
  record.append([{ ...stamp, key, kind: WITHDRAWAL, corrects: null, belongsTo: null, body: { targetKey } }]);
  return succeed(true);
}

/**
 * Takes a fact back, and with it all that belongs to it. Taking back what is taken back already is no fault: the first
 * withdrawal is returned. A withdrawal itself is not taken back.
 */
export function withdraw<Told>(
  telling: Telling<Told> & Told,
  request: WithdrawRequest,
): Outcome<Logged<WithdrawalView>, Failure> {
  const written = telling.atOnce(() => write(telling, request));
  if (!written.ok) return written;
  const view = telling.record.withdrawalOf(request.targetKey);
  if (view === undefined) throw new Error(`${request.targetKey} was taken back and is not`);
  return succeed({ view, created: written.value, touched: touchedBy(telling, request.targetKey) });
}
