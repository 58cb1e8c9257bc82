import type { Alone, AnatomyRow, Coupling, Piece } from '#core/book/anatomy.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** Together while it is played, apart in the case. */
const played = (...pieces: readonly [Piece, Piece]): Coupling => ({ of: pieces, played: true, cased: false });
/** Together in the case only: a cap, an end plug. */
const cased = (...pieces: readonly [Piece, Piece]): Coupling => ({ of: pieces, played: false, cased: true });
/** Together while it is played and in the case: comes apart for cleaning. */
const kept = (...pieces: readonly [Piece, Piece]): Coupling => ({ of: pieces, played: true, cased: true });

/** A reed under its ligature; where it is left on, it stays there in the case. */
const SINGLE_REED: readonly Coupling[] = [
  { ...played('reed', 'mouthpiece'), method: { id: 'reed-after-playing', choices: ['off'] } },
  { ...played('reed', 'mouthpiece'), cased: 'usually', method: { id: 'reed-after-playing', choices: ['capped'] } },
  kept('ligature', 'mouthpiece'),
  cased('cap', 'mouthpiece'),
];

/** A mouthpiece with all that sits on it. */
const AT_THE_MOUTHPIECE = ['mouthpiece', 'ligature', 'reed', 'cap'] as const;

/** What beginners and pupils play by itself in their first weeks (practice), or try by itself (common practice). */
const MOUTHPIECE_AND_NECK: Alone = {
  id: 'mouthpiece-and-neck',
  name: 'Mouthpiece and neck',
  pieces: [...AT_THE_MOUTHPIECE, 'neck'],
  along: ['case', 'swab'],
};
const REED_ALONE: Alone = { id: 'reed', name: 'Reed', pieces: ['reed'], along: [] };
const REED_AND_BOCAL: Alone = {
  id: 'reed-and-bocal',
  name: 'Reed and bocal',
  pieces: ['reed', 'bocal'],
  along: ['case', 'swab'],
};
const HEAD_JOINT: Alone = {
  id: 'head-joint',
  name: 'Head joint',
  pieces: ['head-joint'],
  along: ['case', 'swab'],
};
const BRASS_MOUTHPIECE: Alone = { id: 'mouthpiece', name: 'Mouthpiece', pieces: ['mouthpiece'], along: ['case'] };

const saxophone: AnatomyRow = {
  couplings: [
    ...SINGLE_REED,
    { ...played('mouthpiece', 'neck'), cased: 'either' },
    played('neck', 'body'),
    cased('plug', 'body'),
  ],
  staysDry: ['body', 'neck'],
  hangsPlayed: 'body',
  pads: true,
  alone: [MOUTHPIECE_AND_NECK],
};

const oboe: AnatomyRow = {
  couplings: [played('reed', 'upper-joint'), played('upper-joint', 'lower-joint'), played('lower-joint', 'bell')],
  bores: ['upper-joint', 'lower-joint'],
  staysDry: ['upper-joint', 'lower-joint', 'bell'],
  neverDrawn: { pieces: ['upper-joint'], when: { swabTail: ['no-tail'] } },
  pads: true,
  alone: [REED_ALONE],
};

const VALVED: readonly Coupling[] = [
  played('mouthpiece', 'mouthpipe'),
  kept('mouthpipe', 'valve-block'),
  kept('main-slide', 'valve-block'),
  kept('valve-slides', 'valve-block'),
];

const pistonBrass: AnatomyRow = {
  couplings: [...VALVED, kept('pistons', 'valve-block')],
  slides: ['main-slide', 'valve-slides'],
  staysDry: ['pistons'],
  pulled: ['main-slide'],
  alone: [BRASS_MOUTHPIECE],
};

/**
 * What comes apart on each kind (the practice book's order of joining and taking apart). Fixed joints are not named: a
 * saxophone's bow and bell go where its body goes.
 */
