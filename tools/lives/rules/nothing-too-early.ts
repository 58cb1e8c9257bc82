import type { Breach, Rule } from '#tools/lives/life.ts';

/** So much of its interval is over before anybody is asked to do a thing. */
const EARLIEST = 0.6;
/** Loads are rounded on their way. */
const ROUNDING = 0.02;

/** Nobody is told to do today what was done a moment ago, as clocks count. */
export const rule: Rule = {
  name: 'nothing-too-early',
  words: 'Nobody is asked, unasked, for what is less than 0.6 of the way to being due.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning: { care, sittings } }): Breach[] =>
      (sittings?.sittings ?? [])
        .filter((sitting) => sitting.on === on)
        .flatMap(({ items }) => items.filter(({ isSet }) => !isSet))
        .flatMap(({ instrumentId, itemId }) => {
          const load = care.get(instrumentId)?.clocks.find((one) => one.itemId === itemId)?.gauge.load ?? null;
          return load !== null && load < EARLIEST - ROUNDING
            ? [{ on, words: `${instrumentId} ${itemId} is asked for today, ${Math.round(load * 100)} % of the way` }]
            : [];
        }),
    ),
};
