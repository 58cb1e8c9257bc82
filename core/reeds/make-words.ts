import { counted, type Format } from '#core/explain/format.ts';
import type { Make } from '#core/reeds/makes.ts';

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const MINUTES_AN_HOUR = 60;

/** What the reeds of a make have come to, as it stands in a table; null where too little is known. */
export const makeWords = ({ name, reeds, graded, asCame, concert, lifeMinutes, goodHour }: Make, format: Format) => ({
  name,
  seen: `${counted(reeds, 'reed')}, ${graded} graded${asCame ? `; as they came ${asCame.back} of ${asCame.looked} sent back` : ''}`,
  concert: concert && `${percent(concert.mean)} (${percent(concert.low)} to ${percent(concert.high)})`,
  life: lifeMinutes === null ? null : `about ${format.number(lifeMinutes / MINUTES_AN_HOUR)} h`,
  goodHour: goodHour && format.money(goodHour),
});
