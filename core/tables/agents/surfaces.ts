import type { SurfaceId } from '#core/book/agent.ts';
import type { Surface, SurfaceUse } from '#core/book/surface.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** What each surface is called and made of; a material may follow from the build. */
export const SURFACES = {
  bore: { name: 'Bore', material: { field: 'body', otherwise: 'metal' } },
  tube: { name: 'Inside of the tube', material: 'metal' },
  bocal: { name: 'Bocal', material: 'metal' },
  body: { name: 'Body outside', material: { field: 'body' } },
  finish: { name: 'Outside finish', material: { field: 'finish' } },
  tenons: { name: 'Tenons', material: { field: 'tenons' } },
  'metal-tenons': { name: 'Metal tenons', material: 'metal' },
  'neck-tenon': { name: 'Neck tenon and receiver', material: 'metal' },
  'neck-cork': { name: 'Neck cork', material: 'cork' },
  'tube-cork': { name: 'Cork of the reed’s tube', material: 'cork' },
  'hemp-joints': { name: 'Hemped joints', material: 'thread' },
  pads: { name: 'Pads', material: { field: 'pads' } },
  'pad-seats': { name: 'Seat under a sticky pad', material: { field: 'body', otherwise: 'metal' } },
  'tone-holes': { name: 'Finger and tone holes', material: { field: 'body', otherwise: 'metal' } },
  keys: { name: 'Keys', material: 'plated' },
  rods: { name: 'Posts, rods and rod gaps', material: 'metal' },
  mouthpiece: { name: 'Mouthpiece, below its cork', material: { field: 'mouthpiece' } },
  'brass-mouthpiece': { name: 'Mouthpiece', material: { field: 'brassMouthpiece' } },
  reed: { name: 'Reeds', material: 'cane' },
  'double-reed': { name: 'Reeds, clear of cork and thread', material: 'cane' },
  pistons: { name: 'Pistons', material: 'metal' },
  'valve-felts': { name: 'Valve felts', material: 'felt' },
  'valve-ports': { name: 'Valve ports', material: 'metal' },
  rotors: { name: 'Rotor bearings', material: 'metal' },
  'tuning-slides': { name: 'Tuning slides', material: 'metal' },
  'hand-slide': { name: 'Hand slide', material: 'metal' },
  'lip-plate': { name: 'Lip plate and blow hole', material: { field: 'body', otherwise: 'metal' } },
  'blowing-edge': { name: 'Blowing edge and rim', material: { field: 'body' } },
  'bamboo-joint': { name: 'Joint of the two halves', material: { field: 'body' } },
  bag: { name: 'Bag', material: { field: 'bag' } },
  blowpipe: { name: 'Mouthpiece, blowpipe and its stock', material: { field: 'blowpipe' } },
} as const satisfies Record<SurfaceId, Surface>;

const clarinet = [
  'mouthpiece',
  'reed',
  'tenons',
  'bore',
  'body',
  'tone-holes',
  'pads',
  'pad-seats',
  'keys',
  'rods',
] as const;
/** No cork on its mouthpiece, and keys finished as its body is. */
const saxophone = [
  { id: 'mouthpiece', name: 'Mouthpiece' },
  'reed',
  'neck-cork',
  'neck-tenon',
  'bore',
  'finish',
  'tone-holes',
  'pads',
  'pad-seats',
  { id: 'keys', material: { field: 'finish' } },
  'rods',
] as const satisfies readonly SurfaceUse[];
const doubleReed: readonly SurfaceId[] = ['tenons', 'bore', 'body', 'tone-holes', 'pads', 'pad-seats', 'keys', 'rods'];
const oboe: readonly SurfaceId[] = ['double-reed', 'tube-cork', ...doubleReed];
const crooked: readonly SurfaceUse[] = [
  'double-reed',
  'bocal',
  { id: 'tube-cork', name: 'Cork of the bocal' },
  ...doubleReed,
];
const PISTONS = ['pistons', 'valve-ports', 'valve-felts'] as const;
const piston = ['brass-mouthpiece', 'tube', 'tuning-slides', ...PISTONS, 'finish'] as const;

/** A surface a kind has only when it is built so. */
const builtWith = (when: BuildCondition, ...ids: SurfaceId[]): SurfaceUse[] => ids.map((id) => ({ id, when }));

/** Which surfaces each kind has, from the mouth on. */
export const SURFACES_OF: Readonly<Record<KindId, readonly SurfaceUse[]>> = {
  clarinet,
  'bass-clarinet': clarinet,
  'soprano-saxophone': saxophone.map((use) =>
    use === 'neck-tenon' ? { id: use, when: { pieces: ['two-piece'] } } : use,
  ),
  'alto-saxophone': saxophone,
  'tenor-saxophone': saxophone,
  'baritone-saxophone': saxophone,
  oboe,
  'cor-anglais': crooked,
  bassoon: crooked,
  flute: ['lip-plate', 'metal-tenons', 'bore', 'finish', 'pads', 'pad-seats', 'keys', 'rods'],
  piccolo: ['lip-plate', 'tenons', 'bore', 'body', 'pads', 'pad-seats', 'keys', 'rods'],
  'bamboo-flute': [
    'blowing-edge',
    'bore',
    'body',
    'tone-holes',
    ...builtWith({ pieces: ['two-piece'] }, 'bamboo-joint'),
  ],
  recorder: [
    { id: 'blowing-edge', name: 'Windway, window and edge' },
    'tenons',
    'bore',
    'body',
    'tone-holes',
    // Mostly of leather, and not asked about: they are one or two (common practice).
    { id: 'pads', material: 'leather', when: { size: ['tenor', 'bass'] } },
    ...builtWith({ size: ['tenor', 'bass'] }, 'keys', 'rods'),
  ],
  'highland-pipes': ['blowpipe', 'double-reed', 'hemp-joints', 'bag'],
  trumpet: piston,
  cornet: piston,
  flugelhorn: piston,
  horn: ['brass-mouthpiece', 'tube', 'tuning-slides', 'rotors', 'finish'],
  trombone: [
    'brass-mouthpiece',
    'tube',
    'hand-slide',
    'tuning-slides',
    ...builtWith({ rotor: ['one'] }, 'rotors'),
    'finish',
  ],
  baritone: piston,
  euphonium: piston,
  tuba: [
    'brass-mouthpiece',
    'tube',
    'tuning-slides',
    ...builtWith({ valves: ['piston'] }, ...PISTONS),
    ...builtWith({ valves: ['rotary'] }, 'rotors'),
    'finish',
  ],
  sousaphone: piston,
};
