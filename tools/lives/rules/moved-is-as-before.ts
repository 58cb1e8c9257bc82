import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

/** What the pages say, as text. What was shown of the calendar is no fact and stays behind: it is planned anew. */
const textOf = ({ today, reeds, care }: Seen): Readonly<Record<string, string>> => ({
  today: JSON.stringify(today),
  reeds: JSON.stringify(reeds),
  care: JSON.stringify([...care]),
});

/** Whoever moves to another machine finds everything as it was. */
export const rule: Rule = {
  name: 'moved-is-as-before',
  words: 'On another machine every page says what it said on the old one.',
  judge: ({ days }) =>
    days.flatMap(({ on, deeds }): Breach[] =>
      deeds.flatMap((deed) => {
        if (deed.did !== 'moved') return [];
        const [before, after] = [textOf(deed.before), textOf(deed.after)];
        return Object.keys(before)
          .filter((page) => before[page] !== after[page])
          .map((page) => ({ on, words: `after the move ${page} is not what it was` }));
      }),
    ),
};
