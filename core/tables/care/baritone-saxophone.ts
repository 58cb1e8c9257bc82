import { drain } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';
import { WATER_KEY_OF_THE_LOOP } from '#core/tables/care/held-keys.ts';

/** The baritone’s upper loop holds water of its own. Minutes are estimates. */
export const baritoneSaxophone: Page = {
  id: 'baritone-saxophone',
  items: [
    {
      id: 'baritone-saxophone/water',
      name: 'Water out of the upper loop',
      part: 'body',
      trigger: { kind: 'every-play', moment: 'after' },
      severity: 'function',
      why: 'It gathers in the loop, where no cloth reaches it.',
      mark: 'general',
    },
  ],
  steps: [
    {
      id: 'baritone-saxophone/water-key',
      item: 'baritone-saxophone/water',
      part: 'body',
      heading: 'Let the water out of the upper loop',
      how: 'Hold its water key open until no more runs out.',
      holds: WATER_KEY_OF_THE_LOOP,
      minutes: 0.2,
      after: [],
      reaches: ['water-out'],
      must: true,
      harm: 'it gurgles, and the pads below the loop get wet',
      does: [drain('body')],
      mark: 'general',
    },
  ],
  neverDos: [],
};
