import { daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { Breach, Rule } from '#tools/lives/life.ts';

/** Where neither the air nor the place has changed, a back that was rubbed flat is left alone for so many days. */
const LEFT_ALONE_DAYS = 3;

/** A back that was rubbed flat is flat: nobody rubs at a reed every day. */
export const rule: Rule = {
  name: 'a-flat-back-is-flat',
  words: 'A back that was just rubbed flat is not asked about again.',
  judge: ({ days }) => {
    const flatSince = new Map<string, LocalDate>();
    return days.flatMap(({ on, deeds, evening }): Breach[] => {
      const again = deeds.flatMap((deed): Breach[] => {
        if (deed.did !== 'flattened') return [];
        const last = flatSince.get(deed.reedId);
        flatSince.set(deed.reedId, on);
        return last !== undefined && daysBetween(last, on) < LEFT_ALONE_DAYS
          ? [{ on, words: `the back of ${deed.reedId} was rubbed flat on ${last}, and is asked about again` }]
          : [];
      });
      const asked = (evening.reeds?.kinds ?? [])
        .flatMap(({ choices }) => choices)
        .filter(({ reedId, warp }) => warp !== null && flatSince.get(reedId) === on)
        .map(({ name }) => ({ on, words: `${name} was rubbed flat today, and its back is asked about` }));
      return [...again, ...asked];
    });
  },
};
