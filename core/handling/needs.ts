import { isOneOf } from '#core/kernel/typed.ts';
import type { Deed, Thing } from '#core/book/deed.ts';
import type { StepId } from '#core/book/care-ids.ts';
import { isForTheLips } from '#core/handling/clean-fingers.ts';
import { SPOTS } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import { buildMeets } from '#core/instruments/build.ts';
import { thingOf, type World } from '#core/handling/world.ts';

/** What a deed broke, by which thing; `by` is the step before it that is to blame, where one is. */
export type Broke = { readonly thing: Thing; readonly other?: Thing | undefined; readonly by?: StepId };

/** What must be true of the world before a deed: null when it is. */
type Need = (world: World, deed: Deed, step: Step) => Broke | null;

const BATHS: readonly string[] = ['cup', 'mouth', 'water', 'acid'];

const named = (world: World, deed: Deed): Thing[] => {
  const named = deed.do === 'draw' || deed.do === 'to-and-fro' ? deed.through : [deed.thing];
  const both = 'with' in deed ? [...named, deed.with] : named;
  return both.flatMap((thing) => world.things(thing));
};

/** A spot is where its part is: a tenon lies in the case when its joint does. */
const places = (world: World, deed: Deed, { part }: Step): Thing[] =>
  named(world, deed).flatMap((thing) => (isOneOf(SPOTS, thing) ? (world.knows(part) ? [part] : []) : [thing]));

const firstOf = (things: readonly Thing[], is: (thing: Thing) => boolean): Broke | null => {
  const thing = things.find(is);
  return thing === undefined ? null : { thing };
};

/** Two hands, each free or holding one thing; what hangs needs none. */
const HANDS = 2;
const handsFor = (world: World, deed: Deed): number => {
  const things = named(world, deed);
  const busy = new Set(
    things.flatMap((thing) => (world.hangs(thing) || world.isHeld(thing) ? [] : [...world.whole(thing)].slice(0, 1))),
  );
  if (deed.do === 'join' || deed.do === 'part') {
    const supported = things.some((thing) => world.hangs(thing) || world.isHeld(thing));
    return supported ? 1 : HANDS;
  }
  return deed.do === 'draw' || deed.do === 'to-and-fro' ? HANDS : Math.min(1, busy.size);
};

/** What may stay on a piece while its joint is worked on. */
const GUARDS: readonly Thing[] = ['ligature', 'cap', 'plug'];
const FINE: readonly Thing[] = ['reed', 'ligature'];

const outOf = (path: readonly Thing[], world: World, thing: Thing): Thing | undefined =>
  [...world.with(thing)].find((next) => !path.includes(next) && next !== 'ligature');

/** Oil that goes through a bore: keys and pads lie beside it. */
export const isBoreOil = (world: World, deed: Deed): boolean =>
  deed.do === 'oil' &&
  named(world, deed).some((thing) => (world.practice.anatomy.bores ?? []).some((one) => one === thing));

