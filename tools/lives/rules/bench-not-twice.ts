import type { WorkId } from '#core/book/work.ts';
import type { Breach, Rule } from '#tools/lives/life.ts';

/** What was done is not asked for again so soon. */
const QUIET_DAYS = 21;
const DAY_MS = 86_400_000;

/** What the bench has done it is not asked for again, and nothing is proposed while it is there. */
export const rule: Rule = {
  name: 'bench-not-twice',
  words: 'What the bench has just done is not asked of it again.',
  judge: ({ days }) => {
    const done = new Map<string, string>();
    const isAgain = (on: string, instrumentId: string, work: WorkId): string | null => {
      const last = done.get(`${instrumentId} ${work}`);
      return last !== undefined && Date.parse(on) - Date.parse(last) <= QUIET_DAYS * DAY_MS ? last : null;
    };
    return days.flatMap(({ on, deeds, evening }): Breach[] => {
      for (const deed of deeds)
        if (deed.did === 'came-back') for (const work of deed.works) done.set(`${deed.instrumentId} ${work}`, on);
      const planned = deeds.flatMap((deed) => (deed.did === 'to-the-bench' ? [deed] : []));
      const asked = (evening.bench?.instruments ?? []).map(({ instrumentId, jobs }) => ({
        instrumentId: instrumentId as string,
        works: jobs.map(({ work }) => work),
      }));
      return [...planned, ...asked].flatMap(({ instrumentId, works }) =>
        works.flatMap((work): Breach[] => {
          const last = isAgain(on, instrumentId, work);
          return last === null
            ? []
            : [{ on, words: `${instrumentId}: ${work} was done on ${last}, and is asked for again` }];
        }),
      );
    });
  },
};
