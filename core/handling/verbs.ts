import type { Deed, Thing, Verb } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import { isBoreOil, type NeedId } from '#core/handling/needs.ts';
import { thingOf, type World } from '#core/handling/world.ts';

/** What is true of the world after a deed. */
type Leave = (world: World, deed: Deed, step: Step) => void;
type Rule = { readonly needs: readonly NeedId[]; readonly leaves: Leave };

const each = (world: World, deed: Deed, act: (thing: Thing) => void): void => {
  const named = deed.do === 'draw' || deed.do === 'to-and-fro' ? deed.through : [deed.thing];
  for (const thing of named.flatMap((one) => world.things(one))) act(thing);
};

const everyPiece = (world: World, deed: Deed): readonly Thing[] =>
  thingOf(deed) === 'everything' ? world.pieces() : world.things(thingOf(deed));

const takeUp = (world: World, thing: Thing): void => {
  for (const one of world.whole(thing)) if (world.placeOf(one) === 'case') world.place.set(one, 'out');
};

const nothing: Leave = () => undefined;
const done: Leave = (world, deed, step) => each(world, deed, (thing) => world.did.set(`${deed.do} ${thing}`, step.id));

const IN_REACH: readonly NeedId[] = ['not-in-the-case', 'not-put-away', 'not-in-a-bath'];
const BY_HAND: readonly NeedId[] = [...IN_REACH, 'hands-free'];

/** Water on it: what it takes away, and what it leaves to be dried or oiled. */
const wetted: Leave = (world, deed) =>
  each(world, deed, (thing) => {
    const rotors = world.rotorsIn();
    if (rotors !== undefined && world.whole(thing).has(rotors)) world.washedOut.add('rotors');
    world.wet.add(thing);
    world.sour.delete(thing);
  });

