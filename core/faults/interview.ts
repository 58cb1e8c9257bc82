import type { Cause, CauseId, FaultFigures, SignId } from '#core/book/fault.ts';
import { faultNet, inQuestion, type Beforehand, type FaultNet } from '#core/faults/fault-net.ts';
import { isOfWhatElse, signHere, type CauseHere, type FaultsHere } from '#core/faults/faults-for.ts';
import { beliefIn, type Observed } from '#core/faults/noisy-or.ts';
import { bestQuestion, stopQuestion, whatElseQuestion, type Question, type Weighed } from '#core/faults/questions.ts';
import { answersOf, stillSaid, type Said, type StillSaid, type Tried } from '#core/faults/said.ts';
import { stoppedByAnswer, stopToAsk, type Answers, type Stopped } from '#core/faults/stops.ts';
import type { PlayerAbilities } from '#core/players/player.ts';

/** A quick guess: the best three after at most five questions; or to be sure. */
export const INTERVIEW_WAYS = ['quick', 'sure'] as const;
export type InterviewWay = (typeof INTERVIEW_WAYS)[number];
export const QUICK_QUESTIONS = 5;
/**
 * From this chance of something not in question on, and after so many answers, every cause of the list comes into question
 * (estimates).
 */
const ELSEWHERE = 0.2;
const ELSEWHERE_AFTER = 1;
/** To be sure takes so many answers, where so many tell anything: two looks, and what else is noticed (estimate). */
const SURE_AFTER = 3;
/** So many answers come before a step that is right for whatever it may be (estimate): a first look, and what else is noticed. */
const ONE_STEP_AFTER = 2;
/** "I cannot tell" so often running leads to a person. */
export const UNSURE_RUNNING = 3;
/** An answer less likely than this beside the earlier ones goes against one of them (estimate). */
const AGAINST = 0.08;

export type InterviewAsked = {
  readonly here: FaultsHere;
  readonly beforehand: Beforehand;
  readonly player: PlayerAbilities;
  readonly way: InterviewWay;
  readonly said: readonly Said[];
  readonly tried: readonly Tried[];
};

/** How likely a cause is, as it is said. */
export const CHANCE_WORDS = ['nearly-sure', 'likely', 'possible'] as const;
export type ChanceWord = (typeof CHANCE_WORDS)[number];
export type Suspected = { readonly cause: CauseHere; readonly chance: number; readonly word: ChanceWord };

/** Why nothing more is asked. */
export type InterviewEnd =
  'stopped' | 'clear' | 'same-step' | 'asked-enough' | 'nothing-to-ask' | 'cannot-tell' | 'not-in-list';

export type Interview = {
  /** Likeliest first; what is less than possible is not among them. */
  readonly suspected: readonly Suspected[];
  /** The chance of each cause, and of what is not in the list. */
  readonly chances: ReadonlyMap<CauseId, number>;
  readonly notInList: number;
  readonly stopped: Stopped | null;
  readonly next: Question | null;
  readonly end: InterviewEnd | null;
  /** Questions answered after what was noticed. */
  readonly asked: number;
  /** An earlier answer the last one goes against. */
  readonly against: SignId | null;
};

/** How likely it is said to be; null under "possible". */
export function chanceWord(chance: number, { nearlySure, likely, possible }: FaultFigures): ChanceWord | null {
  if (chance >= nearlySure.value) return 'nearly-sure';
  if (chance >= likely.value) return 'likely';
  return chance >= possible.value ? 'possible' : null;
}

/** Two causes whose next step is one: the same care of the same hands, or the same advice. */
export const sameStep = (one: Cause, other: Cause): boolean =>
  one.remedy.hand === other.remedy.hand &&
  (one.remedy.hand !== 'player' ||
    (one.remedy.care ?? one.remedy.heading) === (other.remedy.care ?? other.remedy.heading));

