import type { Breach, Rule } from '#tools/lives/life.ts';

/** The first days are not theirs: an instrument comes with what is due on it. */
const SETTLING_IN = 14;

/** Who does what is said is not overdue. */
export const rule: Rule = {
  name: 'obedient-is-never-late',
  words: 'Whoever does all that is said is never overdue.',
  judge: ({ life, days }) =>
    life.nature !== 'does-what-is-said'
      ? []
      : days
          .slice(SETTLING_IN)
          .flatMap(({ on, evening }): Breach[] =>
            [...evening.care].flatMap(([instrumentId, { clocks }]) =>
              clocks
                .filter(
                  ({ gauge, everyPlay, atBench, dueAtHome }) =>
                    gauge.state === 'overdue' && !everyPlay && !atBench && dueAtHome,
                )
                .map(({ itemId, gauge }) => ({ on, words: `${instrumentId} ${itemId}: ${gauge.words}` })),
            ),
          ),
};
