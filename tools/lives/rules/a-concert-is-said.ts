import type { Breach, Rule } from '#tools/lives/life.ts';

/** A concert that is known is said on every day until it is over, and what is said of it is not nothing. */
export const rule: Rule = {
  name: 'a-concert-is-said',
  words: 'A concert and its reeds are spoken of every day until it is over.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning }): Breach[] => {
      const { reeds, sittings } = morning;
      if (reeds === null || sittings === null) return [];
      return reeds.kinds.flatMap(({ kindName, instruments, concert }): Breach[] => {
        const mine = new Set<string>(instruments.map(({ instrumentId }) => instrumentId));
        const next = sittings.events
          .filter(({ what, instrumentIds }) => what === 'concert' && instrumentIds.some((id) => mine.has(id)))
          .map((event) => event.on)
          .filter((day) => day >= on)
          .toSorted()[0];
        if (next === undefined) return [];
        if (concert === null) return [{ on, words: `${kindName}: a concert on ${next}, and no word of its reeds` }];
        return concert.on === next
          ? []
          : [{ on, words: `${kindName}: the next concert is ${next}, not ${concert.on}` }];
      });
    }),
};
