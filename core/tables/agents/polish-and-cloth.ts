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
        why: 'a dry cloth does it; polish leaves a film, and silicone fouls pads and hinders later lacquer work',
        byMethod: {
          method: 'sax-outside',
          allowedBy: ['polish-on-cloth'],
          then: 'a trace on the cloth, never sprayed at the horn; no silicone; off pads, felts and rods',
        },
      },
      {
        on: ['neck-tenon'],
        verdict: 'by-method',
        why: 'it leaves a film',
        byMethod: { method: 'neck-tenon-cleaning', allowedBy: ['polish-cloth'], then: 'a trace, wiped off again' },
      },
      { on: ['pads', 'rods'], verdict: 'no', why: 'kept off them: it fouls pads and gums rods' },
      { on: ['valve-felts'], verdict: 'no', why: 'kept off felts' },
      { on: CORKS, verdict: 'no', why: 'dry cloth and cork grease do it' },
      { on: ['finish'], of: ['silver', 'bare-brass'], verdict: 'no', why: 'it is for lacquer, if for anything' },
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
        why: 'yearly at most on brass-wind; on woodwind keywork cloth only: paste clogs pads and rods',
      },
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'it takes the lacquer off' },
      { on: ['keys'], verdict: 'care', why: 'cloth only: paste clogs pads and rods' },
      { on: ['pads', 'rods'], verdict: 'no', why: 'paste clogs pads and rods' },
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
      { on: ['finish'], of: ['silver'], verdict: 'yes', why: 'dry, without pressure' },
      { on: ['brass-mouthpiece'], of: ['plated'], verdict: 'yes', why: 'silver plate, dry, without pressure' },
      { on: ['keys'], verdict: 'yes', why: 'silver-plated keys, clear of springs and pads' },
    ],
  },
  {
    id: 'brass-polish',
    name: 'Brass polish or abrasive paste',
    group: 'Polish',
    rows: [
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'it takes the lacquer off' },
      { on: ['neck-tenon'], verdict: 'no', why: 'it removes metal, the fit loosens; a loose fit is the bench’s' },
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
      { on: ['neck-tenon'], verdict: 'care', why: 'after a dry cloth was not enough, then wiped off' },
      { on: ['finish', 'keys'], of: ['lacquer'], verdict: 'no', why: 'it dulls lacquer' },
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
      { on: ['pads'], of: ['skin'], verdict: 'yes', why: 'press and release only', mark: 'general' },
      {
        on: ['pads'],
        verdict: 'yes',
        why: 'wet: press and release; sticky: pad shut on it a few seconds, drawn out slowly, stopped before it tears',
      },
    ],
  },
  {
    id: 'coated-paper',
    name: 'Powdered or coated paper',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['pads'], of: ['skin'], verdict: 'no', why: 'it leaves residue' },
      {
        on: ['pads'],
        verdict: 'no',
        why: 'it leaves residue',
        byMethod: {
          method: 'sticky-pad',
          allowedBy: ['coated-paper'],
          then: 'against the advice: it leaves residue; a sticky pad only, wiped after',
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
      { on: ['tone-holes'], verdict: 'yes', why: 'dry, pads untouched' },
      { on: ['lip-plate'], verdict: 'yes', why: 'inside the blow hole' },
      { on: ['pad-seats'], verdict: 'care', why: 'dry and light on the seat, the pad kept clear', mark: 'general' },
      { on: ['pads'], verdict: 'no', why: 'it catches and tears them: paper for pads', mark: 'general' },
      { on: ['valve-ports', 'mouthpiece', 'brass-mouthpiece'], verdict: 'yes', why: 'inside' },
    ],
  },
  {
    id: 'toothpick',
    name: 'Toothpick, needle, anything pointed',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tone-holes', 'pads'], verdict: 'no', why: 'it scratches and punctures; a cotton bud does the same job' },
    ],
  },
  {
    id: 'pipe-cleaner',
    name: 'Pipe cleaner',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tone-holes'], verdict: 'yes', why: 'for the rims' },
      { on: ['rods'], verdict: 'no', why: 'under rods it sheds' },
    ],
  },
  {
    id: 'soft-brush',
    name: 'Soft make-up brush',
    group: 'Cloth, paper, brush',
    rows: [{ on: ['rods'], verdict: 'yes', why: 'dust under the rods' }],
  },
  {
    id: 'toothbrush',
    name: 'Toothbrush',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['keys'], verdict: 'care', why: 'under the keys, dry and light' },
      {
        on: ['mouthpiece'],
        verdict: 'no',
        why: 'it scratches, and no way of washing has it; a soft brush with bristles at its top is made for it',
      },
    ],
  },
  {
    id: 'flexible-brush',
    name: 'Flexible brush',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['tube', 'hand-slide', 'tuning-slides'], verdict: 'yes', why: 'holding the tube being brushed' },
      { on: ['bore'], verdict: 'no', why: 'not in woodwind bores' },
      { on: ['bocal'], verdict: 'care', why: 'a bocal brush only, gently', mark: 'general' },
      {
        on: ['blowpipe'],
        verdict: 'yes',
        why: 'with a flap valve from the mouth end, eased past it, never bending it',
      },
    ],
  },
  {
    id: 'feathery-brush',
    name: 'Feathery mouthpiece brush',
    group: 'Cloth, paper, brush',
    rows: [{ on: ['mouthpiece'], verdict: 'no', why: 'it sheds; a fibre holds the reed still or reaches the mouth' }],
  },
  {
    id: 'metal-weight',
    name: 'Metal-ended swab weight without a sleeve',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['bore'], of: ['wood', 'plastic', 'hard-rubber'], verdict: 'no', why: 'it scratches; sleeved it may' },
      { on: ['bore', 'blowing-edge'], of: ['bamboo'], verdict: 'care', why: 'only smooth and rounded' },
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
        why: 'it holds the water against the pads, sheds',
        byMethod: { method: 'fluffy-stick', allowedBy: ['yes'], then: 'after the swab, never instead of it' },
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
        why: 'not in the upper joint: once it binds, nothing draws it back',
      },
      { on: ['bore'], among: BASSOON, verdict: 'care', why: 'in the boot: once in, it must come out' },
    ],
  },
  {
    id: 'cored-swab',
    name: 'Swab with a thick core',
    group: 'Cloth, paper, brush',
    alsoCalled: ['thick swab'],
    rows: [
      { on: ['mouthpiece'], verdict: 'no', why: 'it sticks' },
      { on: ['neck-cork', 'neck-tenon'], verdict: 'no', why: 'never in the neck: it sticks' },
      { on: ['bore'], among: WIDE_SAXES, verdict: 'yes', why: 'a saxophone’s body only, never its neck' },
      { on: ['bore'], verdict: 'no', why: 'it is for the body of an alto, tenor or baritone only: it sticks' },
    ],
  },
];
