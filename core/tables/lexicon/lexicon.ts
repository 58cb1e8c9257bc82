import type { Count, Lexicon, Standing, Supply } from '#core/book/lexicon.ts';
import { NOUNS } from '#core/tables/lexicon/nouns.ts';
import { HEADINGS, ORDERS, SAYINGS } from '#core/tables/lexicon/deeds.ts';

/** Sentences that say how things stand: they are held against what hands have done by then. */
const STANDINGS: readonly Standing[] = [
  { says: 'strap still carries|shoulder still carries', is: { hangs: true }, when: 'before' },
  { says: 'no longer carries', is: { laid: true }, when: 'before' },
  { says: 'body lies', is: { laid: true }, when: 'before' },
  { says: 'both hands free|two hands are free|leaves both hands', is: { held: false }, when: 'after' },
  {
    says: 'while it is still locked|the locked slide|whether it is locked',
    is: { shut: 'slide-lock' },
    when: 'before',
  },
  {
    says: '(?:its |the )cap stays on(?! the blowing)|capped mouthpiece',
    is: { joined: ['cap', 'mouthpiece'] },
    when: 'after',
  },
  {
    says: 'cap is still on the edge|capped edge|cap stays on the blowing',
    is: { joined: ['cap', 'top-half'] },
    when: 'after',
  },
  { says: 'without the reed', is: { apart: ['reed', 'mouthpiece'] }, when: 'before' },
  { says: 'over the reed', is: { joined: ['reed', 'mouthpiece'] }, when: 'before' },
  { says: 'behind the (?:loose )?ligature', is: { joined: ['ligature', 'mouthpiece'] }, when: 'before' },
  { says: 'onto the neck|dry neck|back on the neck', is: { joined: ['mouthpiece', 'neck'] }, when: 'after' },
  { says: 'mouthpiece is dry by now', is: { dry: 'mouthpiece' }, when: 'before' },
  { says: 'joint is closed', is: { joined: ['top-half', 'lower-half'] }, when: 'before' },
];

/** How many there are. What is not in this list is not counted. */
const COUNTS: readonly Count[] = [
  { says: 'legs', counts: [2] },
  { says: 'halves', counts: [2] },
  { says: 'hands', counts: [2] },
  { says: 'fingers', counts: [2] },
  { says: 'ends', counts: [2] },
  { says: 'braces', counts: [2] },
  { says: 'joints', counts: [2] },
  { says: 'upper joints', counts: [2] },
  { says: 'sides', counts: [2] },
  { says: 'link levers', counts: [2] },
  { says: 'drops', counts: [3] },
  { says: 'arms', counts: [2] },
  { says: 'buds', counts: [20] },
  { says: 's', counts: [10, 30] },
  { says: 'minutes', counts: [3, 10] },
  { says: 'mm', counts: [25] },
  { says: 'cm', counts: [1] },
  { says: '%', counts: [3, 40] },
];

const CLOTH: Supply = {
  deeds: ['wipe', 'wipe-off', 'dry', 'grease-in-turn', 'oil-in-turn', 'look', 'brush'],
  words: 'wipe|dry|cloth',
};
const TOWEL: Supply = { deeds: ['dry', 'wipe', 'lay', 'soak', 'look', 'part'], words: 'towel|wipe|dry|fill' };
const BUDS: Supply = { deeds: ['brush', 'wipe'], words: 'bud' };
const SOAP: Supply = { words: 'soap|wash' };
const SWAB: Supply = { deeds: ['draw', 'to-and-fro', 'wipe', 'blot', 'wash', 'wipe-off'] };
const BRUSH: Supply = { deeds: ['brush', 'wash'], words: 'brush' };
const PAPER: Supply = { deeds: ['blot', 'shield', 'prop'], words: 'paper' };
const CUP: Supply = { deeds: ['soak'] };

