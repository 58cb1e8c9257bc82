import { isOnTheSpot } from '#core/book/care-item.ts';
import { CASED_DAMP, type CareItemId, type StepId } from '#core/book/care-ids.ts';
import type { Coupling } from '#core/book/anatomy.ts';
import type { Exception } from '#core/book/handling-exception.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Deed, Thing } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';
import { soilsFingers } from '#core/handling/clean-fingers.ts';
import { NEEDS, type NeedId } from '#core/handling/needs.ts';
import { VERBS } from '#core/handling/verbs.ts';
import { emptyHands, World, type Hands, type Start } from '#core/handling/world.ts';

/** What may be left at the end of a run. */
export const LEFT = [
  'left-open',
  'left-shielded',
  'left-in-a-bath',
  'left-wet',
  'left-oily',
  'left-apart',
  'left-dry',
] as const;
/** What hands may leave as it is when they turn from one instrument to another. */
export const AT_A_TURN = ['set-down-first'] as const;
/** What the times of a plan may break. */
export const TIMED = ['soaks-too-long'] as const;
export type RuleId = NeedId | (typeof LEFT)[number] | (typeof AT_A_TURN)[number] | (typeof TIMED)[number];

/** A rule of handling that a run broke: by which step, on which thing, and the step before it that is to blame. */
export type Broken = {
  readonly rule: RuleId;
  readonly instrument: string;
  /** Null at the end of the run. */
  readonly step: StepId | null;
  readonly thing: Thing;
  readonly other: Thing | null;
  readonly by: StepId | null;
};

/** One instrument of a run as hands find it. */
export type Handled = {
  readonly instrument: string;
  readonly practice: Practice;
  readonly items: readonly CareItemId[];
};
/** A step somebody does, and what they found where it is a look. */
export type HandledStep = { readonly instrument: string; readonly step: Step; readonly answer?: string | null };

/** Does a run begin with the case shut, with the instrument as it was played, cased damp, lying ready, or being played? */
export function startOf({ practice, items }: Pick<Handled, 'practice' | 'items'>): Start {
  if (items.includes(CASED_DAMP)) return 'damp';
  const mine = practice.items.filter(({ id }) => items.includes(id));
  const moments = mine.flatMap(({ trigger }) => (trigger.kind === 'every-play' ? [trigger.moment] : []));
  if (moments.includes('after')) return 'after';
  if (moments.includes('before')) return 'before';
  return mine.length > 0 && mine.every(isOnTheSpot) ? 'playing' : 'care';
}

/** The case shuts only on what is in it; everything else at a shut is the verb's own. */
const needsOf = (deed: Deed): readonly NeedId[] =>
  deed.do === 'shut' && deed.thing === 'case' ? [...VERBS.shut.needs, 'everything-in'] : VERBS[deed.do].needs;

function leftAtTheEnd(world: World): Omit<Broken, 'instrument' | 'step' | 'by'>[] {
  const found: Omit<Broken, 'instrument' | 'step' | 'by'>[] = [];
  const add = (rule: RuleId, thing: Thing | undefined, other: Thing | null = null) =>
    thing !== undefined && found.push({ rule, thing, other });
  const BATHS = ['water', 'acid', 'cup', 'mouth'];
  add('left-in-a-bath', [...world.place].find(([, place]) => BATHS.includes(place))?.[0]);
  add('left-shielded', [...world.shielded][0]);
  add('left-oily', [...world.freshOil][0]);
  add(
    'left-wet',
    [...world.wet].find((thing) => world.placeOf(thing) !== 'hung-up'),
  );
  add('left-dry', [...world.washedOut][0]);
  const openPlayed: readonly Thing[] = world.practice.anatomy.openPlayed ?? [];
  // In its case a neck screw stays slack; who plays on tightens it, and what stood open while it was played still does.
  const mayStandOpen: readonly Thing[] = world.start === 'playing' ? openPlayed : ['neck-screw'];
  if (world.start !== 'before')
    add(
      'left-open',
      [...world.open].find((thing) => thing !== 'case' && !mayStandOpen.includes(thing)),
    );
  // What was together before the run is so after it: in its case, or to be played on.
  const wasTogether = { care: ({ cased }: Coupling) => cased === true, playing: ({ played }: Coupling) => played };
  if (world.start === 'care' || world.start === 'playing')
    for (const coupling of world.couplings().filter(wasTogether[world.start])) {
      const [one, other] = coupling.of;
      if (!world.with(one).has(other)) add('left-apart', one, other);
    }
  return found;
}

