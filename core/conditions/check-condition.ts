import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import type { Book } from '#core/book/book.ts';
import type { Condition } from '#core/book/condition.ts';
import type { CONDITION_REFUSALS } from '#core/conditions/condition-refusal-words.ts';
import { concerns, conditionKind } from '#core/conditions/in-force.ts';
import type { RefusalOf } from '#core/explain/refusal.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Below this much relative humidity, percent, wood is in dry air (general knowledge of the trade). */
export const DRY_BELOW_PERCENT = 40;
/** No illness, rest or tour is entered for longer than this. */
const LONGEST_DAYS = 1100;
const LATEST_BEGIN_DAYS = 366;

type ConditionTrouble = RefusalOf<typeof CONDITION_REFUSALS>;
export type ConditionRefusal = ConditionTrouble & {
  readonly field:
    'condition' | 'beginsOn' | 'endsOn' | 'part' | 'alone' | 'air.celsius' | 'air.humidityPercent' | 'instrumentId';
};

const refuse = (field: ConditionRefusal['field'], refusal: ConditionTrouble) =>
  fail<ConditionRefusal>({ ...refusal, field });

type InBook = { readonly book: Pick<Book, 'conditions'>; readonly condition: Condition };
type Checked = Outcome<Condition, ConditionRefusal>;

function checkAir(condition: Condition): Checked {
  const { air } = condition;
  if (air === null) return refuse('air.humidityPercent', { code: 'no-air' });
  const { celsius, humidityPercent } = air;
  if (!(celsius >= COLDEST_ROOM && celsius <= WARMEST_ROOM)) return refuse('air.celsius', { code: 'no-room', celsius });
  if (!(humidityPercent >= 0 && humidityPercent <= 100)) return refuse('air.humidityPercent', { code: 'no-humidity' });
  if (humidityPercent >= DRY_BELOW_PERCENT)
    return refuse('air.humidityPercent', { code: 'not-dry', humidityPercent, below: DRY_BELOW_PERCENT });
  return succeed(condition);
}

function checkDays({ book, condition }: InBook, today: LocalDate): Checked {
  const { beginsOn, endsOn } = condition;
  const { mayBeginLater, name } = conditionKind(book, condition.id);
  if (beginsOn > today && !mayBeginLater) return refuse('beginsOn', { code: 'begins-later', name });
  if (beginsOn > addDays(today, LATEST_BEGIN_DAYS)) return refuse('beginsOn', { code: 'begins-much-later' });
  if (endsOn !== null && endsOn < beginsOn) return refuse('endsOn', { code: 'ends-before' });
  if (endsOn !== null && endsOn > addDays(beginsOn, LONGEST_DAYS)) return refuse('endsOn', { code: 'too-long' });
  return succeed(condition);
}

function checkInstrument({ book, condition }: InBook, instrument: Instrument): Checked {
  const kind = conditionKind(book, condition.id);
  const { beginsOn } = condition;
  if (instrument.leftOn !== null) return refuse('instrumentId', { code: 'has-left', leftOn: instrument.leftOn });
  if (!concerns(kind, instrument.kind, instrument.build))
    return refuse('condition', { code: 'not-for-this', name: kind.name });
  // A player may have fallen ill before this instrument came; only what is the instrument's own begins with it.
  if (kind.of === 'instrument' && beginsOn < instrument.acquiredOn) return refuse('beginsOn', { code: 'not-come-yet' });
  return succeed(condition);
}

/**
 * May this condition be written down? Its days are in order, it can be true of the instrument, which is still here,
 * and what it asks for (a part, the air) is there and possible.
 *
 * @param instrument the instrument it is entered for; null for a player's own condition
 */
export function checkCondition({ book, condition }: InBook, instrument: Instrument | null, today: LocalDate): Checked {
  const kind = conditionKind(book, condition.id);
  const days = checkDays({ book, condition }, today);
  if (!days.ok) return days;
  const placed = instrument === null ? days : checkInstrument({ book, condition }, instrument);
  if (!placed.ok) return placed;
  if (kind.asks === 'part' && condition.part === null) return refuse('part', { code: 'which-part' });
  if (kind.asks === 'alone' && condition.alone === null) return refuse('alone', { code: 'which-parts' });
  return kind.asks === 'air' ? checkAir(condition) : succeed(condition);
}
