import type { Page } from '#core/book/page.ts';

/** What the piccolo adds to the flute. Minutes per step are estimates. */
export const piccolo: Page = {
  id: 'piccolo',
  items: [
    {
      id: 'piccolo/warm',
      name: 'Warm hands, warm room',
      part: 'body',
      trigger: { kind: 'every-play', moment: 'before' },
      severity: 'lasting',
      why: [
        {
          say: 'A wooden piccolo may crack, and that may be the end of it. Warm it slowly.',
          when: { build: { body: ['wood'] } },
        },
        { say: 'A cold piccolo plays flat and gurgles.', when: { build: { body: ['metal', 'plastic'] } } },
      ],
      mark: 'practice',
      when: { body: ['wood'] },
    },
  ],
  steps: [
    {
      id: 'piccolo/warm-up',
      item: 'piccolo/warm',
      part: 'body',
      heading: 'Warm the piccolo in your hands',
      how: 'Let it come slowly to the warmth of the room before you play.',
      minutes: 1,
      after: [],
      needs: ['hands-ready'],
      reaches: ['warmed'],
      harm: [{ say: 'the wood can crack', when: { build: { body: ['wood'] } } }, 'it plays flat and gurgles'],
      does: [],
      mark: 'general',
    },
  ],
  neverDos: [
    {
      id: 'piccolo/no-bore-oil',
      text: 'Bore oil.',
      why: 'It does nothing for this body and gums the pads.',
      mark: 'practice',
      when: { body: ['metal', 'plastic'] },
    },
    {
      id: 'piccolo/alcohol-wood',
      text: 'Alcohol on a wooden head or body.',
      why: 'It dries it.',
      mark: 'practice',
      when: { body: ['wood'] },
    },
  ],
};
