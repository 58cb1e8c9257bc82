import type { Page } from '#core/book/page.ts';

/** The sousaphone: shouldered first. Minutes per step are estimates. */
export const sousaphone: Page = {
  id: 'sousaphone',
  items: [
    {
      id: 'sousaphone/shoulder',
      name: 'Shouldered, bell on',
      part: 'bell',
      trigger: { kind: 'every-play', moment: 'before' },
      severity: 'lasting',
      why: 'Bell put on first, the horn topples.',
      mark: 'general',
    },
  ],
  steps: [
    {
      id: 'sousaphone/shoulder-body',
      item: 'sousaphone/shoulder',
      part: 'valve-block',
      action: 'Body shouldered from a stand or kneeling',
      minutes: 0.6,
      after: [],
      needs: ['lifted'],
      harm: 'toppled horn',
      mark: 'general',
    },
    {
      id: 'sousaphone/neck-bits',
      item: 'sousaphone/shoulder',
      part: 'mouthpipe',
      action: 'Neck and bits lined up',
      minutes: 0.3,
      after: ['sousaphone/shoulder-body'],
      harm: 'a crooked neck leaks',
      mark: 'general',
    },
    {
      id: 'sousaphone/bell-screws',
      item: 'sousaphone/shoulder',
      part: 'bell',
      action: 'Bell on, its screws a little at a time, none forced',
      minutes: 0.6,
      after: ['sousaphone/neck-bits'],
      reaches: ['joined'],
      harm: 'stripped screws, horn toppled',
      mark: 'general',
    },
  ],
  neverDos: [
    {
      id: 'sousaphone/bell-first',
      text: 'Put the bell on before the body is shouldered.',
      why: 'It topples.',
      mark: 'general',
    },
  ],
};
