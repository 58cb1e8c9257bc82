import { counted, duration, type Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Why something of a reed cannot be written down. */
export const REED_REFUSALS = {
  'no-reeds-on-it': () => 'Such an instrument is played without a reed of its own.',
  'no-such-box': () => 'No such box of reeds in the record.',
  'no-such-reed': ({ number, count }: { number: number; count: number }) =>
    `There is no reed ${number} in that box: it holds ${counted(count, 'reed')}.`,
  'box-not-here-yet': ({ cameOn }: { cameOn: LocalDate }, format: Format) =>
    `That box came on ${format.date(cameOn)}. An earlier play was on another reed.`,
  'no-currency': ({ currency }: { currency: string }) => `${currency} is no currency.`,
  'another-currency': ({ currency }: { currency: string }) =>
    `The record counts in ${currency}. Say what the box cost in ${currency}.`,
  'box-from-tomorrow': () => 'A box is entered when it has come.',
  'reed-of-another-kind': () => 'That reed belongs to another kind of instrument.',
  'reed-of-another-player': () => 'That box belongs to somebody else.',
  'more-than-the-play': ({ reeds, minutes }: { reeds: number; minutes: number }) =>
    `The reeds add up to ${duration(reeds)}, and the play was ${duration(minutes)}.`,
  'reed-on-two-plays': ({ reeds, minutes }: { reeds: number; minutes: number }) =>
    `That reed was on another play at the same time: together that is ${duration(reeds)} of it within ${duration(minutes)}. Put right when one of them ended, or which reed it was.`,
  'reed-named-twice': () => 'A reed is in a play once.',
  'reed-is-said': () => 'That play already says its reed. Correct it there.',
  'reed-has-ended': ({ on }: { on: LocalDate }, format: Format) =>
    `That reed has not been played since ${format.date(on)}. Take that back first.`,
  'session-is-past': () => 'That day is over. A session is set for today or later.',
  'session-too-far': () => 'That is more than eight weeks ahead.',
  'session-not-in-fives': () => 'Sessions are planned in steps of five minutes.',
  'session-set-twice': () => 'A reed has one session a day.',
  'kind-is-played': () =>
    'Reeds of this box have been played, so its kind of instrument stays. Enter another box for the others.',
  'numbers-are-played': ({ number }: { number: number }) =>
    `Reed ${number} has a record of its own, so the box cannot be smaller.`,
};
