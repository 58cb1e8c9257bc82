import type { Breach, Rule } from '#tools/lives/life.ts';

/** What was found cracked or leaking at the table is never played or offered again. */
export const rule: Rule = {
  name: 'cracked-is-not-played',
  words: 'A reed that was found cracked is not offered again.',
  judge: ({ days }) => {
    const over = new Map<string, string>();
    return days.flatMap(({ on, morning, evening, deeds }): Breach[] => {
      const found: Breach[] = [];
      const offered = (seen: typeof morning): string[] =>
        (seen.reeds?.kinds ?? []).flatMap(({ today }) => today.play.map(({ reedId }) => reedId as string));
      for (const reed of offered(morning))
        if (over.has(reed)) found.push({ on, words: `${reed} ended on ${over.get(reed) ?? ''}, and is to be played` });
      for (const deed of deeds)
        if (deed.did === 'at-the-table' && (deed.end === 'cracked' || deed.end === 'leaks')) over.set(deed.reedId, on);
      for (const reed of offered(evening))
        if (over.has(reed)) found.push({ on, words: `${reed} is cracked since today, and is to be played` });
      return found;
    });
  },
};
