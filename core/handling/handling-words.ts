import type { Thing } from '#core/book/deed.ts';
import type { Broken, RuleId } from '#core/handling/play-through.ts';

const NAMES: Partial<Record<Thing, string>> = {
  'every-bore': 'bore',
  'every-slide': 'slides',
  'the-bore': 'bore',
  'the-keys': 'keys',
};
const nameOf = (thing: Thing): string => NAMES[thing] ?? thing.replaceAll('-', ' ');

type Say = (thing: string, other: string) => string;

/** Why a move is wrong, as a teacher would say it. The first thing is what was moved, the second what is in the way. */
const WORDS: Readonly<Record<RuleId, Say>> = {
  'not-in-the-case': (thing) => `The ${thing} still lies in the shut case.`,
  'not-put-away': (thing) => `The ${thing} has been put away already.`,
  'not-in-a-bath': (thing) => `The ${thing} still lies in the water.`,
  'in-a-bath': (thing) => `The ${thing} does not lie in the water.`,
  together: (thing, other) => `The ${thing} and the ${other} are not together.`,
  apart: (thing, other) => `The ${thing} and the ${other} are together already.`,
  'tip-covered': () => 'The reed is on and its tip is bare: the cap goes on before anything is turned.',
  'hands-free': (thing, other) => `Both hands are wanted for the ${thing}, and one still holds the ${other}.`,
  'nothing-heavy-meanwhile': (thing, other) =>
    `The ${other} hangs or is held while the ${thing} goes on: settle the ${thing} first.`,
  'swab-at-hand': (thing) => `The ${thing} has been washed or hung up to dry: nothing is dried with it now.`,
  'ends-free': (thing, other) => `The cloth cannot come out of the ${thing}: the ${other} is still on it.`,
  'can-be-drawn-back': (thing) => `Nothing is drawn through the ${thing}: without a tail cord it cannot be drawn back.`,
  'open-at-both-ends': (thing) => `The ${thing} is closed at one end: a cloth comes out the way it went in.`,
  upright: (thing, other) => `Nothing is done at the ${thing} with the ${other} on the shoulder.`,
  'taken-apart': (thing, other) => `The ${thing} is still on the ${other}.`,
  uncoated: (thing, other) => `The ${other} was greased or oiled before: water on the ${thing} takes it off again.`,
  'dry-things-off': (_thing, other) => `The ${other} must stay dry and does not go into the water.`,
  'dry-things-unattached': (thing, other) =>
    `The ${other} must stay dry and is still on the ${thing} when that gets wet.`,
  'not-wet': (thing) => `The ${thing} is still wet: oil and grease hold on dry metal and dry wood.`,
  'not-sour': (thing) => `The ${thing} has not been rinsed since it lay in the acid.`,
  'pads-shielded': () => 'The pads have no paper under them: oil ruins pads.',
  'no-slips': () => 'There are slips of paper under the pads: the keys are worked only without them.',
  'no-fresh-oil': () => 'The bore oil has not been taken up with a dry swab yet.',
  'was-open': (thing) => `The ${thing} is not open.`,
  'was-shut': (thing) => `The ${thing} is open already.`,
  'was-out': (thing) => `The ${thing} is in already.`,
  shielded: () => 'There are no slips of paper under the pads.',
  'locked-slide': () => 'The hand slide is not locked: the outer slide runs out.',
  'unlocked-slide': () => 'The hand slide is still locked: the outer slide does not come off.',
  'not-blocked': (thing) => `Nothing is pulled while something is stuck: the ${thing} waits for the bench.`,
  'valves-in': (thing) => `The ${thing} lie on their cloth: no valve can be pressed.`,
  'clean-fingers': (thing) =>
    `There is oil or grease on the fingers: the ${thing} goes to the lips and comes before it.`,
  'rim-bare': (thing, other) => `The ${other} still covers the ${thing}.`,
  'not-greased-yet': (thing) => `The ${thing} was greased or oiled before: this takes it off again.`,
  once: (thing) => `The ${thing} has been done already in this run.`,
  'in-place': (thing) => `The ${thing} has been taken out: it is done one after the other, in its place.`,
  'empty-case': (thing) => `The case is not empty: the ${thing} is still in it.`,
  'fits-its-place': (thing, other) => `The ${thing} does not fit its place with the ${other} on it.`,
  'guarded-and-dry': (thing, other) =>
    other === '' ? `The ${thing} goes into the case wet.` : `The ${thing} is not on the ${other}.`,
  'everything-in': (thing) => `The case is shut, and the ${thing} is not in its place.`,
  'set-down-first': (thing) =>
    `The ${thing} still hangs or is held when hands turn to another instrument: set it down first.`,
  'soaks-too-long': (thing) => `The ${thing} is left to soak longer than is good for it.`,
  'left-open': (thing) => `The ${thing} is left open.`,
  'left-shielded': () => 'Slips of paper are left under the pads.',
  'left-in-a-bath': (thing) => `The ${thing} is left lying in the water.`,
  'left-wet': (thing) => `The ${thing} is left wet.`,
  'left-oily': (thing) => `The ${thing} is left with wet oil in it.`,
  'left-apart': (thing, other) => `The ${thing} is not put back on the ${other}.`,
  'left-dry': () => 'Water has run through the rotors, and they are not oiled afterwards.',
};

/** A broken rule in words, without the step. */
export const whyWrong = ({ rule, thing, other }: Pick<Broken, 'rule' | 'thing' | 'other'>): string =>
  WORDS[rule](nameOf(thing), other === null ? '' : nameOf(other));

/** A broken rule with its steps, for the proof. */
export const brokenWords = (broken: Broken): string => {
  const at = broken.step === null ? 'at the end' : `at ${broken.step}`;
  return `${at}${broken.by === null ? '' : ` after ${broken.by}`}: ${whyWrong(broken)} (${broken.rule})`;
};
