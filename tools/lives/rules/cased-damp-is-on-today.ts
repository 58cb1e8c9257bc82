import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { Breach, Day, Rule } from '#tools/lives/life.ts';

/** Lines that hold on to an instrument that is not dry: cased damp, wet again, or a run under way. */
const HOLDS = ['damp', 'wet', 'run', 'stopped'];

/** What lies damp after the deeds of a day, of what lay damp before them. */
function dampAfter(before: ReadonlySet<string>, { deeds }: Day): ReadonlySet<string> {
  const damp = new Set(before);
  for (const deed of deeds) {
    if (deed.did === 'cased-damp') damp.add(deed.instrumentId);
    if (deed.did === 'cared' && deed.itemId === CASED_DAMP) damp.delete(deed.instrumentId);
  }
  return damp;
}

export const rule: Rule = {
  name: 'cased-damp-is-on-today',
  words: 'What was cased damp is somewhere on Today until it is dried, and nowhere on it afterwards.',
  judge: ({ days }) => {
    let damp: ReadonlySet<string> = new Set();
    return days.flatMap((day): Breach[] => {
      const missing = (when: 'morning' | 'evening'): Breach[] =>
        [...damp]
          .filter((id) => !day[when].today.lines.some((line) => line.instrumentId === id && HOLDS.includes(line.what)))
          .map((id) => ({ on: day.on, words: `${id} lies cased damp, and the ${when}’s list does not say so` }));
      const early = missing('morning');
      damp = dampAfter(damp, day);
      const wrongly = day.evening.today.lines
        .filter(({ what, instrumentId }) => what === 'damp' && !damp.has(instrumentId))
        .map(({ instrumentId }) => ({ on: day.on, words: `${instrumentId} is said to lie cased damp, and does not` }));
      return [...early, ...missing('evening'), ...wrongly];
    });
  },
};