/** What the net is told: "I cannot tell" tells nothing; a remedy that helped is a sign of its own. */
function observed(net: FaultNet, answers: Answers, tried: readonly Tried[]): Observed[] {
  const signs = [...answers].flatMap(([sign, answer]) => {
    const at = net.signAt.get(sign);
    return at === undefined || answer === 'cannot-tell' ? [] : [{ sign: at, yes: answer === 'yes' }];
  });
  const remedies = tried.flatMap(({ cause, helped }) => {
    const at = net.remedyAt.get(cause);
    return at === undefined ? [] : [{ sign: at, yes: helped }];
  });
  return [...signs, ...remedies];
}

/**
 * An earlier answer without which the last one would have been least surprising, where it goes against them.
 *
 * @param ofAnswers the chance of all answers together, the last one among them
 */
function goesAgainst(net: FaultNet, stands: readonly StillSaid[], ofAnswers: number): SignId | null {
  const known = stands.filter(({ answers }) => observed(net, new Map(answers), []).length > 0);
  const last = known.at(-1);
  if (last === undefined || known.length < 2) return null;
  const chanceOf = (some: readonly StillSaid[]): number =>
    beliefIn(net, observed(net, new Map(some.flatMap(({ answers }) => answers)), [])).ofAnswers;
  const earlier = known.slice(0, -1);
  if (ofAnswers / chanceOf(earlier) >= AGAINST) return null;
  const without = earlier.map((one) => {
    const others = earlier.filter((other) => other !== one);
    return { sign: one.answers[0]?.[0] ?? one.said.sign, chance: chanceOf([...others, last]) / chanceOf(others) };
  });
  const most = without.reduce((best, one) => (one.chance > best.chance ? one : best));
  return most.chance >= AGAINST ? most.sign : null;
}

const unsureRunning = (said: readonly Said[]): number => {
  let running = 0;
  for (const { answer } of said) running = answer === 'cannot-tell' ? running + 1 : 0;
  return running;
};

type SoFar = Omit<Interview, 'end' | 'chances' | 'against'>;

/** Is what is suspected enough to act on? A first look comes before the first remedy, where one tells anything. */
function actsOn(way: InterviewWay, { suspected, next, asked }: SoFar): 'clear' | 'same-step' | null {
  const [first, ...others] = suspected;
  if (first === undefined || (asked === 0 && next !== null)) return null;
  const isAfter = (answers: number) => next === null || asked >= answers;
  if (first.word === 'nearly-sure') return way === 'quick' || isAfter(SURE_AFTER) ? 'clear' : null;
  const isOneStep = first.word === 'likely' && others.every(({ cause }) => sameStep(first.cause, cause));
  return isOneStep && way === 'quick' && isAfter(ONE_STEP_AFTER) ? 'same-step' : null;
}

/** Why the interview is at its end; null while there is something to ask. */
function endOf({ way, said, here }: InterviewAsked, stands: SoFar): InterviewEnd | null {
  const { stopped, next, notInList, asked } = stands;
  if (stopped !== null) return 'stopped';
  // What stops an instrument is asked however sure the rest is.
  if (next?.stop) return null;
  const acted = actsOn(way, stands);
  if (acted !== null) return acted;
  if (unsureRunning(said) >= UNSURE_RUNNING) return 'cannot-tell';
  if (next === null) return notInList >= here.figures.likely.value ? 'not-in-list' : 'nothing-to-ask';
  return way === 'quick' && asked >= QUICK_QUESTIONS ? 'asked-enough' : null;
}

/** Answers about what was noticed: what only decides whether it may be played says nothing of where else to look. */
const looksIn = (said: readonly Said[], { stops }: FaultsHere): number =>
  said.filter(({ noticed, sign }) => !noticed && stops.every((rule) => rule.sign !== sign)).length;

/**
 * What is believed of the causes in question. Once something that is not among them has grown, every cause comes into
 * question: what was noticed may have come along with another fault.
 */
