import { brush, cover, free, grease, join, part, shut, stow, toAndFro } from '#core/book/deed.ts';
import { estimate } from '#core/explain/explained.ts';
import type { Method, WholeStep } from '#core/book/method.ts';
import { IF_IT_BINDS } from '#core/tables/care/cautions.ts';
import { KEYED, SAXOPHONES, SINGLE_REEDS, SWABBED, WIDE_SAXOPHONES } from '#core/tables/instruments/kind-groups.ts';
import { all, always, neckComesOff, tougherPads } from '#core/tables/methods/asked-of.ts';

/** Solvents on a pad seat are for metal bodies; a piccolo may be of wood or plastic. */
const METAL_BODIES = [...SAXOPHONES, 'flute'] as const;
const CAPPED = 'the reed dries in a wave and breeds germs, and the mouthpiece behind it stays wet';

const NECK_LOOSE = 'the octave key is bent by the next morning';
const PULL_THROUGH = ['pull-through'] as const;
const ROLLS_ABOUT = 'the mouthpiece rolls about in the case';
/** The mouthpiece with the reed left on it, under its cap. */
const CAPPED_STOWED: WholeStep = {
  heading: 'Lay the capped mouthpiece in its place',
  how: 'The cap stays on.',
  harm: ROLLS_ABOUT,
  does: [stow('mouthpiece')],
};

