import type { Heard, Look, LookAnswer, Noticed, PitchFrom } from '#core/doublereeds/examination.ts';
import type { CrowTarget, ReedSort } from '#core/doublereeds/reed-sort.ts';

/** What a look asks, how it is done, and what can be seen. Common practice, as the practice book has it. */
export type LookWords = {
  readonly title: string;
  readonly how: string;
  readonly answers: Readonly<Partial<Record<LookAnswer, string>>>;
};

const CANNOT_TELL = { 'cannot-tell': 'I cannot tell' } as const;
const LOOKED_AT: Readonly<Record<Exclude<Look, 'lips' | 'opening' | 'leak'>, LookWords>> = {
  light: {
    title: 'Hold it up to a lamp. Do you see a crack?',
    how: 'Look through one side, then turn it round and look through the other: one hides the crack of the other. A crack is a bright line that runs down from the tip.',
    answers: { whole: 'No line on either side', crack: 'A line runs down', ...CANNOT_TELL },
  },
  corners: {
    title: 'Are both corners of the tip there?',
    how: 'Look at the tip from the flat side. The corners go first, and the high notes with them.',
    answers: { there: 'Both are there', gone: 'One is gone or frayed', ...CANNOT_TELL },
  },
  heart: {
    title: 'Do you see the heart against the lamp?',
    how: 'Below the pale tip lies a darker patch, about a third of the way down.',
    answers: { seen: 'I see it', missing: 'It looks alike all over', ...CANNOT_TELL },
  },
  offset: {
    title: 'How do the edges meet at the side?',
    how: 'Look along the side of the reed. One half lies a trace inside the other.',
    answers: { nested: 'One lies inside the other', flush: 'They lie exactly together', ...CANNOT_TELL },
  },
};
const OPENING: Readonly<Record<'oboe' | 'bassoon', string>> = {
  oboe: 'Look into the tip from the front. It should be a flat, slim lens, about as high as a thumbnail is thick.',
  bassoon: 'Look into the tip from the front. It should be a flat lens, about as high as a coin is thick.',
};
const LEAK: LookWords = {
  title: 'Does air come out where it should not?',
  how: 'Wet it once more right up to the thread. Then stop the end with a fingertip and blow softly into the tip.',
  answers: { tight: 'No air comes out', leaks: 'Air comes out', ...CANNOT_TELL },
};
/** What is tried with the lips, by what was noticed. */
const LIPS: Readonly<Record<'nothing-sounds' | 'coarse-sharp' | 'one-lip', string>> = {
  'nothing-sounds': 'Take a little more of the reed between the lips, up to its heart, and play one long note.',
  'coarse-sharp': 'Take a little less of the reed between the lips, back to its heart, and play one long note.',
  'one-lip': 'Before a mirror, raise or lower the instrument a little, until both lips press alike.',
};

/** The words of a look, by the sort of reed and by what was noticed. */
export function lookWords(look: Look, sort: ReedSort, noticed: readonly Noticed[]): LookWords {
  if (look === 'opening')
    return {
      title: 'How wide does the tip stand open?',
      how: OPENING[sort === 'bassoon' ? 'bassoon' : 'oboe'],
      answers: { lens: 'A flat, slim lens', gapes: 'It gapes', shut: 'It is nearly shut', ...CANNOT_TELL },
    };
  if (look === 'leak') return LEAK;
  if (look !== 'lips') return LOOKED_AT[look];
  const what = (['nothing-sounds', 'coarse-sharp', 'one-lip'] as const).find((one) => noticed.includes(one));
  return {
    title: 'The lips first: does this mend it?',
    how: LIPS[what ?? 'nothing-sounds'],
    answers: { better: 'Yes, that mends it', same: 'It is as before', ...CANNOT_TELL },
  };
}

/** What somebody notices, before the reed is looked at. */
export const NOTICED_WORDS: Readonly<Record<Noticed, string>> = {
  flat: 'It plays flat',
  sharp: 'It plays sharp',
  sank: 'It sank since yesterday',
  hard: 'Hard to blow, but the high notes are fine',
  'high-weak': 'The high notes are weak',
  'low-weak': 'The low notes are weak',
  hiss: 'It hisses at the side',
  leaks: 'Air comes out at its back',
  'nothing-sounds': 'Nothing sounds',
  'coarse-sharp': 'Loud, coarse and sharp',
  'one-lip': 'One lip tires',
};

export const HEARD_WORDS: Readonly<Record<Heard, string>> = {
  both: 'Both Cs, equally loud',
  'upper-weak': 'The upper C is weak',
  'upper-missing': 'The upper C is missing',
  'lower-weak': 'The lower C is weak',
  'lower-missing': 'The lower C is missing',
  beating: 'Two tones that fight',
  rough: 'Rough, it holds no pitch',
  squeal: 'One high squeal',
  none: 'Nothing, or hardly a sound',
  rattle: 'A rattle of several pitches',
  thin: 'One thin pitch',
  roar: 'Only a roar',
  steady: 'One steady pitch',
};

/** How it is crowed, and what is listened for. */
export const CROW_HOW =
  'Lips up to the thread, without pressing. One even breath of three seconds, then the same again.';
export const CROW_FOR: Readonly<Record<CrowTarget, string>> = {
  octave: 'Listen for a C and the C above it, together and equally loud.',
  rattle: 'Listen for several pitches about E to F that rattle together. No C is asked of a bassoon reed.',
  'pitch-only': 'Listen for a steady pitch. No octave is asked of this reed: that is judged on the instrument.',
  'no-verdict': 'Listen for a steady pitch. What it should be depends on the scrape, which nobody has said.',
};
export const PITCH_WORDS: Readonly<Record<PitchFrom, string>> = {
  crow: 'How far from C do they sit on the tuner?',
  instrument: 'Now on the instrument, one long note in the middle: how far off is it on the tuner?',
};
