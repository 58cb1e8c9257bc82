import type { Alone } from '#core/book/anatomy.ts';
import type { Condition } from '#core/book/condition.ts';
import { holdsOn, lastDay } from '#core/conditions/in-force.ts';
import type { CareStanding } from '#core/care/care-standing.ts';
import { waitingAfter } from '#core/care/what-matters.ts';
import { aloneIn, aloneNamed, concernsAlone, practiceAlone } from '#core/methods/practice-alone.ts';
import type { MethodsStanding } from '#core/methods/methods-standing.ts';
import type { Practice } from '#core/book/practice.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { PartId } from '#core/instruments/kind.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** What of an instrument may be played by itself, and whether that is the usual for a while. */
export type AloneStanding = {
  readonly sets: readonly Alone[];
  /** Played so for some weeks, and up to which day; null where the whole is played. */
  readonly usual: { readonly alone: Alone; readonly last: LocalDate | null } | null;
  /** Is care of this part the concern of somebody who plays these parts alone? */
  readonly isOf: (alone: AloneId, part: PartId) => boolean;
};

/** Works it out from the build and the conditions entered; of several in force the newest counts. */
export function aloneStanding(
  methods: MethodsStanding,
  conditions: readonly Condition[],
  today: LocalDate,
): AloneStanding {
  const sets = aloneIn(methods.practice);
  const named = (id: AloneId | null) => sets.find((one) => one.id === id);
  const inForce = conditions.filter((one) => named(one.alone) !== undefined && holdsOn(one, today, methods));
  const newest = inForce.toSorted((a, b) => (a.beginsOn < b.beginsOn ? 1 : -1))[0];
  const alone = newest && named(newest.alone);
  return {
    sets,
    usual: newest && alone ? { alone, last: lastDay(newest, methods) } : null,
    isOf: (id, part) => {
      const found = named(id);
      // What the build, edited meanwhile, cannot be played in any more was the whole.
      return found === undefined || concernsAlone(found, part);
    },
  };
}

/** The practice of an instrument as it was played: of these parts alone, or of the whole where there are none of that name. */
export function practicePlayed({ practice }: Pick<MethodsStanding, 'practice'>, alone: AloneId | null): Practice {
  const parts = aloneNamed(practice, alone);
  return parts === undefined ? practice : practiceAlone(practice, parts);
}

/**
 * The parts an instrument stands wet in: those of its last play, unless something of the whole waits from an earlier one;
 * null: all of it.
 */
export function partsLeftWet(
  { alone, care }: { readonly alone: AloneStanding; readonly care: Pick<CareStanding, 'clocks'> },
  played: AloneId | null,
): AloneId | null {
  if (played === null) return null;
  return waitingAfter(care.clocks).some(({ item }) => !alone.isOf(played, item.part)) ? null : played;
}
