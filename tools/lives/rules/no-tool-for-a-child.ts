import type { Breach, Rule } from '#tools/lives/life.ts';

const TOOL = /nipper|plier|wire|mandrel|knife|ream|clip/i;

/** Whatever is found on the reed of a child, what is read out names no tool, and nothing is taken off. */
export const rule: Rule = {
  name: 'no-tool-for-a-child',
  words: 'At the table a child hears of no tool, and nothing is taken off its reeds.',
  judge: ({ life, days }) =>
    life.name.startsWith('child')
      ? days.flatMap(({ on, deeds }) =>
          deeds.flatMap((deed): Breach[] => {
            if (deed.did !== 'at-the-table') return [];
            const named = deed.words.filter((words) => TOOL.test(words));
            return [
              ...named.map((words) => ({ on, words: `a child is told: ${words}` })),
              ...(deed.clippedTenths > 0 ? [{ on, words: `a child clipped ${deed.clippedTenths} tenths` }] : []),
            ];
          }),
        )
      : [],
};
