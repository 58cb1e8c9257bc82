import type { Breach, Rule } from '#tools/lives/life.ts';

/** The file for other programs holds the sittings of the page, no more and no less, and none of them twice on a day. */
export const rule: Rule = {
  name: 'one-event-for-each',
  words: 'The calendar file holds each sitting of the page once.',
  judge: ({ days }) =>
    days.flatMap(({ on, evening: { sittings, file } }): Breach[] => {
      if (sittings === null || file === null) return [];
      const coming = sittings.sittings.filter((one) => one.on >= on);
      return coming
        .filter(({ uid }) => !file.has(uid))
        .map((one) => ({ on, words: `the sitting of ${one.on} is on the page, and not in the file` }));
    }),
};
