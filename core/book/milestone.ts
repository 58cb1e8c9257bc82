/**
 * States of the instrument that several steps lead up to. A shared page can say "once the bore is dry" without knowing
 * which steps of which kind dry it; a step that needs a milestone comes after every step of the run that leads there.
 */
export const MILESTONES = [
  'hands-ready',
  'case-open',
  'reed-wetting',
  'corks-ready',
  'lifted',
  'warmed',
  'joined',
  'water-out',
  'reed-off',
  'mouthpiece-off',
  'bocal-off',
  'mouthpiece-dry',
  'parted',
  'bore-dry',
  'sockets-dry',
  'pads-dry',
  'swab-used',
  'keys-clean',
  'wiped',
  'slides-tried',
  'mouthpipe-brushed',
  'slides-greased',
  'keys-oiled',
  'bore-oiled',
  'blowpipe-off',
  'bag-held',
  'valve-looked-at',
  'valves-in',
  'washed',
] as const;
export type Milestone = (typeof MILESTONES)[number];
