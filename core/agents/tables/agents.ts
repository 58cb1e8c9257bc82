import { SURFACE_IDS, type Agent } from '#core/agents/agent.ts';

/** Which liquid, grease, cloth or tool may touch what. What is not listed is not known: ask the maker or the bench. */
export const AGENTS: readonly Agent[] = [
  {
    id: 'cork-grease',
    name: 'Cork grease',
    group: 'Grease and oil',
    rows: [
      { on: ['neck-cork'], verdict: 'yes', why: 'what corks are greased with' },
      { on: ['tenons'], of: ['cork'], verdict: 'yes', why: 'what corks are greased with' },
      { on: ['tenons'], of: ['thread'], verdict: 'care', why: 'tenon wax is proper for thread' },
      { on: ['tenons'], of: ['metal'], verdict: 'no', why: 'grit collects in it and scores the tenon' },
      { on: ['metal-tenons', 'neck-tenon'], verdict: 'no', why: 'grit collects in it and scores the tenon' },
    ],
  },
  {
    id: 'tenon-wax',
    name: 'Tenon wax',
    group: 'Grease and oil',
    rows: [{ on: ['tenons'], of: ['thread'], verdict: 'yes', why: 'proper for thread' }],
  },
  {
    id: 'bore-oil',
    name: 'Bore oil',
    group: 'Grease and oil',
    rows: [
      { on: ['bore'], of: ['wood'], verdict: 'yes', why: 'thin, with the pads shielded' },
      { on: ['bore'], of: ['plastic', 'hard-rubber', 'metal'], verdict: 'no', why: 'useless, and it gums the pads' },
      { on: ['tube'], verdict: 'no', why: 'useless, and it gums the pads' },
      {
        on: ['body'],
        of: ['bamboo'],
        verdict: 'no',
        why: 'slippery; most makers advise against it',
        bySchool: { school: 'bamboo-oil', allowedBy: ['yes'], then: 'outside, a trace; most makers advise against it' },
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
      { on: ['pads', 'neck-cork', 'bore', 'tube'], verdict: 'no', why: 'it ruins pads and loosens corks' },
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
      { on: ['neck-cork'], verdict: 'no', why: 'it softens the glue', mark: 'general' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'it softens the glue', mark: 'general' },
    ],
  },
  {
    id: 'hair-wax',
    name: 'Hair wax or another light grease',
    group: 'Grease and oil',
    rows: [{ on: ['bamboo-joint'], verdict: 'care', why: 'a trace, on a tight joint' }],
  },
  {
    id: 'clear-tape',
    name: 'Clear tape',
    group: 'Tools',
    rows: [{ on: ['bamboo-joint'], verdict: 'yes', why: 'a turn on a loose joint' }],
  },
  {
    id: 'cool-water',
    name: 'Water, cold to lukewarm',
    group: 'Water and soap',
    rows: [
      {
        on: ['tube', 'hand-slide', 'tuning-slides', 'brass-mouthpiece'],
        verdict: 'yes',
        why: 'piston valves out, rotors stay in, low pressure',
      },
      { on: ['mouthpiece'], verdict: 'yes', why: 'with the cork kept dry' },
      { on: ['blowing-edge'], verdict: 'care', why: 'a wet fingertip on the rim is all' },
      { on: ['bore', 'body', 'pads', 'tone-holes'], verdict: 'no', why: 'pads are ruined and wood moves' },
      { on: ['valve-felts'], verdict: 'no', why: 'felts spoil when wet' },
    ],
  },
  {
    id: 'hot-water',
    name: 'Hot water',
    group: 'Water and soap',
    rows: [
      { on: ['finish'], of: ['lacquer'], verdict: 'no', why: 'it lifts lacquer and cleans no better' },
      { on: ['mouthpiece'], of: ['hard-rubber'], verdict: 'no', why: 'it discolours; boiling warps' },
      { on: ['mouthpiece'], of: ['plastic'], verdict: 'no', why: 'it warps' },
    ],
  },
  {
    id: 'dish-soap',
    name: 'Mild dish soap',
    group: 'Water and soap',
    rows: [
      {
        on: ['tube', 'hand-slide', 'tuning-slides', 'finish', 'brass-mouthpiece', 'mouthpiece'],
        verdict: 'yes',
        why: 'a little, rinsed off',
      },
      { on: ['valve-felts'], verdict: 'no', why: 'keep them out of it' },
      { on: ['pads'], of: ['leather', 'skin'], verdict: 'no', why: 'it ruins them' },
    ],
  },
  {
    id: 'dishwasher',
    name: 'Dishwasher',
    group: 'Water and soap',
    rows: [
      {
        on: ['brass-mouthpiece'],
        of: ['stainless'],
        verdict: 'yes',
        why: 'solid stainless stands it; it does not sterilise either',
      },
      {
        on: ['brass-mouthpiece'],
        of: ['plated', 'bare-brass'],
        verdict: 'by-school',
        why: 'alkali and heat dull plate and stain brass, and it is not sterile either',
        bySchool: { school: 'brass-mouthpiece-wash', allowedBy: ['dishwasher'], then: 'it dulls plate all the same' },
      },
      { on: ['mouthpiece'], of: ['hard-rubber', 'plastic'], verdict: 'no', why: 'heat warps and discolours' },
      {
        on: [
          'bore',
          'tube',
          'body',
          'finish',
          'pads',
          'keys',
          'hand-slide',
          'tuning-slides',
          'pistons',
          'rotors',
          'bag',
        ],
        verdict: 'no',
        why: 'no instrument goes into a dishwasher',
      },
    ],
  },
  {
    id: 'vinegar',
    name: 'Vinegar or lemon',
    group: 'Cleaners',
    rows: [
      {
        on: ['mouthpiece'],
        of: ['hard-rubber'],
        verdict: 'care',
        why: 'cool, below the cork, rinsed at once; old hard rubber discolours',
      },
      { on: ['mouthpiece'], of: ['plastic', 'glass'], verdict: 'care', why: 'cool, below the cork, rinsed at once' },
      { on: ['finish', 'brass-mouthpiece'], of: ['silver', 'plated'], verdict: 'care', why: 'briefly, rinsed at once' },
      { on: ['bore', 'body'], of: ['wood'], verdict: 'no', why: 'it attacks wood' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'it attacks cork' },
      { on: ['neck-cork', 'pads'], verdict: 'no', why: 'it attacks cork and pads' },
    ],
    hazards: ['acid'],
  },
  {
    id: 'mouthwash',
    name: 'Mouthwash without alcohol',
    group: 'Cleaners',
    rows: [
      {
        on: ['mouthpiece', 'brass-mouthpiece', 'blowpipe'],
        verdict: 'care',
        why: 'cool, below the cork, rinsed at once when lifted out',
      },
    ],
  },
  {
    id: 'mouthwash-alcohol',
    name: 'Mouthwash with alcohol',
    group: 'Cleaners',
    rows: [{ on: ['mouthpiece'], verdict: 'no', why: 'it dries hard rubber' }],
    hazards: ['alcohol'],
  },
  {
    id: 'rubbing-alcohol',
    name: 'Rubbing alcohol or an alcohol wipe',
    group: 'Cleaners',
    rows: [
      { on: ['lip-plate'], of: ['metal'], verdict: 'yes', why: 'a pad, or a bud with a little; metal head only' },
      {
        on: ['mouthpiece'],
        of: ['hard-rubber'],
        verdict: 'by-school',
        why: 'it dries the mouthpiece over time; by wipe, only briefly',
        bySchool: { school: 'mouthpiece-alcohol', allowedBy: ['wipe'], then: 'a quick wipe, then rinsed' },
      },
      { on: ['mouthpiece', 'brass-mouthpiece'], verdict: 'care', why: 'by wipe, short' },
      {
        on: ['keys'],
        verdict: 'by-school',
        why: 'said to take thin plating and to dry wood beside it',
        bySchool: { school: 'alcohol-on-keys', allowedBy: ['lightly'], then: 'lightly, on a cloth, never over pads' },
      },
      {
        on: ['body'],
        of: ['plastic'],
        verdict: 'by-school',
        why: 'some plastics craze',
        bySchool: {
          school: 'alcohol-on-plastic-body',
          allowedBy: ['wipe-outside'],
          then: 'a wipe, outside only; tried first where it does not show',
        },
      },
      { on: ['lip-plate'], of: ['plastic'], verdict: 'no', why: 'metal heads only; some plastics craze' },
      { on: ['finish'], of: ['lacquer'], verdict: 'no', why: 'it attacks lacquer' },
      { on: ['pads'], of: ['skin', 'leather'], verdict: 'no', why: 'it ruins them' },
      {
        on: ['body', 'bore', 'blowing-edge', 'lip-plate'],
        of: ['wood', 'bamboo'],
        verdict: 'no',
        why: 'it dries wood',
      },
      { on: ['reed', 'double-reed'], verdict: 'no', why: 'it dries cane' },
    ],
    hazards: ['alcohol'],
    cautions: ['Flammable: no flame, no cigarette, open window.', 'Children only with a grown-up.'],
  },
  {
    id: 'sanitiser',
    name: 'Hand sanitiser',
    group: 'Cleaners',
    rows: [
      {
        on: [
          'bore',
          'tube',
          'body',
          'finish',
          'keys',
          'pads',
          'mouthpiece',
          'brass-mouthpiece',
          'lip-plate',
          'blowing-edge',
          'reed',
          'double-reed',
          'bag',
        ],
        verdict: 'no',
        why: 'for hands only, rubbed dry before anything is touched',
      },
    ],
    hazards: ['alcohol'],
    cautions: ['Flammable until dry.'],
  },
  {
    id: 'peroxide',
    name: 'Hydrogen peroxide, weak (3 %)',
    group: 'Cleaners',
    rows: [
      { on: ['reed'], verdict: 'yes', why: '30 s, then rinsed', mark: 'one-voice' },
      { on: ['double-reed'], verdict: 'yes', why: '30 s, then rinsed; not near cork or thread', mark: 'one-voice' },
      { on: ['blowpipe'], verdict: 'care', why: 'the valve only, then rinsed' },
      {
        on: ['finish', 'tube', 'lip-plate', 'hand-slide', 'tuning-slides', 'brass-mouthpiece'],
        verdict: 'no',
        why: 'it attacks metal finishes',
      },
    ],
    hazards: ['peroxide'],
    cautions: ['Follow the label; gloves and eye protection when stronger than household strength.'],
  },
  {
    id: 'bleach',
    name: 'Bleach',
    group: 'Cleaners',
    rows: [
      {
        on: SURFACE_IDS,
        verdict: 'no',
        why: 'on anything: it ruins every material here',
      },
    ],
    hazards: ['bleach'],
    cautions: ['Never together with acid, ammonia or alcohol: toxic gas.'],
  },
  { id: 'ammonia-cleaner', name: 'Cleaner with ammonia', group: 'Cleaners', rows: [], hazards: ['ammonia'] },
  {
    id: 'mouthpiece-spray',
    name: 'Spray sold for mouthpieces',
    group: 'Cleaners',
    rows: [
      { on: ['mouthpiece', 'brass-mouthpiece', 'blowpipe', 'reed', 'double-reed'], verdict: 'yes', why: 'as labelled' },
    ],
  },
  {
    id: 'contact-cleaner',
    name: 'Electronics contact cleaner, fast drying',
    group: 'Cleaners',
    rows: [
      { on: ['pad-seats'], of: ['plastic'], verdict: 'no', why: 'some plastics craze' },
      { on: ['pad-seats'], of: ['wood', 'hard-rubber'], verdict: 'no', why: 'metal bodies only' },
      { on: ['pad-seats'], verdict: 'care', why: 'on a bud, metal body, pad kept clear' },
      { on: ['pads'], of: ['skin'], verdict: 'no', why: 'it ruins skin' },
      { on: ['neck-cork', 'valve-felts'], verdict: 'no', why: 'it attacks cork and felt' },
      { on: ['tenons'], of: ['cork'], verdict: 'no', why: 'it attacks cork' },
    ],
    cautions: [
      'Flammable vapour: adult, open window, no flame; cloths aired.',
      'Solvent cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'lighter-fluid',
    name: 'Lighter fluid',
    group: 'Cleaners',
    rows: [
      {
        on: ['pad-seats'],
        of: ['plastic', 'wood', 'hard-rubber'],
        verdict: 'no',
        why: 'it burns; and on wood, plastic and rubber nobody answers for it',
        mark: 'general',
      },
      {
        on: ['pad-seats'],
        verdict: 'by-school',
        why: 'it burns',
        bySchool: {
          school: 'sticky-pad',
          allowedBy: ['lighter-fluid'],
          then: 'on a bud, by an adult, away from any flame, pad kept clear',
        },
      },
    ],
    cautions: [
      'Flammable: adult, open window, no flame or cigarette; cloths aired.',
      'Solvent cloths dry flat outdoors before they are binned.',
    ],
  },
  {
    id: 'furniture-polish',
    name: 'Furniture polish on a cloth',
    group: 'Polish',
    rows: [
      {
        on: ['finish'],
        of: ['lacquer'],
        verdict: 'by-school',
        why: 'a trace on the cloth, never sprayed at the horn; no silicone; off pads, felts and rods',
        bySchool: {
          school: 'sax-outside',
          allowedBy: ['polish-on-cloth'],
          then: 'a trace on the cloth, never sprayed at the horn; no silicone; off pads, felts and rods',
        },
      },
      {
        on: ['neck-tenon'],
        verdict: 'by-school',
        why: 'it leaves a film',
        bySchool: { school: 'neck-tenon-cleaning', allowedBy: ['polish-cloth'], then: 'a trace, wiped off again' },
      },
      { on: ['neck-cork'], verdict: 'no', why: 'dry cloth and cork grease do it' },
      { on: ['finish'], of: ['silver', 'bare-brass'], verdict: 'no', why: 'it is for lacquer, if for anything' },
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
      { on: ['finish'], of: ['lacquer'], verdict: 'no', why: 'it takes the lacquer off' },
      { on: ['keys'], verdict: 'care', why: 'cloth only: paste clogs pads and rods' },
    ],
  },
  {
    id: 'silver-cloth',
    name: 'Silver cloth',
    group: 'Polish',
    rows: [
      { on: ['finish'], of: ['silver'], verdict: 'yes', why: 'dry, without pressure' },
      { on: ['keys'], verdict: 'yes', why: 'clear of springs and pads' },
    ],
  },
  {
    id: 'brass-polish',
    name: 'Brass polish or abrasive paste',
    group: 'Polish',
    rows: [
      { on: ['finish'], of: ['lacquer'], verdict: 'no', why: 'it takes the lacquer off' },
      { on: ['neck-tenon'], verdict: 'no', why: 'it removes metal, the fit loosens; a loose fit is the bench’s' },
    ],
  },
  {
    id: 'brass-cloth',
    name: 'Impregnated brass cloth',
    group: 'Polish',
    rows: [
      { on: ['neck-tenon'], verdict: 'care', why: 'after a dry cloth was not enough, then wiped off' },
      { on: ['finish'], of: ['lacquer'], verdict: 'no', why: 'it dulls lacquer' },
    ],
  },
  {
    id: 'plain-paper',
    name: 'Plain absorbent or cigarette paper',
    group: 'Cloth, paper, brush',
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
        bySchool: {
          school: 'sticky-pad',
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
    rows: [
      { on: ['tone-holes'], verdict: 'yes', why: 'dry, pads untouched' },
      { on: ['valve-ports', 'mouthpiece'], verdict: 'yes', why: 'inside' },
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
        verdict: 'by-school',
        why: 'it scratches; a soft brush with bristles at its top is made for it',
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
        on: ['bore', 'tube'],
        verdict: 'by-school',
        why: 'it holds the water against the pads, sheds',
        bySchool: { school: 'fluffy-stick', allowedBy: ['yes'], then: 'after the swab, never instead of it' },
      },
    ],
  },
  {
    id: 'tailless-swab',
    name: 'Swab without a tail cord',
    group: 'Cloth, paper, brush',
    rows: [
      {
        on: ['bore'],
        kinds: ['oboe', 'cor-anglais'],
        verdict: 'no',
        why: 'not in the upper joint: once it binds, nothing draws it back',
      },
      { on: ['bore'], kinds: ['bassoon'], verdict: 'care', why: 'in the boot: once in, it must come out' },
    ],
  },
  {
    id: 'cored-swab',
    name: 'Swab with a thick core',
    group: 'Cloth, paper, brush',
    rows: [
      { on: ['mouthpiece'], verdict: 'no', why: 'it sticks' },
      { on: ['neck-cork', 'neck-tenon'], verdict: 'no', why: 'never in the neck: it sticks' },
      { on: ['tube'], verdict: 'yes', why: 'saxophone body only' },
    ],
  },
  {
    id: 'reed-tools',
    name: 'Knife, plate or sandpaper',
    group: 'Tools',
    rows: [
      { on: ['reed'], verdict: 'care', why: 'sharp: grown-up or supervised, away from the body' },
      { on: ['double-reed'], verdict: 'care', why: 'sharp: grown-up or supervised, away from the body, reed wet' },
    ],
    cautions: ['Children only with a grown-up.'],
  },
  {
    id: 'reamer',
    name: 'Reamer',
    group: 'Tools',
    rows: [
      {
        on: ['double-reed'],
        verdict: 'care',
        why: 'a bassoon reed that stops short, is oval or rocks: it widens; a loose reed never',
      },
    ],
  },
  {
    id: 'truing-tool',
    name: 'Mouthpiece truing tool and rawhide mallet',
    group: 'Tools',
    rows: [{ on: ['brass-mouthpiece'], verdict: 'care', why: 'teacher or bench only' }],
  },
];
