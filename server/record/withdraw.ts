import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { WithdrawRequest } from '#contract/record.ts';
import { conflict, notFound, type Failure, type Logged } from '#server/failure.ts';
import type { Telling } from '#server/record/log-fact.ts';
import { WITHDRAWAL, type Withdrawal } from '#server/record/withdrawal.fact.ts';
import { stampNow } from '#server/wall-clock.ts';

type WithdrawalView = { readonly key: string; readonly targetKey: string; readonly at: string };

function write<Told>(telling: Telling<Told> & Told, request: WithdrawRequest): Outcome<boolean, Failure> {
  const { record, nowMs } = telling;
  const { key, targetKey } = request;
  const sameKey = record.find(key) ?? record.findOtherKey(key)?.fact;
  if (sameKey && !(sameKey.kind === WITHDRAWAL && (sameKey.body as Withdrawal).targetKey === targetKey))
    return fail(
      conflict('key', `Another entry has this key: ${sameKey.kind === WITHDRAWAL ? 'targetKey' : 'kind'} differs.`),
    );
  if (record.withdrawalOf(targetKey)) return succeed(false);
  const target = record.find(targetKey);
  if (target?.kind === WITHDRAWAL) return fail(conflict('targetKey', 'What was taken back stays so. Log it anew.'));
  if (target === undefined) return fail(notFound('targetKey', 'Nothing in the record has this key.'));
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
  return succeed({ view, created: written.value });
}