/** What each supply is for. A supply that is not here stops the check: say what it is for. */
const SUPPLIES: Readonly<Record<string, Supply>> = {
  'a cup': CUP,
  'a cup of water': CUP,
  'a new swab': { deeds: ['hang-up'], words: 'new swab' },
  'a separate silk swab': { deeds: ['oil'] },
  'a towel': TOWEL,
  'a tub': { deeds: ['soak'], words: 'tub' },
  'alcohol pad': { deeds: ['wipe'], words: 'alcohol' },
  'bocal brush': { deeds: ['brush', 'to-and-fro'], words: 'brush' },
  'bocal swab': { deeds: ['draw'] },
  'bore oil': { deeds: ['oil'] },
  brushes: { deeds: ['brush', 'look', 'free'], words: 'brush' },
  'clear tape': { words: 'tape' },
  'cloth on its cord': { deeds: ['draw'] },
  'cork grease': { deeds: ['grease'] },
  'cotton buds': BUDS,
  'dish soap': SOAP,
  'dry towel': TOWEL,
  'flexible brush': BRUSH,
  hemp: { words: 'hemp|turn' },
  'hydrogen peroxide 3 %': { deeds: ['soak'], words: 'peroxide' },
  'key oil': { deeds: ['oil'] },
  'light grease': { deeds: ['grease'] },
  'lint-free cloth': CLOTH,
  'mild dish soap': SOAP,
  'mouthpiece brush': BRUSH,
  'mouthpiece spray': { words: 'spray' },
  'oboe feather': { deeds: ['to-and-fro'], words: 'feather' },
  'pipe cleaner': { words: 'pipe cleaner' },
  'plain absorbent paper': PAPER,
  'plastic bag': { words: 'plastic bag' },
  'polishing cloth': { deeds: ['wipe'] },
  'pull-through': { deeds: ['brush', 'draw'], words: 'pull-through|cloth' },
  'reed case': { deeds: ['stow'] },
  'rotor oil': { deeds: ['oil'] },
  'rubber band': { words: 'rubber band' },
  'seasoning for the bag': { words: 'season' },
  'silk cloth on its rod': { deeds: ['draw', 'to-and-fro'] },
  'soft cloth on a rod': { deeds: ['draw', 'to-and-fro', 'wipe'] },
  'the maker’s cream': { deeds: ['grease'] },
  'silver cloth': { deeds: ['wipe'] },
  'slide cream or oil': { deeds: ['grease'] },
  'slide grease': { deeds: ['grease', 'grease-in-turn'] },
  'small swab': { deeds: ['draw', 'to-and-fro'] },
  'soft brush': BRUSH,
  swab: SWAB,
  'tenon wax': { deeds: ['grease'] },
  towel: TOWEL,
  'valve oil': { deeds: ['oil', 'oil-in-turn'] },
  'vented reed case': { deeds: ['stow'] },
  'vinegar or lemon': { deeds: ['soak'] },
  'water cup': CUP,
  wax: { words: 'wax' },
  'wide silk swab': { deeds: ['draw', 'to-and-fro'] },
};

/** Said together in one step they leave a reader not knowing which. */
const OPPOSITES: Lexicon['opposites'] = [
  ['use cold water', 'use lukewarm water'],
  ['no brush', 'brush (?:with bristles|reaches)'],
  ['keep the cork dry', 'coat the cork'],
  ['level with the tip', 'hair of black'],
  ['one way only', 'back the way it came'],
  ['once through', 'twice'],
  ['each joint once', 'each joint twice'],
  ['stay slack', 'turn them only until they resist'],
  ['do it last', 'do it first'],
  ['use no soap|water alone', 'mild soap'],
  ['40 %', '1 cm of cork'],
  ['below the scribed line', 'levels out'],
  ['points over the bell', 'playing beside the leg'],
  ['in line with the keys', 'turned a little towards you'],
  ['never draw|lift the paper out', 'draw it out under slight pressure'],
  ['turn gently clockwise', 'without turning'],
];

/** The words of the trade, and what they mean for hands. */
export const LEXICON: Lexicon = {
  nouns: NOUNS,
  orders: ORDERS,
  sayings: SAYINGS,
  standings: STANDINGS,
  counts: COUNTS,
  supplies: SUPPLIES,
  headings: HEADINGS,
  beyond:
    'hand rest|strap or the peg|season|spray|tape|tub|your hands|your mouth|wax|bag|outer slide|as far as the cloth goes|tune|leave the case open',
  opposites: OPPOSITES,
};
