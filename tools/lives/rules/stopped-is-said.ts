import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

function judged({ today, care, sittings }: Seen, when: string): string[] {
  return [...care].flatMap(([instrumentId, { stopped, clocks }]) => {
    if (!stopped || stopped.mayBePlayed) return [];
    const lines = today.lines.filter((line) => line.instrumentId === instrumentId).map(({ what }) => what);
    const asked = lines.filter((what) => what !== 'stopped' && what !== 'run');
    const due = clocks.filter(({ dueAtHome, goesAlong }) => dueAtHome || goesAlong).map(({ itemId }) => itemId);
    const sat = (sittings?.sittings ?? []).flatMap(({ items }) =>
      items.filter((item) => item.instrumentId === instrumentId).map(({ itemId }) => itemId),
    );
    return [
      ...(lines.includes('stopped') ? [] : [`${when}: ${instrumentId} is stopped, and today does not say so`]),
      ...asked.map((what) => `${when}: ${instrumentId} is stopped, and today asks for ${what}`),
      ...[...due, ...sat].map((itemId) => `${when}: ${instrumentId} is stopped, and ${itemId} is asked for`),
    ];
  });
}

/** What is stopped is said, and nothing is asked of it until somebody has looked. */
export const rule: Rule = {
  name: 'stopped-is-said',
  words: 'What is stopped is on today’s list, and nothing is asked of it, on any page, until somebody has looked.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning, evening }): Breach[] =>
      [...judged(morning, 'in the morning'), ...judged(evening, 'in the evening')].map((words) => ({ on, words })),
    ),
};
