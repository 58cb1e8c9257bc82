import type { Agent } from '#core/book/agent.ts';
import { BASSOON } from '#core/tables/agents/among.ts';
import { CORKS } from '#core/tables/agents/surface-groups.ts';

/** Greases and oils, and what may touch what. */
export const GREASE_AND_OIL: readonly Agent[] = [
  {
    id: 'cork-grease',
    name: 'Cork grease',
    group: 'Grease and oil',
    rows: [
      { on: CORKS, verdict: 'yes', why: 'Corks are greased with it.' },
      { on: ['tenons'], of: ['cork'], verdict: 'yes', why: 'Corks are greased with it.' },
      { on: ['tenons'], of: ['thread'], verdict: 'no', why: 'Grease is not proper for thread. Tenon wax is.' },
      { on: ['hemp-joints'], of: ['thread'], verdict: 'care', why: 'Tenon wax is proper for thread.' },
      { on: ['tenons'], of: ['metal'], verdict: 'no', why: 'Grit collects in it and scores the tenon.' },
      { on: ['metal-tenons', 'neck-tenon'], verdict: 'no', why: 'Grit collects in it and scores the tenon.' },
    ],
  },
  {
    id: 'tenon-wax',
    name: 'Tenon wax',
    group: 'Grease and oil',
    rows: [{ on: ['tenons', 'hemp-joints'], of: ['thread'], verdict: 'yes', why: 'It is proper for thread.' }],
  },
  {
    id: 'bore-oil',
    name: 'Bore oil',
    group: 'Grease and oil',
    rows: [
      {
        on: ['bore'],
        among: BASSOON,
        of: ['wood'],
        verdict: 'no',
        why: 'The wing and the small bore of the boot are lined. Bare maple is for the bench to judge.',
        mark: 'general',
      },
      { on: ['bore'], of: ['wood'], verdict: 'yes', why: 'Put it on thinly, with the pads shielded.' },
      {
        on: ['bore'],
        of: ['plastic', 'hard-rubber', 'metal'],
        verdict: 'no',
        why: 'It is useless there, and it gums the pads.',
      },
      {
        on: ['body'],
        of: ['wood'],
        verdict: 'care',
        why: 'Barely any, on the outside, with a cloth pad, and off keys and pads.',
      },
      { on: ['tube'], verdict: 'no', why: 'It is useless in brass, and it gums valves.' },
      {
        on: ['body'],
        of: ['bamboo'],
        verdict: 'no',
        why: 'It makes the flute slippery, and most makers advise against it.',
        byMethod: {
          method: 'bamboo-oil',
          allowedBy: ['yes'],
          then: 'Put a trace on the outside. Most makers advise against it.',
        },
      },
      {
        on: ['blowing-edge'],
        of: ['bamboo'],
        verdict: 'no',
        why: 'It makes the flute slippery, and most makers advise against it.',
      },
      { on: ['pads'], verdict: 'no', why: 'It ruins them.' },
    ],
    cautions: ['Oily cloths dry flat outdoors before they are binned.', 'Children only with a grown-up.'],
  },
  {
    id: 'key-oil',
    name: 'Key oil',
    group: 'Grease and oil',
    rows: [
      { on: ['rods'], verdict: 'yes', why: 'Use one drop, work the keys and wipe off the excess.' },
      { on: [...CORKS, 'pads'], verdict: 'no', why: 'It ruins pads and loosens corks.' },
      { on: ['bore'], verdict: 'no', why: 'It belongs on rods only.' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'It loosens corks.' },
    ],
    cautions: ['Oily cloths dry flat outdoors before they are binned.', 'Children only with a grown-up.'],
  },
  {
    id: 'piston-oil',
    name: 'Piston valve oil',
    group: 'Grease and oil',
    rows: [
      { on: ['pistons'], verdict: 'yes', why: 'Pistons run on it.' },
      { on: ['rotors'], verdict: 'no', why: 'It is too thick or too thin, by its grade.' },
    ],
  },
  {
    id: 'rotor-oil',
    name: 'Rotor oil',
    group: 'Grease and oil',
    rows: [{ on: ['rotors'], verdict: 'yes', why: 'Put a few drops on each bearing.' }],
  },
  {
    id: 'slide-grease',
    name: 'Tuning-slide grease',
    group: 'Grease and oil',
    rows: [
      { on: ['tuning-slides'], verdict: 'yes', why: 'Put it thinly on the inner legs.' },
      { on: ['hand-slide'], verdict: 'no', why: 'It drags.' },
      { on: ['pistons'], verdict: 'no', why: 'Pistons run about 0.025 mm from their casing, and grease stops them.' },
    ],
  },
  {
    id: 'slide-cream',
    name: 'Slide cream or oil',
    group: 'Grease and oil',
    rows: [{ on: ['hand-slide'], verdict: 'yes', why: 'Use it with a spray of water.' }],
  },
  {
    id: 'petroleum-jelly',
    name: 'Petroleum jelly',
    group: 'Grease and oil',
    rows: [
      { on: ['bamboo-joint'], verdict: 'care', why: 'Put a trace on a tight joint.' },
      { on: CORKS, verdict: 'no', why: 'It softens the glue.', mark: 'general' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'It softens the glue.', mark: 'general' },
    ],
  },
  {
    id: 'hair-wax',
    name: 'Hair wax or another light grease',
    group: 'Grease and oil',
    rows: [{ on: ['bamboo-joint'], verdict: 'care', why: 'Put a trace on a tight joint.' }],
  },
];
