import type { Rule } from '#tools/lives/life.ts';

/** As many playing days as the longer way of breaking in has. */
const LONGEST = 14;
/** As long as the whole ramp of the longer way, minutes. */
const LONGEST_MINUTES = 340;

/** A reed played on for weeks is not being broken in any more. */
export const rule: Rule = {
  name: 'breaking-in-ends',
  words: 'A reed that has been played on for two weeks of days is broken in.',
  judge: ({ days }) => {
    const playedOn = new Map<string, number>();
    return days.flatMap(({ on, morning, deeds }) => {
      const found = (morning.reeds?.kinds ?? []).flatMap(({ boxes }) =>
        boxes.flatMap(({ name, reeds }) =>
          reeds
            .filter(
              ({ reedId, stage, playedMinutes }) =>
                stage === 'breaking-in' && (playedOn.get(reedId) ?? 0) >= LONGEST && playedMinutes >= LONGEST_MINUTES,
            )
            .map(({ number, words }) => ({ on, words: `${name}, reed ${number} is still ${words}` })),
        ),
      );
      for (const deed of deeds)
        if (deed.did === 'played') for (const reed of deed.reeds) playedOn.set(reed, (playedOn.get(reed) ?? 0) + 1);
      return found;
    });
  },
};
