import { CASED_DAMP } from '#core/book/care-ids.ts';
import type { Breach, Deed, Rule, Seen } from '#tools/lives/life.ts';

/** What calls for attention: on today's list, on the care pages, in a sitting of this day. */
function asked({ today, care, sittings }: Seen, on: string): Set<string> {
  const found = new Set<string>();
  for (const { what, instrumentId, clock } of today.lines)
    if (what === 'due' && clock) found.add(`${instrumentId} ${clock.itemId}`);
  for (const [instrumentId, { clocks }] of care)
    for (const { itemId, dueAtHome } of clocks) if (dueAtHome) found.add(`${instrumentId} ${itemId}`);
  for (const sitting of sittings?.sittings ?? [])
    if (sitting.on === on) for (const { instrumentId, itemId } of sitting.items) found.add(`${instrumentId} ${itemId}`);
  return found;
}

/** What was done today is not asked again today. */
export const rule: Rule = {
  name: 'done-is-done',
  words: 'What was done today is not asked for again on the same day.',
  judge: ({ days }) =>
    days.flatMap(({ on, evening, deeds }): Breach[] => {
      const still = asked(evening, on);
      return deeds.flatMap((deed, at) => {
        if (deed.did !== 'cared') return [];
        // Dried in the morning and cased damp again at night: that is another time.
        const isAgain = (one: Deed) => one.did === 'cased-damp' && one.instrumentId === deed.instrumentId;
        if (deed.itemId === CASED_DAMP && deeds.slice(at).some(isAgain)) return [];
        const what = `${deed.instrumentId} ${deed.itemId}`;
        return still.has(what) ? [{ on, words: `${what} was done, and is asked for in the evening` }] : [];
      });
    }),
};
