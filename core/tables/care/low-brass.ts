import { drain, hold } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';

/** Baritone, euphonium, tuba: weight, and lower slides. Minutes per step are estimates. */
export const lowBrass: Page = {
  id: 'low-brass',
  items: [
    {
      id: 'low-brass/lift',
      name: 'Lift it out',
      part: 'valve-block',
      trigger: { kind: 'every-play', moment: 'before' },
      severity: 'lasting',
      why: 'The tube is soft. Slides bend, valves lock, and the horn falls out of the hand.',
      mark: 'practice',
    },
    {
      id: 'low-brass/lower-slides',
      name: 'Empty the lower slides',
      part: 'valve-slides',
      trigger: { kind: 'every-play', moment: 'after' },
      severity: 'function',
      why: 'On low brass water stands in the lower slides as well.',
      mark: 'practice',
    },
  ],
  steps: [
    {
      id: 'low-brass/lift-out',
      item: 'low-brass/lift',
      part: 'valve-block',
      heading: 'Lift it out round the valve block',
      how: 'Your second hand is under the bottom bow.',
      minutes: 0.3,
      after: [],
      needs: ['hands-ready', 'case-open'],
      reaches: ['lifted'],
      why: 'Slides are not handles. They bend.',
      does: [hold('valve-block')],
      mark: 'general',
    },
    {
      id: 'low-brass/lower-water',
      item: 'low-brass/lower-slides',
      part: 'valve-slides',
      heading: 'Let the water out of the lower slides too',
      how: 'Turn the horn as you do it.',
      minutes: 0.5,
      after: ['brass/water-keys'],
      needs: ['slides-tried'],
      harm: 'water reaches the valves',
      does: [drain('valve-slides')],
      reaches: ['water-out'],
      mark: 'practice',
    },
  ],
  neverDos: [
    {
      id: 'low-brass/thin-lift',
      text: 'Lift it by slides or valve slides.',
      why: 'Hold the main tubing with both arms. Hold a baritone or euphonium round the valves, with a second hand under the bottom bow.',
      mark: 'practice',
    },
  ],
};
