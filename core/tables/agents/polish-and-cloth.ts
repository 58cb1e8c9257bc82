import type { Agent } from '#core/book/agent.ts';
import { BASSOON, OBOES, WIDE_SAXES } from '#core/tables/agents/among.ts';
import { CORKS } from '#core/tables/agents/surface-groups.ts';

/** Polish, cloth, paper, brush and swab. */
export const POLISH_AND_CLOTH: readonly Agent[] = [
  {
    id: 'furniture-polish',
    name: 'Furniture polish on a cloth',
    group: 'Polish',
    rows: [
      {
        on: ['finish'],
        of: ['lacquer'],
        verdict: 'by-method',
        why: 'A dry cloth is enough. Polish leaves a film, and silicone fouls pads and hinders later lacquer work.',
        byMethod: {
          method: 'sax-outside',
          allowedBy: ['polish-on-cloth'],
          then: 'Put a trace on the cloth and never spray the horn. Use none with silicone, and keep it off pads, felts and rods.',
        },
      },
      {
        on: ['neck-tenon'],
        verdict: 'by-method',
        why: 'It leaves a film.',
        byMethod: {
          method: 'neck-tenon-cleaning',
          allowedBy: ['polish-cloth'],
          then: 'Use a trace and wipe it off again.',
        },
      },
      { on: ['pads', 'rods'], verdict: 'no', why: 'Keep it off them, because it fouls pads and gums rods.' },
      { on: ['valve-felts'], verdict: 'no', why: 'Keep it off felts.' },
      { on: CORKS, verdict: 'no', why: 'A dry cloth and cork grease are enough.' },
      { on: ['finish'], of: ['silver', 'bare-brass'], verdict: 'no', why: 'It is for lacquer, if for anything.' },
    ],
    cautions: [
      'Never with bleach: polishes may hold ammonia, dips an acid.',
      'Cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'silver-polish',
    name: 'Silver polish',
    group: 'Polish',
    rows: [
      {
        on: ['finish'],
        of: ['silver'],
        verdict: 'care',
        why: 'Once a year at most on brass instruments. On woodwind keys use a cloth only, because paste clogs pads and rods.',
      },
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'It takes the lacquer off.' },
      { on: ['keys'], verdict: 'care', why: 'Use a cloth only, because paste clogs pads and rods.' },
      { on: ['pads', 'rods'], verdict: 'no', why: 'Paste clogs pads and rods.' },
    ],
    cautions: [
      'Never with bleach: polishes may hold ammonia, dips an acid.',
      'Cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'silver-cloth',
    name: 'Silver cloth',
    group: 'Polish',
    rows: [
      { on: ['finish'], of: ['silver'], verdict: 'yes', why: 'Use it dry and without pressure.' },
      { on: ['brass-mouthpiece'], of: ['plated'], verdict: 'yes', why: 'On silver plate, dry and without pressure.' },
      { on: ['keys'], verdict: 'yes', why: 'On silver-plated keys, clear of springs and pads.' },
    ],
  },
  {
    id: 'brass-polish',
    name: 'Brass polish or abrasive paste',
    group: 'Polish',
    rows: [
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'It takes the lacquer off.' },
      {
        on: ['neck-tenon'],
        verdict: 'no',
        why: 'It removes metal and loosens the fit. A loose fit is work for the bench.',
      },
    ],
    cautions: [
      'Never with bleach: polishes may hold ammonia, dips an acid.',
      'Cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'brass-cloth',
    name: 'Impregnated brass cloth',
    group: 'Polish',
    rows: [
      { on: ['neck-tenon'], verdict: 'care', why: 'Use it only when a dry cloth was not enough, then wipe it off.' },
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'It dulls lacquer.' },
    ],
    cautions: [
      'Never with bleach: polishes may hold ammonia, dips an acid.',
      'Cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'plain-paper',
    name: 'Plain absorbent or cigarette paper',
    group: 'Cloth, paper, brush',
    alsoCalled: ['blotting paper', 'cigarette paper', 'kitchen paper'],
    rows: [
      { on: ['pads'], of: ['skin'], verdict: 'yes', why: 'Press and release only.', mark: 'general' },
      {
        on: ['pads'],
        verdict: 'yes',
        why: 'For a wet pad press and release. For a sticky pad shut it on the paper for a few seconds and draw it out slowly. Stop before it tears.',
      },
    ],
  },
  {
    id: 'coated-paper',
    name: 'Powdered or coated paper',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['pads'], of: ['skin'], verdict: 'no', why: 'It leaves residue.' },
      {
        on: ['pads'],
        verdict: 'no',
        why: 'It leaves residue.',
        byMethod: {
          method: 'sticky-pad',
          allowedBy: ['coated-paper'],
          then: 'The usual advice is against it, because it leaves residue. Use it on a sticky pad only, and wipe after.',
        },
      },
    ],
  },
  {
    id: 'cotton-bud',
    name: 'Cotton bud',
    group: 'Cloth, paper, brush',
    alsoCalled: ['ear bud', 'cotton swab'],
    rows: [
      { on: ['tone-holes'], verdict: 'yes', why: 'Use it dry and leave the pads alone.' },
      { on: ['lip-plate'], verdict: 'yes', why: 'Use it inside the blow hole.' },
      {
        on: ['pad-seats'],
        verdict: 'care',
        why: 'Use it dry and lightly on the seat, and keep the pad clear.',
        mark: 'general',
      },
      { on: ['pads'], verdict: 'no', why: 'It catches pads and tears them. Use paper for pads.', mark: 'general' },
      { on: ['valve-ports', 'mouthpiece', 'brass-mouthpiece'], verdict: 'yes', why: 'Use it inside.' },
    ],
  },
  {
    id: 'toothpick',
    name: 'Toothpick, needle, anything pointed',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tone-holes', 'pads'], verdict: 'no', why: 'It scratches and punctures. A cotton bud does the same job.' },
    ],
  },
  {
    id: 'pipe-cleaner',
    name: 'Pipe cleaner',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tone-holes'], verdict: 'yes', why: 'It is for the rims.' },
      { on: ['rods'], verdict: 'no', why: 'Under rods it sheds.' },
    ],
  },
  {
    id: 'soft-brush',
    name: 'Soft make-up brush',
    group: 'Cloth, paper, brush',
    rows: [{ on: ['rods'], verdict: 'yes', why: 'It takes the dust from under the rods.' }],
  },
  {
    id: 'toothbrush',
    name: 'Toothbrush',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['keys'], verdict: 'care', why: 'Use it under the keys, dry and lightly.' },
      {
        on: ['mouthpiece'],
        verdict: 'no',
        why: 'It scratches, and no way of washing calls for it. A soft brush with bristles at its top is made for this.',
      },
    ],
  },
  {
    id: 'flexible-brush',
    name: 'Flexible brush',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tube', 'hand-slide', 'tuning-slides'], verdict: 'yes', why: 'Hold the tube that is being brushed.' },
      { on: ['bore'], verdict: 'no', why: 'It is not for woodwind bores.' },
      { on: ['bocal'], verdict: 'care', why: 'Use a bocal brush only, gently.', mark: 'general' },
      {
        on: ['blowpipe'],
        verdict: 'yes',
        why: 'Where there is a flap valve, go in from the mouth end. Ease past it and never bend it.',
      },
    ],
  },
  {
    id: 'feathery-brush',
    name: 'Feathery mouthpiece brush',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['mouthpiece'], verdict: 'no', why: 'It sheds, and a fibre holds the reed still or reaches the mouth.' },
    ],
  },
  {
    id: 'metal-weight',
    name: 'Metal-ended swab weight without a sleeve',
    group: 'Cloth, paper, brush',
    rows: [
      {
        on: ['bore'],
        of: ['wood', 'plastic', 'hard-rubber'],
        verdict: 'no',
        why: 'Bare, it scratches. With a sleeve on, it may be used.',
      },
      { on: ['bore', 'blowing-edge'], of: ['bamboo'], verdict: 'care', why: 'Only one that is smooth and rounded.' },
    ],
  },
  {
    id: 'fluffy-stick',
    name: 'Fluffy bore stick left inside',
    group: 'Cloth, paper, brush',
    rows: [
      {
        on: ['bore'],
        verdict: 'by-method',
        why: 'It holds the water against the pads, and it sheds.',
        byMethod: { method: 'fluffy-stick', allowedBy: ['yes'], then: 'Use it after the swab, never instead of it.' },
      },
    ],
  },
  {
    id: 'tailless-swab',
    name: 'Swab without a tail cord',
    group: 'Cloth, paper, brush',
    alsoCalled: ['pull-through'],
    rows: [
      {
        on: ['bore'],
        among: OBOES,
        verdict: 'no',
        why: 'Not in the upper joint: once it binds, nothing draws it back.',
      },
      {
        on: ['bore'],
        among: BASSOON,
        verdict: 'care',
        why: 'In the boot only with care: once in, it has to come out again.',
      },
    ],
  },
  {
    id: 'cored-swab',
    name: 'Swab with a thick core',
    group: 'Cloth, paper, brush',
    alsoCalled: ['thick swab'],
    rows: [
      { on: ['mouthpiece'], verdict: 'no', why: 'It sticks.' },
      { on: ['neck-cork', 'neck-tenon'], verdict: 'no', why: 'Never in the neck, because it sticks there.' },
      {
        on: ['bore'],
        among: WIDE_SAXES,
        verdict: 'yes',
        why: 'It is for a saxophone’s body only, never for its neck.',
      },
      {
        on: ['bore'],
        verdict: 'no',
        why: 'It is for the body of an alto, tenor or baritone only, because it sticks elsewhere.',
      },
    ],
  },
];
