import type { FaultFigures, FaultSign, SignId, StopRule } from '#core/book/fault.ts';
import { gainOfNamed, gainOfSign } from '#core/faults/gain.ts';
import type { FaultNet } from '#core/faults/fault-net.ts';
import type { CauseHere, FaultsHere, TogetherHere } from '#core/faults/faults-for.ts';
import type { Belief } from '#core/faults/noisy-or.ts';
import type { Answers } from '#core/faults/stops.ts';
import type { PlayerAbilities } from '#core/players/player.ts';

/** An answer expected to tell less than this is not asked for (estimate). */
export const WORTH_BITS = 0.01;
/** A tool, or taking apart, waits for a plain look that tells as much as this (estimate). */
export const LOOK_FIRST_BITS = 0.1;

/** A question with what its answer is expected to tell, and what it takes. */
export type Question = {
  /** What is asked about; of several that one look shows, the one that tells most. */
  readonly sign: FaultSign;
  /** Where several are asked about at once: how it is asked, and what can be named. */
  readonly together: TogetherHere | null;
  /** The rule that stops the instrument on a yes; then neither gain nor effort decides. */
  readonly stop: StopRule | null;
  /** What its answer is expected to tell; 0 where a rule asks it, whatever it tells. */
  readonly bits: number;
  readonly effort: number;
};

/**
 * What it takes to answer: the minutes and half a minute, twice that where it must come apart, three times where a tool is
 * needed (estimates of the practice book).
 */
export function effortOf(
  { sort, minutes, apart, tool }: Pick<FaultSign, 'sort' | 'minutes' | 'apart' | 'tool'>,
  figures: FaultFigures,
): number {
  const plain = (minutes ?? (sort === 'complaint' ? figures.thinkingBack.value : 0)) + figures.effortOfAnswer.value;
  return plain * (apart ? figures.effortApart.value : 1) * (tool === undefined ? 1 : figures.effortTool.value);
}

/** The effort of one look that shows several. */
const effortOfLook = ({ minutes, apart }: TogetherHere, figures: FaultFigures): number =>
  effortOf({ sort: 'look', minutes, ...(apart && { apart }) }, figures);

/** The question a rule asks before anything that could make it worse. */
export const stopQuestion = (stop: StopRule, sign: FaultSign, { figures }: FaultsHere): Question => ({
  sign,
  together: null,
  stop,
  bits: 0,
  effort: effortOf(sign, figures),
});

/** Everything else that may be noticed and nothing was said of yet, as one question; null where there is next to nothing. */
export function whatElseQuestion(
  { here, player }: { readonly here: FaultsHere; readonly player: PlayerAbilities },
  answers: Answers,
): Question | null {
  const signs = here.whatElse.signs.filter((sign) => !answers.has(sign.id) && isForThem(sign, player));
  const [sign, second] = signs;
  if (sign === undefined || second === undefined) return null;
  const together = { ...here.whatElse, signs };
  return { sign, together, stop: null, bits: 0, effort: effortOfLook(together, here.figures) };
}

/** May this person look for it by themselves? */
const isForThem = ({ notAlone }: FaultSign, { standing }: PlayerAbilities): boolean =>
  notAlone !== true || standing === 'grown-up';

/** What is asked from: the causes in question, their net, and what is believed of them. */
export type Weighed = { readonly causes: readonly CauseHere[]; readonly net: FaultNet; readonly belief: Belief };

const placeOf = ({ net }: Weighed, { id }: FaultSign): number => net.signAt.get(id) ?? -1;

type Open = { readonly sign: FaultSign; readonly bits: number };

/** Looks that show two or more of what is still open: each is one question. */
function looksOf({ together, figures }: FaultsHere, weighing: Weighed, open: readonly Open[]): Question[] {
  return together.flatMap((look): Question[] => {
    const shown = look.signs.flatMap((sign) => open.find((one) => one.sign.id === sign.id) ?? []);
    if (shown.length < 2) return [];
    const signs = shown.map(({ sign }) => sign);
    const most = shown.reduce((best, one) => (one.bits > best.bits ? one : best));
    const bits = gainOfNamed(
      weighing.net,
      weighing.belief,
      signs.map((sign) => placeOf(weighing, sign)),
    );
    return [{ sign: most.sign, together: { ...look, signs }, stop: null, bits, effort: effortOfLook(look, figures) }];
  });
}

const needsNothing = ({ sign, together }: Question): boolean =>
  together ? together.apart !== true : sign.tool === undefined && sign.apart !== true;

/**
 * The question that tells most for its effort among those this person may answer. No tool and no taking apart before a
 * look that is still worth its while. Only what a cause in question shows is asked about; where one is as good as sure
 * before anybody has looked, the one look that comes before its remedy is at that cause itself. What one look shows is one
 * question.
 */
export function bestQuestion(
  { here, player }: { readonly here: FaultsHere; readonly player: PlayerAbilities },
  weighing: Weighed,
  answers: Answers,
  surest: CauseHere | null = null,
): Question | null {
  const { net, belief, causes } = weighing;
  const shown = new Set((surest ? [surest] : causes).flatMap(({ links }) => links.map(({ sign }) => sign)));
  const open = here.signs
    .filter((sign) => !answers.has(sign.id) && isForThem(sign, player))
    .map((sign): Open => ({ sign, bits: shown.has(sign.id) ? gainOfSign(net, belief, placeOf(weighing, sign)) : 0 }));
  const looks = looksOf(here, weighing, open).filter((look) => look.together?.signs.some(({ id }) => shown.has(id)));
  const seen = new Set(looks.flatMap(({ together }) => together?.signs.map(({ id }) => id) ?? []));
  const alone = open
    .filter(({ sign }) => shown.has(sign.id) && !seen.has(sign.id))
    .map(({ sign, bits }): Question => ({
      sign,
      together: null,
      stop: null,
      bits,
      effort: effortOf(sign, here.figures),
    }));
  const worth = [...alone, ...looks].filter(({ bits }) => bits >= WORTH_BITS);
  const plain = worth.filter((one) => one.bits >= LOOK_FIRST_BITS && needsNothing(one));
  return (plain.length > 0 ? plain : worth).reduce<Question | null>(
    (best, one) => (best === null || one.bits / one.effort > best.bits / best.effort ? one : best),
    null,
  );
}

/** The signs a question asks about; of several the one first that tells most. */
export const askedSigns = ({ sign, together }: Question): SignId[] => [
  sign.id,
  ...(together?.signs.map(({ id }) => id).filter((id) => id !== sign.id) ?? []),
];