export const ANATOMY: Readonly<Record<KindId, AnatomyRow>> = {
  clarinet: {
    couplings: [
      ...SINGLE_REED,
      played('mouthpiece', 'barrel'),
      played('barrel', 'upper-joint'),
      played('upper-joint', 'lower-joint'),
      played('lower-joint', 'bell'),
    ],
    bores: ['upper-joint', 'lower-joint'],
    staysDry: ['barrel', 'upper-joint', 'lower-joint', 'bell'],
    pads: true,
    alone: [
      {
        id: 'mouthpiece-and-barrel',
        name: 'Mouthpiece and barrel',
        pieces: [...AT_THE_MOUTHPIECE, 'barrel'],
        along: ['case', 'swab'],
        by: { 'clarinet-swab-path': 'by-joint' },
      },
    ],
  },
  'bass-clarinet': {
    couplings: [
      ...SINGLE_REED,
      played('mouthpiece', 'neck'),
      played('neck', 'upper-joint'),
      played('upper-joint', 'lower-joint'),
      played('lower-joint', 'bell'),
    ],
    bores: ['upper-joint', 'lower-joint'],
    staysDry: ['upper-joint', 'lower-joint'],
    openPlayed: ['spike'],
    pads: true,
    alone: [MOUTHPIECE_AND_NECK],
  },
  'soprano-saxophone': {
    ...saxophone,
    couplings: [
      ...SINGLE_REED,
      { ...played('mouthpiece', 'neck'), cased: 'either' },
      { ...played('neck', 'body'), when: { pieces: ['two-piece'] } },
      { ...kept('neck', 'body'), when: { pieces: ['one-piece'] } },
      { ...cased('plug', 'body'), when: { pieces: ['two-piece'] } },
    ],
    alone: [{ ...MOUTHPIECE_AND_NECK, when: { pieces: ['two-piece'] } }],
  },
  'alto-saxophone': saxophone,
  'tenor-saxophone': saxophone,
  'baritone-saxophone': saxophone,
  oboe,
  'cor-anglais': {
    ...oboe,
    couplings: [
      played('reed', 'bocal'),
      played('bocal', 'upper-joint'),
      played('upper-joint', 'lower-joint'),
      played('lower-joint', 'bell'),
    ],
    alone: [REED_ALONE, REED_AND_BOCAL],
  },
  bassoon: {
    couplings: [
      played('reed', 'bocal'),
      played('bocal', 'wing-joint'),
      played('wing-joint', 'boot'),
      played('boot', 'long-joint'),
      played('long-joint', 'bell'),
    ],
    staysDry: ['wing-joint', 'boot', 'long-joint', 'bell'],
    hangsPlayed: 'boot',
    pads: true,
    alone: [REED_ALONE, REED_AND_BOCAL],
  },
  flute: {
    couplings: [played('head-joint', 'body'), played('body', 'foot-joint')],
    closed: ['head-joint'],
    staysDry: ['head-joint', 'body', 'foot-joint'],
    pads: true,
    alone: [HEAD_JOINT],
  },
  piccolo: {
    couplings: [played('head-joint', 'body')],
    bores: ['head-joint', 'body'],
    closed: ['head-joint'],
    staysDry: ['head-joint', 'body'],
    pads: true,
    alone: [HEAD_JOINT],
  },
  'bamboo-flute': {
    couplings: [
      cased('cap', 'top-half'),
      {
        ...played('top-half', 'lower-half'),
        when: { pieces: ['two-piece'] },
        method: { id: 'bamboo-parting', choices: ['parted'] },
      },
      {
        ...kept('top-half', 'lower-half'),
        when: { pieces: ['two-piece'] },
        method: { id: 'bamboo-parting', choices: ['joined'] },
      },
      { ...kept('top-half', 'lower-half'), when: { pieces: ['one-piece'] } },
    ],
    staysDry: ['top-half', 'lower-half'],
  },
  recorder: {
    couplings: [played('head-joint', 'middle-joint'), played('middle-joint', 'foot-joint')],
    bores: ['middle-joint', 'foot-joint'],
    staysDry: { pieces: ['head-joint', 'middle-joint', 'foot-joint'], when: { body: ['wood'] } },
    closed: ['head-joint'],
    pads: { size: ['tenor', 'bass'] },
    alone: [HEAD_JOINT],
  },
  'highland-pipes': {
    couplings: [
      { ...played('blowpipe', 'blowpipe-stock'), cased: 'either' },
      { ...kept('blowpipe-valve', 'blowpipe-stock'), cased: 'either', when: { blowpipeValve: ['in-line'] } },
      played('chanter', 'chanter-stock'),
      cased('cap', 'chanter'),
      { ...played('tenor-drones', 'bag'), cased: 'either' },
      { ...played('bass-drone', 'bag'), cased: 'either' },
    ],
    staysDry: ['chanter'],
  },
  trumpet: pistonBrass,
  cornet: pistonBrass,
  flugelhorn: pistonBrass,
  horn: {
    couplings: [
      played('mouthpiece', 'mouthpipe'),
      kept('mouthpipe', 'rotors'),
      kept('main-slide', 'rotors'),
      kept('valve-slides', 'rotors'),
      { ...played('bell', 'rotors'), when: { bell: ['screw'] } },
      { ...kept('bell', 'rotors'), when: { bell: ['fixed'] } },
    ],
    slides: ['main-slide', 'valve-slides'],
    rotors: { in: 'rotors' },
    alone: [BRASS_MOUTHPIECE],
  },
  trombone: {
    couplings: [
      played('mouthpiece', 'hand-slide'),
      played('hand-slide', 'bell'),
      kept('outer-slide', 'hand-slide'),
      kept('tuning-slide', 'bell'),
    ],
    slides: ['tuning-slide'],
    openPlayed: ['slide-lock'],
    rotors: { in: 'bell', when: { rotor: ['one'] } },
    alone: [BRASS_MOUTHPIECE],
  },
  baritone: pistonBrass,
  euphonium: pistonBrass,
  tuba: {
    ...pistonBrass,
    couplings: [...VALVED, { ...kept('pistons', 'valve-block'), when: { valves: ['piston'] } }],
    rotors: { in: 'valve-block', when: { valves: ['rotary'] } },
  },
  sousaphone: {
    ...pistonBrass,
    couplings: [
      ...pistonBrass.couplings.filter(({ of }) => of[0] !== 'mouthpipe'),
      played('mouthpipe', 'valve-block'),
      played('bell', 'valve-block'),
    ],
    hangsPlayed: 'valve-block',
    bendsDown: false,
  },
};
