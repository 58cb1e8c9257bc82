import type { SeenTogether, WhatElse } from '#core/book/fault.ts';

/** What a good teacher asks once the first look has not settled it: a minute is an estimate. */
export const WHAT_ELSE: WhatElse = {
  question: 'What else do you notice?',
  how: 'Go through the list, and choose everything that is so. What you leave out is taken as not so.',
  minutes: 1,
  mark: 'general',
};

/** What one look shows: asked as one question wherever an instrument can have two of these at the least. */
export const SEEN_TOGETHER: readonly SeenTogether[] = [
  {
    question: 'Look closely at the keys. What do you see?',
    how: 'Look at the key that is not right beside its neighbours: under it, along its rod, at its spring and its screws.',
    minutes: 1,
    signs: ['keyed/cork-gone', 'keyed/seen-bent', 'keyed/spring-seen', 'keyed/screw-proud'],
    mark: 'general',
  },
  {
    question: 'Look at the pads from the side. What do you see?',
    how: 'Look along the keys against the light, at one pad after the other. Touch none of them.',
    minutes: 1,
    signs: ['keyed/pad-torn', 'keyed/pad-gone', 'keyed/pads-crooked'],
    mark: 'general',
  },
  {
    question: 'In a mirror: how much of the mouthpiece is in the mouth?',
    how: 'Play as always, and look from the side. As always, and neither much nor little, is “none of these”.',
    minutes: 1.5,
    signs: ['single-reed/much-in-mouth', 'single-reed/little-in-mouth'],
    mark: 'general',
  },
  {
    question: 'How does the opening of the soaked reed look?',
    how: 'Soak it first. Then look at the tip from the front.',
    minutes: 0.5,
    signs: ['double-reed/gapes', 'double-reed/shut-seen'],
    mark: 'general',
  },
  {
    question: 'In a mirror: where do the lips lie on the reed?',
    how: 'Play as always, and look from the side.',
    minutes: 0.5,
    signs: ['double-reed/lips-at-tip', 'double-reed/lips-deep'],
    mark: 'general',
  },
  {
    question: 'Look at the bocal on the bassoon. What do you see?',
    minutes: 0.3,
    signs: ['bassoon/whisper-open', 'bassoon/bocal-dented'],
    mark: 'general',
  },
  {
    question: 'Look at the blowing edge. How is it?',
    how: 'Hold it to the light, and look at it from above.',
    minutes: 0.5,
    signs: ['bamboo/edge-chipped', 'bamboo/edge-dirty'],
    mark: 'general',
  },
  {
    question: 'Look at the head against the light. What do you see?',
    how: 'Look into the windway, at the edge under the window and at the block. Put nothing in.',
    minutes: 0.7,
    signs: ['recorder/fluff-seen', 'recorder/edge-nicked', 'recorder/block-stands'],
    mark: 'general',
  },
  {
    question: 'Take out the reed of that drone. How is it?',
    minutes: 0.7,
    apart: true,
    signs: ['pipes/drone-reed-wet', 'pipes/drone-reed-open'],
    mark: 'general',
  },
  {
    question: 'Take out the chanter reed. How is it?',
    how: 'Hold it at its foot, never at the blades.',
    minutes: 0.5,
    apart: true,
    signs: ['pipes/reed-wet', 'pipes/reed-edge'],
    mark: 'general',
  },
  {
    question: 'Look at the top of that valve. What do you find?',
    how: 'Turn the button lightly with two fingers, and look at the felt under it.',
    minutes: 0.5,
    signs: ['piston/stem-loose', 'piston/felt-worn'],
    mark: 'general',
  },
  {
    question: 'Look at the linkage of that rotor. What do you see?',
    how: 'Look from the string of the lever to the small plate that stops the rotor.',
    minutes: 0.5,
    signs: ['rotary/string-slack', 'rotary/stop-worn'],
    mark: 'general',
  },
];
