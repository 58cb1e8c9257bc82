import { isOneOf } from '#core/kernel/typed.ts';
import type { Coupling, Piece } from '#core/book/anatomy.ts';
import type { Bath, Deed, Thing } from '#core/book/deed.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { Practice } from '#core/book/practice.ts';
import { buildMeets } from '#core/instruments/build.ts';
import { PART_ROLES, type PartRole } from '#core/instruments/kind.ts';

/** Where a thing is. `stowed`: in the place it travels in. */
export type Place = 'out' | 'case' | 'stowed' | 'hung-up' | Bath;

/**
 * How hands find an instrument: shut in its case, as it was played, cased damp, lying ready for a piece of care, or in the
 * middle of playing, which goes on afterwards.
 */
export type Start = 'before' | 'after' | 'damp' | 'care' | 'playing';

/** What two hands hold and what hangs from a strap, over all instruments of a run. */
export type Hands = { readonly held: Set<string>; readonly hanging: Set<string> };
export const emptyHands = (): Hands => ({ held: new Set(), hanging: new Set() });

const isRole = (thing: Thing): thing is PartRole => isOneOf(PART_ROLES, thing);

const known = new WeakMap<Practice, readonly Coupling[]>();

function couplingsOf(practice: Practice): readonly Coupling[] {
  const { anatomy, build, chosen } = practice;
  const found =
    known.get(practice) ??
    anatomy.couplings.filter(
      ({ when, method }) =>
        buildMeets(build, when) && (method === undefined || method.choices.includes(chosen.get(method.id) ?? '')),
    );
  known.set(practice, found);
  return found;
}

const isTogetherPlayed = ({ played }: Coupling): boolean => played;
const isTogether = (cased: Coupling['cased']): boolean => cased === true || cased === 'usually';
/** On the way drones stay in their stocks, though at home they are laid out apart. */
const isTogetherDamp = ({ played, cased }: Coupling): boolean => isTogether(cased) || (played && cased === 'either');
const isTogetherCased = ({ cased }: Coupling): boolean => isTogether(cased);
const TOGETHER: Readonly<Record<Start, (coupling: Coupling) => boolean>> = {
  before: isTogetherCased,
  after: isTogetherPlayed,
  damp: isTogetherDamp,
  care: isTogetherCased,
  playing: isTogetherPlayed,
};

/**
 * One instrument with all that belongs to it, as hands leave it after each deed. What may be done to it is not judged
 * here (`verbs.ts`).
 */
export class World {
  /** What is joined to what, both ways. */
  readonly joined = new Map<Thing, Set<Thing>>();
  readonly place = new Map<Thing, Place>();
  /** Wet from washing or rinsing in this run. */
  readonly wet = new Set<Thing>();
  /** Greased or oiled in this run, and by which step. */
  readonly coated = new Map<Thing, StepId>();
  /** What is open, pulled out, shielded, propped, or under fresh oil. */
  readonly open = new Set<Thing>();
  readonly pulledOut = new Set<Thing>();
  readonly shielded = new Set<Thing>();
  readonly freshOil = new Set<Thing>();
  /** Rotors water has run through that have not been oiled since. */
  readonly washedOut = new Set<Thing>();
  /** Acid that has not been rinsed off. */
  readonly sour = new Set<Thing>();
  /** Which step has washed, wiped, brushed or greased what. */
  readonly did = new Map<string, StepId>();
  /** The step that has left oil or grease on the fingers. */
  soiledBy: StepId | null = null;
  /** What a look has found that keeps other work from being done: a slide that will not move. */
  readonly noticed = new Set<CareItemId>();
  /** Taken off in this run and not yet in a place. */
  readonly loose = new Set<Thing>();

  constructor(
    readonly practice: Practice,
    readonly name: string,
    readonly start: Start,
    readonly hands: Hands,
  ) {
    const together = TOGETHER[start];
    for (const coupling of this.couplings()) {
      const [one, other] = coupling.of;
      for (const thing of coupling.of) this.place.set(thing, start === 'before' || start === 'damp' ? 'case' : 'out');
      if (together(coupling)) this.join(one, other);
    }
    if (start === 'after' || start === 'playing') this.asPlayed();
    // The reed travels in its own case, and lies there except while it is played or left on.
    else if (!this.joined.get('reed')?.size) this.place.set('reed', 'stowed');
    const isPropped = practice.steps.some(({ does }) => does.some((deed) => deed.do === 'prop'));
    if (start === 'before' && isPropped) this.shielded.add('pads');
  }

