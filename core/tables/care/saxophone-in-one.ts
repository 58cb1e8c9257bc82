import { draw, hold } from '#core/book/deed.ts';
import type { PageUse, StepSaid } from '#core/book/page.ts';
import { saxophone } from '#core/tables/care/saxophone.ts';

const CAUTIONS = [
  'If it binds, stop and ease it back the way it came; still stuck: the bench.',
  'A soprano’s own thin cloth: the tube is narrow at the neck.',
] as const;
/** The only way in which its mouthpiece is turned on with a reed in place. */
const REED_FIRST = { id: 'sax-reed-on', choices: ['bare-mouthpiece'] } as const;
const HOW = 'Cord run through the fingers before every pass. The neck is part of the tube: the cloth goes all the way.';
const pull = (action: string, thread: NonNullable<StepSaid['thread']>): StepSaid => ({
  action,
  how: HOW,
  cautions: CAUTIONS,
  does: [draw('body', 'neck')],
  after: ['saxophone/unhook', 'saxophone/mouthpiece-off'],
  thread,
});

/** A soprano in one piece: its neck does not come off, so nothing is joined or stowed but the mouthpiece (common practice). */
export const saxophoneInOne: PageUse = {
  page: saxophone,
  when: { pieces: ['one-piece'] },
  without: [
    'saxophone/dry-neck',
    'saxophone/take-neck',
    'saxophone/wipe-receiver',
    'saxophone/neck-in',
    'saxophone/neck-screw',
    'saxophone/neck-off',
    'saxophone/neck-off-last',
    'saxophone/pull-through-neck',
    'saxophone/plug-in',
    'saxophone/neck-stowed',
    'saxophone/clean-neck-tenon',
    'saxophone/grease-neck-tenon',
  ],
  calls: {
    'saxophone/take-apart': { name: 'Mouthpiece off', why: 'The cork recovers when the mouthpiece is off.' },
    'saxophone/swab-body': { name: 'Swab the tube' },
    'saxophone/plug': { name: 'Cap and ligature on', why: 'The cap guards the tip in the case.' },
  },
  says: {
    'saxophone/lift-body': {
      action: 'Horn lifted by the bell',
      does: [hold('body')],
      after: [],
    },
    'saxophone/grease-neck-cork': { cautions: ['Cork only.'], after: ['saxophone/hook-strap'] },
    'saxophone/grease-new-cork': { cautions: ['Cork only.'], after: ['saxophone/hook-strap'] },
    'saxophone/hook-strap': { why: 'Both hands free for the mouthpiece.' },
    'saxophone/mouthpiece-on': {
      after: ['saxophone/hook-strap', 'saxophone/grease-neck-cork', 'saxophone/grease-new-cork'],
    },
    'saxophone/reed-on': { after: [] },
    'saxophone/ligature-on': { after: [] },
    'saxophone/cap-on': { action: 'Cap on', harm: 'tip knocked while the mouthpiece is turned on', method: REED_FIRST },
    'saxophone/cap-off': { harm: 'no sound at all', after: ['saxophone/mouthpiece-on'], method: REED_FIRST },
    'saxophone/try-octave': {
      action: 'Octave key with A, then with G: the upper pad opens, then shuts',
      after: ['saxophone/hook-strap'],
    },
    'saxophone/swab-body-pass': pull('Tube: weight into the bell, tip, catch it at the neck end, draw gently', {
      in: 'bell',
      out: 'neck',
    }),
    'saxophone/swab-body-down': pull('Tube: weight in at the neck end, tip, catch it at the bell, draw gently', {
      in: 'neck',
      out: 'bell',
    }),
  },
};
