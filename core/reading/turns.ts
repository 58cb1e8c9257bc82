import type { Deed, Verb } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import type { Found } from '#core/reading/misread.ts';
import { sentencesOf, tellsWhat } from '#core/reading/sentences.ts';

const LAST = /\b(?:do (?:it|this) last|goes in last|put .* in last|comes last)\b/i;
const FIRST = /\bfirst$|^do (?:it|this) first\b/i;
const AGAIN = /\bagain(?:,|$| with| and)|^rinse again/i;
const OFF_FIRST = /^take .* off .*\bfirst\b/i;

const JOINS: readonly Verb[] = ['join'];
const isFine = (deed: Deed): boolean =>
  'thing' in deed && ['cap', 'ligature', 'reed', 'mouthpiece'].includes(deed.thing);

/** What an instrument's steps of a run are, before and after the one that is read. */
export type Turn = {
  readonly before: readonly Step[];
  readonly after: readonly Step[];
  /** Does its first deed change anything where it stands? */
  readonly isFirstDone: boolean;
};

/** What a sentence says of a step's turn. */
type Said = { readonly text: string; readonly says: 'last' | 'first' | 'again' | 'off-first' };

/** Sentences of a step that say when its turn is. */
export const turnsIn = (step: Step): Said[] =>
  sentencesOf(step)
    .filter(tellsWhat)
    .flatMap(({ place, text }): Said[] => [
      ...(LAST.test(text) ? [{ text, says: 'last' } as const] : []),
      ...(FIRST.test(text) && (place === 'heading' || /^do/i.test(text)) ? [{ text, says: 'first' } as const] : []),
      ...(place === 'heading' && AGAIN.test(text) && step.does.length > 0 ? [{ text, says: 'again' } as const] : []),
      ...(OFF_FIRST.test(text) ? [{ text, says: 'off-first' } as const] : []),
    ]);

const isJoin = (one: Step): boolean => one.does.some((deed) => JOINS.includes(deed.do) && !isFine(deed));

/** What makes an instrument ready to play, and must not follow what is done last. */
const SETS_UP: readonly Verb[] = ['join', 'hang', 'pull', 'hold'];
const isSetUp = (one: Step): boolean => one.does.some((deed) => SETS_UP.includes(deed.do) && !isFine(deed));

/** A step that is printed before one the book puts before it. */
export const outOfTurn = (step: Step, after: readonly Step[]): Found[] =>
  after
    .filter(({ id }) => step.after.includes(id) || (step.laterThan ?? []).includes(id))
    .map(({ heading }) => ({ rule: 'out-of-turn', text: step.heading, why: `it comes after “${heading}”` }));

/** Is this step in the way of one that says it comes first? Of fine things only the reed is. */
const comesFirst = (step: Step, other: Step): boolean =>
  other.item === step.item &&
  (step.does.some(isFine) ? other.does.some((deed) => deed.do === 'join' && deed.thing === 'reed') : isJoin(other));

/** First, last and again: said of a step, and where it stands. */
export function wrongTurns(said: readonly Said[], step: Step, { before, after, isFirstDone }: Turn): Found[] {
  const mine = new Set(step.does.map((deed) => JSON.stringify(deed)));
  const WHY: Readonly<Record<Said['says'], () => string | null>> = {
    last: () => (after.some(isSetUp) ? 'more is put together after it' : null),
    first: () =>
      before.some((one) => comesFirst(step, one) || (/^do/i.test(step.how ?? '') && isSetUp(one)))
        ? 'something was joined before it'
        : null,
    again: () =>
      before.some((one) => one.does.some((deed) => mine.has(JSON.stringify(deed))))
        ? null
        : 'it has not been done before',
    'off-first': () =>
      isFirstDone && ['uncover', 'part', 'free', 'open'].includes(step.does[0]?.do ?? '')
        ? null
        : 'nothing is taken off first',
  };
  return said.flatMap(({ text, says }): Found[] => {
    const why = WHY[says]();
    return why === null ? [] : [{ rule: 'wrong-turn', text, why }];
  });
}
