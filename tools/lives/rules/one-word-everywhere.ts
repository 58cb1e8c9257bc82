import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

type OnADay = { readonly on: Breach['on']; readonly seen: Seen };

/** Today's list and the page of an instrument say the same of a thing. */
const listAndPage = ({ on, seen: { today, care } }: OnADay): Breach[] =>
  today.lines.flatMap(({ what, instrumentId, clock }): Breach[] => {
    const page = care.get(instrumentId);
    if (page === undefined) return [];
    if (what === 'wet' && !page.awaitsPackUp)
      return [{ on, words: `${instrumentId} stands wet in today’s list, and dry on its page` }];
    if (!clock) return [];
    const there = page.clocks.find(({ itemId }) => itemId === clock.itemId);
    if (there === undefined)
      return [{ on, words: `${instrumentId} ${clock.itemId} stands in today’s list, and not on its page` }];
    const isSame = clock.gauge.words === there.gauge.words && clock.due?.on === there.due?.on;
    const words = `${instrumentId} ${clock.itemId}: today says “${clock.gauge.words}”, its page “${there.gauge.words}”`;
    return isSame ? [] : [{ on, words }];
  });

/** "Sorrel, reed 3", or among "Sorrel, reeds 2, 3 and 4". */
function isNamed(words: string, name: string): boolean {
  const [box, number] = name.split(', reed ');
  const many = new RegExp(`${box ?? ''}, reeds [\\d, and]*\\b${number ?? ''}\\b`);
  return words.includes(name) || many.test(words);
}

/** What is to be played is what the words say. */
const playAndWords = ({ on, seen: { reeds } }: OnADay): Breach[] =>
  (reeds?.kinds ?? []).flatMap(({ today: { play, words } }) =>
    play
      .filter(({ name }) => !isNamed(words.join(' '), name))
      .map(({ name }) => ({ on, words: `${name} is to be played, and the words leave it out` })),
  );

/** The first time a thing falls due in the calendar is what its clock says; the later ones follow from the plan. */
function calendarAndPage({ on, seen: { care, sittings } }: OnADay): Breach[] {
  const seen = new Set<string>();
  return (sittings?.sittings ?? [])
    .flatMap(({ items }) => items)
    .flatMap(({ instrumentId, itemId, dueOn }): Breach[] => {
      const what = `${instrumentId} ${itemId}`;
      const dueThere = care.get(instrumentId)?.clocks.find((one) => one.itemId === itemId)?.due?.on;
      if (seen.has(what)) return [];
      seen.add(what);
      return dueThere !== undefined && dueThere > on && dueOn !== dueThere
        ? [{ on, words: `${what}: due ${dueOn} in the calendar, ${dueThere} on its page` }]
        : [];
    });
}

/** A date or a number that stands on two pages is the same on both. */
export const rule: Rule = {
  name: 'one-word-everywhere',
  words: 'A date, number or word said in two places on one day is the same in both.',
  judge: ({ days }) =>
    days.flatMap(({ on, morning, evening }) =>
      [morning, evening].flatMap((seen) => [
        ...listAndPage({ on, seen }),
        ...playAndWords({ on, seen }),
        ...calendarAndPage({ on, seen }),
      ]),
    ),
};