  /** The case stands open, locks are open, slides at their marks, and a strap carries what is heavy. */
  private asPlayed(): void {
    const { openPlayed = [], pulled = [], hangsPlayed } = this.practice.anatomy;
    for (const thing of ['case', ...openPlayed] as const) this.open.add(thing);
    for (const thing of pulled) this.pulledOut.add(thing);
    if (hangsPlayed) this.hands.hanging.add(this.key(hangsPlayed));
  }

  /** The same world, to try something on. */
  copy(): World {
    const made = new World(this.practice, this.name, this.start, { held: new Set(), hanging: new Set() });
    const fill = <Key, Value>(to: Map<Key, Value>, from: ReadonlyMap<Key, Value>) => {
      to.clear();
      for (const [key, value] of from) to.set(key, value);
    };
    const refill = <Value>(to: Set<Value>, from: ReadonlySet<Value>) => {
      to.clear();
      for (const value of from) to.add(value);
    };
    fill(made.joined, this.joined);
    fill(made.place, this.place);
    fill(made.coated, this.coated);
    fill(made.did, this.did);
    made.soiledBy = this.soiledBy;
    refill(made.noticed, this.noticed);
    for (const set of ['wet', 'open', 'pulledOut', 'shielded', 'freshOil', 'washedOut', 'sour', 'loose'] as const)
      refill<Thing>(made[set], this[set]);
    refill(made.hands.held, this.hands.held);
    refill(made.hands.hanging, this.hands.hanging);
    return made;
  }

  /** The couplings of this build under the methods in force. */
  couplings(): readonly Coupling[] {
    return couplingsOf(this.practice);
  }

  /** The things a deed names: a role is the kind's own part, an "every" all that the kind has of it. */
  things(thing: Thing): readonly Thing[] {
    const { anatomy, kind } = this.practice;
    if (thing === 'every-bore') return anatomy.bores ?? [];
    if (thing === 'every-slide') return anatomy.slides ?? [];
    if (isRole(thing)) return [kind.standsFor[thing] ?? thing];
    return [thing];
  }

  one(thing: Thing): Thing {
    return this.things(thing)[0] ?? thing;
  }

  key(thing: Thing): string {
    return `${this.name}:${thing}`;
  }

  knows(thing: Thing): boolean {
    return this.couplings().some(({ of }) => isOneOf(of, thing));
  }

  with(thing: Thing): ReadonlySet<Thing> {
    return this.joined.get(thing) ?? new Set();
  }

  /** A thing and everything joined to it, through any number of joints. */
  whole(thing: Thing): ReadonlySet<Thing> {
    const found = new Set<Thing>([thing]);
    for (const one of found) for (const next of this.with(one)) found.add(next);
    return found;
  }

  join(one: Thing, other: Thing): void {
    this.joined.set(one, new Set([...this.with(one), other]));
    this.joined.set(other, new Set([...this.with(other), one]));
  }

  part(one: Thing, other: Thing): void {
    this.joined.set(one, new Set([...this.with(one)].filter((thing) => thing !== other)));
    this.joined.set(other, new Set([...this.with(other)].filter((thing) => thing !== one)));
  }

  put(thing: Thing, place: Place): void {
    for (const one of this.whole(thing)) this.place.set(one, place);
  }

  placeOf(thing: Thing): Place {
    return this.place.get(thing) ?? 'out';
  }

  /** Is what a hand holds under this key of this instrument? */
  owns(key: string): boolean {
    return key === this.key(this.thingHeld(key));
  }

  /** The thing that a hand holds under this key. */
  thingHeld(key: string): Thing {
    return (key.split(':').at(-1) ?? key) as Thing;
  }

  /** Is anything that a deed calls this held in a hand, or does it hang? */
  isHeld(thing: Thing): boolean {
    return [...this.whole(thing)].some((one) => this.hands.held.has(this.key(one)));
  }

  hangs(thing: Thing): boolean {
    return [...this.whole(thing)].some((one) => this.hands.hanging.has(this.key(one)));
  }

  letGo(thing: Thing): void {
    for (const one of this.whole(thing)) {
      this.hands.held.delete(this.key(one));
      this.hands.hanging.delete(this.key(one));
    }
  }

  /** The piece rotors sit in, where this build has rotors that water runs through. */
  rotorsIn(): Thing | undefined {
    const { anatomy, build } = this.practice;
    return anatomy.rotors && buildMeets(build, anatomy.rotors.when) ? anatomy.rotors.in : undefined;
  }

  /** Pieces of this kind that belong in its case. */
  pieces(): readonly Piece[] {
    return [...new Set(this.couplings().flatMap(({ of }) => of))];
  }
}

/** The first thing of a deed, for words. */
export const thingOf = (deed: Deed): Thing => ('thing' in deed ? deed.thing : (deed.through[0] ?? 'everything'));
