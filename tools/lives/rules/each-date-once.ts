import type { Breach, Rule } from '#tools/lives/life.ts';

/** A calendar that comes in again doubles nothing. */
export const rule: Rule = {
  name: 'each-date-once',
  words: 'No event stands twice on a day.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning, evening }): Breach[] =>
      [morning, evening].flatMap(({ sittings }) => {
        const all = (sittings?.events ?? []).map((event) => `${event.on} ${event.what} ${event.words}`);
        return all.filter((one, at) => all.indexOf(one) !== at).map((one) => ({ on, words: `${one} stands twice` }));
      }),
    ),
};
