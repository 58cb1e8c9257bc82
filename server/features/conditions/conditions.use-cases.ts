import { checkCondition } from '#core/conditions/check-condition.ts';
import type { Condition } from '#core/conditions/condition.ts';
import { conditionKind } from '#core/conditions/in-force.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { instantOfMs } from '#core/time/instant.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { localDate, type LocalDate } from '#core/time/local-date.ts';
import type { BeginConditionRequest, EndConditionRequest } from '#contract/conditions.ts';
import { boreStrip } from '#core/instruments/bore-strip.ts';
import { kindOf } from '#core/instruments/kinds.ts';
import { conflict, invalid, notFound, saysTheSame, type Failure, type Logged } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';
import { playersClock } from '#server/wall-clock.ts';

type Key = Outcome<Logged<{ key: string }>, Failure>;

/** An entry under a key the record knows already. */
function knownKey({ record }: Services, key: string, same: boolean): Key {
  if (record.withdrawalOf(key)) return fail(conflict('key', 'This entry was taken back. Log it anew.'));
  return same ? succeed({ view: { key }, created: false }) : fail(conflict('key', 'Another entry has this key.'));
}

/** The condition that is asked for, if it may be written down of this instrument. */
function checkedCondition(
  { key, condition: id, beginsOn, endsOn, part, air }: BeginConditionRequest,
  instrument: Instrument,
  today: LocalDate,
): Outcome<Condition, Failure> {
  const last = endsOn === null ? null : localDate(endsOn);
  const condition: Condition = { key, id, beginsOn: localDate(beginsOn), endsOn: last, part, air };
  const checked = checkCondition(condition, instrument, today);
  if (!checked.ok) {
    const { code, field, text } = checked.failure;
    return fail(code === 'after-it-left' ? conflict(field, text) : invalid(field, text));
  }
  if (part !== null && !boreStrip(kindOf(instrument.kind), instrument.build, 0).some((one) => one.id === part))
    return fail(invalid('part', 'This instrument has no such part.'));
  return succeed(condition);
}

/** Records that a condition has begun, for one instrument or, where it is the player's, for all they play. */
export function beginCondition(services: Services, request: BeginConditionRequest): Key {
  const { conditions, instruments, nowMs } = services;
  const { key, condition: id, beginsOn, endsOn, part } = request;
  const known = conditions.find(key);
  if (known) return knownKey(services, key, saysTheSame({ condition: id, beginsOn, endsOn, part }, known));
  const clock = playersClock(request.now, nowMs());
  if (!clock.ok) return clock;
  const instrument = instruments.find(request.instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  const checked = checkedCondition(request, instrument, clock.value.on);
  if (!checked.ok) return checked;
  const ofPlayer = conditionKind(id).of === 'player';
  conditions.add({
    key,
    condition: id,
    instrumentId: ofPlayer ? null : instrument.id,
    playerId: ofPlayer ? instrument.playerId : null,
    beginsOn,
    endsOn,
    part,
    celsius: request.air?.celsius ?? null,
    humidityPercent: request.air?.humidityPercent ?? null,
    loggedAt: instantOfMs(nowMs()),
  });
  return succeed({ view: { key }, created: true });
}

/** Records the last day of a condition. The last one said counts. */
export function endCondition(services: Services, request: EndConditionRequest): Key {
  const { conditions, record, nowMs } = services;
  const { key, conditionKey, endsOn } = request;
  const known = conditions.findEnd(key);
  if (known) return knownKey(services, key, saysTheSame({ conditionKey, endsOn }, known));
  const clock = playersClock(request.now, nowMs());
  if (!clock.ok) return clock;
  const condition = conditions.find(conditionKey);
  if (!condition || record.withdrawalOf(conditionKey))
    return fail(notFound('conditionKey', 'No such condition in the record.'));
  if (endsOn < condition.beginsOn) return fail(invalid('endsOn', 'It cannot end before it begins.'));
  if (endsOn > clock.value.on && !conditionKind(condition.condition).mayBeginLater)
    return fail(invalid('endsOn', 'Say so when it is over: today at the latest.'));
  conditions.addEnd({ key, conditionKey, endsOn, loggedAt: instantOfMs(nowMs()) });
  return succeed({ view: { key }, created: true });
}
