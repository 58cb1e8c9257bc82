import type { CareClockView } from '#contract/care.ts';
import type { Breach, Day, Rule, Seen } from '#tools/lives/life.ts';

const clocksOf = ({ care }: Seen, instrumentId: string): readonly CareClockView[] =>
  care.get(instrumentId)?.clocks ?? [];

/** What was tapped stands in care that evening, unless it was done or mended that day. */
const forgotten = ({ deeds, evening }: Day): string[] =>
  deeds.flatMap((deed) => {
    if (deed.did !== 'noticed') return [];
    const isOver = deeds.some(
      (one) =>
        (one.did === 'cared' && one.instrumentId === deed.instrumentId && one.itemId === deed.itemId) ||
        (one.did === 'mended' && one.instrumentId === deed.instrumentId),
    );
    const clock = clocksOf(evening, deed.instrumentId).find(({ itemId }) => itemId === deed.itemId);
    return isOver || clock === undefined || clock.noticed
      ? []
      : [`${deed.itemId} was noticed on ${deed.instrumentId}, and its care does not say so`];
  });

/** What was mended stands in care no more. */
const stillSaid = ({ deeds, evening }: Day): string[] =>
  deeds.flatMap((deed) => {
    if (deed.did !== 'mended') return [];
    const again = deeds.slice(deeds.indexOf(deed)).flatMap((one) => (one.did === 'noticed' ? [one.itemId] : []));
    return clocksOf(evening, deed.instrumentId)
      .filter(
        ({ noticedSign, itemId }) =>
          noticedSign !== null && deed.signs.includes(noticedSign) && !again.includes(itemId),
      )
      .map(({ itemId }) => `${deed.instrumentId} was mended, and ${itemId} is still said to be noticed`);
  });

/** A sign is one thing, tapped or said: it stands in care until that is done, its remedy has helped, or somebody has looked. */
export const rule: Rule = {
  name: 'noticed-is-one-thing',
  words: 'What was tapped stands in care until that is done or it was mended, and no longer.',
  judge: ({ days }) =>
    days.flatMap((day): Breach[] => [...forgotten(day), ...stillSaid(day)].map((words) => ({ on: day.on, words }))),
};
