import { counted, duration, type Format } from '#core/explain/format.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { CLIP_NOISE, CLIPS_CHANCE, clipsToPitch, type ClipEffect } from '#core/doublereeds/clip-effect.ts';
import { HEARD_WORDS, lookWords } from '#core/doublereeds/look-words.ts';
import type { Crow, Look, LookAnswer, Noticed, ReedStep, SoakSaid } from '#core/doublereeds/examination.ts';
import type { Move } from '#core/doublereeds/next-move.ts';
import {
  AT_MOST,
  IN_TUNE,
  OPENING_CENTS,
  SORT_FIGURES,
  type CrowTarget,
  type ReedSort,
} from '#core/doublereeds/reed-sort.ts';
import type { Scrape } from '#core/reeds/reed.ts';

/** "0.3 mm". */
export const tenthsWords = (tenths: number, format: Format): string => `${format.number(tenths / 10)} mm`;
/** "12 cents flat", "in tune". */
export function centsWords(cents: number): string {
  const size = Math.abs(Math.round(cents));
  return size === 0 ? 'in tune' : `${counted(size, 'cent')} ${cents < 0 ? 'flat' : 'sharp'}`;
}

/** How a step is done, how much, what is expected of it and what is never done with it. */
export type StepWords = {
  readonly title: string;
  readonly how: string;
  readonly expect: string;
  readonly never: string;
};
const TWIST = {
  title: 'Turn the blades back, a trace',
  how: 'Hold the reed at its sides between finger and thumb, and turn the two blades against each other until one lies a trace inside the other.',
  expect: 'The hiss should be gone. Look at it from the side again.',
  never: 'Never while it is dry: it splits. No farther than you can just feel.',
};
const ON_THE_BLADES: Readonly<Record<'close' | 'open', Omit<StepWords, 'expect'>>> = {
  close: {
    title: 'Close the opening a trace',
    how: 'Press the flats lightly between finger and thumb, between the heart and the thread, for two seconds.',
    never: 'Never at the tip, and never while it is dry.',
  },
  open: {
    title: 'Open the tip a trace',
    how: 'Press the two edges lightly between finger and thumb, between the heart and the thread.',
    never: 'Never at the tip, and never while it is dry.',
  },
};
const AT_THE_WIRE: typeof ON_THE_BLADES = {
  close: {
    title: 'Close the opening a trace',
    how: 'With the mandrel in the reed, press the first wire, the one nearer the tip, on its flats with pliers.',
    never: 'Never on the bare blades: they split. A trace, then look.',
  },
  open: {
    title: 'Open the tip a trace',
    how: 'With the mandrel in the reed, press the first wire, the one nearer the tip, at its two sides with pliers.',
    never: 'Never on the bare blades: they split. A trace, then look.',
  },
};

const openingCents = (step: 'close' | 'open'): string =>
  `The crow should ${step === 'close' ? 'rise' : 'fall'} by about ${Math.abs(OPENING_CENTS[step].value)} cents.`;

function clipWords(tenths: number, expected: { cents: number; overshoots: boolean } | null, format: Format): StepWords {
  const size = tenthsWords(tenths, format);
  return {
    title: `Clip ${size} off the tip`,
    how: `Press the blades together and take the thinnest sliver, ${size}, straight off the tip with flush nippers.`,
    expect: expected === null ? '' : `It should come to about ${centsWords(expected.cents)}, and open a little.`,
    never: 'What is cut does not come back: never more than this at a time, and never while it is dry.',
  };
}

/** The words of one step at the table. */
export function stepWords(move: Extract<Move, { move: 'step' }>, sort: ReedSort, format: Format): StepWords {
  const { step, tenths, expected } = move;
  if (step === 'clip') return clipWords(tenths, expected, format);
  if (step === 'twist') return TWIST;
  const said = (SORT_FIGURES[sort].wired ? AT_THE_WIRE : ON_THE_BLADES)[step];
  return { ...said, expect: `${openingCents(step)} Then look into the tip again.` };
}

/** Said before a clip that is expected to end beyond in tune; null where it is not. */
export const overshootWords = (move: Extract<Move, { move: 'step' }>): string | null =>
  move.expected?.overshoots
    ? `This clip will probably bring it ${centsWords(move.expected.cents)}. If it can be played as it is, leave it.`
    : null;

/** "It will take 4 to 6 clips to come up to pitch." */
export function clipsWords(effect: ClipEffect, crow: Crow, tenths: number): string {
  const { fewest, likely, most } = clipsToPitch(effect, { cents: crow.cents ?? 0, tenths, from: crow.from });
  const about = likely === 1 ? 'one clip' : `about ${counted(likely, 'clip')}`;
  const range = most === null ? `${fewest} or many more` : fewest === most ? '' : `${fewest} to ${most}`;
  return `To pitch it is ${about} of that size${range === '' ? '' : `, likely ${range}`}: not all of them today.`;
}

