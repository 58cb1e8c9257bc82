import { COLDEST_ROOM, WARMEST_ROOM } from '#core/air/room.ts';
import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Nobody's room; whoever reads °F is told what it would be. */
const HOTTEST_FAHRENHEIT = 122;

/** Why a condition cannot be written down. */
export const CONDITION_REFUSALS = {
  'no-such-condition': () => 'No such condition in the record.',
  'no-air': () => 'Dry air needs what the hygrometer shows.',
  'no-room': ({ celsius }: { celsius: number }, format: Format) => {
    const asCelsius = Math.round(((celsius - 32) * 5) / 9);
    const hint =
      celsius > WARMEST_ROOM && celsius <= HOTTEST_FAHRENHEIT ? ` ${celsius} °F are ${format.celsius(asCelsius)}.` : '';
    return `A room lies between −${-COLDEST_ROOM} and ${format.celsius(WARMEST_ROOM)}.${hint}`;
  },
  'no-humidity': () => 'Relative humidity lies between 0 and 100 %.',
  'not-dry': ({ humidityPercent, below }: { humidityPercent: number; below: number }) =>
    `${humidityPercent} % is not dry for wood: below ${below} % it is.`,
  'begins-later': ({ name }: { name: string }) => `${name}: it begins today at the latest.`,
  'begins-much-later': () => 'It begins within a year.',
  'ends-before': () => 'It cannot end before it begins.',
  'too-long': () => 'It ends within three years.',
  'ends-later': () => 'Say so when it is over: today at the latest.',
  'has-left': ({ leftOn }: { leftOn: LocalDate }, format: Format) =>
    `It left on ${format.date(leftOn)}; nothing is scheduled for it.`,
  'not-for-this': ({ name }: { name: string }) => `${name}: this instrument, as it is built, cannot be in it.`,
  'not-come-yet': () => 'The instrument had not come yet.',
  'which-part': () => 'Which part is it on?',
  'which-parts': () => 'Which parts are played?',
};
