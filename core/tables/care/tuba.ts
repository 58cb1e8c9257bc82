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
      action: 'Lift it out by the main tubing with both arms, laid down valves up',
      minutes: 0.4,
      after: [],
      needs: ['hands-ready', 'case-open'],
      reaches: ['lifted'],
      harm: 'a bent slide, the horn on the floor',
      does: [hold('valve-block'), lay('valve-block')],
      mark: 'practice',
    },
    {
      id: 'tuba/main-slide-out',
      item: 'tuba/lift',
      part: 'main-slide',
      action: 'Main slide to its mark, about 25 mm out',
      minutes: 0.2,
      after: ['tuba/lift-out', 'brass/shut-case'],
      reaches: ['joined'],
      why: 'The tuner starts from a known place.',
      harm: 'a dry slide sets',
      does: [pull('main-slide')],
      mark: 'one-voice',
    },
  ],
  neverDos: [],
};