/** What is done at once when the playing is over. */
export const AFTER_PLAYING = {
  'bamboo-parting': {
    question: 'Is it taken apart after every play?',
    moment: 'After playing',
    askedOf: [{ kinds: ['bamboo-flute'], build: { pieces: ['two-piece'] } }],
    choices: {
      joined: {
        words: 'no: wiped and capped as it is, and parted only to travel',
        mark: 'one-voice',
        without: [
          'bamboo-flute/marks',
          'bamboo-flute/push',
          'bamboo-flute/tap-apart',
          'bamboo-flute/top-in-bag',
          'bamboo-flute/lower-in-bag',
        ],
        says: {
          'bamboo-flute/tape': {
            whole: {
              heading: 'Part it, and tape the tenon',
              how: 'Tap the knuckles of the joint until the halves come loose. Smooth a turn of clear tape down on the tenon. Join the halves by their marks.',
              supplies: ['clear tape'],
              does: [part('lower-half', 'top-half'), join('lower-half', 'top-half')],
            },
          },
          'bamboo-flute/ease': {
            whole: {
              heading: 'Part it, and grease the tenon a trace',
              how: 'Tap the knuckles of the joint until the halves come loose. Rub light grease in until nothing stands on it. Join the halves by their marks.',
              cautions: ['Only a trace.'],
              supplies: ['light grease'],
              does: [part('lower-half', 'top-half'), grease('tenons'), join('lower-half', 'top-half')],
            },
          },
        },
      },
      parted: {
        words: 'yes, after every play',
        mark: 'practice',
        cost: 'each parting wears the joint it should spare',
      },
    },
    usual: always('joined', 'each parting wears the joint; it is parted to travel'),
  },
  'clarinet-swab-path': {
    question: 'How is the clarinet swabbed?',
    moment: 'After playing',
    askedOf: all('clarinet'),
    choices: {
      whole: {
        words: 'in one pull from the bell out at the mouthpiece',
        mark: 'practice',
        cost: 'sockets keep a ring of water, and the cloth runs past the mouthpiece tip',
      },
      'body-only': { words: 'mouthpiece off, body whole, bell to barrel', mark: 'practice' },
      'by-joint': { words: 'taken apart, each piece alone', mark: 'practice' },
    },
    usual: always('by-joint', 'it spares the mouthpiece tip and reaches the sockets'),
  },
  'sax-swab-path': {
    question: 'Is the neck off when the body is swabbed?',
    moment: 'After playing',
    askedOf: neckComesOff,
    choices: {
      apart: {
        words: 'neck off, three pieces',
        mark: 'practice',
        order: [['saxophone/neck-off', 'saxophone/mouthpiece-off']],
      },
      'neck-left-on': {
        words: 'mouthpiece off, silk from the bell out through the neck in one',
        mark: 'practice',
        without: ['saxophone/neck-off', 'saxophone/swab-neck', 'saxophone/swab-body-pass', 'saxophone/swab-body-down'],
        order: [
          ['saxophone/mouthpiece-off', 'saxophone/pull-through-neck'],
          ['saxophone/unhook', 'saxophone/pull-through-neck'],
        ],
        says: { 'saxophone/unhook': { adds: { how: 'Do this before you tip it. The strap would pull it over.' } } },
        notWith: { method: 'swab-cloth', choices: ['cored'], why: 'a cored swab never goes through the neck' },
        cost: 'the neck gets no cloth of its own',
      },
    },
    usual: always('apart', 'the neck gets its own cloth; left on when minutes are short'),
  },
  'sax-drying-order': {
    question: 'Which piece is dried first?',
    moment: 'After playing',
    askedOf: neckComesOff,
    choices: {
      'mouthpiece-neck-body': {
        words: 'mouthpiece, neck, body',
        mark: 'practice',
        order: [
          ['saxophone/swab-mouthpiece', 'saxophone/swab-neck'],
          ['saxophone/swab-mouthpiece', 'saxophone/pull-through-neck'],
          ['saxophone/swab-neck', 'saxophone/swab-body-pass'],
          ['saxophone/swab-neck', 'saxophone/swab-body-down'],
          ['saxophone/swab-mouthpiece', 'saxophone/swab-body-pass'],
          ['saxophone/swab-mouthpiece', 'saxophone/swab-body-down'],
        ],
      },
      'body-then-reed-and-neck': {
        words: 'body, then mouthpiece and neck; the reed is moved first all the same',
        mark: 'practice',
        order: [
          ['saxophone/swab-body-pass', 'saxophone/swab-mouthpiece'],
          ['saxophone/swab-body-down', 'saxophone/swab-mouthpiece'],
          ['saxophone/pull-through-neck', 'saxophone/swab-mouthpiece'],
          ['saxophone/swab-body-pass', 'saxophone/swab-neck'],
          ['saxophone/swab-body-down', 'saxophone/swab-neck'],
        ],
        cost: 'the wettest pieces wait longest',
      },
      'neck-and-mouthpiece-together-then-body': {
        words: 'neck and mouthpiece together, then the body',
        mark: 'practice',
        order: [
          ['saxophone/swab-neck', 'saxophone/swab-body-pass'],
          ['saxophone/swab-neck', 'saxophone/swab-body-down'],
          ['saxophone/swab-mouthpiece', 'saxophone/swab-body-pass'],
          ['saxophone/swab-mouthpiece', 'saxophone/swab-body-down'],
          ['saxophone/swab-mouthpiece', 'saxophone/pull-through-neck'],
        ],
      },
    },
    usual: always('mouthpiece-neck-body', 'wettest first, the reed off at once'),
  },
  'sax-swab-direction': {
    question: 'Which way does the cloth go through the body?',
    moment: 'After playing',
    askedOf: all(...SAXOPHONES),
    choices: {
      'bell-to-top': { words: 'in at the bell, out at the top', mark: 'practice' },
      'top-to-bell': {
        words: 'in at the top, out at the bell',
        mark: 'practice',
        notWith: {
          method: 'sax-swab-path',
          choices: ['neck-left-on'],
          why: 'with the neck left on the cloth goes from the bell out at the neck',
        },
      },
    },
    usual: always('bell-to-top', 'water stays away from the upper stack; either is better than none'),
  },
  'sax-body-swab': {
    question: 'How often is the body swabbed?',
    moment: 'After playing',
    askedOf: all(...SAXOPHONES),
    choices: {
      'every-play': { words: 'after every play', mark: 'practice' },
      seldom: {
        words: 'seldom: left to air',
        mark: 'practice',
        off: ['saxophone/swab-body'],
        says: {
          'saxophone/swab-mouthpiece': { adds: { how: 'A paper towel does as well.' } },
        },
        notWith: {
          method: 'sax-swab-path',
          choices: ['neck-left-on'],
          why: 'there the one pull through body and neck is all the drying there is',
        },
        cost: 'palm-key and G-sharp pads stay wet longer and stick sooner',
      },
    },
    usual: always('every-play', 'mouthpiece and neck matter most'),
  },
  'sax-mouthpiece-swab': {
    question: 'How often is the mouthpiece swabbed?',
    moment: 'After playing',
    askedOf: all(...SAXOPHONES),
    choices: {
      'every-play': { words: 'after every play', mark: 'practice' },
      'now-and-then': {
        words: 'when it looks dirty',
        mark: 'practice',
        off: ['saxophone/dry-mouthpiece'],
        cost: 'film and germs nearest the mouth',
      },
    },
    usual: always('every-play', 'it is nearest the mouth'),
  },
  'sax-mouthpiece-stowed': {
    question: 'Where does the mouthpiece travel?',
    moment: 'After playing',
    askedOf: neckComesOff,
    choices: {
      'off-capped': { words: 'on its own, capped', mark: 'practice' },
      'on-neck-in-sleeve': {
        words: 'back on the neck, in a pouch',
        mark: 'practice',
        says: {
          'saxophone/cap-mouthpiece': [
            {
              when: { method: { id: 'reed-after-playing', choices: ['off'] } },
              whole: {
                heading: 'Put the mouthpiece back on the dry neck',
                how: 'Turn it on gently. Then slide ligature and cap on, clear of the tip: a rammed cap chips it.',
                harm: 'the bare tip is knocked in the case',
                does: [join('mouthpiece', 'neck'), cover('mouthpiece')],
              },
            },
            {
              when: { method: { id: 'reed-after-playing', choices: ['capped'] } },
              whole: {
                heading: 'Put the capped mouthpiece back on the neck',
                how: 'The neck is dry by now. Turn the mouthpiece on gently; its cap stays on.',
                harm: 'it rolls about in the case',
                does: [join('mouthpiece', 'neck')],
              },
            },
          ],
        },
        order: [
          ['saxophone/swab-neck', 'saxophone/cap-mouthpiece'],
          ['saxophone/pull-through-neck', 'saxophone/cap-mouthpiece'],
          ['saxophone/cap-mouthpiece', 'saxophone/neck-stowed'],
        ],
        cost: 'the cork stays pressed and the fit loosens sooner',
      },
    },
    usual: always('off-capped', 'the cork recovers, the tip is guarded'),
  },
  'sax-neck-storage': {
    question: 'Where does the neck travel?',
    moment: 'After playing',
    askedOf: neckComesOff,
    choices: {
      slot: {
        words: 'in its own place in the case',
        mark: 'practice',
        says: {
          'saxophone/neck-stowed': {
            whole: {
              heading: 'Stow the neck in its own slot',
              how: 'Nothing lies on its octave key.',
              harm: NECK_LOOSE,
              does: [stow('neck')],
            },
          },
        },
      },
      'sleeve-in-bell': {
        words: 'in a soft sleeve, laid in the bell',
        mark: 'practice',
        says: {
          'saxophone/neck-stowed': {
            whole: {
              heading: 'Lay the neck in its sleeve into the bell',
              how: 'Nothing lies on its octave key.',
              harm: NECK_LOOSE,
              does: [stow('neck')],
            },
          },
        },
      },
    },
    usual: always('slot', 'as long as the shake test is silent; a neck that can roll spoils the octave key'),
  },
  'swab-cloth': {
    question: 'What is the swab made of?',
    moment: 'After playing',
    askedOf: all(...SWABBED),
    choices: {
      silk: { words: 'silk: does not stick', mark: 'practice', thirst: estimate(1) },
      cotton: { words: 'cotton: thirstier', mark: 'practice', thirst: estimate(1.3) },
      microfibre: { words: 'microfibre: fast', mark: 'practice', thirst: estimate(1.2) },
      cored: {
        words: 'cored, for a saxophone body only',
        kinds: WIDE_SAXOPHONES,
        mark: 'practice',
        thirst: estimate(1.3),
        notWith: {
          method: 'sax-swab-path',
          choices: ['neck-left-on'],
          why: 'a cored swab never goes through the neck',
        },
        says: {
          'saxophone/swab-mouthpiece': { adds: { how: 'Use a thin cloth here, and not the swab with a core.' } },
          'saxophone/swab-neck': { adds: { how: 'Use a thin cloth here, and not the swab with a core.' } },
          'saxophone/swab-body-pass': { adds: { how: 'The swab with a core goes through the body only.' } },
          'saxophone/swab-body-down': { adds: { how: 'The swab with a core goes through the body only.' } },
        },
        cost: 'never through mouthpiece or neck: it sticks, and getting it out is the bench’s',
      },
    },
    usual: {
      cases: [
        {
          of: { kinds: [...SAXOPHONES, 'bassoon'] },
          choice: 'microfibre',
          why: 'wide bores',
          mark: 'practice',
        },
      ],
      otherwise: 'silk',
      why: 'narrow bores: it does not stick',
    },
  },
  'fluffy-stick': {
    question: 'Does a fluffy stick stay in the bore?',
    moment: 'After playing',
    askedOf: all('clarinet', 'bass-clarinet', ...SAXOPHONES),
    choices: {
      yes: {
        words: 'yes',
        mark: 'practice',
        cost: 'it holds the water against the pads, and it sheds',
        advice: 'The fluffy stick goes in after the swab, and never instead of it.',
      },
      no: { words: 'no', mark: 'practice' },
    },
    usual: always('no', 'it keeps the water at the pads, and sheds'),
  },
  'reed-after-playing': {
    question: 'What becomes of the reed?',
    moment: 'After playing',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      off: { words: 'always off', mark: 'practice' },
      capped: {
        words: 'left on, under the cap',
        mark: 'practice',
        without: [
          'clarinet/reed-on',
          'clarinet/ligature-on',
          'clarinet/cap-on',
          'bass-clarinet/reed-on',
          'bass-clarinet/ligature-on',
          'bass-clarinet/cap-on',
          'saxophone/reed-on',
          'saxophone/ligature-on',
          'saxophone/cap-on',
          'clarinet/ligature-off',
          'clarinet/swab-mouthpiece',
          'clarinet/wipe-mouthpiece-alone',
          'bass-clarinet/ligature-off',
          'bass-clarinet/swab-mouthpiece',
          'saxophone/swab-mouthpiece',
        ],
        off: ['single-reed/wet', 'clarinet/dry-mouthpiece', 'bass-clarinet/dry-mouthpiece', 'saxophone/dry-mouthpiece'],
        notWith: {
          method: 'clarinet-swab-path',
          choices: ['whole'],
          why: 'the pull out at the mouthpiece needs the reed off first',
        },
        says: {
          'clarinet/cap-with-mouthpiece': { whole: CAPPED_STOWED },
          'bass-clarinet/cap-with-mouthpiece': {
            whole: {
              heading: 'Stow the capped mouthpiece and the spike',
              how: 'Each has its own place. The cap stays on.',
              harm: ROLLS_ABOUT,
              does: [stow('mouthpiece'), shut('spike')],
            },
          },
          'saxophone/cap-mouthpiece': {
            when: { method: { id: 'sax-mouthpiece-stowed', choices: ['off-capped'] } },
            whole: CAPPED_STOWED,
          },
          'saxophone/mouthpiece-off': {
            whole: {
              heading: 'Take the mouthpiece off the neck',
              how: 'Turn it off with small turns and do not lever.',
              why: {
                say: 'The cork recovers.',
                when: { method: { id: 'sax-mouthpiece-stowed', choices: ['off-capped'] } },
              },
              harm: 'the cork stays pressed and the neck wet',
              does: [part('mouthpiece', 'neck')],
            },
          },
          'clarinet/mouthpiece-to-barrel': {
            whole: {
              heading: 'Put the capped mouthpiece on the barrel',
              how: 'The cap stays on. The barrel has no front: any way round is right.',
              does: [join('mouthpiece', 'barrel')],
            },
          },
          'bass-clarinet/mouthpiece-on': {
            whole: {
              heading: 'Put the capped mouthpiece on the neck',
              how: 'The cap stays on. The flat side of the mouthpiece looks down.',
              does: [join('mouthpiece', 'neck')],
            },
          },
          'saxophone/mouthpiece-on': {
            whole: {
              heading: 'Turn the capped mouthpiece onto the neck',
              how: 'The cap stays on. The tuner decides how deep it sits; then keep that mark.',
              cautions: ['Do not squeeze the octave key.'],
              does: [join('mouthpiece', 'neck')],
            },
          },
        },
        cost: CAPPED,
      },
    },
    usual: always('off', 'flatness and hygiene outweigh the minute saved; capped is for a beginner’s first weeks'),
  },
  'bocal-cleaning': {
    question: 'How is the bocal cleaned after playing?',
    moment: 'After playing',
    askedOf: all('bassoon', 'cor-anglais'),
    choices: {
      swab: { words: 'with a small swab', mark: 'practice' },
      brush: {
        words: 'with a bocal brush, gently',
        mark: 'practice',
        says: {
          'bassoon/swab-bocal': {
            whole: {
              heading: 'Brush the bocal gently and blow it through',
              how: 'Move a soft bocal brush in and out from the corked end, as far as it slides by itself. Then blow.',
              harm: 'scale grows in the bocal and stops the vent',
              supplies: ['bocal brush'],
              does: [toAndFro('bocal')],
            },
          },
          'cor-anglais/swab-bocal': {
            whole: {
              heading: 'Blow the bocal out and brush it gently',
              how: 'Blow it out first, then move a soft bocal brush in and out.',
              harm: 'scale grows in the bocal',
              supplies: ['bocal brush'],
              does: [toAndFro('bocal')],
            },
          },
        },
      },
    },
    usual: always('swab', 'daily the swab; the brush at the monthly rinse'),
  },
  'pads-after-playing': {
    question: 'What is done for the pads?',
    moment: 'After playing',
    askedOf: all(...KEYED),
    choices: {
      'blot-when-wet': { words: 'wet ones blotted', mark: 'practice' },
      'blot-after-hard-evenings': {
        words: 'blotted after hard evenings only',
        mark: 'practice',
        says: {
          'keyed/blot-wet-pads': { adds: { how: 'Do it only after a long, wet evening.' } },
          'keyed/blot-wet-skin-pads': { adds: { how: 'Do it only after a long, wet evening.' } },
        },
        cost: 'a wet pad is left to dry by itself on ordinary days',
      },
      'blot-always': { words: 'all closed ones blotted every time', mark: 'practice' },
      'prop-open': {
        words: 'wet ones blotted, the closed ones left ajar to dry',
        mark: 'practice',
      },
      nothing: {
        words: 'nothing',
        mark: 'practice',
        off: ['keyed/blot-pads', 'oboe/vents'],
        cost: 'wet pads soften, cling and come away',
      },
    },
    usual: {
      cases: [
        {
          of: { kinds: [...SAXOPHONES] },
          choice: 'prop-open',
          why: 'a saxophone’s closed pads dry ajar, nearest the neck first',
          mark: 'practice',
        },
      ],
      otherwise: 'blot-when-wet',
      why: 'paper where a pad is wet, nothing where it is not',
    },
  },
  'paper-use-wet': {
    question: 'How does paper dry a wet pad?',
    moment: 'After playing',
    askedOf: tougherPads,
    choices: {
      'press-release': {
        words: 'laid in, pressed, lifted',
        mark: 'practice',
        says: {
          'keyed/blot-wet-pads': {
            adds: { how: 'Press the pad shut, release it and lift the paper out: drawn out damp, it tears.' },
          },
          'keyed/blot-every-pad': {
            adds: { how: 'Press the pad shut, release it and lift the paper out: drawn out damp, it tears.' },
          },
        },
      },
      'draw-out': {
        words: 'held a few seconds, drawn out under slight pressure',
        mark: 'practice',
        says: {
          'keyed/blot-wet-pads': { adds: { how: 'Hold it a few seconds and draw it out under slight pressure.' } },
          'keyed/blot-every-pad': { adds: { how: 'Hold it a few seconds and draw it out under slight pressure.' } },
        },
        cost: 'damp paper tears and drags the pad',
      },
      'slide-through': {
        words: 'slid in and out',
        mark: 'practice',
        when: { pads: ['leather'] },
        says: {
          'keyed/blot-wet-pads': { adds: { how: 'Slide it in and out under the pad.' } },
          'keyed/blot-every-pad': { adds: { how: 'Slide it in and out under the pad.' } },
        },
      },
      wipe: {
        words: 'light strokes under the pad',
        mark: 'practice',
        when: { pads: ['leather'] },
        says: {
          'keyed/blot-wet-pads': { adds: { how: 'Stroke lightly under the pad.' } },
          'keyed/blot-every-pad': { adds: { how: 'Stroke lightly under the pad.' } },
        },
      },
    },
    usual: always('press-release', 'damp paper tears and drags'),
  },
  'paper-use-sticky': {
    question: 'How does paper clean a sticky pad?',
    moment: 'After playing',
    askedOf: tougherPads,
    choices: {
      'press-release': {
        words: 'laid in, pressed, lifted',
        mark: 'practice',
        advice: 'For a sticky pad, lay plain paper in, press the pad shut and lift the paper out.',
        cost: 'the dirt may stay on the pad',
      },
      'draw-out': {
        words: 'held a few seconds, drawn out under slight pressure',
        mark: 'practice',
        advice:
          'For a sticky pad, shut it on plain paper a few seconds, draw the paper out slowly and stop before it tears.',
      },
      'slide-through': {
        words: 'slid in and out',
        mark: 'practice',
        when: { pads: ['leather'] },
        advice: 'For a sticky pad, slide plain paper in and out under it.',
      },
      wipe: {
        words: 'light strokes under the pad',
        mark: 'practice',
        when: { pads: ['leather'] },
        advice: 'For a sticky pad, stroke lightly under it with plain paper.',
      },
    },
    usual: always('draw-out', 'the dirt has to leave with the paper'),
  },
  'sticky-pad': {
    question: 'What may a sticky pad be cleaned with?',
    moment: 'After playing',
    askedOf: all(...KEYED),
    choices: {
      'plain-paper': { words: 'plain paper', mark: 'practice' },
      'cigarette-paper': {
        words: 'cigarette paper',
        mark: 'practice',
        advice: 'For a sticky pad, use cigarette paper, and never its gummed edge.',
      },
      'coated-paper': { words: 'coated paper', mark: 'practice', cost: 'it leaves residue' },
      'contact-cleaner': {
        words: 'contact cleaner on a bud',
        kinds: METAL_BODIES,
        when: { pads: ['leather', 'cork', 'synthetic'] },
        mark: 'practice',
        says: {
          'keyed/paper-sticky-pad': {
            adds: {
              how: 'If it still sticks, a grown-up uses a drop of contact cleaner by an open window, without a flame.',
            },
          },
        },
        cost: 'flammable vapour: an adult, an open window, no flame; metal bodies only',
      },
      'lighter-fluid': {
        words: 'lighter fluid on a bud',
        kinds: METAL_BODIES,
        when: { pads: ['leather', 'cork', 'synthetic'] },
        mark: 'practice',
        cost: 'it burns: an adult, an open window, no flame or cigarette, cloths aired',
      },
    },
    usual: always('plain-paper', 'then contact cleaner, aired, by an adult, on a metal body only'),
  },
  'hide-bag': {
    question: 'Is the hide bag left open or shut?',
    moment: 'After playing',
    askedOf: [{ kinds: ['highland-pipes'], build: { bag: ['hide'] } }],
    choices: {
      closed: { words: 'zip shut', mark: 'practice' },
      'opened-to-dry': { words: 'opened to dry', mark: 'practice', cost: 'hide that dries out cracks' },
    },
    usual: always('closed', 'unless you blow wet or it smells; mould is looked for monthly (an estimate)'),
  },
  'pipes-brush-or-swab': {
    question: 'Brush, or pull-through?',
    moment: 'After playing',
    askedOf: all('highland-pipes'),
    choices: {
      brush: { words: 'brushes', mark: 'practice' },
      'pull-through': {
        words: 'a pull-through',
        mark: 'practice',
        says: {
          'highland-pipes/brush-blowpipe': {
            whole: {
              heading: 'Draw a pull-through through the blowpipe',
              how: 'If the mouthpiece is too narrow for the cloth, rinse it under the tap.',
              harm: 'germs stay where your lips go',
              cautions: [IF_IT_BINDS],
              supplies: PULL_THROUGH,
              does: [brush('blowpipe')],
            },
          },
          'highland-pipes/brush-blowpipe-flap': {
            whole: {
              heading: 'Pull a cloth through, easing past the flap',
              how: 'Take the blowpipe out and go in from the mouth end. If the mouthpiece is too narrow, rinse it under the tap.',
              harm: 'germs stay where your lips go',
              cautions: ['Never bend the flap.', IF_IT_BINDS],
              supplies: PULL_THROUGH,
              does: [part('blowpipe', 'blowpipe-stock'), brush('blowpipe')],
            },
          },
          'highland-pipes/brush-blowpipe-stock': {
            whole: {
              heading: 'Pull a cloth through the blowpipe stock',
              how: 'Draw it through gently, and wipe the top of the stock.',
              cautions: [IF_IT_BINDS],
              supplies: PULL_THROUGH,
              does: [brush('blowpipe-stock')],
            },
          },
          'highland-pipes/brush-chanter-stock': {
            whole: {
              heading: 'Pull a cloth through the chanter stock',
              how: 'Draw it through gently.',
              cautions: [IF_IT_BINDS],
              supplies: PULL_THROUGH,
              does: [brush('chanter-stock')],
            },
          },
          'highland-pipes/brush-stocks': {
            whole: {
              heading: 'Pull cloth through all stocks, see each reed',
              how: 'Take each drone out of its stock and look at its reed. Draw the cloth through gently.',
              cautions: [IF_IT_BINDS],
              supplies: PULL_THROUGH,
              does: [free('tenor-drones'), free('bass-drone'), brush('bag')],
            },
          },
        },
        cost: 'pull-throughs stick in narrow bores',
      },
    },
    usual: always('brush', 'pull-throughs stick in narrow bores'),
  },
  'pipes-valve-rinse': {
    question: 'How often is the in-line valve rinsed?',
    moment: 'After playing',
    askedOf: [{ kinds: ['highland-pipes'], build: { blowpipeValve: ['in-line'] } }],
    choices: {
      'every-play': { words: 'after every play', mark: 'general' },
      weekly: { words: 'weekly', mark: 'general', cost: 'a valve that fouls needs a peroxide soak' },
    },
    usual: always('every-play', 'it takes a minute and spares the peroxide soak'),
  },
  'expected-answer': {
    question: 'With which answer to a look does a run begin?',
    moment: 'After playing',
    askedOf: all('highland-pipes'),
    choices: {
      own: {
        words: 'the one you usually find',
        mark: 'practice',
        advice:
          'A run begins with the answer you usually give to a look. Look all the same: one tap answers otherwise.',
      },
      book: { words: 'dry, as the book has it', mark: 'general', cost: 'a wet player’s run begins too short' },
    },
    usual: always('own', 'how wet you blow decides how much is needed; one tap answers otherwise'),
  },
} as const satisfies Readonly<Record<string, Method>>;
