import type { Book } from '#core/book/book.ts';
import type { Meanwhile } from '#core/book/break-line.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';
import type { Mark, Marked } from '#core/explain/explained.ts';
import { buildMeets, type Build, type BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { choiceInForce, methodOf } from '#core/methods/chosen-method.ts';
import type { Standing } from '#core/players/player.ts';

/** A line as it is told: what to do, why, and where it comes from. */
export type ToldLine = { readonly id: string; readonly say: string; readonly why: string | null; readonly mark: Mark };

/** What may be done about something that happens while it is played, and what waits. */
export type ToldMeanwhile = Pick<Meanwhile, 'id' | 'sign' | 'mark'> & {
  readonly now: readonly string[];
  /** Null where nothing is to be said of it: a child shows it to somebody, and that is all. */
  readonly later: string | null;
};

export type OnABreak = {
  readonly lines: readonly ToldLine[];
  /** Minutes after which a reed that was wet has dried; null where there is none. */
  readonly reedDries: Marked | null;
  readonly meanwhile: readonly ToldMeanwhile[];
};

type Played = { readonly kind: KindId; readonly build: Build; readonly standing: Standing };
type Row = { readonly kinds: readonly KindId[]; readonly build?: BuildCondition };
const holds =
  ({ kind, build }: Played) =>
  (row: Row): boolean =>
    row.kinds.includes(kind) && buildMeets(build, row.build);

/** Where it stays when its player leaves the chair, by the way in force. */
function leavingTheChair({ choices, context }: MethodSetting): ToldLine[] {
  const method = methodOf(context.book, 'leaving-the-chair');
  const { advice, mark } = method.choices[choiceInForce('leaving-the-chair', choices, context)] ?? {};
  return advice === undefined || mark === undefined ? [] : [{ id: 'place', say: advice, why: null, mark }];
}

/** A child shows what happens to somebody and does no more; whoever is older sees where to look, and what waits. */
function toldMeanwhile(one: Meanwhile, isChild: boolean, likely: readonly string[]): ToldMeanwhile {
  const { id, sign, mark, child, now, later, ofKeys } = one;
  if (isChild) return { id, sign, mark, now: [child], later: null };
  return { id, sign, mark, now: ofKeys ? [...likely, ...now] : now, later };
}

/**
 * What to do on a break with this instrument, and what may be done about things that happen in the middle of playing:
 * lines, and nothing to tick. What a child may not do is not told to one.
 */
export function onABreak({ breaks }: Pick<Book, 'breaks'>, played: Played, methods: MethodSetting): OnABreak {
  const isHere = holds(played);
  const lines = breaks.lines.filter(isHere).map(({ id, say, why = null, mark }) => ({ id, say, why, mark }));
  const likely = breaks.likelyKeys.filter(isHere).map(({ say }) => say);
  return {
    lines: [...lines, ...leavingTheChair(methods)],
    reedDries: isHere(breaks.reedDries) ? breaks.reedDries.minutes : null,
    meanwhile: breaks.meanwhile.filter(isHere).map((one) => toldMeanwhile(one, played.standing === 'child', likely)),
  };
}
