import type { Book } from '#core/book/book.ts';
import { CONDITION_IDS, type ConditionId } from '#core/book/condition-ids.ts';
import { CASED_DAMP, type CareItemId, type StepId } from '#core/book/care-ids.ts';
import { isOnTheSpot, type CareItem } from '#core/book/care-item.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { Practice } from '#core/book/practice.ts';
import { aloneNamed, practiceAlone } from '#core/methods/practice-alone.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
import { foundIn, waitsAtHome } from '#core/packup/run-care.ts';
import { packedOnTheWay } from '#core/testing/answered-run.ts';
import { planAndOrder, type OrderedPlan } from '#core/packup/plan-run.ts';
import { withStandsOn } from '#core/packup/with-stands-on.ts';
import type { RunPart, RunPlan } from '#core/packup/run-plan.ts';
import { SKILLS, type PlayerAbilities, type Standing } from '#core/players/player.ts';
import { usualWetness } from '#core/water/wetness.ts';

/** What is to be done in a run that is made up: the steps of every play, those and all care at home, or items by id. */
export type Due = 'after' | 'before' | 'all' | CareItemId;

/** An instrument somebody might have, and how they do it. What is not said is the usual. */
export type AnyInstrument = {
  readonly kind: KindId;
  readonly build?: Build;
  readonly methods?: MethodChoices;
  readonly conditions?: readonly ConditionId[];
  /** The parts that are played by themselves; whole where nothing is said. */
  readonly alone?: AloneId;
};

export type AnyRun = {
  readonly instruments: readonly AnyInstrument[];
  readonly due: readonly Due[];
  readonly playedMinutes?: number;
  readonly minutesAtHand?: number | null;
  readonly standing?: Standing;
  /** Packed up on the way; or laid out at home what was. At home, where nothing is said. */
  readonly place?: 'on-the-way' | 'back-home';
};

const moment =
  (when: 'before' | 'after') =>
  ({ trigger }: CareItem): boolean =>
    trigger.kind === 'every-play' && trigger.moment === when;

/** Care that is done at home and not with every play; what only a condition calls for belongs to that condition. */
export const homeCare = ({ items, off, chosen }: Practice): CareItem[] =>
  items.filter(
    (item) =>
      item.trigger.kind !== 'every-play' &&
      !isOnTheSpot(item) &&
      item.id !== CASED_DAMP &&
      item.trigger.kind !== 'while' &&
      item.place !== 'bench' &&
      !off.has(item.id) &&
      !(item.trigger.kind === 'clock-by-method' && item.trigger.limbs[chosen.get(item.trigger.method) ?? ''] === 'off'),
  );

/** Remedies done while it is played, each by itself. */
export const onTheSpot = ({ items, off }: Practice): CareItem[] =>
  items.filter((item) => isOnTheSpot(item) && !off.has(item.id));

/** The items that `due` means on this instrument; ids it does not know are left out. */
function itemsDue(practice: Practice, due: readonly Due[]): CareItemId[] {
  const meant = due.flatMap((one): CareItem[] => {
    switch (one) {
      case 'before':
        return practice.items.filter(moment('before'));
      case 'after':
        return practice.items.filter(moment('after'));
      case 'all':
        return [...practice.items.filter(moment('after')), ...homeCare(practice)];
      default:
        return practice.items.filter(({ id }) => id === one);
    }
  });
  return [...new Set(meant.map(({ id }) => id))];
}

/** How somebody with this instrument does it. */
export function practiceOf(book: Book, { kind, build, methods = {}, conditions = [], alone }: AnyInstrument): Practice {
  const full = { ...usualBuild(book.kinds[kind]), ...build };
  const whole = practiceUnder(practiceFor(book, kind, full), {
    choices: methods,
    context: { ...plainContext(book, kind, full), conditions },
  });
  const parts = aloneNamed(whole, alone ?? null);
  return parts === undefined ? whole : practiceAlone(whole, parts);
}

/** The parts of a run as the planner takes them. */
export function partsOf(book: Book, { instruments, due, playedMinutes = 45 }: AnyRun): RunPart[] {
  const isPlayed = due.includes('after') || due.includes('all');
  return instruments.map((one, index): RunPart => {
    const practice = practiceOf(book, one);
    return {
      instrumentId: (instruments.length > 1 ? `${index + 1}-${one.kind}` : one.kind) as InstrumentId,
      kind: practice.kind,
      practice,
      items: itemsDue(practice, due),
      playedMinutes: isPlayed ? playedMinutes : 0,
      roomCelsius: 20,
      wetness: usualWetness,
      loads: new Map(),
    };
  });
}

/** Somebody who does all they may. */
export const playerOf = (standing: Standing = 'grown-up'): PlayerAbilities => ({ standing, does: [...SKILLS] });

/** What is laid out at home of a run that was packed up on the way, as its usual looks have left it. */
function partsBackHome(book: Book, run: AnyRun): RunPart[] {
  const left = packedOnTheWay(planOf(book, { ...run, place: 'on-the-way' }));
  return partsOf(book, run).map((part) => ({
    ...part,
    items: [CASED_DAMP, ...part.items],
    only: waitsAtHome(left).get(part.instrumentId) ?? new Set(),
    found: foundIn(left, part.instrumentId),
  }));
}

/** Found once for each run, which many situations share. */
function oncePerRun<Found>(find: (book: Book, run: AnyRun) => Found): (book: Book, run: AnyRun) => Found {
  const books = new WeakMap<Book, WeakMap<AnyRun, { readonly found: Found }>>();
  return (book, run) => {
    const runs = books.get(book) ?? new WeakMap<AnyRun, { readonly found: Found }>();
    books.set(book, runs);
    const known = runs.get(run) ?? { found: find(book, run) };
    runs.set(run, known);
    return known.found;
  };
}

/** The parts of a run as it is played: of what was packed up on the way, what of it is left. */
export const partsPlayed = oncePerRun((book, run) =>
  run.place === 'back-home' ? partsBackHome(book, run) : partsOf(book, run),
);

/** The plan of a run that is made up, as the program would make it, with what its order was found for. */
export const orderedPlanOf = oncePerRun((book, run): OrderedPlan => {
  const parts = partsPlayed(book, run);
  const { plan, ordered } = planAndOrder({
    parts,
    player: playerOf(run.standing),
    minutesAtHand: run.minutesAtHand ?? null,
    learned: new Map(),
  });
  return { plan: withStandsOn(plan, parts), ordered };
});

/** The plan of a run that is made up, as the program would make it. */
export const planOf = (book: Book, run: AnyRun): RunPlan => orderedPlanOf(book, run).plan;

export const isConditionId = (text: string): text is ConditionId => (CONDITION_IDS as readonly string[]).includes(text);

/** Which answer each look of a run gets; the first one where nothing is said. */
export type Answers = ReadonlyMap<StepId, string>;
