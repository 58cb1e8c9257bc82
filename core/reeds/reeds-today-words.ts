import { asSentence, counted, duration, listed } from '#core/explain/format.ts';
import { reedName } from '#core/reeds/reed-words.ts';
import type { ReedsToday } from '#core/reeds/reeds-today.ts';
import type { ReedChoice } from '#core/reeds/which-reed.ts';

function playWords(one: ReedChoice): string {
  const name = reedName(one.reed);
  if (one.reed.breakIn !== null) return `break in ${name} for ${duration(one.minutes)}`;
  return one.reed.leftToday === null ? `play ${name}` : `play ${name} for up to ${duration(one.reed.leftToday)}`;
}

/** "Open Sorrel, reeds 2, 3 and 4 and play each for 5 min": new ones of one box that are played alike are said in one go. */
function openWords(all: readonly ReedChoice[]): string {
  const [first] = all;
  if (first === undefined) return '';
  if (all.length === 1) return `open ${reedName(first.reed)} and play it for ${duration(first.minutes)}`;
  const numbers = listed(all.map(({ reed }) => String(reed.number)));
  return `open ${first.reed.boxName}, reeds ${numbers} and play each for ${duration(first.minutes)}`;
}

const isAlike = (one: ReedChoice, other: ReedChoice | undefined): boolean =>
  other !== undefined &&
  one.reed.stage === 'new' &&
  other.reed.stage === 'new' &&
  one.reed.box.key === other.reed.box.key &&
  one.minutes === other.minutes;

/** "Break in Fennel 2½, reed 3 for 10 min, then play Fennel 2½, reed 1 for up to 1 h 30 min."; null where no reed is there. */
export function playInOrder({ play }: Pick<ReedsToday, 'play'>): string | null {
  if (play.length === 0) return null;
  const groups = play.reduce<ReedChoice[][]>((before, one) => {
    const last = before.at(-1);
    if (last !== undefined && isAlike(one, last.at(-1))) last.push(one);
    else before.push([one]);
    return before;
  }, []);
  const said = groups.map((group) => {
    const [first] = group;
    return first === undefined ? '' : first.reed.stage === 'new' ? openWords(group) : playWords(first);
  });
  return `${asSentence(said.join(', then '))}.`;
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
function concertWords({ beside, before, wantsSecond }: ReedsToday): string[] {
  const second =
    beside === null
      ? wantsSecond
        ? 'You have no second reed for the concert, and one knock ends a reed: borrow one, or take the least bad one along, soaked.'
        : null
      : `Have ${reedName(beside.reed)} ${wantsSecond ? 'soaked and ' : ''}ready beside it.`;
  return [
    ...(before === null ? [] : [`Practise before it on ${reedName(before.reed)}.`]),
    ...(second === null ? [] : [second]),
  ];
}

function buyWords({ inHand: { have, unopened, least }, buy }: ReedsToday): string | null {
  if (buy === 0) return null;
  if (have + unopened === 0) return `You have no reed. Buy at least ${least}, or borrow one until they come.`;
  return `You have ${counted(have + unopened, 'reed')}. With ${least} in turn each of them lasts longer, so buy ${buy} more.`;
}

/** What to do about reeds today, line by line: what to play, what if it gets longer, what to buy. Never nothing. */
export function reedsTodayWords(today: ReedsToday): string[] {
  const lines = [playInOrder(today), beyondWords(today), ...concertWords(today), buyWords(today)];
  const said = lines.filter((line) => line !== null);
  return said.length > 0 ? said : ['Nothing is to be played on a reed today.'];
}
