import type { Breach, Day, Rule } from '#tools/lives/life.ts';

const isOnList = ({ today }: Day['morning'], what: string, instrumentId: string): boolean =>
  today.lines.some((line) => line.instrumentId === instrumentId && line.what === what);

/** What goes to the bench is packed, what comes back is looked at, what was knocked is looked over: asked for, and then no more. */
export const rule: Rule = {
  name: 'there-and-back',
  words: 'Packing, fetching and looking over after a knock are on Today until they are done, and not after.',
  judge: ({ days }) =>
    days.flatMap(({ on, deeds, morning, evening }): Breach[] =>
      deeds.flatMap((deed): Breach[] => {
        const said = (wrong: boolean, words: string): Breach[] => (wrong ? [{ on, words }] : []);
        if (deed.did === 'packed')
          return [
            ...said(!isOnList(morning, 'pack', deed.instrumentId), `${deed.instrumentId} goes to the bench unsaid`),
            ...said(isOnList(evening, 'pack', deed.instrumentId), `${deed.instrumentId} is packed and asked for again`),
          ];
        if (deed.did === 'fetched')
          return said(!isOnList(morning, 'fetch', deed.instrumentId), `${deed.instrumentId} is back unsaid`);
        if (deed.did === 'came-back')
          return said(
            isOnList(evening, 'fetch', deed.instrumentId),
            `${deed.instrumentId} is back and asked for again`,
          );
        if (deed.did === 'knocked')
          return said(!isOnList(evening, 'measure', deed.instrumentId), `${deed.instrumentId} was knocked, unasked`);
        return [];
      }),
    ),
};
