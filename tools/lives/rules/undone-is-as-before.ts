import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

/** What the pages say, as text: whatever differs was not taken back. */
const textOf = ({ today, reeds, care, sittings, file }: Seen): Readonly<Record<string, string>> => ({
  today: JSON.stringify(today),
  reeds: JSON.stringify(reeds),
  care: JSON.stringify([...care]),
  sittings: JSON.stringify(sittings && { ...sittings, because: [] }),
  file: JSON.stringify(file && [...file].toSorted()),
});

/** Every undo brings back the day before. */
export const rule: Rule = {
  name: 'undone-is-as-before',
  words: 'What is taken back leaves every page as it was.',
  judge: ({ days }) =>
    days.flatMap(({ on, deeds }): Breach[] =>
      deeds.flatMap((deed) => {
        if (deed.did !== 'undid') return [];
        const [before, after] = [textOf(deed.before), textOf(deed.after)];
        return Object.keys(before)
          .filter((page) => before[page] !== after[page])
          .map((page) => ({ on, words: `${deed.what} was taken back, and ${page} is not what it was` }));
      }),
    ),
};
