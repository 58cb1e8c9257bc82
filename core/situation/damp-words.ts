import type { WhyLine } from '#core/explain/explained.ts';
import { counted } from '#core/explain/format.ts';
import type { Build } from '#core/instruments/build.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';

const MINUTES_PER_HOUR = 60;
/** So early in the day a night is over: who cases a damp horn at one in the morning has it damp that night (estimate). */
const NIGHT_ENDS_MINUTE = 4 * MINUTES_PER_HOUR;

/** How many nights lie between two wall minutes. */
export const nightsBetween = (from: number, to: number): number =>
  Math.floor((to - NIGHT_ENDS_MINUTE) / MINUTES_PER_DAY) - Math.floor((from - NIGHT_ENDS_MINUTE) / MINUTES_PER_DAY);

/** How long an instrument has lain cased damp. */
export function dampWords(since: number, now: number): string {
  const nights = nightsBetween(since, now);
  const hours = Math.max(0, Math.round((now - since) / MINUTES_PER_HOUR));
  if (nights > 1) return `Cased damp for ${counted(nights, 'night')}: dry it before anything else`;
  if (nights === 1) return `Cased damp overnight, about ${hours} h`;
  return hours < 1 ? 'Just cased damp' : `Cased damp for about ${hours} h`;
}

/** What that costs, by what it is built of. */
export function dampCost({ body, bag }: Build): readonly WhyLine[] {
  const lines: WhyLine[] = [
    {
      rule: 'cased-damp',
      text: 'Damp works on in the shut case: it moulds, corks swell and pads stick.',
      mark: 'practice',
    },
  ];
  if (body === 'wood') lines.push({ rule: 'damp-wood', text: 'Spit left standing decays wood.', mark: 'practice' });
  if (bag === 'hide')
    lines.push({
      rule: 'damp-hide',
      text: 'A little damp keeps a hide bag supple. Two nights shut in the case is more than a little.',
      mark: 'estimate',
    });
  if (bag === 'synthetic')
    lines.push({ rule: 'damp-bag', text: 'A synthetic bag that is shut wet moulds.', mark: 'practice' });
  lines.push({
    rule: 'damp-half',
    text: 'What drying saves is taken to halve about every hour in the shut case, so soon is better than thorough.',
    mark: 'estimate',
  });
  return lines;
}
