import { draw, hold, lay } from '#core/book/deed.ts';
import { IF_IT_BINDS } from '#core/tables/care/cautions.ts';
import type { PageUse, StepSaid } from '#core/book/page.ts';
import { saxophone } from '#core/tables/care/saxophone.ts';

const CAUTIONS = [
  'Feel the cord for knots before every pass.',
  IF_IT_BINDS,
  'Use a soprano’s own thin cloth. The tube is narrow at the neck.',
] as const;
/** The only way in which its mouthpiece is turned on with a reed in place. */
const REED_FIRST = { id: 'sax-reed-on', choices: ['bare-mouthpiece'] } as const;
const pull = (heading: string, fed: string, caught: string, thread: NonNullable<StepSaid['thread']>): StepSaid => ({
  heading,
  how: `Stand the horn up, let the weight down ${fed} and feed the cord after it. Then tip the horn, catch the weight at the ${caught}, draw gently and lay the horn down softly.`,
  cautions: CAUTIONS,
  does: [draw('body', 'neck'), lay('body')],
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
    'saxophone/neck-set',
    'saxophone/cap-before-neck',
    'saxophone/neck-out-again',
    'saxophone/wipe-neck-end',
    'saxophone/neck-into-line',
    'saxophone/uncap-and-try',
  ],
  calls: {
    'saxophone/take-apart': { name: 'Mouthpiece off', why: 'The cork recovers when the mouthpiece is off.' },
    'saxophone/swab-body': { name: 'Swab the tube' },
    'saxophone/plug': { name: 'Cap and ligature on', why: 'The cap guards the tip in the case.' },
  },
  says: {
    'saxophone/lift-body': {
      heading: 'Lift the horn by the bell',
      does: [hold('body')],
      after: [],
    },
    'saxophone/grease-neck-cork': { cautions: ['Grease the cork only.'], after: ['saxophone/hook-strap'] },
    'saxophone/grease-new-cork': { cautions: ['Grease the cork only.'], after: ['saxophone/hook-strap'] },
    'saxophone/hook-strap': { why: 'It leaves both hands free for the mouthpiece.' },
    'saxophone/mouthpiece-on': {
      after: ['saxophone/hook-strap', 'saxophone/grease-neck-cork', 'saxophone/grease-new-cork'],
    },
    'saxophone/reed-on': { after: [] },
    'saxophone/ligature-on': { after: [] },
    'saxophone/cap-on': {
      heading: 'Put the cap on before you turn it',
      harm: 'the tip is knocked while the mouthpiece is turned on',
      method: REED_FIRST,
    },
    'saxophone/cap-off': { after: ['saxophone/mouthpiece-on'], method: REED_FIRST },
    'saxophone/try-octave': {
      how: 'With A the upper pad opens, with G it shuts.',
      after: ['saxophone/hook-strap'],
    },
    'saxophone/swab-body-pass': pull('Swab the tube, in at the bell', 'the bell', 'neck end', {
      in: 'bell',
      out: 'neck',
    }),
    'saxophone/swab-body-down': pull('Swab the tube, in at the top', 'the top', 'bell', {
      in: 'neck',
      out: 'bell',
    }),
  },
};
