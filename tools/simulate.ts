/**
 * `npm run simulate`: a wet, a usual and a dry blower tap ten evenings; the passes advised come to their own count.
 * `-- --minutes 60 --room 18 --kind bassoon` plays another one out.
 */
import { BOOK } from '#core/tables/book.ts';
import { parseArgs } from 'node:util';
import { isKindId } from '#core/instruments/kind.ts';
import { PLAIN_FORMAT } from '#core/explain/format.ts';
import { simulateTaps } from '#core/water/simulate-taps.ts';

const { values } = parseArgs({
  options: {
    kind: { type: 'string', default: 'clarinet' },
    minutes: { type: 'string', default: '40' },
    room: { type: 'string', default: '20' },
  },
});
const [minutes, roomCelsius] = [Number(values.minutes), Number(values.room)];
if (!isKindId(values.kind)) throw new Error(`no such kind: ${values.kind}`);
if (!(minutes > 0 && minutes <= 1440)) throw new Error(`--minutes is 1 to 1440, not ${values.minutes}`);
if (!(roomCelsius > -40 && roomCelsius < 34)) throw new Error(`--room is −40 to 34 °C, not ${values.room}`);

console.log(`${BOOK.kinds[values.kind].name}, ${minutes} min at ${roomCelsius} °C, ten evenings each\n`);
for (const [who, w] of [
  ['a wet blower', 0.9],
  ['the usual one', 0],
  ['a dry blower', -0.9],
] as const) {
  const { own, taps, advised } = simulateTaps(BOOK.kinds[values.kind].water, { w, minutes, roomCelsius, evenings: 10 });
  const told = taps.map(({ passes, found }) => `${passes} ${found}`).join(', ');
  console.log(`${who} (${PLAIN_FORMAT.number(Math.exp(w))} × the usual water) needs ${own}: ${told}`);
  console.log(`  believed in the end: ${PLAIN_FORMAT.number(taps.at(-1)?.factor ?? 1)} × · advised: ${advised}\n`);
}
