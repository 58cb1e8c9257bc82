import type { Book } from '#core/book/book.ts';
import { CONDITION_IDS, type ConditionId } from '#core/book/condition-ids.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { Practice } from '#core/book/practice.ts';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { plainContext, practiceUnder } from '#core/methods/practice-under.ts';
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
};

export type AnyRun = {
  readonly instruments: readonly AnyInstrument[];
  readonly due: readonly Due[];
  readonly playedMinutes?: number;
  readonly minutesAtHand?: number | null;
  readonly standing?: Standing;
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
      item.trigger.kind !== 'while' &&
      item.place !== 'bench' &&
      !off.has(item.id) &&
      !(item.trigger.kind === 'clock-by-method' && item.trigger.limbs[chosen.get(item.trigger.method) ?? ''] === 'off'),
  );

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
export function practiceOf(book: Book, { kind, build, methods = {}, conditions = [] }: AnyInstrument): Practice {
  const full = { ...usualBuild(book.kinds[kind]), ...build };
  return practiceUnder(practiceFor(book, kind, full), {
    choices: methods,
    context: { ...plainContext(book, kind, full), conditions },
  });
}

/** The parts of a run as the planner takes them. */
export function partsOf(book: Book, { instruments, due, playedMinutes = 45 }: AnyRun): RunPart[] {
  const isPlayed = due.includes('after') || due.includes('all');
  return instruments.map((one, index): RunPart => {
    const practice = practiceOf(book, one);
    return {
      instrumentId: (instruments.length > 1 ? `${index + 1}-${one.kind}` : one.kind) as InstrumentId,
      kind: book.kinds[one.kind],
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

/** The plan of a run that is made up, as the program would make it, with what its order was found for. */
export function orderedPlanOf(book: Book, run: AnyRun): OrderedPlan {
  const parts = partsOf(book, run);
  const { plan, ordered } = planAndOrder({
    parts,
    player: playerOf(run.standing),
    minutesAtHand: run.minutesAtHand ?? null,
    learned: new Map(),
  });
  return { plan: withStandsOn(plan, parts), ordered };
}

/** The plan of a run that is made up, as the program would make it. */
export const planOf = (book: Book, run: AnyRun): RunPlan => orderedPlanOf(book, run).plan;

export const isConditionId = (text: string): text is ConditionId => (CONDITION_IDS as readonly string[]).includes(text);

/** Which answer each look of a run gets; the first one where nothing is said. */
export type Answers = ReadonlyMap<StepId, string>;
