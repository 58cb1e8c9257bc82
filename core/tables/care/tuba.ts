import { hold, lay, pull } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';

/** Tuba and sousaphone: lifted by the main tubing. Minutes per step are estimates. */
export const tuba: Page = {
  id: 'tuba',
  items: [
    {
      id: 'tuba/lift',
      name: 'Lift it out',
      part: 'valve-block',
      trigger: { kind: 'every-play', moment: 'before' },
      severity: 'lasting',
      why: 'Nothing is trodden on, and nothing bends under the weight.',
      mark: 'practice',
    },
  ],
  steps: [
    {
      id: 'tuba/lift-out',
      item: 'tuba/lift',
      part: 'valve-block',
      heading: 'Lift it out by the main tubing, both arms',
      how: 'Lay it down with the valves up.',
      minutes: 0.4,
      after: [],
      needs: ['hands-ready', 'case-open'],
      reaches: ['lifted'],
      does: [hold('valve-block'), lay('valve-block')],
      why: 'Slides are not handles. They bend.',
      mark: 'practice',
    },
    {
      id: 'tuba/main-slide-out',
      item: 'tuba/lift',
      part: 'main-slide',
      heading: 'Set the main slide to its mark',
      how: 'The mark is about 25 mm out.',
      minutes: 0.2,
      after: ['tuba/lift-out', 'brass/shut-case'],
      reaches: ['joined'],
      why: 'The tuner starts from a known place.',
      harm: 'a slide that never moves sets fast',
      does: [pull('main-slide')],
      mark: 'one-voice',
    },
  ],
  neverDos: [],
};
