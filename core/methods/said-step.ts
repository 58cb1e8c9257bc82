import type { ConditionId } from '#core/book/condition-ids.ts';
import type { Deed } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import {
  linesOf,
  SAID_OF_A_STEP,
  type Line,
  type LineWhen,
  type SaidOfAStep,
  type StepText,
  type Words,
} from '#core/book/words.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';

/** What a line may hang on: the build, the choices in force (none before methods are chosen) and the conditions. */
export type Saying = {
  readonly build: Build;
  readonly chosen: ReadonlyMap<string, string>;
  readonly conditions: readonly ConditionId[];
};

/** Does what a line hangs on hold? Before methods are chosen, what hangs on one is not said. */
export const isSaid = (when: LineWhen | undefined, { build, chosen, conditions }: Saying): boolean =>
  when === undefined ||
  (buildMeets(build, when.build) &&
    (when.method === undefined || when.method.choices.includes(chosen.get(when.method.id) ?? '')) &&
    (when.condition === undefined || conditions.includes(when.condition)));

const isSame = (one: Deed, other: Deed): boolean => JSON.stringify(one) === JSON.stringify(other);

const isOfAny = ({ of }: Line, does: readonly Deed[]): boolean =>
  of === undefined || does.some((deed) => isSame(deed, of));

/** Does it hang on anything but the build? */
const hangs = ({ when, of }: Line): boolean =>
  of !== undefined || when?.method !== undefined || when?.condition !== undefined;
export const hangsOnMore = (text: StepText): boolean => SAID_OF_A_STEP.some((said) => linesOf(text[said]).some(hangs));

/** The conditions lines of these words hang on. */
export const conditionsIn = (text: StepText): ConditionId[] =>
  SAID_OF_A_STEP.flatMap((said) => linesOf(text[said]).flatMap(({ when }) => when?.condition ?? []));

/** Both, the second after the first. */
export const inTurn = (first: Words | undefined, then: Words | undefined): Words | undefined =>
  first === undefined ? then : then === undefined ? first : [...linesOf(first), ...linesOf(then)];

/**
 * The words of a step for one instrument and player. Sentences follow one another; of several clauses that finish "If you
 * skip this:" the first that holds is said; cautions and supplies stay lists.
 */
export function textSaid(
  text: StepText,
  does: readonly Deed[],
  saying: Saying,
): Partial<Pick<Step, 'how' | 'why' | 'harm' | 'cautions' | 'supplies'>> {
  const said = (words: Words | undefined): string[] =>
    linesOf(words)
      .filter((line) => isSaid(line.when, saying) && isOfAny(line, does))
      .map(({ say }) => say);
  const [how, why, cautions, supplies] = [said(text.how), said(text.why), said(text.cautions), said(text.supplies)];
  const [harm] = said(text.harm);
  return {
    ...(how.length > 0 ? { how: how.join(' ') } : {}),
    ...(why.length > 0 ? { why: why.join(' ') } : {}),
    ...(harm === undefined ? {} : { harm }),
    ...(cautions.length > 0 ? { cautions } : {}),
    ...(supplies.length > 0 ? { supplies } : {}),
  };
}

/** A step or row without its words: they are said anew. */
export function wordless<Row extends StepText>(row: Row): Omit<Row, SaidOfAStep> {
  const { how: _how, why: _why, harm: _harm, cautions: _cautions, supplies: _supplies, ...bare } = row;
  return bare;
}
