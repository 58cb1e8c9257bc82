import { KIND_IDS } from '#core/instruments/kind.ts';
import { join, liftOut, uncover } from '#core/book/deed.ts';
import type { Method, WholeStep } from '#core/book/method.ts';
import { DOUBLE_REEDS, SAXOPHONES, SINGLE_REEDS } from '#core/tables/instruments/kind-groups.ts';
import { all, always, neckComesOff } from '#core/tables/methods/asked-of.ts';

/** The ring first, so that it never travels over a bare tip. */
const LIGATURE_FIRST: WholeStep = {
  heading: 'Put the loose ligature on first',
  how: 'Its screws are on the right, and stay slack until the reed is in.',
  why: 'The upper part of the reed must swing free.',
  does: [uncover('mouthpiece'), join('ligature', 'mouthpiece')],
};
const REED_BEHIND: WholeStep = {
  heading: 'Slide the reed in behind the ligature',
  how: 'Hold it by its sides and never touch the tip. Then turn the screws only until they resist.',
  does: [liftOut('reed'), join('reed', 'mouthpiece')],
};

/** Putting together and handling. */
export const JOINING = {
  'clarinet-join-order': {
    question: 'In which order does the clarinet go together?',
    moment: 'Putting together',
    askedOf: all('clarinet'),
    choices: {
      'from-the-mouth': {
        words: 'mouthpiece, barrel, upper, lower, bell',
        mark: 'practice',
        order: [
          ['clarinet/mouthpiece-to-barrel', 'clarinet/barrel-to-upper'],
          ['clarinet/barrel-to-upper', 'clarinet/upper-to-lower'],
          ['clarinet/upper-to-lower', 'clarinet/bell-on'],
        ],
      },
      'from-the-bell': {
        words: 'bell, lower, upper, barrel, mouthpiece',
        mark: 'general',
        order: [
          ['clarinet/bell-on', 'clarinet/upper-to-lower'],
          ['clarinet/upper-to-lower', 'clarinet/barrel-to-upper'],
          ['clarinet/barrel-to-upper', 'clarinet/mouthpiece-to-barrel'],
        ],
      },
    },
    usual: always('from-the-mouth', 'both end with the reed'),
  },
  'reed-or-ligature-first': {
    question: 'Reed first, or ligature first?',
    moment: 'Putting together',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      'reed-first': {
        words: 'reed laid on, ligature over it',
        mark: 'practice',
        order: [
          ['clarinet/reed-on', 'clarinet/ligature-on'],
          ['bass-clarinet/reed-on', 'bass-clarinet/ligature-on'],
          ['saxophone/reed-on', 'saxophone/ligature-on'],
        ],
      },
      'ligature-first': {
        words: 'loose ligature on, reed slid in behind',
        mark: 'general',
        order: [
          ['clarinet/ligature-on', 'clarinet/reed-on'],
          ['bass-clarinet/ligature-on', 'bass-clarinet/reed-on'],
          ['saxophone/ligature-on', 'saxophone/reed-on'],
        ],
        says: {
          'clarinet/ligature-on': { whole: LIGATURE_FIRST },
          'clarinet/reed-on': { whole: REED_BEHIND },
          'bass-clarinet/ligature-on': { whole: LIGATURE_FIRST },
          'bass-clarinet/reed-on': { whole: REED_BEHIND },
          'saxophone/ligature-on': { whole: LIGATURE_FIRST },
          'saxophone/reed-on': { whole: REED_BEHIND },
        },
      },
    },
    usual: always('reed-first', 'ligature first is for whoever chips tips: the ring never travels over a bare tip'),
  },
  'reed-tip-level': {
    question: 'Where does the tip of the reed lie?',
    moment: 'Putting together',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      level: {
        words: 'level with the mouthpiece tip',
        mark: 'practice',
        says: {
          'clarinet/reed-on': { adds: { how: 'Its tip is level with the tip of the mouthpiece.' } },
          'bass-clarinet/reed-on': { adds: { how: 'Its tip is level with the tip of the mouthpiece.' } },
          'saxophone/reed-on': { adds: { how: 'Its tip is level with the tip of the mouthpiece.' } },
        },
      },
      'hair-of-black': {
        words: 'a hair of the mouthpiece shows above it',
        mark: 'practice',
        says: {
          'clarinet/reed-on': { adds: { how: 'A hair of black shows above its tip.' } },
          'bass-clarinet/reed-on': { adds: { how: 'A hair of black shows above its tip.' } },
          'saxophone/reed-on': { adds: { how: 'A hair of black shows above its tip.' } },
        },
      },
    },
    usual: always('level', 'the hair is the softer-blowing end of the same adjustment'),
  },
  'ligature-height': {
    question: 'How high does the ligature sit?',
    moment: 'Putting together',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      'below-line': {
        words: 'below the scribed line',
        mark: 'practice',
        says: {
          'clarinet/ligature-on': { adds: { how: 'It sits below the scribed line.' } },
          'bass-clarinet/ligature-on': { adds: { how: 'It sits below the scribed line.' } },
          'saxophone/ligature-on': { adds: { how: 'It sits below the scribed line.' } },
        },
      },
      'end-of-slope': {
        words: 'where the cut of the mouthpiece levels out',
        mark: 'practice',
        says: {
          'clarinet/ligature-on': { adds: { how: 'It sits where the cut of the mouthpiece levels out.' } },
          'bass-clarinet/ligature-on': { adds: { how: 'It sits where the cut of the mouthpiece levels out.' } },
          'saxophone/ligature-on': { adds: { how: 'It sits where the cut of the mouthpiece levels out.' } },
        },
      },
    },
    usual: always('below-line', 'a mouthpiece without a line: where its cut levels out'),
  },
  'leaving-the-chair': {
    question: 'Where does it stay when you leave the chair?',
    moment: 'Putting together',
    askedOf: all(...KIND_IDS),
    choices: {
      'stand-or-case': {
        words: 'on its stand or in its case',
        mark: 'practice',
        advice: 'When you leave the chair, put it on its stand or into its closed case.',
      },
      'halves-on-chair': {
        words: 'parted at the centre, both halves flat on your own chair',
        mark: 'practice',
        cost: 'chairs are where instruments are sat on',
        kinds: ['clarinet', 'oboe', 'cor-anglais'],
        advice:
          'When you leave the chair, part it at the middle joint and lay both pieces flat on your own chair. Do this for minutes only, where nobody will sit.',
      },
      'never-on-a-chair': {
        words: 'never on a chair',
        mark: 'practice',
        advice: 'When you leave the chair, take it with you or close it in its case. Never lay it on a chair.',
      },
    },
    usual: always('stand-or-case', 'chairs are where instruments are sat on'),
  },
  'sax-reed-on': {
    question: 'Reed on before or after the mouthpiece is on the neck?',
    moment: 'Putting together',
    askedOf: all(...SAXOPHONES),
    choices: {
      'after-neck': {
        words: 'mouthpiece onto the neck first, then reed and ligature',
        mark: 'practice',
        order: [
          ['saxophone/mouthpiece-on', 'saxophone/reed-on'],
          ['saxophone/mouthpiece-on', 'saxophone/ligature-on'],
        ],
      },
      'bare-mouthpiece': {
        words: 'reed and ligature first, then onto the neck',
        mark: 'practice',
        order: [
          ['saxophone/reed-on', 'saxophone/mouthpiece-on'],
          ['saxophone/ligature-on', 'saxophone/mouthpiece-on'],
          ['saxophone/cap-on', 'saxophone/mouthpiece-on'],
        ],
        says: {
          'saxophone/cap-on': {
            whole: {
              heading: 'Put the cap on before you turn it',
              how: 'Lower it slowly over the tip. It stays on while the mouthpiece is turned on.',
              harm: 'the tip is knocked while the mouthpiece is turned on',
              does: [join('cap', 'mouthpiece')],
            },
          },
        },
        cost: 'the mouthpiece is turned beside a mounted reed',
      },
    },
    usual: always('after-neck', 'no twisting beside a mounted reed; the other suits first lessons on the mouthpiece'),
  },
  'sax-strap': {
    question: 'When is the strap hooked?',
    moment: 'Putting together',
    askedOf: neckComesOff,
    choices: {
      'hooked-first': {
        words: 'before the neck goes in, unhooked last',
        mark: 'practice',
        order: [
          ['saxophone/hook-strap', 'saxophone/neck-in'],
          ['saxophone/neck-off', 'saxophone/unhook'],
        ],
      },
      'hooked-last': {
        words: 'neck first, then the strap; off first when taking apart',
        mark: 'practice',
        order: [
          ['saxophone/neck-in', 'saxophone/hook-strap'],
          ['saxophone/unhook', 'saxophone/neck-off'],
        ],
        says: {
          'saxophone/neck-off': { adds: { how: 'The body lies: keep your other hand on the bell.' } },
        },
      },
    },
    usual: always('hooked-first', 'both hands are free, the weight is held while the small part goes in'),
  },
  'sax-neck-line': {
    question: 'How does the neck point?',
    moment: 'Putting together',
    askedOf: neckComesOff,
    choices: {
      'in-line': {
        words: 'over the axis of the bell',
        mark: 'practice',
        says: {
          'saxophone/neck-in': {
            adds: {
              how: 'It points over the bell, so that your head stays straight. Look: the octave lever lies over its pin.',
            },
          },
        },
      },
      side: {
        words: 'turned a little, for playing beside the leg',
        mark: 'practice',
        says: {
          'saxophone/neck-in': {
            adds: {
              how: 'Turn it a little for playing beside the leg; your head stays straight. Look: the octave lever lies over its pin.',
            },
          },
        },
      },
    },
    usual: always('in-line', 'to the side for small players; either way the head stays straight'),
  },
  'sax-mouthpiece-depth': {
    question: 'How far does the mouthpiece go on, to begin with?',
    moment: 'Putting together',
    askedOf: all(...SAXOPHONES),
    choices: {
      'forty-percent': {
        words: '40 % of the cork covered',
        mark: 'one-voice',
        says: { 'saxophone/mouthpiece-on': { adds: { how: 'To begin with, about 40 % of the cork is covered.' } } },
      },
      'one-centimetre-left': {
        words: 'about 1 cm of cork left bare',
        mark: 'one-voice',
        says: {
          'saxophone/mouthpiece-on': {
            adds: { how: 'To begin with, leave about 1 cm of cork bare, on an alto about a third.' },
          },
        },
      },
    },
    usual: {
      cases: [
        {
          of: { kinds: ['alto-saxophone'] },
          choice: 'one-centimetre-left',
          why: 'on an alto; a starting point only, the tuner decides',
          mark: 'one-voice',
        },
      ],
      otherwise: 'forty-percent',
      why: 'a starting point only: the tuner decides, the mark is then kept',
    },
  },
  'oboe-join-order': {
    question: 'Bell last, or bell first?',
    moment: 'Putting together',
    askedOf: all('oboe', 'cor-anglais'),
    choices: {
      'upper-lower-bell': {
        words: 'upper, lower, bell',
        mark: 'one-voice',
        order: [['oboe/upper-to-lower', 'oboe/bell-on']],
      },
      'bell-lower-upper': {
        words: 'bell onto the short lower joint first',
        mark: 'general',
        order: [['oboe/bell-on', 'oboe/upper-to-lower']],
      },
    },
    usual: always('upper-lower-bell', 'the reed is last in both'),
  },
  'bassoon-join-order': {
    question: 'In which order does the bassoon go together?',
    moment: 'Putting together',
    askedOf: all('bassoon'),
    choices: {
      'wing-long-bell': {
        words: 'wing, long joint, bell',
        mark: 'general',
        order: [
          ['bassoon/wing-in', 'bassoon/long-in'],
          ['bassoon/long-in', 'bassoon/bell-on'],
        ],
      },
      'wing-and-long-together': {
        words: 'wing and long joint together, then the bell',
        mark: 'general',
        order: [['bassoon/wing-and-long-in', 'bassoon/bell-on']],
      },
      'bell-on-long-first': {
        words: 'bell onto the long joint, then both in',
        mark: 'general',
        order: [
          ['bassoon/bell-on', 'bassoon/boot-up'],
          ['bassoon/wing-in', 'bassoon/long-in'],
          ['bassoon/bell-on', 'bassoon/long-in'],
        ],
        says: { 'bassoon/bell-on': { adds: { how: 'Lay both down together until boot and wing stand.' } } },
      },
    },
    usual: always('wing-long-bell', 'bell first for short arms'),
  },
  'flute-join-order': {
    question: 'Head first, or foot first?',
    moment: 'Putting together',
    askedOf: all('flute'),
    choices: {
      'head-first': { words: 'head, then foot', mark: 'general', order: [['flute/head-in', 'flute/foot-on']] },
      'foot-first': { words: 'foot, then head', mark: 'general', order: [['flute/foot-on', 'flute/head-in']] },
    },
    usual: always('head-first', 'the foot’s short tenon then meets a body that can be held well'),
  },
  'flute-head-line': {
    question: 'Where does the blow hole point?',
    moment: 'Putting together',
    askedOf: all('flute', 'piccolo'),
    choices: {
      centred: {
        words: 'over the row of keys',
        mark: 'general',
        says: {
          'flute/head-in': {
            adds: { how: 'The blow hole is in line with the keys; mark the place once you have found it.' },
          },
        },
      },
      'turned-in': {
        words: 'a little towards you',
        mark: 'general',
        says: {
          'flute/head-in': {
            adds: { how: 'The blow hole is turned a little towards you; mark the place once you have found it.' },
          },
        },
      },
    },
    usual: always('centred', 'for beginners; mark it once found'),
  },
  'wetting-single-reeds': {
    question: 'How is the reed wetted?',
    moment: 'Putting together',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      mouth: { words: 'in the mouth, about 10 s', mark: 'one-voice' },
      water: { words: 'in a cup of water, about 1 min', mark: 'estimate' },
    },
    usual: always('water', 'the mouth serves when in haste'),
  },
  'wetting-double-reeds': {
    question: 'How is the reed soaked?',
    moment: 'Putting together',
    askedOf: all(...DOUBLE_REEDS),
    choices: {
      'room-water': { words: 'in water of the room, 5–10 min', mark: 'one-voice' },
      mouth: { words: 'in the mouth', mark: 'practice', cost: 'warmth opens the tip, and your mouth is not free' },
      'warm-water': { words: 'in warm water', mark: 'practice', cost: 'warmth opens the tip: look at it again' },
    },
    usual: always('room-water', 'warmth opens the reed, cold closes it'),
  },
} as const satisfies Readonly<Record<string, Method>>;