/** The table of handling: for each verb what must be true before it and what is true after it. */
export const VERBS: Readonly<Record<Verb, Rule>> = {
  // ---- hands
  take: {
    needs: ['not-in-the-case', 'not-put-away'],
    leaves: (world, deed) => everyPiece(world, deed).forEach((thing) => takeUp(world, thing)),
  },
  hold: {
    needs: BY_HAND,
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        takeUp(world, thing);
        world.letGo(thing);
        world.hands.held.add(world.key(thing));
      }),
  },
  hang: {
    needs: IN_REACH,
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        takeUp(world, thing);
        world.letGo(thing);
        world.hands.hanging.add(world.key(thing));
      }),
  },
  unhook: {
    needs: BY_HAND,
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        world.letGo(thing);
        world.hands.held.add(world.key(thing));
      }),
  },
  lay: {
    needs: [...IN_REACH, 'clean-fingers'],
    leaves: (world, deed) => everyPiece(world, deed).forEach((thing) => world.letGo(thing)),
  },
  // ---- joints
  join: {
    needs: [
      ...BY_HAND,
      'apart',
      'tip-covered',
      'nothing-heavy-meanwhile',
      'locked-slide',
      'unlocked-slide',
      'not-sour',
    ],
    leaves: (world, deed) => {
      if (!('with' in deed)) return;
      for (const other of world.things(deed.with))
        each(world, deed, (thing) => {
          takeUp(world, thing);
          takeUp(world, other);
          world.place.set(thing, 'out');
          world.join(thing, other);
          world.loose.delete(thing);
        });
    },
  },
  part: {
    needs: [...BY_HAND, 'not-blocked', 'together', 'tip-covered', 'locked-slide', 'unlocked-slide'],
    leaves: (world, deed) => {
      if (!('with' in deed)) return;
      for (const other of world.things(deed.with)) each(world, deed, (thing) => world.part(thing, other));
      each(world, deed, (thing) => world.loose.add(thing));
    },
  },
  cover: {
    needs: [...IN_REACH, 'not-sour'],
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        for (const guard of ['ligature', 'cap'] as const) if (!world.with(thing).has(guard)) world.join(guard, thing);
      }),
  },
  uncover: {
    needs: IN_REACH,
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        takeUp(world, thing);
        if (!world.with(thing).has('reed')) for (const guard of ['ligature', 'cap'] as const) world.part(guard, thing);
      }),
  },
  turn: { needs: [...BY_HAND, 'together', 'tip-covered'], leaves: nothing },
  free: {
    needs: ['not-in-the-case', 'not-in-a-bath', 'hands-free'],
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        for (const other of world.with(thing)) world.part(thing, other);
      }),
  },
  // ---- water
  soak: {
    needs: [
      'clean-fingers',
      'not-blocked',
      'not-in-the-case',
      'not-put-away',
      'not-in-a-bath',
      'uncoated',
      'dry-things-off',
    ],
    leaves: (world, deed, step) => {
      if (deed.do !== 'soak') return;
      each(world, deed, (thing) => {
        world.put(thing, deed.bath);
        if (deed.bath === 'acid') world.sour.add(thing);
      });
      if (deed.bath !== 'mouth' && deed.bath !== 'cup') wetted(world, deed, step);
    },
  },
  'lift-out': {
    needs: ['clean-fingers', 'in-a-bath'],
    leaves: (world, deed) => each(world, deed, (thing) => world.put(thing, 'out')),
  },
  rinse: {
    needs: [
      'clean-fingers',
      'not-blocked',
      'not-in-the-case',
      'not-put-away',
      'not-in-a-bath',
      'uncoated',
      'dry-things-unattached',
    ],
    leaves: wetted,
  },
  wash: {
    needs: [
      'clean-fingers',
      'not-blocked',
      'not-in-the-case',
      'not-put-away',
      'not-in-a-bath',
      'uncoated',
      'dry-things-unattached',
      'once',
    ],
    leaves: (world, deed, step) => {
      wetted(world, deed, step);
      done(world, deed, step);
    },
  },
  drain: { needs: ['not-in-the-case', 'not-put-away', 'not-in-a-bath'], leaves: nothing },
  dry: {
    needs: ['clean-fingers', ...IN_REACH, 'not-sour'],
    leaves: (world, deed) => each(world, deed, (thing) => world.wet.delete(thing)),
  },
  // ---- cloths, brushes, paper
  draw: {
    needs: [...BY_HAND, 'can-be-drawn-back', 'open-at-both-ends', 'swab-at-hand', 'ends-free', 'no-slips'],
    leaves: (world, deed) => {
      world.loose.add('swab');
      each(world, deed, (thing) => world.wet.delete(thing));
    },
  },
  'to-and-fro': { needs: [...BY_HAND, 'ends-free', 'no-slips'], leaves: (world) => void world.loose.add('swab') },
  wipe: { needs: ['clean-fingers', ...IN_REACH, 'rim-bare', 'not-greased-yet', 'once'], leaves: done },
  'wipe-off': {
    needs: IN_REACH,
    leaves: (world, deed) => each(world, deed, (thing) => world.freshOil.delete(thing)),
  },
  brush: {
    needs: ['clean-fingers', 'not-blocked', 'not-in-the-case', 'not-put-away', 'not-greased-yet', 'once'],
    leaves: done,
  },
  clean: { needs: [], leaves: (world) => void (world.soiledBy = null) },
  blot: {
    needs: [...IN_REACH, 'swab-at-hand', 'can-be-drawn-back', 'open-at-both-ends'],
    leaves: (world, deed) => each(world, deed, (thing) => world.freshOil.delete(thing)),
  },
  shield: { needs: IN_REACH, leaves: (world) => void world.shielded.add('pads') },
  unshield: { needs: [...IN_REACH, 'shielded', 'no-fresh-oil'], leaves: (world) => void world.shielded.delete('pads') },
  prop: { needs: [...IN_REACH, 'no-fresh-oil'], leaves: nothing },
  // ---- oil and grease
  oil: {
    needs: [...IN_REACH, 'can-be-drawn-back', 'open-at-both-ends', 'not-wet', 'pads-shielded', 'once'],
    leaves: (world, deed, step) => {
      each(world, deed, (thing) => {
        world.coated.set(thing, step.id);
        if (thing === 'rotors') world.washedOut.clear();
        if (isBoreOil(world, deed)) world.freshOil.add(thing);
      });
      done(world, deed, step);
    },
  },
  grease: {
    needs: [...IN_REACH, 'not-blocked', 'taken-apart', 'not-wet', 'once'],
    leaves: (world, deed, step) => {
      each(world, deed, (thing) => world.coated.set(thing, step.id));
      done(world, deed, step);
    },
  },
  'grease-in-turn': {
    needs: [...BY_HAND, 'not-blocked', 'valves-in', 'in-place', 'not-wet', 'once'],
    leaves: (world, deed, step) => {
      each(world, deed, (thing) => {
        world.coated.set(thing, step.id);
        world.did.set(`grease ${thing}`, step.id);
      });
      done(world, deed, step);
    },
  },
  'oil-in-turn': {
    needs: [...BY_HAND, 'not-blocked', 'in-place', 'not-wet', 'once'],
    leaves: (world, deed, step) => {
      each(world, deed, (thing) => {
        world.coated.set(thing, step.id);
        world.did.set(`oil ${thing}`, step.id);
      });
      done(world, deed, step);
    },
  },
  // ---- keys, looks, locks
  work: { needs: [...IN_REACH, 'no-slips', 'no-fresh-oil', 'valves-in'], leaves: nothing },
  look: { needs: ['not-in-a-bath'], leaves: nothing },
  open: { needs: ['not-put-away', 'was-shut'], leaves: (world, deed) => each(world, deed, (t) => world.open.add(t)) },
  shut: {
    needs: ['was-open'],
    leaves: (world, deed) => each(world, deed, (thing) => world.open.delete(thing)),
  },
  pull: {
    needs: [...BY_HAND, 'valves-in'],
    leaves: (world, deed) => each(world, deed, (thing) => world.pulledOut.add(thing)),
  },
  push: {
    needs: [...BY_HAND, 'was-out', 'valves-in'],
    leaves: (world, deed) => each(world, deed, (t) => world.pulledOut.delete(t)),
  },
  // ---- the case
  'shut-empty': { needs: ['was-open', 'empty-case', 'upright'], leaves: (world) => void world.open.delete('case') },
  'hang-up': {
    needs: [],
    leaves: (world, deed) =>
      each(world, deed, (thing) => {
        world.place.set(thing, 'hung-up');
        world.wet.delete(thing);
        world.loose.delete(thing);
      }),
  },
  stow: {
    needs: ['not-in-a-bath', 'fits-its-place', 'guarded-and-dry', 'not-sour'],
    leaves: (world, deed) => {
      for (const thing of everyPiece(world, deed)) {
        world.letGo(thing);
        world.place.set(thing, 'stowed');
        world.loose.delete(thing);
      }
    },
  },
};
