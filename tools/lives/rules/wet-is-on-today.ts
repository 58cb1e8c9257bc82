import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

function judged({ today, care }: Seen, when: string): string[] {
  return [...care].flatMap(([instrumentId, { awaitsPackUp, openRunKey, stopped, awayUntil, goesToday }]) => {
    const isListed = today.lines.some((line) => line.instrumentId === instrumentId && line.what === 'wet');
    const isGone = awayUntil !== null && !goesToday;
    if (isGone && isListed) return [`${when}: ${instrumentId} is at the bench, and is to be packed up`];
    const waits = awaitsPackUp && openRunKey === null && !isGone && (stopped === null || stopped.mayBePlayed);
    return waits && !isListed ? [`${when}: ${instrumentId} was not packed up, and today does not say so`] : [];
  });
}

/** What stands wet goes nowhere wet: not on the morning on which it goes to the bench either. */
export const rule: Rule = {
  name: 'wet-is-on-today',
  words: 'What was played is on Today until it is packed up, or packed for the bench, and then no more.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning, evening }): Breach[] =>
      [...judged(morning, 'in the morning'), ...judged(evening, 'in the evening')].map((words) => ({ on, words })),
    ),
};
