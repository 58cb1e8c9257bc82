import type { Breach, Rule } from '#tools/lives/life.ts';

/** What is due at home stands in a sitting, or among what finds no day. */
export const rule: Rule = {
  name: 'due-is-in-a-list',
  words: 'What is due stands in a sitting, or among what finds no day with its reason.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning: { care, sittings } }): Breach[] => {
      if (sittings === null) return [];
      const listed = new Set(
        [...sittings.sittings.flatMap(({ items }) => items), ...sittings.left].map(
          ({ instrumentId, itemId }) => `${instrumentId} ${itemId}`,
        ),
      );
      const lost = [...care].flatMap(([instrumentId, { clocks }]) =>
        clocks
          .filter(({ dueAtHome, goesAlong }) => dueAtHome && !goesAlong)
          .map(({ itemId }) => `${instrumentId} ${itemId}`)
          .filter((what) => !listed.has(what)),
      );
      const unexplained = sittings.left.filter(({ words }) => words.trim() === '').map(({ itemId }) => `${itemId}`);
      return [
        ...lost.map((what) => ({ on, words: `${what} is due, and in no sitting and no list` })),
        ...unexplained.map((what) => ({ on, words: `${what} finds no day, and nobody says why` })),
      ];
    }),
};