/** Everything a verb may ask for, by name. The words are in `handling-words.ts`. */
const TABLE = {
  'not-in-the-case': (world, deed, step) =>
    world.open.has('case') ? null : firstOf(places(world, deed, step), (thing) => world.placeOf(thing) === 'case'),
  'not-put-away': (world, deed, step) =>
    firstOf(places(world, deed, step), (thing) => world.placeOf(thing) === 'stowed' && thing !== 'reed'),
  'not-in-a-bath': (world, deed, step) =>
    firstOf(places(world, deed, step), (thing) => BATHS.includes(world.placeOf(thing))),
  'in-a-bath': (world, deed) => firstOf(named(world, deed), (thing) => !BATHS.includes(world.placeOf(thing))),
  together: (world, deed) => {
    if (!('with' in deed)) return null;
    const [one, other] = [world.one(deed.thing), world.one(deed.with)];
    return world.with(one).has(other) ? null : { thing: one, other };
  },
  apart: (world, deed) => {
    if (!('with' in deed)) return null;
    const [one, other] = [world.one(deed.thing), world.one(deed.with)];
    return world.with(one).has(other) ? { thing: one, other } : null;
  },
  'tip-covered': (world, deed) => {
    if (!world.knows('reed') || !world.knows('cap') || !('with' in deed)) return null;
    const [one, other] = [world.one(deed.thing), world.one(deed.with)];
    const onMouthpiece = [one, other].some((thing) => ['reed', 'ligature', 'cap'].includes(thing));
    const isBare = world.with('mouthpiece').has('reed') && !world.with('mouthpiece').has('cap');
    return !onMouthpiece && isBare && world.whole(one).has('reed') ? { thing: 'reed' } : null;
  },
  'hands-free': (world, deed) => {
    const others = [...world.hands.held].filter(
      (key) => !named(world, deed).some((thing) => [...world.whole(thing)].some((one) => world.key(one) === key)),
    );
    const [held] = others;
    if (held === undefined || others.length + handsFor(world, deed) <= HANDS) return null;
    return { thing: world.one(thingOf(deed)), other: world.thingHeld(held) };
  },
  'nothing-heavy-meanwhile': (world, deed) => {
    if (!('with' in deed) || !FINE.includes(world.one(deed.thing))) return null;
    const mine = [...world.whole(world.one(deed.with))].map((thing) => world.key(thing));
    const heavy = [...world.hands.held, ...world.hands.hanging].find((key) => !mine.includes(key));
    return heavy === undefined ? null : { thing: world.one(deed.thing), other: world.thingHeld(heavy) };
  },
  // Other cloths (a small swab for a bocal, a feather) are their steps' own: this is the one a swabbing begins with.
  'swab-at-hand': (world, deed) => {
    const isDrawn = deed.do === 'draw' || (deed.do === 'blot' && thingOf(deed) === 'every-bore');
    return isDrawn && (world.placeOf('swab') === 'hung-up' || world.wet.has('swab')) ? { thing: 'swab' } : null;
  },
  'ends-free': (world, deed) => {
    if (deed.do !== 'draw' && deed.do !== 'to-and-fro') return null;
    const path = deed.through.flatMap((thing) => world.things(thing));
    const [first] = path;
    for (const thing of deed.do === 'draw' ? path : path.slice(0, 1)) {
      const other = outOf(path, world, thing);
      if (other !== undefined) return { thing, other };
    }
    // A cloth goes from piece to piece only where they are joined.
    const broken = first === undefined ? undefined : path.find((thing) => !world.whole(first).has(thing));
    return broken === undefined ? null : { thing: broken, other: first };
  },
  'can-be-drawn-back': (world, deed) => {
    const { neverDrawn } = world.practice.anatomy;
    if (neverDrawn === undefined || !buildMeets(world.practice.build, neverDrawn.when)) return null;
    // Oil and the dry swab after it are drawn through "every bore"; a feather is named with its joint.
    const isDrawn = deed.do === 'draw' || thingOf(deed) === 'every-bore';
    const things = isDrawn ? named(world, deed) : [];
    return firstOf(things, (thing) => isOneOf(neverDrawn.pieces, thing));
  },
  'open-at-both-ends': (world, deed) => {
    const isDrawn = deed.do === 'draw' || thingOf(deed) === 'every-bore';
    return isDrawn ? firstOf(named(world, deed), (thing) => isOneOf(world.practice.anatomy.closed ?? [], thing)) : null;
  },
  // What is worn is not bent down with.
  upright: (world) => {
    const { hangsPlayed, bendsDown } = world.practice.anatomy;
    return hangsPlayed !== undefined && bendsDown === false && world.hangs(hangsPlayed)
      ? { thing: 'case', other: hangsPlayed }
      : null;
  },
  'taken-apart': (world, deed, { part }) => {
    if (thingOf(deed) !== 'corks' && thingOf(deed) !== 'tenons') return null;
    const other = [...world.with(part)].find((one) => !GUARDS.includes(one));
    return other === undefined ? null : { thing: part, other };
  },
  uncoated: (world, deed) => {
    for (const thing of named(world, deed))
      for (const one of world.whole(thing)) {
        const by = world.coated.get(one);
        if (by !== undefined) return { thing, other: one, by };
      }
    return null;
  },
  'dry-things-off': (world, deed) => {
    const dry: readonly Thing[] = world.practice.anatomy.staysDry ?? [];
    for (const thing of named(world, deed))
      for (const one of deed.do === 'soak' ? world.whole(thing) : [thing])
        if (dry.includes(one)) return { thing, other: one };
    return null;
  },
  'dry-things-unattached': (world, deed) => {
    const dry: readonly Thing[] = world.practice.anatomy.staysDry ?? [];
    for (const thing of named(world, deed))
      for (const one of world.whole(thing)) if (one !== thing && dry.includes(one)) return { thing, other: one };
    return null;
  },
  'not-wet': (world, deed) => firstOf(named(world, deed), (thing) => world.wet.has(thing)),
  'not-sour': (world, deed) => firstOf(named(world, deed), (thing) => world.sour.has(thing)),
  'pads-shielded': (world, deed) =>
    isBoreOil(world, deed) && world.practice.anatomy.pads && !world.shielded.has('pads') ? { thing: 'pads' } : null,
  'no-slips': (world) => (world.shielded.has('pads') ? { thing: 'pads' } : null),
  'no-fresh-oil': (world) => firstOf([...world.freshOil], () => true),
  'was-open': (world, deed) => firstOf(named(world, deed), (thing) => !world.open.has(thing)),
  'was-shut': (world, deed) => firstOf(named(world, deed), (thing) => world.open.has(thing)),
  'was-out': (world, deed) => firstOf(named(world, deed), (thing) => !world.pulledOut.has(thing)),
  shielded: (world) => (world.shielded.has('pads') ? null : { thing: 'pads' }),
  'locked-slide': (world, deed) =>
    named(world, deed).includes('hand-slide') &&
    world.open.has('slide-lock') &&
    !isOneOf(named(world, deed), 'mouthpiece') &&
    !isOneOf(named(world, deed), 'outer-slide')
      ? { thing: 'hand-slide' }
      : null,
  // The outer slide itself goes on and comes off only then (common practice, no source).
  'unlocked-slide': (world, deed) =>
    named(world, deed).includes('outer-slide') && !world.open.has('slide-lock') ? { thing: 'hand-slide' } : null,
  'not-blocked': (world, deed, { item }) => {
    const { blockedBy } = world.practice.items.find(({ id }) => id === item) ?? {};
    return blockedBy !== undefined && world.noticed.has(blockedBy) ? { thing: world.one(thingOf(deed)) } : null;
  },
  'valves-in': (world, deed) => {
    const isOfValves = [...named(world, deed), thingOf(deed)].some(
      (thing) => thing === 'valves' || isOneOf(world.practice.anatomy.slides ?? [], thing),
    );
    return isOfValves && world.knows('pistons') && world.with('pistons').size === 0 ? { thing: 'pistons' } : null;
  },
  'clean-fingers': (world, deed, step) =>
    world.soiledBy !== null && world.soiledBy !== step.id && isForTheLips(deed)
      ? { thing: world.one(thingOf(deed)), by: world.soiledBy }
      : null,
  'rim-bare': (world, deed) =>
    thingOf(deed) === 'rim' && world.with('cap').size > 0 ? { thing: 'rim', other: 'cap' } : null,
  'not-greased-yet': (world, deed) => {
    if (deed.do !== 'wipe' && deed.do !== 'brush' && deed.do !== 'wipe-off') return null;
    for (const thing of named(world, deed)) {
      const by = world.coated.get(thing);
      if (by !== undefined) return { thing, by };
    }
    return null;
  },
  once: (world, deed, step) => {
    for (const thing of named(world, deed)) {
      // A mouthpiece is washed with a brush, whichever the step calls it.
      const verbs = thing === 'mouthpiece' && ['wash', 'brush'].includes(deed.do) ? ['wash', 'brush'] : [deed.do];
      const by = verbs.map((verb) => world.did.get(`${verb} ${thing}`)).find((one) => one !== undefined);
      if (by !== undefined && by !== step.id) return { thing, by };
    }
    return null;
  },
  'in-place': (world, deed) => firstOf(named(world, deed), (thing) => world.with(thing).size === 0),
  'empty-case': (world) =>
    firstOf(world.pieces(), (thing) => world.placeOf(thing) === 'case' && thing !== 'cap' && thing !== 'plug'),
  'fits-its-place': (world, deed) => {
    const mine = thingOf(deed) === 'everything' ? world.pieces() : named(world, deed);
    for (const { of, cased } of world.couplings()) {
      if (!of.some((thing) => mine.includes(thing))) continue;
      const [one, other] = of;
      const together = world.with(one).has(other);
      if (together && cased === false) return { thing: one, other };
    }
    return null;
  },
  'guarded-and-dry': (world, deed) => {
    if (thingOf(deed) !== 'everything') return null;
    for (const { of, cased } of world.couplings())
      if (cased === true && !world.with(of[0]).has(of[1])) return { thing: of[0], other: of[1] };
    return firstOf(world.pieces(), (thing) => world.wet.has(thing));
  },
  'everything-in': (world) => {
    const left = firstOf(world.pieces(), (thing) => world.placeOf(thing) !== 'stowed');
    const swabIn = world.placeOf('swab') === 'out' && world.loose.has('swab') ? { thing: 'swab' as const } : null;
    return left ?? firstOf([...world.pulledOut], () => true) ?? swabIn;
  },
} as const satisfies Record<string, Need>;
export type NeedId = keyof typeof TABLE;
export const NEEDS: Readonly<Record<NeedId, Need>> = TABLE;
