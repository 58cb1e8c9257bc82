import type { Breach, Rule } from '#tools/lives/life.ts';

/** All of a reed's life, tenths of a millimetre (practice book, double reeds in figures); what slips goes beyond once. */
const OF_LIFE = { oboe: 10, bassoon: 15 } as const;
const OF_A_SITTING = 3;
/** The largest slip of any life. */
const SLIP = 4;

/** However often it lies on the table, no reed loses more than its life bears, and on no day more than a sitting. */
export const rule: Rule = {
  name: 'never-clipped-too-far',
  words: 'No reed is clipped more than its life bears, nor on one day more than a sitting.',
  judge: ({ life, days }) => {
    const most = life.name.startsWith('bassoon') ? OF_LIFE.bassoon : OF_LIFE.oboe;
    const clipped = new Map<string, number>();
    return days.flatMap(({ on, deeds }): Breach[] => {
      const today = new Map<string, number>();
      for (const deed of deeds)
        if (deed.did === 'at-the-table') {
          clipped.set(deed.reedId, (clipped.get(deed.reedId) ?? 0) + deed.clippedTenths);
          today.set(deed.reedId, (today.get(deed.reedId) ?? 0) + deed.clippedTenths);
        }
      return [...today].flatMap(([reed, tenths]): Breach[] => [
        ...(tenths > OF_A_SITTING + SLIP ? [{ on, words: `${reed} lost ${tenths} tenths in one day` }] : []),
        ...((clipped.get(reed) ?? 0) > most && tenths > 0
          ? [{ on, words: `${reed} has lost ${clipped.get(reed) ?? 0} tenths in its life` }]
          : []),
      ]);
    });
  },
};
