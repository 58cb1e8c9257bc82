import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import type { Book } from '#core/book/book.ts';
import type { Condition } from '#core/book/condition.ts';
import { concerns, conditionKind } from '#core/conditions/in-force.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** Below this much relative humidity, percent, wood is in dry air (general knowledge of the trade). */
export const DRY_BELOW_PERCENT = 40;
/** No illness, rest or tour is entered for longer than this. */
const LONGEST_DAYS = 1100;
const LATEST_BEGIN_DAYS = 366;

export type ConditionFault = {
  readonly code:
    | 'not-for-this'
    | 'begins-later'
    | 'before-it-came'
    | 'after-it-left'
    | 'ends-before'
    | 'too-long'
    | 'part'
    | 'no-air'
    | 'no-room'
    | 'not-dry';
  readonly field: 'condition' | 'beginsOn' | 'endsOn' | 'part' | 'air.celsius' | 'air.humidityPercent' | 'instrumentId';
  readonly text: string;
};

const refuse = (code: ConditionFault['code'], field: ConditionFault['field'], text: string) =>
  fail<ConditionFault>({ code, field, text });

type InBook = { readonly book: Pick<Book, 'conditions'>; readonly condition: Condition };
type Checked = Outcome<Condition, ConditionFault>;

function checkAir(condition: Condition): Checked {
  const { air } = condition;
  if (air === null) return refuse('no-air', 'air.humidityPercent', 'Dry air needs what the hygrometer shows.');
  const { celsius, humidityPercent } = air;
  if (!(celsius >= COLDEST_ROOM && celsius <= WARMEST_ROOM)) {
    const asFahrenheit = Math.round(((celsius - 32) * 5) / 9);
    const hint = celsius > WARMEST_ROOM && celsius <= 122 ? ` ${celsius} °F are ${asFahrenheit} °C.` : '';
    return refuse('no-room', 'air.celsius', `A room lies between −${-COLDEST_ROOM} and ${WARMEST_ROOM} °C.${hint}`);
  }
  if (!(humidityPercent >= 0 && humidityPercent <= 100))
    return refuse('no-room', 'air.humidityPercent', 'Relative humidity lies between 0 and 100 %.');
  if (humidityPercent >= DRY_BELOW_PERCENT)
    return refuse(
      'not-dry',
      'air.humidityPercent',
      `${humidityPercent} % is not dry for wood: below ${DRY_BELOW_PERCENT} % it is.`,
    );
  return succeed(condition);
}

function checkDays({ book, condition }: InBook, today: LocalDate): Checked {
  const { beginsOn, endsOn } = condition;
  const { mayBeginLater, name } = conditionKind(book, condition.id);
  if (beginsOn > today && !mayBeginLater)
    return refuse('begins-later', 'beginsOn', `${name}: it begins today at the latest.`);
  if (beginsOn > addDays(today, LATEST_BEGIN_DAYS))
    return refuse('begins-later', 'beginsOn', 'It begins within a year.');
  if (endsOn !== null && endsOn < beginsOn) return refuse('ends-before', 'endsOn', 'It cannot end before it begins.');
  if (endsOn !== null && endsOn > addDays(beginsOn, LONGEST_DAYS))
    return refuse('too-long', 'endsOn', 'It ends within three years.');
  return succeed(condition);
}

function checkInstrument({ book, condition }: InBook, instrument: Instrument): Checked {
  const kind = conditionKind(book, condition.id);
  const { beginsOn } = condition;
  if (instrument.leftOn !== null)
    return refuse('after-it-left', 'instrumentId', `It left on ${instrument.leftOn}; nothing is scheduled for it.`);
  if (!concerns(kind, instrument.kind, instrument.build))
    return refuse('not-for-this', 'condition', `${kind.name}: this instrument, as it is built, cannot be in it.`);
  // A player may have fallen ill before this instrument came; only what is the instrument's own begins with it.
  if (kind.of === 'instrument' && beginsOn < instrument.acquiredOn)
    return refuse('before-it-came', 'beginsOn', 'The instrument had not come yet.');
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
  if (kind.asks === 'part' && condition.part === null) return refuse('part', 'part', 'Which part is it on?');
  return kind.asks === 'air' ? checkAir(condition) : succeed(condition);
}