const isExcepted = (
  exceptions: readonly Exception[],
  { rule, step, by, thing }: Broken,
  chosen: ReadonlyMap<string, string> | undefined,
): Exception | undefined =>
  exceptions.find(
    (one) =>
      one.rule === rule &&
      (one.method === undefined || one.method.choices.includes(chosen?.get(one.method.id) ?? '')) &&
      (one.step === undefined || one.step === step) &&
      (one.by === undefined || one.by === by) &&
      (one.thing === undefined || one.thing === thing),
  );

export type PlayedThrough = { readonly broken: readonly Broken[]; readonly excepted: readonly Exception[] };

/** The instrument as hands find it. */
export const worldOf = (one: Handled, hands: Hands): World =>
  new World(one.practice, one.instrument, startOf(one), hands);

/** Does a step and judges nothing: the instrument as it is left. */
export function leaveAs(world: World, step: Step): void {
  for (const deed of step.does) VERBS[deed.do].leaves(world, deed, step);
}

/** Does a step, deed by deed, and says what each deed found untrue. */
export function doStep(world: World, step: Step): Broken[] {
  return step.does.flatMap((deed) => {
    const broken = needsOf(deed).flatMap((rule): Broken[] => {
      const found = NEEDS[rule](world, deed, step);
      const { thing, other = null, by = null } = found ?? {};
      return thing === undefined ? [] : [{ rule, instrument: world.name, step: step.id, thing, other, by }];
    });
    VERBS[deed.do].leaves(world, deed, step);
    if (soilsFingers(deed)) world.soiledBy = step.id;
    return broken;
  });
}

const cannotWait = ({ reaches = [] }: Step): boolean => reaches.includes('reed-off') || reaches.includes('water-out');

/** What cannot wait, and what leads there, is done in one round over all instruments: none of them is taken up for it. */
function roundOf(steps: readonly HandledStep[]): ReadonlySet<HandledStep> {
  const last = new Map(steps.flatMap((one, at) => (cannotWait(one.step) ? [[one.instrument, at] as const] : [])));
  return new Set(steps.filter(({ instrument }, at) => at <= (last.get(instrument) ?? -1)));
}

/**
 * Sees to it that what hangs or is held of an instrument that has been begun is laid, stood or cased before hands turn to
 * another.
 */
class Turns {
  /** The last step of each instrument that has been begun. */
  private readonly begun = new Map<string, StepId>();
  private last: string | null = null;
  private readonly round: ReadonlySet<HandledStep>;

  constructor(
    private readonly hands: Hands,
    private readonly worlds: ReadonlyMap<string, World>,
    steps: readonly HandledStep[],
  ) {
    this.round = roundOf(steps);
  }

  /** What is not set down when this step is begun. */
  before(next: HandledStep): Broken[] {
    if (this.round.has(next)) return [];
    const { instrument, step } = next;
    const isTurn = this.last !== null && this.last !== instrument;
    this.last = instrument;
    const found = isTurn ? [...this.begun].flatMap(([other, by]) => this.stillUp(other, by)).slice(0, 1) : [];
    this.begun.set(instrument, step.id);
    return found.map((one) => ({ ...one, rule: 'set-down-first', instrument, step: step.id, other: null }));
  }

  private stillUp(instrument: string, by: StepId): Pick<Broken, 'thing' | 'by'>[] {
    if (instrument === this.last) return [];
    const world = this.worlds.get(instrument);
    const key = [...this.hands.held, ...this.hands.hanging].find((one) => world?.owns(one));
    return key === undefined || world === undefined ? [] : [{ thing: world.thingHeld(key), by }];
  }
}

/**
 * Plays the steps of a run through, deed by deed, and says every rule of handling it breaks. A broken rule does not
 * stop the run: the deed is done all the same, as hands would.
 *
 * @param exceptions what the trade does all the same, with its reason
 */
export function playThrough(
  handled: readonly Handled[],
  steps: readonly HandledStep[],
  exceptions: readonly Exception[],
): PlayedThrough {
  const hands = emptyHands();
  const worlds = new Map(handled.map((one) => [one.instrument, worldOf(one, hands)] as const));
  const turns = new Turns(hands, worlds, steps);
  const all = steps.flatMap((one) => {
    const { instrument, step, answer } = one;
    const world = worlds.get(instrument);
    const broken = [...turns.before(one), ...(world ? doStep(world, step) : [])];
    const called = step.look?.answers.find(({ id }) => id === answer)?.calls;
    if (called !== undefined) world?.noticed.add(called);
    return broken;
  });
  for (const [instrument, world] of worlds)
    for (const one of leftAtTheEnd(world)) all.push({ ...one, instrument, step: null, by: null });
  const chosenOn = (instrument: string) => worlds.get(instrument)?.practice.chosen;
  const excepted = all.map((one) => isExcepted(exceptions, one, chosenOn(one.instrument)));
  return {
    broken: all.filter((_, index) => excepted[index] === undefined),
    excepted: excepted.filter((one) => one !== undefined),
  };
}
