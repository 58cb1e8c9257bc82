import type { Mark } from '#core/explain/explained.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { School, SchoolCase, SchoolChoices, SchoolId } from '#core/care/school.ts';
import { SCHOOLS } from '#core/care/tables/schools.ts';

/** What the default of a school may look at. `ageDays` is null for an instrument that did not come new. */
export type SchoolContext = {
  readonly kind: KindId;
  readonly build: Build;
  readonly ageDays: number | null;
  readonly weeklyMinutes: number;
};

export type ChosenSchool = {
  readonly school: SchoolId;
  readonly choice: string;
  readonly words: string;
  readonly why: string;
  readonly mark: Mark;
  readonly byPlayer: boolean;
};

function caseHolds(of: SchoolCase, context: SchoolContext): boolean {
  if (of.kinds !== undefined && !of.kinds.includes(context.kind)) return false;
  if (!buildMeets(context.build, of.build)) return false;
  if (of.newerThanDays !== undefined && (context.ageDays === null || context.ageDays >= of.newerThanDays)) return false;
  return of.weeklyMinutesAbove === undefined || context.weeklyMinutes > of.weeklyMinutesAbove;
}

/**
 * The school in force: the player's choice, else the default worked out for this instrument, with its reason.
 * A stored choice the book no longer offers falls back to the default.
 */
export function chosenSchool(id: SchoolId, choices: SchoolChoices, context: SchoolContext): ChosenSchool {
  const school: School = SCHOOLS[id];
  const own = choices[id];
  const ownChoice = own !== undefined && Object.hasOwn(school.choices, own) ? school.choices[own] : undefined;
  if (own !== undefined && ownChoice !== undefined)
    return { school: id, choice: own, words: ownChoice.words, why: 'your choice', mark: 'yours', byPlayer: true };
  const hit = school.usual.cases.find(({ of }) => caseHolds(of, context));
  const choice = hit?.choice ?? school.usual.otherwise;
  const offered = school.choices[choice];
  if (offered === undefined) throw new Error(`school ${id} has no choice ${choice}`);
  return {
    school: id,
    choice,
    words: offered.words,
    why: hit?.why ?? school.usual.why,
    mark: hit?.mark ?? offered.mark,
    byPlayer: false,
  };
}