/** Why a clip, how much and what is known of it. */
export function clipWhy(
  { effect, crow, sort, leftTenths }: { effect: ClipEffect; crow: Crow; sort: ReedSort; leftTenths: number },
  format: Format,
): WhyLine[] {
  const { clipCents } = SORT_FIGURES[sort];
  const known =
    effect.clips === 0
      ? `No clip of yours is known yet: ${clipCents.mean.value} ± ${clipCents.spread.value} cents for 0.1 mm is assumed.`
      : `After ${counted(effect.clips, 'clip')} of yours, 0.1 mm raises the crow by about ${format.number(Number(effect.mean.toFixed(1)))} cents.`;
  return [
    {
      rule: 'flat',
      text: `It sits ${centsWords(crow.cents ?? 0)}. Flat begins at ${-IN_TUNE.flat.value} cents.`,
      mark: 'estimate',
    },
    { rule: 'effect', text: known, mark: 'estimate' },
    {
      rule: 'noise',
      text: `One clip is heard to ± ${CLIP_NOISE.value} cents, so a single one says little.`,
      mark: 'estimate',
    },
    {
      rule: 'limits',
      text: `At most ${tenthsWords(AT_MOST.clippedTenths.value, format)} in one sitting; ${tenthsWords(leftTenths, format)} are left for its life.`,
      mark: 'estimate',
    },
    ...(crow.from === 'instrument'
      ? [{ rule: 'half', text: 'On the instrument the pitch moves about half as much.', mark: 'estimate' as const }]
      : []),
    {
      rule: 'range',
      text: `The range holds nine times in ten (${Math.round(CLIPS_CHANCE * 100)} %).`,
      mark: 'estimate',
    },
  ];
}

/** Why the opening is set, and how often. */
export const openingWhy = (format: Format): WhyLine[] => [
  { rule: 'first', text: 'The opening comes before the length: a clip does not come back.', mark: 'practice' },
  {
    rule: 'limits',
    text: `${tenthsWords(AT_MOST.openingTenths.value, format)} at a time, ${counted(AT_MOST.openings.value, 'change')} in one sitting.`,
    mark: 'estimate',
  },
];
export const TWIST_WHY: readonly WhyLine[] = [
  { rule: 'flush', text: 'Edges that lie exactly together let air out at the side.', mark: 'practice' },
];

/** The sentences of a soak: what is awaited, and when it is too long. */
export const SOAK_WORDS: Readonly<Record<Extract<Move, { move: 'soak' }>['why'], { title: string; how: string }>> = {
  first: {
    title: 'Soak it',
    how: 'In plain water of the room, up to the thread. Put the instrument together meanwhile.',
  },
  dry: { title: 'It may be dry again: soak it', how: 'Nothing is done to a dry reed. Lay it in water once more.' },
  again: { title: 'Soak it once more', how: 'What sounds so may only be dry. Lay it in water right up to the thread.' },
  'step-waits': {
    title: 'Leave it in the water a little longer',
    how: 'It can be looked at, but nothing is done to it before it has been soaked for its least.',
  },
};
export const BASSOON_SOAK = 'A bassoon reed is wet through the thread and the back as well, or it leaks on the bocal.';
export const soakWhy = (sort: ReedSort): WhyLine[] => {
  const { least, usual, most } = SORT_FIGURES[sort].soak;
  return [
    {
      rule: 'least',
      text: `At the least ${duration(least.value)}: cane that is not wet through cracks.`,
      mark: least.mark,
    },
    { rule: 'usual', text: `Usually ${duration(usual.value)}.`, mark: usual.mark },
    { rule: 'most', text: `At the most ${duration(most.value)}: longer, it swells and warps.`, mark: most.mark },
  ];
};
export const TAKE_OUT = 'Take it out of the water: longer, it swells and warps.';

const LOOK_NAMES: Readonly<Record<Look, string>> = {
  light: 'Light',
  corners: 'Corners',
  heart: 'Heart',
  offset: 'Edges',
  opening: 'Opening',
  leak: 'Leak',
  lips: 'Lips',
};
/** As it is said within a sentence; what I can or see stays as it is. */
const inMiddle = (words: string): string =>
  words.startsWith('I ') ? words : words.charAt(0).toLowerCase() + words.slice(1);

/** What was seen or heard, as it is read in a list. */
export const lookSaid = (look: Look, answer: LookAnswer, sort: ReedSort, noticed: readonly Noticed[]): string =>
  `${LOOK_NAMES[look]}: ${inMiddle(lookWords(look, sort, noticed).answers[answer] ?? '')}`;
export const crowSaid = ({ heard, cents }: Crow): string =>
  `${HEARD_WORDS[heard]}${cents === null ? '' : `, ${centsWords(cents)}`}`;
export const STEP_SAID: Readonly<Record<ReedStep, string>> = {
  twist: 'Blades turned back a trace',
  close: 'Opening closed a trace',
  open: 'Tip opened a trace',
  clip: 'Clipped',
};
export const stepSaid = (step: ReedStep, tenths: number, format: Format): string =>
  step === 'clip' ? `${STEP_SAID.clip} ${tenthsWords(tenths, format)}` : STEP_SAID[step];
export const SOAK_SAID_WORDS: Readonly<Record<SoakSaid, string>> = {
  in: 'Laid in water again',
  through: 'Soaked through',
};
export const SCRAPE_WORDS: Readonly<Record<Scrape, string>> = {
  long: 'Long scrape',
  short: 'Short scrape',
  unknown: 'I do not know',
};
/** What does not go with a sort of reed, said so that nobody misses it. */
export const NOT_APPLICABLE: Readonly<Record<CrowTarget, string | null>> = {
  octave: null,
  rattle: 'Offset of the blades: not applicable, they meet edge to edge.',
  'pitch-only': 'Octave in the crow: not applicable, it is judged on the instrument.',
  'no-verdict': 'Verdict on the crow: none, as long as nobody says how it is scraped.',
};
