import { hangUp, wash } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';
import { estimate, oneVoice, practice } from '#core/explain/explained.ts';

/** What every cloth needs that has been through a bore. Minutes per step are estimates. */
export const swab: Page = {
  id: 'swab',
  items: [
    {
      id: 'swab/air',
      name: 'Swab out to dry',
      part: 'swab',
      trigger: { kind: 'every-play', moment: 'after' },
      severity: 'person',
      why: 'A wet cloth in a closed case grows mould in days.',
      mark: 'practice',
    },
    {
      id: 'swab/wash',
      name: 'Wash the swab',
      part: 'swab',
      trigger: {
        kind: 'clock-by-method',
        method: 'swab-wash',
        limbs: {
          weekly: { days: oneVoice(7) },
          fortnightly: { days: oneVoice(14) },
          monthly: { months: practice(1) },
          replace: { months: estimate(3) },
        },
      },
      severity: 'person',
      wornBy: 'playing',
      why: 'What it has wiped out of the bore stays in the cloth. A month is the very latest, whatever the method.',
      firstNote: 'unless-fresh',
      mark: 'one-voice',
    },
  ],
  steps: [
    {
      id: 'swab/hang',
      item: 'swab/air',
      part: 'swab',
      heading: 'Hang the swab up to dry',
      how: 'If it cannot hang, stow it loose outside the case.',
      minutes: 0.15,
      after: [],
      needs: ['swab-used', 'bore-dry', 'sockets-dry'],
      must: true,
      why: 'A swab is never shut wet in the case.',
      harm: 'a damp cloth grows mould in days',
      does: [hangUp('swab')],
      mark: 'practice',
    },
    {
      id: 'swab/wash-cloth',
      item: 'swab/wash',
      part: 'swab',
      heading: 'Wash the swab and hang it up to dry',
      how: 'Take off the chain or weight first. Replace the swab when it has grown thin.',
      minutes: 2,
      after: [],
      needs: ['swab-used', 'bore-dry', 'sockets-dry'],
      harm: 'last week’s dirt goes back into the bore',
      supplies: ['dish soap'],
      does: [wash('swab'), hangUp('swab')],
      alsoDoes: ['swab/air'],
      mark: 'practice',
    },
  ],
  neverDos: [],
};
