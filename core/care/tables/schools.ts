import type { School, SchoolId } from '#core/care/school.ts';

const fixed = (choice: string, why: string) => ({ cases: [], otherwise: choice, why });

// The book also gives 3-months for bore oil "in dry winters"; that case waits for air records.
/** The schools whose choice changes a step or a date of the kinds that exist so far. */
export const SCHOOLS = {
  'clarinet-swab-path': {
    question: 'How is the clarinet swabbed?',
    choices: {
      whole: { words: 'in one pull from the bell out at the mouthpiece', mark: 'practice' },
      'body-only': { words: 'mouthpiece off, body whole, bell to barrel', mark: 'practice' },
      'by-joint': { words: 'taken apart, each piece alone', mark: 'practice' },
    },
    usual: fixed('by-joint', 'it spares the mouthpiece tip and reaches the sockets'),
  },
  'clarinet-join-order': {
    question: 'In which order does the clarinet go together?',
    choices: {
      'from-the-mouth': { words: 'from the mouthpiece down', mark: 'practice' },
      'from-the-bell': { words: 'from the bell up', mark: 'general' },
    },
    usual: fixed('from-the-mouth', 'both end with the reed'),
  },
  'wetting-single-reeds': {
    question: 'How is the reed wetted?',
    choices: {
      mouth: { words: 'in the mouth, about 10 s', mark: 'one-voice' },
      water: { words: 'in a cup of water, about 1 min', mark: 'estimate' },
    },
    usual: fixed('water', 'the mouth serves when in haste'),
  },
  'mouthpiece-wash-interval': {
    question: 'How often is the mouthpiece washed?',
    choices: {
      weekly: { words: 'weekly', mark: 'practice' },
      monthly: { words: 'monthly', mark: 'practice' },
    },
    usual: fixed('weekly', 'it is nearest the mouth'),
  },
  'swab-wash': {
    question: 'How often is the swab washed?',
    choices: {
      weekly: { words: 'weekly', mark: 'one-voice' },
      fortnightly: { words: 'every two weeks', mark: 'one-voice' },
      monthly: { words: 'monthly at the least', mark: 'practice' },
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
  'key-oil': {
    question: 'How often are the keys oiled?',
    choices: {
      '6-months': { words: 'every 6 months', mark: 'one-voice' },
      '12-months': { words: 'yearly', mark: 'practice' },
      'bench-only': { words: 'only at the bench', mark: 'practice' },
    },
    usual: fixed('12-months', 'by the player if grown-up, else at the bench'),
  },
  'bore-oil-interval': {
    question: 'How often is the wooden bore oiled?',
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
      ],
      otherwise: '6-months',
      why: 'thin, and with the pads shielded, the usual harm (oily pads) is avoided',
    },
  },
  'bore-oil-passes': {
    question: 'How many passes of oil?',
    choices: {
      one: { words: 'one', mark: 'one-voice' },
      two: { words: 'two', mark: 'one-voice' },
    },
    usual: fixed('one', 'on silk: a film, not a coat'),
  },
  'tenon-grease': {
    question: 'When are the tenon corks greased?',
    choices: {
      'most-plays': { words: 'before most plays', mark: 'practice' },
      monthly: { words: 'monthly', mark: 'one-voice' },
      'when-stiff': { words: 'when a joint goes on stiffly', mark: 'practice' },
    },
    usual: {
      cases: [
        {
          of: { kinds: ['oboe', 'cor-anglais', 'bassoon'] },
          choice: 'monthly',
          why: 'body tenons of double reeds, a single light smear',
          mark: 'one-voice',
        },
      ],
      otherwise: 'when-stiff',
      why: 'most days while the cork is new, then only when stiff',
    },
  },
  'service-interval': {
    question: 'How often does it go to the bench?',
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
  'brass-bath-interval': {
    question: 'How often does it have a bath?',
    choices: {
      monthly: { words: 'monthly', mark: 'practice' },
      '2-months': { words: 'every 2 months', mark: 'practice' },
      '3-months': { words: 'every 3 months', mark: 'practice' },
    },
    usual: fixed('2-months', 'between the monthly and the three-monthly bath of practice'),
  },
  'mouthpipe-brushing': {
    question: 'How often is the mouthpipe brushed?',
    choices: {
      weekly: { words: 'weekly', mark: 'practice' },
      'with-the-bath': { words: 'with the bath', mark: 'practice' },
    },
    usual: fixed('weekly', 'red rot begins in the mouthpipe'),
  },
  'valve-oil-method': {
    question: 'How are the valves oiled?',
    choices: {
      'half-out': { words: 'lifted half-way', mark: 'practice' },
      'all-the-way-out': { words: 'taken out and wiped', mark: 'practice' },
    },
    usual: fixed('half-out', 'nothing to drop or swap on ordinary days'),
  },
} as const satisfies Record<SchoolId, School>;
