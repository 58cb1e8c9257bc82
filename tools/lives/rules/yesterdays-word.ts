import type { Breach, Rule } from '#tools/lives/life.ts';
import { daysBetween } from '#core/time/local-date.ts';

/** A date that moves by less is the forecast learning, days. */
const A_LITTLE = 7;

/** A likely date does not jump from one day to the next while nothing was done. */
export const rule: Rule = {
  name: 'yesterdays-word',
  words: 'What was said yesterday changes only with a reason.',
  judge: ({ days }) =>
    days.slice(1).flatMap(({ on, morning }, at): Breach[] => {
      const before = days[at];
      if (before === undefined) return [];
      const touched = new Set(before.deeds.flatMap((deed) => ('instrumentId' in deed ? [deed.instrumentId] : [])));
      return [...morning.care].flatMap(([instrumentId, { clocks }]) =>
        touched.has(instrumentId) || before.deeds.some(({ did }) => did === 'other')
          ? []
          : clocks.flatMap(({ itemId, due }) => {
              const then = before.evening.care.get(instrumentId)?.clocks.find((one) => one.itemId === itemId)?.due;
              if (!due || !then || then.on <= on || daysBetween(before.on, then.on) > 120) return [];
              const moved = Math.abs(daysBetween(then.on, due.on));
              return moved > A_LITTLE
                ? [{ on, words: `${instrumentId} ${itemId}: ${then.on} yesterday, ${due.on} today` }]
                : [];
            }),
      );
    }),
};
