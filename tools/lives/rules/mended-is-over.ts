import type { Breach, Rule } from '#tools/lives/life.ts';

/** What was found and mended is asked about no more. */
export const rule: Rule = {
  name: 'mended-is-over',
  words: 'What was found and mended, or looked at, is neither asked about nor stopped that evening or the day after.',
  judge: ({ days }) =>
    days.flatMap(({ deeds }, index): Breach[] => {
      const mended = deeds.flatMap((deed) => (deed.did === 'mended' ? [deed.instrumentId] : []));
      return [days[index], days[index + 1]].flatMap((day, later) => {
        if (!day) return [];
        const { lines } = (later === 0 ? day.evening : day.morning).today;
        return mended
          .filter((id) =>
            lines.some(({ what, instrumentId }) => instrumentId === id && (what === 'wrong' || what === 'stopped')),
          )
          .map((id) => ({ on: day.on, words: `${id} was mended, and is still asked about` }));
      });
    }),
};
