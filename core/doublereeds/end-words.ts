import type { Crow } from '#core/doublereeds/examination.ts';
import type { TableEnd } from '#core/doublereeds/next-move.ts';
import { SORT_FIGURES, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import { centsWords } from '#core/doublereeds/table-words.ts';
import type { Standing } from '#core/players/player.ts';

/** An end: what it is, and what to do now. */
export type EndWords = { readonly title: string; readonly text: string };
type EndCase = {
  readonly standing: Standing;
  readonly sort: ReedSort;
  readonly crow: Crow | null;
  readonly stepped: boolean;
};

/** Who is asked: a child and a pupil have somebody beside them. */
const ASK: Readonly<Record<Standing, string>> = {
  'grown-up': 'Show it to your teacher or to its maker.',
  pupil: 'Show it to your teacher.',
  child: 'Show it to your teacher, or to the grown-up who helps you.',
};
const TOMORROW = 'Play it, and look at it again tomorrow: wet and played, it changes by itself.';

const FIXED: Readonly<Partial<Record<TableEnd, EndWords>>> = {
  retired: { title: 'This reed is played no more', text: 'Take another one.' },
  cracked: {
    title: 'It is cracked: put it away',
    text: 'A crack ends a reed. It happens without any fault of the player. It is in the record as split.',
  },
  'corners-gone': {
    title: 'It will end within days',
    text: 'Without its corners the high notes go, and it grows harder to blow. Open the next one today, and order where none is left.',
  },
  'poor-heart': {
    title: 'A poor reed: for practice only',
    text: 'Without a heart it has nothing to lean on. Practise on it, or send it back to its maker.',
  },
  leaks: {
    title: 'It leaks at its back: put it away',
    text: 'Soaked through and still leaking, nothing closes it. It is in the record as leaking.',
  },
  lips: {
    title: 'It was the lips, not the reed',
    text: 'Nothing is done to the reed. Play two minutes of long notes so before a mirror, and tell your teacher.',
  },
  contradicts: {
    title: 'What is seen and what is heard do not agree',
    text: 'Let it rest, soak it anew tomorrow, and look and crow again.',
  },
  'play-sharp': {
    title: 'A little sharp: leave it',
    text: 'Nothing is taken off it: shorter, it would be sharper still. It comes down as it is played in.',
  },
  'no-verdict': {
    title: 'Play it',
    text: 'What its crow should be depends on its scrape. Say which it is on its box, and the table judges the crow, too.',
  },
  'play-in': {
    title: 'Play it in: 10 minutes a day, three days',
    text: 'It is hard and its high notes are fine. Cutting would make the tip thicker. Play it 10 minutes a day for three days, then look again.',
  },
  'opening-unseen': {
    title: 'Play it as it is',
    text: 'What is done about it depends on its opening. Look into the tip with somebody who knows it.',
  },
  'life-clipped': {
    title: 'It has been clipped enough for its life',
    text: 'Shorter it would not become better. Play it for practice as long as it lasts, and open the next.',
  },
  'no-rise': {
    title: 'Three clips have raised nothing: stop',
    text: 'It is not its length that is wrong. Play another one.',
  },
  overshoots: {
    title: 'Leave it: a clip would go too far',
    text: 'By what your clips have done, it would end farther from pitch than it is. A little flat can be played.',
  },
  keep: { title: 'Keep it', text: 'Nothing is wrong with it. A new one is played in: 10 minutes on its first day.' },
  'send-back': { title: 'Send it back', text: 'A reed that arrives like this is not yours to mend.' },
};

/** Ends whose sentence leaves it to somebody else. */
const ASKED: Readonly<Partial<Record<TableEnd, EndWords>>> = {
  'maybe-cracked': {
    title: 'It may be cracked: nothing is done to it today',
    text: 'Look at it again tomorrow against a lamp, from both sides.',
  },
  'show-flush': {
    title: 'Its edges lie exactly together',
    text: 'That is put right in a moment by somebody who knows it.',
  },
  'show-opening': { title: 'Its opening is not right', text: 'Somebody who knows it sets it, a trace at a time.' },
  'show-flat': { title: 'It is flat', text: 'Play it as it is, and do not pinch it up with the lips.' },
  'show-leak': { title: 'It lets air out', text: 'It is wet through and still hisses.' },
  'show-lips': { title: 'Let your lips be looked at', text: 'Nothing is done to the reed.' },
  'still-flush': { title: 'Its edges still lie together', text: 'Once is enough for today.' },
  'blades-unequal': {
    title: 'Its two halves are unequal',
    text: 'Two tones fight, and there is no crack. Its maker can even it out.',
  },
  'never-steady': { title: 'It holds no pitch', text: 'It is whole and wet, and still rough. Play another one.' },
  'never-sounds': {
    title: 'It hardly speaks',
    text: 'It is wet and open, and still nothing steady sounds. Its tip may be too thick.',
  },
  'high-weak': {
    title: 'Its high notes will be weak',
    text: 'Its corners are there and its tip is open. Use it where nothing high is played.',
  },
  'low-weak': {
    title: 'Its low notes will be weak',
    text: 'Its heart or its back is too thick. That is work for its maker.',
  },
};

/** What its crow says where all is well. */
function playWords({ sort, crow, stepped }: EndCase): EndWords {
  const cents = crow?.cents ?? 0;
  const said =
    SORT_FIGURES[sort].crow === 'octave'
      ? Math.abs(cents) <= 10
        ? 'Both Cs are there and in tune.'
        : `Both Cs are there, ${centsWords(cents)}.`
      : `It sounds as it should, ${centsWords(cents)}.`;
  return { title: 'Play it', text: stepped ? `${said} ${TOMORROW}` : said };
}

/** What an end says, for whoever holds the reed. No tool is named in any of it. */
export function endWords(end: TableEnd, given: EndCase): EndWords {
  const { standing, crow, stepped } = given;
  if (end === 'play') return playWords(given);
  if (end === 'enough-today')
    return crow?.cents == null
      ? {
          title: 'Enough for today: let it rest',
          text: 'Its opening has been changed often enough. Look at it again tomorrow.',
        }
      : { title: 'Enough for today: play it', text: `It is ${centsWords(crow.cents)}. ${TOMORROW}` };
  const fixed = FIXED[end];
  if (fixed) return stepped && end.startsWith('play') ? { ...fixed, text: `${fixed.text} ${TOMORROW}` } : fixed;
  const asked = ASKED[end];
  return { title: asked?.title ?? '', text: `${asked?.text ?? ''} ${ASK[standing]}` };
}
