/** The layers of the practice book. A kind's practice is the sum of its layers, common ones first. */
export const LAYER_IDS = [
  'wind',
  'swab',
  'keyed',
  'tenons',
  'wooden-bore',
  'single-reed',
  'double-reed',
  'clarinet',
  'bass-clarinet',
  'saxophone',
  'oboe',
  'cor-anglais',
  'bassoon',
  'flute',
  'piccolo',
  'bamboo-flute',
  'highland-pipes',
  'brass',
  'piston-brass',
  'low-brass',
  'tuba',
  'rotary-brass',
  'rotary-tuba',
  'sousaphone',
  'horn',
  'trombone',
] as const;
export type LayerId = (typeof LAYER_IDS)[number];

/** `layer/words`. Ids stand in players' histories: once shipped they are never renamed or reused. */
export type CareItemId = `${LayerId}/${string}`;
export type StepId = `${LayerId}/${string}`;
