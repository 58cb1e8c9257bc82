import type { Method } from '#core/book/method.ts';
import { BRASS, DOUBLE_REEDS, IN_WOOD, KEYED, SWABBED } from '#core/tables/instruments/kind-groups.ts';
import { all, always, corked, pistons } from '#core/tables/methods/asked-of.ts';

const SERVICED = [...KEYED, ...BRASS] as const;
const CLOCKWISE = 'If you have to feel for the guide, turn gently clockwise, seen from the top, and stop at the click.';
const BY_EYE = 'Set the guide over its slot by eye and lower the valve without turning.';

/** Oil, grease, and when the bench has it. */
export const OIL_GREASE_BENCH = {
  'tenon-grease': {
    question: 'When are the tenon corks greased?',
    moment: 'Oil, grease and bench',
    askedOf: [{ kinds: SWABBED, build: { tenons: ['cork'] } }],
    choices: {
      'most-plays': { words: 'before most plays', mark: 'practice' },
      monthly: { words: 'monthly', mark: 'one-voice' },
      'when-stiff': { words: 'when a joint goes on stiffly', mark: 'practice' },
    },
    usual: {
      cases: [
        {
          of: { kinds: [...DOUBLE_REEDS] },
          choice: 'monthly',
          why: 'body tenons of double reeds, a single light smear',
          mark: 'one-voice',
        },
      ],
      otherwise: 'when-stiff',
      why: 'most days while the cork is new, then only when stiff',
    },
  },
  'spring-off-hook': {
    question: 'Who puts a spring back that is off its hook?',
    moment: 'Oil, grease and bench',
    askedOf: all(...KEYED),
    choices: {
      teacher: { words: 'a teacher, with a spring hook', mark: 'practice' },
      'bench-only': {
        words: 'the bench alone',
        mark: 'general',
        cost: 'a way to the bench for a minute’s work',
        remedies: {
          'keyed/spring-off': {
            hand: 'bench',
            heading: 'Have it hooked back at the bench',
            how: 'It takes a minute there, and they see whether it is bent.',
          },
        },
      },
    },
    usual: always('teacher', 'a whole spring is back within a moment; a bent or broken one always goes to the bench'),
  },
  'pad-complaint': {
    question: 'Who sees a pad first that is loose or lost?',
    moment: 'Oil, grease and bench',
    askedOf: all(...KEYED),
    choices: {
      'teacher-first': { words: 'the teacher, then the bench', mark: 'one-voice' },
      'bench-at-once': {
        words: 'the bench at once',
        mark: 'one-voice',
        cost: 'screws and clicks that a teacher settles on the spot travel, too',
        remedies: {
          'keyed/pad-lost': { hand: 'bench', heading: 'Have the pad set at the bench' },
        },
      },
    },
    usual: always('teacher-first', 'screws and clicks are often settled there; pads then go to the bench'),
  },
  'stuck-mouthpiece': {
    question: 'Who frees a mouthpiece that is stuck?',
    moment: 'Oil, grease and bench',
    askedOf: all(...BRASS),
    choices: {
      bench: { words: 'the bench', mark: 'practice' },
      'teacher-with-puller': {
        words: 'a teacher who owns the puller and knows it',
        mark: 'general',
        cost: 'a slip turns the mouthpipe out of its solder',
        remedies: {
          'brass/mouthpiece-jammed': {
            hand: 'teacher',
            heading: 'Show it to the teacher who has the puller',
            how: 'It is drawn straight, without twisting, and left alone at the first resistance: then the bench draws it.',
            then: 'bench',
          },
        },
      },
    },
    usual: always('bench', 'what goes wrong is the mouthpipe'),
  },
  'new-cork-grease': {
    question: 'How long is a new cork greased at each joining?',
    moment: 'Oil, grease and bench',
    askedOf: corked,
    choices: {
      'one-week': { words: 'one week', mark: 'one-voice' },
      'two-weeks': { words: 'two weeks', mark: 'one-voice' },
    },
    usual: always('two-weeks', 'until it goes on smoothly'),
  },
  'key-oil': {
    question: 'How often are the keys oiled?',
    moment: 'Oil, grease and bench',
    askedOf: all(...KEYED),
    choices: {
      '6-months': { words: 'every 6 months', mark: 'one-voice' },
      '12-months': { words: 'yearly', mark: 'practice' },
      'bench-only': { words: 'only at the bench', mark: 'practice' },
    },
    usual: always('12-months', 'by the player if grown-up, else at the bench'),
  },
  'bore-oil-interval': {
    question: 'How often is the wooden bore oiled?',
    moment: 'Oil, grease and bench',
    askedOf: [{ kinds: IN_WOOD, build: { body: ['wood'] } }],
    choices: {
      '3-months': { words: 'every 3 months', mark: 'one-voice' },
      '6-months': { words: 'every 6 months', mark: 'general' },
      '12-months': { words: 'yearly', mark: 'one-voice' },
      none: { words: 'not at all, the maker has treated it', mark: 'general' },
    },
    usual: {
      cases: [
        {
          of: { newerThanDays: 730 },
          choice: '3-months',
          why: 'new wood takes oil more often for its first two years',
          mark: 'practice',
        },
        {
          of: { conditions: ['dry-air'] },
          choice: '3-months',
          why: 'the air is dry',
          mark: 'practice',
        },
      ],
      otherwise: '6-months',
      why: 'thin, and with the pads shielded, the usual harm (oily pads) is avoided',
    },
  },
  'bore-oil-passes': {
    question: 'How many passes of oil?',
    moment: 'Oil, grease and bench',
    askedOf: [{ kinds: IN_WOOD, build: { body: ['wood'] } }],
    choices: {
      one: { words: 'one', mark: 'one-voice' },
      two: { words: 'two', mark: 'one-voice' },
    },
    usual: always('one', 'on silk: a film, not a coat'),
  },
  'bamboo-oil': {
    question: 'Oil on the outside of the bamboo?',
    moment: 'Oil, grease and bench',
    askedOf: [{ kinds: ['bamboo-flute'], build: { body: ['bamboo'] } }],
    choices: {
      yes: { words: 'yes, outside', mark: 'practice', cost: 'slippery; most makers advise against it' },
      no: { words: 'no', mark: 'practice' },
    },
    usual: always('no', 'slippery, most makers advise against it'),
  },
  'bamboo-bag': {
    question: 'Does it lie in a humid plastic bag between plays?',
    moment: 'After playing',
    askedOf: [{ kinds: ['bamboo-flute'], build: { body: ['bamboo', 'wood'] } }],
    choices: {
      'humid-bag': {
        words: 'in a plastic bag, a little breath in, its neck closed with a rubber band',
        mark: 'practice',
        cost: 'it helps some homes and harms others: damp air that stays shut in grows mould',
      },
      open: { words: 'in its own bag, open to the air', mark: 'practice' },
    },
    usual: always(
      'open',
      'until the swing of the air in the two has been measured: the one with the smaller swing is the better home',
    ),
  },
  'case-humidifier': {
    question: 'A humidifier in the case when the air is dry?',
    moment: 'Oil, grease and bench',
    askedOf: [{ kinds: IN_WOOD, build: { body: ['wood'] } }],
    choices: {
      'below-40': {
        words: 'yes, below about 40 %',
        mark: 'general',
        advice: 'In dry air, below about 40 %, put a humidifier in the case.',
      },
      none: { words: 'no', mark: 'practice', cost: 'wood dries faster between plays' },
    },
    usual: always('below-40', 'wood dries in heated air'),
  },
  'service-interval': {
    question: 'How often does it go to the bench?',
    moment: 'Oil, grease and bench',
    askedOf: all(...SERVICED),
    choices: {
      '6-months': { words: 'every 6 months', mark: 'one-voice' },
      '12-months': { words: 'yearly', mark: 'practice' },
    },
    usual: {
      cases: [
        {
          of: { weeklyMinutesAbove: 600 },
          choice: '6-months',
          why: 'it is played more than about 10 h a week',
          mark: 'estimate',
        },
      ],
      otherwise: '12-months',
      why: 'yearly, even when nothing is wrong',
    },
  },
  'bench-by-carriage': {
    question: 'Is the bench near enough to bring it yourself?',
    moment: 'Oil, grease and bench',
    askedOf: all(...SERVICED),
    choices: {
      near: { words: 'yes, it is brought and fetched', mark: 'practice' },
      far: {
        words: 'no, it is sent',
        mark: 'practice',
        advice:
          'Pack it swabbed and dry, with reeds and loose things out of the case and nothing moving in it, in a padded box marked fragile. Send it tracked and insured for its worth, and never over a weekend in frost or heat. Put a little money aside every month, so that service and carriage are paid when they are due.',
      },
    },
    usual: always('near', 'carriage is a risk of its own'),
  },
  'valve-oil-method': {
    question: 'How are the valves oiled?',
    moment: 'Oil, grease and bench',
    askedOf: pistons,
    choices: {
      'half-out': { words: 'lifted half-way', mark: 'practice' },
      'all-the-way-out': { words: 'taken out and wiped', mark: 'practice' },
    },
    usual: always('half-out', 'nothing to drop or swap on ordinary days; through the bottom misses the piston'),
  },
  'piston-turning': {
    question: 'How does a piston find its guide?',
    moment: 'Oil, grease and bench',
    askedOf: pistons,
    choices: {
      'clockwise-to-the-click': {
        words: 'turned gently clockwise to the click',
        mark: 'practice',
        says: {
          'piston-brass/oil-half-out': { adds: { how: CLOCKWISE } },
          'piston-brass/oil-all-out': { adds: { how: CLOCKWISE } },
          'piston-brass/bath-oil': { adds: { how: CLOCKWISE } },
        },
      },
      'by-eye': {
        words: 'set by eye, lowered, never turned',
        mark: 'general',
        says: {
          'piston-brass/oil-half-out': { adds: { how: BY_EYE } },
          'piston-brass/oil-all-out': { adds: { how: BY_EYE } },
          'piston-brass/bath-oil': { adds: { how: BY_EYE } },
        },
      },
    },
    usual: always('clockwise-to-the-click', 'turning that way tightens the stem, and the click proves the seat'),
  },
  'slide-grease-where': {
    question: 'Where does slide grease go?',
    moment: 'Oil, grease and bench',
    askedOf: all(...BRASS),
    choices: {
      'inner-legs': { words: 'on the inner legs, thin', mark: 'practice' },
      'both-halves': {
        words: 'on the receiving half as well',
        mark: 'one-voice',
        says: {
          'brass/grease-slides': { adds: { how: 'The receiving half gets a little as well.' } },
          'piston-brass/bath-grease': { adds: { how: 'The receiving half gets a little as well.' } },
          'horn/grease-legs': { adds: { how: 'The receiving half gets a little as well.' } },
          'trombone/bath-grease': { adds: { how: 'The receiving half gets a little as well.' } },
        },
      },
    },
    usual: always('inner-legs', 'thin: the slide spreads it'),
  },
} as const satisfies Readonly<Record<string, Method>>;
