import type { ConditionId } from '#core/book/condition-ids.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import { estimate, general, oneVoice } from '#core/explain/explained.ts';
import { DOUBLE_REEDS, PLAYED_IN_PARTS, SINGLE_REEDS } from '#core/tables/instruments/kind-groups.ts';
import { corked } from '#core/tables/methods/asked-of.ts';

/** What goes to the mouth: cleaned at once when its player falls ill. */
const AT_THE_MOUTH = [
  'single-reed/mouthpiece-wash',
  'single-reed/reed-hygiene',
  'double-reed/reed-hygiene',
  'brass/mouthpiece-wash',
  'flute/lip-plate',
  'bamboo-flute/rim-smell',
  'recorder/beak',
  'highland-pipes/sweeten',
] as const;

/** What makes up a thorough clean on each kind; the swab is washed each time. */
const THOROUGH = [
  'clarinet/thorough-clean',
  'bass-clarinet/thorough-clean',
  'saxophone/outside',
  'bassoon/bocal-rinse',
  'piston-brass/bath',
  'trombone/bath',
  'horn/weekly-flush',
  'rotary-tuba/flush',
  'recorder/wash',
  'swab/wash',
  ...AT_THE_MOUTH,
] as const;

/** Oil and grease that keep corrosion off and sliding parts from setting. */
const LUBRICANTS = [
  'keyed/key-oil',
  'tenons/grease',
  'piston-brass/valve-oil',
  'rotary-brass/rotor-oil',
  'brass/slide-grease',
  'trombone/slide-oil',
] as const;

/** The circumstances the book names, with what each changes and how it ends. */
export const CONDITIONS = {
  ill: {
    id: 'ill',
    name: 'Ill',
    begins: 'First day of the illness',
    of: 'player',
    ends: { kind: 'when-said', words: 'when you are well' },
    effects: [
      {
        kind: 'due-on-days',
        items: AT_THE_MOUTH,
        schedule: { days: [0] },
        words: 'what touches the mouth is cleaned at once',
        mark: 'estimate',
      },
      {
        kind: 'due-on-days-by-method',
        items: THOROUGH,
        method: 'ill-cleaning',
        schedules: {
          both: { days: [4, 7], thenEvery: 7 },
          'day-4-and-7': { days: [4, 7] },
          weekly: { days: [7], thenEvery: 7 },
        },
        mark: 'one-voice',
      },
      { kind: 'hold', text: 'Do not share it. Nobody else plays it meanwhile.', mark: 'practice' },
      {
        kind: 'hold',
        text: 'Disinfect the reeds of these days as the label says, or retire them.',
        kinds: [...SINGLE_REEDS, ...DOUBLE_REEDS],
        mark: 'practice',
      },
      {
        kind: 'hold',
        text: 'Cleaning lessens what grows in it. It is not disinfecting, and no promise against illness.',
        mark: 'practice',
      },
    ],
  },
  'new-cork': {
    id: 'new-cork',
    name: 'New cork',
    begins: 'Day the cork was put on',
    of: 'instrument',
    where: [...corked],
    asks: 'part',
    ends: {
      kind: 'after-days-by-method',
      method: 'new-cork-grease',
      days: { 'one-week': oneVoice(7), 'two-weeks': oneVoice(14) },
    },
    effects: [{ kind: 'at-each-joining', items: ['tenons/new-cork', 'saxophone/new-cork'] }],
  },
  'new-wood': {
    id: 'new-wood',
    name: 'New wood',
    begins: 'First day it is played',
    of: 'instrument',
    where: [{ build: { body: ['wood'] } }],
    ends: { kind: 'after-days', days: general(14) },
    effects: [
      { kind: 'daily-minutes', most: general(20) },
      { kind: 'hold', text: 'Swab halfway through, then go on.', mark: 'general' },
      {
        kind: 'hold',
        text: 'After the two weeks play longer by small steps. The maker’s leaflet overrules this.',
        mark: 'general',
      },
    ],
  },
  'dry-air': {
    id: 'dry-air',
    name: 'Dry air',
    begins: 'Day of the reading',
    of: 'instrument',
    where: [{ build: { body: ['wood', 'bamboo'] } }],
    asks: 'air',
    ends: { kind: 'when-said', words: 'when the air is back above 40 %' },
    effects: [
      {
        kind: 'hold',
        text: 'Keep a humidifier in the case while the air is below about 40 %.',
        mark: 'general',
        by: { method: 'case-humidifier', choices: ['below-40'] },
      },
      {
        kind: 'hold',
        text: 'Keep it away from heaters and moving air. Play for shorter times and swab halfway through.',
        mark: 'practice',
      },
      {
        kind: 'hold',
        text: 'Wood that has dried can crack in careful hands as well. No method is a guarantee.',
        mark: 'practice',
      },
    ],
  },
  'wet-tour': {
    id: 'wet-tour',
    name: 'Wet tour week',
    begins: 'First day of it',
    of: 'player',
    mayBeginLater: true,
    ends: { kind: 'after-days', days: estimate(7) },
    effects: [
      { kind: 'at-least-every', items: ['swab/wash'], days: estimate(3) },
      { kind: 'at-least-every', items: ['highland-pipes/mould'], days: estimate(7) },
      { kind: 'at-least-every', items: ['piston-brass/valve-oil', 'rotary-brass/rotor-oil'], days: estimate(2) },
      {
        kind: 'hold',
        text: 'Hang the swab open overnight and never shut it wet in the case. Mould comes in days.',
        mark: 'practice',
      },
    ],
  },
  'long-rest': {
    id: 'long-rest',
    name: 'A long rest ahead',
    begins: 'First day it is not played',
    of: 'instrument',
    mayBeginLater: true,
    ends: { kind: 'when-said', words: 'when you play again' },
    effects: [
      {
        kind: 'due-on-days',
        items: LUBRICANTS,
        schedule: { days: [0] },
        doneWithin: estimate(7),
        words: 'oil and grease come first, because they keep corrosion off and parts from setting',
        mark: 'practice',
      },
      {
        kind: 'due-on-days',
        items: ['swab/wash'],
        schedule: { days: [0] },
        doneWithin: estimate(7),
        words: 'no damp cloth is shut in with it',
        mark: 'practice',
      },
      {
        kind: 'hold',
        text: 'Keep it in its case in an ordinary room, never in a car, in the sun or by a heater.',
        mark: 'practice',
      },
    ],
  },
  'in-parts': {
    id: 'in-parts',
    name: 'Only part of it is played',
    begins: 'First day of it',
    of: 'instrument',
    where: [{ kinds: PLAYED_IN_PARTS }, { kinds: ['soprano-saxophone'], build: { pieces: ['two-piece'] } }],
    asks: 'alone',
    mayBeginLater: true,
    ends: { kind: 'after-days', days: estimate(21) },
    effects: [
      {
        kind: 'hold',
        text: 'The rest stays in its case, dry. It is neither swabbed nor counted while it rests.',
        mark: 'practice',
      },
    ],
  },
} as const satisfies Record<ConditionId, ConditionKind>;
