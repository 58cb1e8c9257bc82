import type { ReedFeel } from '#core/reeds/reed.ts';

/** What is done with a single reed that is tried, one thing after the other. */
export type TrialStep =
  | { readonly step: 'play' }
  | { readonly step: 'feel' }
  | { readonly step: 'flatten' }
  | { readonly step: 'move'; readonly way: 'up' | 'down' }
  | { readonly step: 'grade'; readonly feel: ReedFeel };

/** How it feels, before anything is made of it. */
export const TRIAL_FEELS = ['too-hard', 'stuffy', 'right', 'too-soft'] as const;
export type TrialFeel = (typeof TRIAL_FEELS)[number];

/** Where a trial stands: what has been tried on it already. */
export type Trial = { readonly at: TrialStep; readonly flattened: boolean; readonly moved: boolean };

/** Wet, level, play: how every trial begins. */
export const BEGIN: Trial = { at: { step: 'play' }, flattened: false, moved: false };

/** It has been done: the reed is played again, and asked how it feels. */
export function trialDone(trial: Trial): Trial {
  const { at, flattened, moved } = trial;
  if (at.step === 'play') return { ...trial, at: { step: 'feel' } };
  return {
    at: { step: 'play' },
    flattened: flattened || at.step === 'flatten',
    moved: moved || at.step === 'move',
  };
}

/**
 * What comes of how it feels (common practice): hard or stuffy, its back is rubbed flat, where it has one; still hard, it is
 * set a hair down, which makes it easier; too soft, a hair up. Only what stays so is a grade.
 */
export function trialFelt(trial: Trial, feel: TrialFeel, hasBack: boolean): Trial {
  const { flattened, moved } = trial;
  if (feel === 'right') return { ...trial, at: { step: 'grade', feel } };
  if (feel === 'too-soft') return { ...trial, at: moved ? { step: 'grade', feel } : { step: 'move', way: 'up' } };
  if (hasBack && !flattened) return { ...trial, at: { step: 'flatten' } };
  return { ...trial, at: moved ? { step: 'grade', feel: 'too-hard' } : { step: 'move', way: 'down' } };
}

export const TRIAL_WORDS: Readonly<
  Record<'play' | 'flatten' | 'up' | 'down', { readonly title: string; readonly how: string }>
> = {
  play: {
    title: 'Wet it, set it level, play a minute',
    how: 'Its tip is level with the tip of the mouthpiece, and nobody touches it.',
  },
  flatten: {
    title: 'Rub its back flat, and try again',
    how: 'In circles on plain paper, which is rough enough. It may only have bulged.',
  },
  down: {
    title: 'Set it a hair down, and try again',
    how: 'Down is easier. A hair to one side balances it.',
  },
  up: {
    title: 'Set it a hair up, and try again',
    how: 'Up is harder. A hair to one side balances it.',
  },
};
export const TRIAL_FEEL_WORDS: Readonly<Record<TrialFeel, string>> = {
  'too-hard': 'too hard',
  stuffy: 'stuffy',
  right: 'right',
  'too-soft': 'too soft',
};
