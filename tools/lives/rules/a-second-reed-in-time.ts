import type { Breach, Rule } from '#tools/lives/life.ts';

/** A new one is played in by then. */
const FIRST_DAYS = 3;
const DAY_MS = 86_400_000;
/** From so long before a concert on it has to be said. */
const IN_TIME_DAYS = 14;
const daysUntil = (from: string, to: string): number => Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

/** Nobody stands before a concert on a double reed without having been told in time of a second one. */
export const rule: Rule = {
  name: 'a-second-reed-in-time',
  words: 'Before a concert on a double reed a second one is there, or it is said in time that it is not.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning }) =>
      (morning.reeds?.kinds ?? []).flatMap(({ kindName, family, concert, boxes, today }): Breach[] => {
        if (family !== 'double' || concert === null) return [];
        const left = daysUntil(on, concert.on);
        const playable = boxes
          .flatMap(({ reeds }) => reeds)
          .filter(
            ({ stage }) =>
              stage === 'in-rotation' || stage === 'practice-only' || (stage === 'breaking-in' && left >= FIRST_DAYS),
          ).length;
        const said = [concert.words, ...today.words].join(' ');
        if (left <= IN_TIME_DAYS && playable < 2 && !/second reed|two reeds|no reed/i.test(said))
          return [
            { on, words: `${kindName}: ${playable} reeds ${left} days before a concert, and no word of a second one` },
          ];
        if (left === 0 && playable >= 2 && !/ready beside|no second reed/i.test(today.words.join(' ')))
          return [{ on, words: `${kindName}: a concert today, and no second reed is named` }];
        return [];
      }),
    ),
};