function weighed({ here, beforehand, said, tried }: InterviewAsked, answers: Answers): Weighed {
  const weigh = (causes: readonly CauseHere[]): Weighed => {
    const net = faultNet(here, beforehand, causes);
    return { causes, net, belief: beliefIn(net, observed(net, answers, tried)) };
  };
  const seen = new Set([...answers].flatMap(([sign, answer]) => (answer === 'yes' ? [sign] : [])));
  const narrow = weigh(inQuestion(here, seen));
  const elsewhere = narrow.belief.chance[narrow.causes.length] ?? 0;
  const looked = looksIn(said, here);
  return looked >= ELSEWHERE_AFTER && elsewhere >= ELSEWHERE ? weigh(here.causes) : narrow;
}

/** What is possible at the least and shows something of what is so, the likeliest first. */
const suspectedIn = ({ causes, belief }: Weighed, answers: Answers, figures: FaultFigures): Suspected[] =>
  causes
    .flatMap((cause, index): Suspected[] => {
      const chance = belief.chance[index] ?? 0;
      const word = chanceWord(chance, figures);
      const showsAny = cause.links.some(({ sign }) => answers.get(sign) === 'yes');
      return word === null || !showsAny ? [] : [{ cause, chance, word }];
    })
    .sort((a, b) => b.chance - a.chance);

/**
 * Is it time to ask what else is noticed? After the first look, if that has not settled it; to be sure also where it has,
 * after the second. Once: where most of it was left without a word, it is not asked for again.
 */
function isTimeForTheRest({ said, way, here }: InterviewAsked, first: Suspected | undefined): boolean {
  const ofTheRest = said.filter(({ sign, noticed }) => !noticed && isOfWhatElse(here, [sign]));
  if (ofTheRest.length > 1) return false;
  const looked = looksIn(said, here);
  return first?.word === 'nearly-sure' ? way === 'sure' && looked > 1 : looked > 0;
}

type Known = { readonly answers: Answers; readonly answered: number; readonly suspected: readonly Suspected[] };

/**
 * What is asked next: first what stops the instrument by rule, then what tells most; what else is noticed, once the first
 * look has not settled it.
 */
function nextQuestion(
  asked: InterviewAsked,
  weighing: Weighed,
  { answers, answered, suspected: [first] }: Known,
): Question | null {
  const { here, beforehand } = asked;
  const stop = stopToAsk(here, answers, beforehand.risks);
  const sign = stop && signHere(here, stop.sign);
  if (stop && sign) return stopQuestion(stop, sign, here);
  const rest = isTimeForTheRest(asked, first) ? whatElseQuestion(asked, answers) : null;
  if (rest) return rest;
  const surest = answered === 0 && first?.word === 'nearly-sure' ? first.cause : null;
  return bestQuestion(asked, weighing, answers, surest) ?? bestQuestion(asked, weighing, answers);
}

/**
 * How an interview stands after what was said: what is suspected, what is asked next or why nothing is, and what is
 * stopped. The chances are exact over sets of up to three causes; stops go by rule, never by chance.
 *
 * @throws RangeError where a figure of the tables is no chance
 */
export function interview(asked: InterviewAsked): Interview {
  const { here, said } = asked;
  const answers = answersOf(said);
  const weighing = weighed(asked, answers);
  const { net, belief } = weighing;
  const suspected = suspectedIn(weighing, answers, here.figures);
  const stopped = stoppedByAnswer(here, answers);
  const volunteered = new Set(said.filter((one) => one.noticed).map(({ sign }) => sign));
  const stands = stillSaid(said);
  const answered = stands.filter((one) => !volunteered.has(one.said.sign)).length;
  const next = stopped === null ? nextQuestion(asked, weighing, { answers, answered, suspected }) : null;
  const so = { suspected, notInList: belief.chance[net.causeIds.length] ?? 0, stopped, next, asked: answered };
  const end = endOf(asked, so);
  return {
    ...so,
    chances: new Map(net.causeIds.map((id, index) => [id, belief.chance[index] ?? 0])),
    next: end === null ? next : null,
    end,
    against: asked.tried.length > 0 ? null : goesAgainst(net, stands, belief.ofAnswers),
  };
}
