import type { CauseId, SignId } from '#core/book/fault.ts';
import { faultNet, NO_OUTCOMES, type FaultNet } from '#core/faults/fault-net.ts';
import type { CauseHere, FaultsHere } from '#core/faults/faults-for.ts';
import { interview, type Interview, type InterviewWay } from '#core/faults/interview.ts';
import { chanceOfSign } from '#core/faults/noisy-or.ts';
import { askedSigns, type Question } from '#core/faults/questions.ts';
import { answered, answeredOfAll, type Said } from '#core/faults/said.ts';
import type { PlayerAbilities } from '#core/players/player.ts';

/** A number from 0 up to 1, each time another; seeded by whoever hands it in. */
export type Dice = () => number;

/** One invented case: what is wrong, what can be noticed, and how each question would be answered. */
export type Case = {
  /** Nothing of the list where it is empty. */
  readonly causes: readonly CauseId[];
  readonly noticed: readonly SignId[];
  readonly answers: ReadonlyMap<SignId, 'yes' | 'no'>;
};

/** By how much the world differs from the tables: every odds of a cause and of a link is off by up to this factor. */
export type Off = 1 | 3;

const GROWN_UP: PlayerAbilities = { standing: 'grown-up', does: ['key-oil', 'screws'] };

/** A world as the tables have it, or with each odds off by a factor drawn for it, even on the scale of logarithms. */
export function worldOf(here: FaultsHere, off: Off, dice: Dice): FaultNet {
  const net = faultNet(here, { risks: new Set(), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES }, here.causes);
  const moved = (chance: number): number => {
    if (chance <= 0 || chance >= 1) return chance;
    const odds = (chance / (1 - chance)) * off ** (2 * dice() - 1);
    return odds / (1 + odds);
  };
  return {
    ...net,
    priors: net.priors.map(moved),
    signs: net.signs.map(({ leak, misses }) => ({ leak, misses: misses.map(moved) })),
  };
}

/** A case of a world in which somebody notices something: one or two complaints of those there are. */
export function caseOf(here: FaultsHere, world: FaultNet, dice: Dice): Case {
  for (;;) {
    const there = world.priors.flatMap((prior, cause) => (dice() < prior ? [cause] : []));
    const shows = here.signs.map((sign, index) => {
      const row = world.signs[index];
      return { sign, is: row !== undefined && dice() < chanceOfSign(row, there) };
    });
    const complaints = shows.filter(({ sign, is }) => sign.sort === 'complaint' && is).map(({ sign }) => sign.id);
    if (there.length === 0 || complaints.length === 0) continue;
    const first = Math.floor(dice() * complaints.length);
    const noticed = complaints.filter((_, index) => index === first || (index === first + 1 && dice() < 0.5));
    return {
      causes: there.flatMap((cause) => world.causeIds[cause] ?? []),
      noticed,
      answers: new Map(shows.map(({ sign, is }) => [sign.id, dice() < world.wrong === is ? 'no' : 'yes'] as const)),
    };
  }
}

const noticedIn = ({ noticed }: Case): Said[] => noticed.map((sign) => ({ sign, answer: 'yes', noticed: true }));
const asking = (here: FaultsHere, way: InterviewWay, said: readonly Said[]): Interview =>
  interview({
    here,
    beforehand: { risks: new Set(), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES },
    player: GROWN_UP,
    way,
    said,
    tried: [],
  });

/** How an interview ended, and what was said in it. */
export type Ended = { readonly stands: Interview; readonly said: readonly Said[] };

/** How the person of a case answers: of several that one look shows, the first that is so is named; else all of them. */
export function answerIn({ answers }: Case, question: Question): Said {
  const asked = askedSigns(question);
  const offered = question.together?.signs.map(({ id }) => id) ?? asked;
  if (question.together?.several)
    return answeredOfAll(
      offered,
      offered.filter((sign) => answers.get(sign) === 'yes'),
    );
  const named = offered.find((sign) => answers.get(sign) === 'yes');
  return named === undefined ? answered(asked, 'no') : answered(asked, 'yes', named);
}

/** The interview of a case, each question answered as the case has it, to its end. */
export function interviewed(here: FaultsHere, one: Case, way: InterviewWay): Ended {
  const said = noticedIn(one);
  for (;;) {
    const stands = asking(here, way, said);
    if (stands.next === null) return { stands, said };
    said.push(answerIn(one, stands.next));
  }
}

/** What would be believed of a case if every question were answered. */
export function allAnswered(here: FaultsHere, one: Case): Ended {
  const said = noticedIn(one);
  for (const [sign, answer] of one.answers)
    if (!one.noticed.includes(sign) && !here.stops.some((stop) => stop.sign === sign))
      said.push({ sign, answer, noticed: false });
  return { stands: asking(here, 'sure', said), said };
}

/** How a verdict fits a case: is the first of its causes there, is one of the first three, and are the hands right? */
export type Fit = { readonly cause: boolean; readonly firstThree: boolean; readonly hand: boolean };

/** Where an interview stopped the instrument, the bench's hands are right and what is suspected comes second. */
export function fitOf(here: FaultsHere, { causes }: Case, { chances, notInList, stopped }: Interview): Fit {
  const inOrder = [...here.causes]
    .map((cause) => ({ cause, chance: chances.get(cause.id) ?? 0 }))
    .sort((a, b) => b.chance - a.chance);
  const [first] = inOrder;
  const isThere = (one: CauseHere | undefined) => one !== undefined && causes.includes(one.id);
  const isOther = causes.length === 0;
  const saysOther = first === undefined || notInList > first.chance;
  const hands = new Set(here.causes.filter(isThere).map(({ remedy }) => remedy.hand));
  const hand = saysOther ? 'bench' : first.cause.remedy.hand;
  return {
    cause: isOther ? saysOther : !saysOther && isThere(first.cause),
    firstThree: isOther
      ? notInList > (inOrder[2]?.chance ?? 0)
      : inOrder.slice(0, 3).some(({ cause }) => isThere(cause)),
    hand: stopped !== null || (isOther ? hand === 'bench' : hands.has(hand)),
  };
}
