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
      { on: CORKS, verdict: 'yes', why: 'what corks are greased with' },
      { on: ['tenons'], of: ['cork'], verdict: 'yes', why: 'what corks are greased with' },
      { on: ['tenons'], of: ['thread'], verdict: 'no', why: 'grease is not proper for thread: tenon wax is' },
      { on: ['hemp-joints'], of: ['thread'], verdict: 'care', why: 'tenon wax is proper for thread' },
      { on: ['tenons'], of: ['metal'], verdict: 'no', why: 'grit collects in it and scores the tenon' },
      { on: ['metal-tenons', 'neck-tenon'], verdict: 'no', why: 'grit collects in it and scores the tenon' },
    ],
  },
  {
    id: 'tenon-wax',
    name: 'Tenon wax',
    group: 'Grease and oil',
    rows: [{ on: ['tenons', 'hemp-joints'], of: ['thread'], verdict: 'yes', why: 'proper for thread' }],
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
        why: 'the wing and the small bore of the boot are lined; bare maple is the bench’s to judge',
        mark: 'general',
      },
      { on: ['bore'], of: ['wood'], verdict: 'yes', why: 'thin, with the pads shielded' },
      { on: ['bore'], of: ['plastic', 'hard-rubber', 'metal'], verdict: 'no', why: 'useless, and it gums the pads' },
      { on: ['body'], of: ['wood'], verdict: 'care', why: 'outside barely any, on a pad, off keys and pads' },
      { on: ['tube'], verdict: 'no', why: 'useless in brass, and it gums valves' },
      {
        on: ['body'],
        of: ['bamboo'],
        verdict: 'no',
        why: 'slippery; most makers advise against it',
        byMethod: { method: 'bamboo-oil', allowedBy: ['yes'], then: 'outside, a trace; most makers advise against it' },
      },
      { on: ['blowing-edge'], of: ['bamboo'], verdict: 'no', why: 'slippery; most makers advise against it' },
      { on: ['pads'], verdict: 'no', why: 'it ruins them' },
    ],
    cautions: ['Oily cloths dry flat outdoors before they are binned.', 'Children only with a grown-up.'],
  },
  {
    id: 'key-oil',
    name: 'Key oil',
    group: 'Grease and oil',
    rows: [
      { on: ['rods'], verdict: 'yes', why: 'one drop, keys worked, excess wiped' },
      { on: [...CORKS, 'pads'], verdict: 'no', why: 'it ruins pads and loosens corks' },
      { on: ['bore'], verdict: 'no', why: 'it belongs on rods only' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'it loosens corks' },
    ],
    cautions: ['Oily cloths dry flat outdoors before they are binned.', 'Children only with a grown-up.'],
  },
  {
    id: 'piston-oil',
    name: 'Piston valve oil',
    group: 'Grease and oil',
    rows: [
      { on: ['pistons'], verdict: 'yes', why: 'what pistons run on' },
      { on: ['rotors'], verdict: 'no', why: 'too thick or too thin by its grade' },
    ],
  },
  {
    id: 'rotor-oil',
    name: 'Rotor oil',
    group: 'Grease and oil',
    rows: [{ on: ['rotors'], verdict: 'yes', why: 'a few drops at each bearing' }],
  },
  {
    id: 'slide-grease',
    name: 'Tuning-slide grease',
    group: 'Grease and oil',
    rows: [
      { on: ['tuning-slides'], verdict: 'yes', why: 'thin, on the inner legs' },
      { on: ['hand-slide'], verdict: 'no', why: 'it drags' },
      { on: ['pistons'], verdict: 'no', why: 'pistons run about 0.025 mm from their casing: grease stops them' },
    ],
  },
  {
    id: 'slide-cream',
    name: 'Slide cream or oil',
    group: 'Grease and oil',
    rows: [{ on: ['hand-slide'], verdict: 'yes', why: 'with a spray of water' }],
  },
  {
    id: 'petroleum-jelly',
    name: 'Petroleum jelly',
    group: 'Grease and oil',
    rows: [
      { on: ['bamboo-joint'], verdict: 'care', why: 'a trace, on a tight joint' },
      { on: CORKS, verdict: 'no', why: 'it softens the glue', mark: 'general' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'it softens the glue', mark: 'general' },
    ],
  },
  {
    id: 'hair-wax',
    name: 'Hair wax or another light grease',
    group: 'Grease and oil',
    rows: [{ on: ['bamboo-joint'], verdict: 'care', why: 'a trace, on a tight joint' }],
  },
];
