import { brush, dry, hangUp, liftOut, open, part, rinse, soak, wash, wipe } from '#core/book/deed.ts';
import type { Method } from '#core/book/method.ts';
import { isOneOf } from '#core/kernel/typed.ts';
import { LEG_NO_HANDLE } from '#core/tables/care/cautions.ts';
import {
  ALWAYS_PISTONS,
  BRASS,
  KEYED,
  SAXOPHONES,
  SINGLE_REEDS,
  SWABBED,
} from '#core/tables/instruments/kind-groups.ts';
import { all, always, neckComesOff, pistons } from '#core/tables/methods/asked-of.ts';

const BATHED = [...pistons, { kinds: ['trombone'] as const }];

/** Washing, wiping and the bath. */
export const CLEANING = {
  'mouthpiece-wash-interval': {
    question: 'How often is the mouthpiece washed?',
    moment: 'Cleaning',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      weekly: { words: 'weekly', mark: 'practice' },
      monthly: { words: 'monthly', mark: 'practice' },
    },
    usual: always('weekly', 'it is nearest the mouth'),
  },
  'mouthpiece-wash-with': {
    question: 'What is the mouthpiece washed with?',
    moment: 'Cleaning',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      soap: {
        words: 'lukewarm water and a little soap',
        mark: 'practice',
        says: {
          'single-reed/brush-mouthpiece': {
            adds: { how: 'Use lukewarm water and a little mild soap, and rinse it well.' },
          },
        },
      },
      'plain-water': {
        words: 'lukewarm water alone',
        mark: 'practice',
        says: { 'single-reed/brush-mouthpiece': { adds: { how: 'Use lukewarm water alone.' } } },
        cost: 'film comes off less well',
      },
    },
    usual: always('soap', 'film comes off'),
  },
  'mouthpiece-wash-tool': {
    question: 'With a brush, or without?',
    moment: 'Cleaning',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      'soft-brush': {
        words: 'a soft brush with bristles at its top',
        mark: 'practice',
        says: {
          'single-reed/brush-mouthpiece': {
            adds: { how: 'A soft brush with bristles at its tip reaches inside; no wire may touch.' },
          },
        },
      },
      'no-brush': {
        words: 'cloth or cotton bud',
        mark: 'practice',
        says: { 'single-reed/brush-mouthpiece': { adds: { how: 'Use a cloth or a cotton bud, and no brush.' } } },
      },
    },
    usual: always('soft-brush', 'its bristles reach the end; wire never touches'),
  },
  'mouthpiece-soak': {
    question: 'When is the mouthpiece soaked in mild acid?',
    moment: 'Cleaning',
    askedOf: [{ kinds: SINGLE_REEDS, build: { mouthpiece: ['hard-rubber', 'plastic', 'glass'] } }],
    choices: {
      'against-lime': { words: 'when lime is seen', mark: 'practice' },
      monthly: { words: 'monthly', mark: 'practice', cost: 'acid where there may be no lime' },
      never: { words: 'never', mark: 'practice', cost: 'lime stays' },
    },
    usual: always('against-lime', 'acid is for lime, not for habit'),
  },
  'cork-in-the-wash': {
    question: 'How is the cork kept from the water?',
    moment: 'Cleaning',
    askedOf: [{ kinds: ['clarinet', 'bass-clarinet'] }],
    choices: {
      'keep-dry': {
        words: 'kept dry',
        mark: 'practice',
        says: { 'single-reed/brush-mouthpiece': { adds: { how: 'Keep the cork dry.' } } },
      },
      'grease-thick-then-rinse': {
        words: 'cork greased thickly, quick rinse, never submerged',
        mark: 'one-voice',
        says: {
          'single-reed/brush-mouthpiece': {
            adds: { how: 'Coat the cork thickly with grease, rinse quickly and never hold it under.' },
          },
        },
      },
    },
    usual: always('keep-dry', 'the coat of grease is for when it must be rinsed'),
  },
  'mouthpiece-alcohol': {
    question: 'Alcohol on the mouthpiece?',
    moment: 'Cleaning',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      wipe: { words: 'a quick wipe, rinsed', mark: 'practice', cost: 'it dries the mouthpiece over time' },
      no: { words: 'no: water and soap', mark: 'practice' },
    },
    usual: {
      cases: [
        { of: { conditions: ['ill'] }, choice: 'wipe', why: 'while you are ill: short, then rinsed', mark: 'practice' },
      ],
      otherwise: 'no',
      why: 'it dries the mouthpiece over time; water and soap do it',
    },
  },
  'reed-hygiene': {
    question: 'How are the reeds cleaned?',
    moment: 'Cleaning',
    askedOf: all(...SINGLE_REEDS),
    choices: {
      rinse: { words: 'rinsed in water', mark: 'practice' },
      spray: { words: 'a spray sold for it, as labelled', mark: 'practice' },
      peroxide: { words: 'about 30 s in weak peroxide, rinsed', mark: 'one-voice' },
    },
    usual: {
      cases: [
        {
          of: { conditions: ['ill'] },
          choice: 'spray',
          why: 'while you are ill: a product labelled for it, used as labelled',
          mark: 'practice',
        },
      ],
      otherwise: 'rinse',
      why: 'the others weekly (an estimate) or when ill',
    },
  },
  'swab-wash': {
    question: 'How often is the swab washed?',
    moment: 'Cleaning',
    askedOf: all(...SWABBED),
    choices: {
      weekly: { words: 'weekly', mark: 'one-voice' },
      fortnightly: { words: 'every two weeks', mark: 'one-voice' },
      monthly: { words: 'monthly, at the very latest', mark: 'practice' },
      replace: {
        words: 'replaced instead of washed, about every 3 months',
        mark: 'estimate',
        says: {
          'swab/wash-cloth': {
            whole: {
              heading: 'Put a new swab in place of the worn one',
              how: 'Hang the new one up where the old one hung. Take the chain or weight over only if it is covered.',
              harm: 'old dirt goes back into the bore',
              supplies: ['a new swab'],
              does: [hangUp('swab')],
            },
          },
        },
        cost: 'a new swab each time, and what was wiped up stays in the cloth until then',
      },
    },
    usual: {
      cases: [
        {
          of: { kinds: ['bassoon', 'flute', 'piccolo'] },
          choice: 'fortnightly',
          why: 'the body swab of a bassoon and the cloth of a flute',
          mark: 'one-voice',
        },
      ],
      otherwise: 'weekly',
      why: 'a wet cloth in a closed case grows mould in days',
    },
  },
  'neck-tenon-cleaning': {
    question: 'How is the neck tenon cleaned?',
    moment: 'Cleaning',
    askedOf: neckComesOff,
    choices: {
      'dry-cloth': { words: 'with a dry cloth', mark: 'practice' },
      'brass-cloth': {
        words: 'rarely with an impregnated brass cloth',
        mark: 'practice',
        says: {
          'saxophone/clean-neck-tenon': {
            adds: { how: 'Where that is not enough, use the impregnated cloth and wipe it off.' },
          },
        },
        cost: 'it takes a little metal each time',
      },
      'polish-cloth': {
        words: 'with a trace of furniture polish',
        mark: 'practice',
        says: {
          'saxophone/clean-neck-tenon': {
            adds: { how: 'Put a trace of polish on the cloth, wipe it off again and keep it off the cork.' },
          },
        },
        cost: 'it leaves a film; the cork takes grease only',
      },
    },
    usual: always('dry-cloth', 'nothing that cuts metal or leaves a film'),
  },
  'sax-outside': {
    question: 'How is the lacquer cleaned?',
    moment: 'Cleaning',
    askedOf: [{ kinds: SAXOPHONES, build: { finish: ['lacquer'] } }],
    choices: {
      'dry-cloth': { words: 'with a dry cloth', mark: 'practice' },
      'polish-on-cloth': {
        words: 'with a trace of furniture polish on the cloth, no silicone',
        mark: 'practice',
        says: {
          'saxophone/clean-outside': {
            adds: {
              how: 'Put a trace of furniture polish without silicone on the cloth, away from pads, felts and rods.',
            },
          },
        },
        cost: 'silicone fouls pads and hinders later lacquer work',
      },
    },
    usual: always('dry-cloth', 'nothing that gets under pads or hinders later work'),
  },
  'alcohol-on-keys': {
    question: 'Alcohol on the keys?',
    moment: 'Cleaning',
    // Lacquered keys are never cleaned with it: nothing is asked.
    askedOf: [
      { kinds: KEYED.filter((kind) => !isOneOf(SAXOPHONES, kind)) },
      { kinds: SAXOPHONES, build: { finish: ['silver', 'bare-brass'] } },
    ],
    choices: {
      lightly: {
        words: 'lightly, on a cloth',
        mark: 'practice',
        cost: 'said to take thin plating and to dry wood beside it',
      },
      no: { words: 'no: a soft cloth', mark: 'practice' },
    },
    usual: always('no', 'said to take thin plating and to dry wood beside it; never over pads'),
  },
  'alcohol-on-plastic-body': {
    question: 'Alcohol on the plastic body?',
    moment: 'Cleaning',
    askedOf: [{ kinds: KEYED, build: { body: ['plastic'] } }],
    choices: {
      'wipe-outside': { words: 'a wipe, outside', mark: 'one-voice', cost: 'some plastics craze' },
      no: { words: 'no: a barely damp cloth, pads kept dry', mark: 'general' },
    },
    usual: always('no', 'some plastics craze'),
  },
  'ill-cleaning': {
    question: 'How often is it cleaned while you are ill?',
    moment: 'Cleaning',
    askedOf: all(...SWABBED, ...BRASS, 'highland-pipes'),
    choices: {
      both: { words: 'on day 4 and day 7, then weekly', mark: 'one-voice' },
      'day-4-and-7': { words: 'on day 4 and day 7', mark: 'one-voice' },
      weekly: { words: 'weekly', mark: 'one-voice' },
    },
    usual: always('both', 'day 4, day 7, then weekly while it lasts'),
  },
  'mouthpipe-brushing': {
    question: 'How often is the mouthpipe brushed?',
    moment: 'Cleaning',
    askedOf: BATHED,
    choices: {
      weekly: { words: 'weekly', mark: 'practice' },
      'with-the-bath': { words: 'with the bath', mark: 'practice' },
    },
    usual: always('weekly', 'red rot begins in the mouthpipe'),
  },
  'brass-bath-interval': {
    question: 'How often does it have a bath?',
    moment: 'Cleaning',
    askedOf: BATHED,
    choices: {
      monthly: { words: 'monthly', mark: 'practice' },
      '2-months': { words: 'every 2 months', mark: 'practice' },
      '3-months': { words: 'every 3 months', mark: 'practice' },
    },
    usual: always('2-months', 'between the monthly and the three-monthly bath of practice'),
  },
  'bath-temperature': {
    question: 'How warm is the water?',
    moment: 'Cleaning',
    askedOf: all(...BRASS),
    choices: {
      cold: {
        words: 'cold',
        mark: 'one-voice',
        says: {
          'piston-brass/bath-fill': { adds: { how: 'Use cold water.' } },
          'trombone/bath-tub': { adds: { how: 'Use cold water.' } },
          'horn/hose': { adds: { how: 'Use cold water.' } },
          'rotary-tuba/rinse': { adds: { how: 'Use cold water.' } },
        },
      },
      lukewarm: {
        words: 'lukewarm',
        mark: 'practice',
        says: {
          'piston-brass/bath-fill': { adds: { how: 'Use lukewarm water.' } },
          'trombone/bath-tub': { adds: { how: 'Use lukewarm water.' } },
          'horn/hose': { adds: { how: 'Use lukewarm water at most.' } },
          'rotary-tuba/rinse': { adds: { how: 'Use lukewarm water at most.' } },
        },
      },
    },
    usual: {
      cases: [{ of: { kinds: ['horn'] }, choice: 'cold', why: 'cold through the horn', mark: 'one-voice' }],
      otherwise: 'lukewarm',
      why: 'hot is not offered: it lifts lacquer and cleans no better',
    },
  },
  'horn-monthly-order': {
    question: 'Monthly slides: rinse first, or grease first?',
    moment: 'Cleaning',
    askedOf: all('horn'),
    choices: {
      'rinse-then-grease': {
        words: 'all slides out, brushed, rinsed, dried, greased',
        mark: 'practice',
        order: [['horn/empty', 'horn/grease-legs']],
      },
      'grease-then-rinse': {
        words: 'each slide brushed, greased and back in, then the closed horn rinsed',
        mark: 'one-voice',
        order: [
          ['horn/brush-slides', 'horn/grease-legs'],
          ['horn/grease-legs', 'horn/rinse-again'],
        ],
        says: {
          'horn/slides-out': {
            whole: {
              heading: 'Pull the slides, one at a time',
              how: 'Press its own valve. Brush, wipe and grease it as the next steps say, then pull the next one.',
              why: 'Nothing is sucked tight, and none is exchanged.',
              does: [part('every-slide', 'rotors')],
            },
          },
          'horn/grease-legs': { adds: { how: 'Put each back before you pull the next.' } },
        },
        without: ['horn/rinse-slides'],
        cost: 'grease meets metal that has not been rinsed yet',
      },
    },
    usual: always('rinse-then-grease', 'grease holds on dry metal, and loosened dirt leaves first'),
  },
  'rotors-and-water': {
    question: 'Does water go through with the rotors in?',
    moment: 'Cleaning',
    askedOf: [
      { kinds: ['horn'] },
      { kinds: ['tuba'], build: { valves: ['rotary'] } },
      { kinds: ['trombone'], build: { rotor: ['one'] } },
    ],
    choices: {
      'flush-rotors-in': { words: 'yes, at low pressure, oil afterwards', mark: 'practice' },
      'no-home-water': {
        words: 'no: mouthpipe and slides only, flushed at the bench',
        mark: 'general',
        without: [
          'horn/hose',
          'horn/rinse-again',
          'horn/empty',
          'rotary-tuba/rinse',
          'rotary-tuba/rinse-again',
          'rotary-tuba/drain',
          'trombone/bath-rotor-oil',
        ],
        says: {
          'horn/brush-mouthpipe': { adds: { how: 'The brush is barely damp: nothing may run on into the rotors.' } },
          'horn/dry-outside': {
            whole: {
              heading: 'Dry the outside',
              how: 'Wipe until no drop is left.',
              harm: 'water leaves spots',
              supplies: ['a towel'],
              does: [wipe('outside')],
            },
          },
          'rotary-tuba/brush': { adds: { how: 'The brush is barely damp: nothing may run on into the rotors.' } },
          'trombone/bath-tub': {
            whole: {
              heading: 'Lay the slides and mouthpiece in the tub',
              how: 'Unlock the hand slide, take it apart, pull the tuning slide, and add a little dish soap. The bell section stays out, because of its rotor.',
              cautions: ['Lukewarm, never hot.', 'A bath cleans and does not disinfect.'],
              supplies: ['mild dish soap', 'a towel'],
              does: [
                part('tuning-slide', 'bell'),
                open('slide-lock'),
                part('outer-slide', 'hand-slide'),
                soak('tuning-slide', 'water'),
                soak('mouthpiece', 'water'),
                soak('hand-slide', 'water'),
                soak('outer-slide', 'water'),
              ],
            },
          },
          'trombone/bath-brush': {
            whole: {
              heading: 'Brush the mouthpiece and the slides',
              how: 'Do each inner leg, each outer leg and the tuning slide too.',
              harm: 'scale stays in',
              cautions: [LEG_NO_HANDLE],
              supplies: ['flexible brush'],
              does: [brush('mouthpiece'), brush('hand-slide'), brush('outer-slide'), brush('tuning-slide')],
            },
          },
          'trombone/bath-rinse': {
            whole: {
              heading: 'Rinse part by part, outside too',
              how: 'Lift each out and pump the slides under water. No water goes into the bell section with its rotor.',
              harm: 'soap left inside makes it drag',
              does: [
                liftOut('tuning-slide'),
                liftOut('mouthpiece'),
                liftOut('hand-slide'),
                liftOut('outer-slide'),
                rinse('tuning-slide'),
                rinse('mouthpiece'),
                rinse('hand-slide'),
                rinse('outer-slide'),
              ],
            },
          },
        },
        cost: 'what breath leaves behind the rotors stays until the bench',
      },
    },
    usual: always('flush-rotors-in', 'without water at home is for owners who will not oil bearings'),
  },
  'brass-mouthpiece-wash': {
    question: 'How is the mouthpiece washed?',
    moment: 'Cleaning',
    askedOf: all(...ALWAYS_PISTONS, 'tuba', 'horn', 'trombone'),
    choices: {
      brush: { words: 'brushed by hand', mark: 'practice' },
      dishwasher: {
        words: 'in the dishwasher',
        mark: 'one-voice',
        says: {
          'brass/brush-steel-mouthpiece': {
            whole: {
              heading: 'Wash the mouthpiece in the dishwasher',
              how: 'Solid stainless steel bears it. Dry it afterwards. The machine does not sterilise it.',
              harm: 'a film grows where the lips go',
              does: [wash('mouthpiece'), dry('mouthpiece')],
            },
          },
        },
        when: { brassMouthpiece: ['stainless'] },
      },
    },
    usual: always('brush', 'safe for every plating; the machine does not sterilise either'),
  },
} as const satisfies Readonly<Record<string, Method>>;
