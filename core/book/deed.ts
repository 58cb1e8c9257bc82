import type { PartId, PartRole } from '#core/instruments/kind.ts';

/** Things around an instrument that hands take, lay down and put away. */
export const LOOSE_THINGS = [
  'cap',
  'plug',
  'strap',
  'spike',
  'pistons',
  'outer-slide',
  'reeds',
  'neck-screw',
  'slide-lock',
  'blowpipe-valve',
] as const;
export type LooseThing = (typeof LOOSE_THINGS)[number];

/** Places on a part that are worked on without coming off. */
export const SPOTS = [
  'corks',
  'fingers',
  'keys',
  'lip-plate',
  'links',
  'neck-cork',
  'octave-key',
  'outside',
  'pads',
  'receiver',
  'reed-cork',
  'rim',
  'rods',
  'slides',
  'sockets',
  'tenons',
  'tone-holes',
  'touches',
  'valves',
] as const;
export type Spot = (typeof SPOTS)[number];

/** What a deed is done to. A role stands for the kind's own part, an "every" for all that the kind has of it. */
export type Thing = PartId | LooseThing | Spot | PartRole | 'everything' | 'every-bore' | 'every-slide';

/** Where a thing may be laid to soak. */
export type Bath = 'cup' | 'mouth' | 'water' | 'acid';

/** Verbs that take one thing and no more. */
const PLAIN_VERBS = [
  'blot',
  'brush',
  'clean',
  'cover',
  'drain',
  'dry',
  'free',
  'grease',
  'grease-in-turn',
  'hang',
  'hang-up',
  'hold',
  'lay',
  'lift-out',
  'look',
  'oil',
  'oil-in-turn',
  'open',
  'prop',
  'push',
  'pull',
  'rinse',
  'shield',
  'shut',
  'shut-empty',
  'stow',
  'take',
  'uncover',
  'unhook',
  'unshield',
  'wash',
  'wipe',
  'wipe-off',
  'work',
] as const;
export type PlainVerb = (typeof PLAIN_VERBS)[number];

/** What a step does to things, in the order it does it. What each verb needs and leaves is in `core/handling`. */
export type Deed =
  | { readonly do: PlainVerb; readonly thing: Thing }
  /** Two things come together, or come apart, by a twist or a pull. */
  | { readonly do: 'join' | 'part' | 'turn'; readonly thing: Thing; readonly with: Thing }
  /** Laid into a bath, where it stays until it is lifted out. */
  | { readonly do: 'soak'; readonly thing: Thing; readonly bath: Bath }
  /** A cloth drawn through, in at the first and out at the last. */
  | { readonly do: 'draw'; readonly through: readonly Thing[] }
  /** A cloth or feather in at the first and out the way it went in. */
  | { readonly do: 'to-and-fro'; readonly through: readonly Thing[] };
export type Verb = Deed['do'];

const plain =
  <V extends PlainVerb>(verb: V) =>
  (thing: Thing): Deed => ({ do: verb, thing });

/** Paper laid in, pressed and lifted; of fresh bore oil, the dry swab that takes the rest. */
export const blot = plain('blot');
export const brush = plain('brush');
/** Wiped free of oil and grease: the fingers, before what goes to the lips. */
export const clean = plain('clean');
/** Ligature and cap on a mouthpiece, as far as they are not on it already. */
export const cover = plain('cover');
/** Water let out. */
export const drain = plain('drain');
export const dry = plain('dry');
/** The place it had is given up: a reed drawn off whatever it sits on. */
export const free = plain('free');
export const grease = plain('grease');
/** Pulled, wiped, greased and pushed back, one after the other. */
export const greaseInTurn = plain('grease-in-turn');
/** The strap, harness, shoulder or floor takes the weight. */
export const hang = plain('hang');
/** Hung open to dry. */
export const hangUp = plain('hang-up');
/** Lifted and kept in one hand until it is laid down or hangs. */
export const hold = plain('hold');
export const lay = plain('lay');
/** Out of the bath it lies in. */
export const liftOut = plain('lift-out');
export const look = plain('look');
export const oil = plain('oil');
/** One out, oiled and back before the next. */
export const oilInTurn = plain('oil-in-turn');
export const open = plain('open');
/** Left ajar on purpose with a slip of paper, until the next time. */
export const prop = plain('prop');
/** A slide to its mark, and back in. */
export const pull = plain('pull');
export const push = plain('push');
export const rinse = plain('rinse');
/** Slips of paper under the closed pads, and out again. */
export const shield = plain('shield');
/** Cap and ligature off a mouthpiece on which no reed sits. */
export const uncover = plain('uncover');
export const unshield = plain('unshield');
export const shut = plain('shut');
/** A case that has nothing in it. */
export const shutEmpty = plain('shut-empty');
/** Put away where it travels. */
export const stow = plain('stow');
export const take = plain('take');
/** Off the strap, into the hand. */
export const unhook = plain('unhook');
/** Brushed or rubbed with soap and rinsed. */
export const wash = plain('wash');
export const wipe = plain('wipe');
/** The excess of an oil, or old grease. */
export const wipeOff = plain('wipe-off');
/** Keys, valves or a slide moved. */
export const work = plain('work');

export const join = (thing: Thing, other: Thing): Deed => ({ do: 'join', thing, with: other });
export const part = (thing: Thing, other: Thing): Deed => ({ do: 'part', thing, with: other });
export const turn = (thing: Thing, other: Thing): Deed => ({ do: 'turn', thing, with: other });
export const soak = (thing: Thing, bath: Bath): Deed => ({ do: 'soak', thing, bath });
export const draw = (...through: readonly Thing[]): Deed => ({ do: 'draw', through });
export const toAndFro = (...through: readonly Thing[]): Deed => ({ do: 'to-and-fro', through });
