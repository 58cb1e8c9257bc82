import { asSentence, counted, duration } from '#core/explain/format.ts';
import { reedName } from '#core/reeds/reed-words.ts';
import type { ReedsToday } from '#core/reeds/reeds-today.ts';
import type { ReedChoice } from '#core/reeds/which-reed.ts';

const isUnlimited = ({ reed }: ReedChoice): boolean => reed.box.material === 'synthetic';

function playWords(one: ReedChoice): string {
  const name = reedName(one.reed);
  if (one.reed.stage === 'new') return `open ${name} and play it for ${duration(one.minutes)}`;
  if (one.reed.breakIn !== null) return `break in ${name} for ${duration(one.minutes)}`;
  return isUnlimited(one) ? `play ${name}` : `play ${name} for up to ${duration(one.reed.leftToday ?? one.minutes)}`;
}

/** "Break in Fennel 2½, reed 3 for 10 min, then play Fennel 2½, reed 1 for up to 1 h 30 min."; null where no reed is there. */
export function playInOrder({ play }: Pick<ReedsToday, 'play'>): string | null {
  if (play.length === 0) return null;
  return `${asSentence(play.map(playWords).join(', then '))}.`;
}

function beyondWords({ play, beyond }: ReedsToday): string | null {
  if (beyond === null) return null;
  const name = reedName(beyond.reed);
  const isOnly = play.every(({ reed }) => reed === beyond.reed);
  if (play.length === 0)
    return `Every reed has had its play. If you play all the same, play on ${name}: it wears sooner for it.`;
  return isOnly
    ? `If you play longer, stay on it: you have no other. It wears sooner for it.`
    : `If you play longer than that, the other ${duration(beyond.minutes)} are on ${name}. It wears sooner for it.`;
}

/** At a concert: what is practised on before it, and what stands ready beside it. */
function concertWords({ beside, before }: ReedsToday): string[] {
  return [
    ...(before === null ? [] : [`Practise before it on ${reedName(before.reed)}.`]),
    ...(beside === null ? [] : [`Have ${reedName(beside.reed)} ready beside it.`]),
  ];
}

function buyWords({ inHand: { have, unopened, least } }: ReedsToday): string | null {
  const missing = least - have - unopened;
  if (missing <= 0) return null;
  if (have + unopened === 0) return `You have no reed. Buy at least ${least}, or borrow one until they come.`;
  return `You have ${counted(have + unopened, 'reed')}. With ${least} in turn each of them lasts longer, so buy ${missing} more.`;
}

/** What to do about reeds today, line by line: what to play, what if it gets longer, what to buy. Never nothing. */
export function reedsTodayWords(today: ReedsToday): string[] {
  const lines = [playInOrder(today), beyondWords(today), ...concertWords(today), buyWords(today)];
  const said = lines.filter((line) => line !== null);
  return said.length > 0 ? said : ['Nothing is to be played on a reed today.'];
}
