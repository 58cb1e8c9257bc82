import type { Breach, Rule } from '#tools/lives/life.ts';

/** The first months of somebody who has just begun to save may be short, and are said to be. */
const BEGINNING_DAYS = 62;

/** Whoever puts aside what is said can pay on the day, at the upper end of what was said. */
export const rule: Rule = {
  name: 'the-money-is-there',
  words: 'Whoever puts aside what is said can pay what the bench asks on its day.',
  judge: ({ days }) =>
    days.flatMap(({ on, deeds, morning }, day): Breach[] =>
      deeds.flatMap((deed): Breach[] => {
        if (deed.did !== 'came-back' || deed.asked <= deed.purse) return [];
        const isSaid = (morning.costs?.plan?.short ?? 0) > 0;
        return day < BEGINNING_DAYS && isSaid
          ? []
          : [{ on, words: `${deed.asked} are asked for ${deed.instrumentId}, and ${deed.purse} are there` }];
      }),
    ),
};
