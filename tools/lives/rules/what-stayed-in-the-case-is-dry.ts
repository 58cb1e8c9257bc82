import type { Breach, Rule } from '#tools/lives/life.ts';

export const rule: Rule = {
  name: 'what-stayed-in-the-case-is-dry',
  words: 'While only parts of it are played and packed up, nothing of the rest is left to be dried or done.',
  judge: ({ days }) =>
    days.flatMap(({ on, evening }): Breach[] =>
      [...evening.care].flatMap(([id, { alone, strip, awaitsPackUp, leftForLater }]) => {
        if (alone.usual === null) return [];
        const wet = strip.filter(({ waterGrams }) => waterGrams > 0);
        const wrong = [
          ...(wet.length > 0 && !awaitsPackUp ? ['water stands in it after it was packed up'] : []),
          ...leftForLater.map(({ name }) => `${name} is left`),
        ];
        return wrong.map((words) => ({ on, words: `${id}: ${words}` }));
      }),
    ),
};
