import { daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { Breach, Rule, Seen } from '#tools/lives/life.ts';

/** With so many readings a line is drawn, and what heads for its limit is seen to before it is there. */
const READINGS = 5;
/** What is beyond its limit has a day at the bench within so many days. */
const SOON_DAYS = 21;

/** Has it no day at the bench soon, and none in the calendar: once it is there, it is proposed no more? */
function waits({ bench }: Seen, on: LocalDate, instrumentId: string): string | null {
  const asked = bench?.instruments.find((one) => one.instrumentId === instrumentId);
  const isPlanned = bench?.stays.some(({ instruments }) =>
    instruments.some((one) => one.instrumentId === instrumentId),
  );
  if (asked === undefined || isPlanned === true) return null;
  const [best] = asked.days;
  const isSoon = best !== undefined && daysBetween(on, best.on) <= SOON_DAYS;
  return isSoon ? null : (best?.on ?? 'none');
}

/** Whoever reads and does what is said has it at the bench before it fails; what fails at once is asked for the same evening. */
export const rule: Rule = {
  name: 'with-the-bench-in-time',
  words: 'What wears is with the bench before it fails, and what has failed has a day there soon.',
  judge: ({ life, days }) => {
    const read = new Map<string, number>();
    const isLate = (before: number): boolean => life.nature === 'does-what-is-said' && before >= READINGS;
    return days.flatMap(({ on, deeds, evening }): Breach[] =>
      deeds.flatMap((deed): Breach[] => {
        if (deed.did === 'came-back') read.clear();
        if (deed.did !== 'read') return [];
        const name = `${deed.instrumentId} ${deed.measure}`;
        const before = read.get(name) ?? 0;
        read.set(name, before + 1);
        if (deed.grade !== 'bench') return [];
        const day = waits(evening, on, deed.instrumentId);
        return [
          ...(isLate(before)
            ? [{ on, words: `${name} failed after ${before} readings, and was not with the bench` }]
            : []),
          ...(day === null ? [] : [{ on, words: `${name} has failed, and its day at the bench is ${day}` }]),
        ];
      }),
    );
  },
};
