import type { Mark } from '#core/explain/explained.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import {
  SCHOOL_IDS,
  type School,
  type SchoolCase,
  type SchoolChoice,
  type SchoolChoices,
  type SchoolContext,
  type SchoolId,
} from '#core/schools/school.ts';
import { SCHOOLS } from '#core/schools/tables/schools.ts';

export type ChosenSchool = {
  readonly school: SchoolId;
  readonly choice: string;
  readonly words: string;
  readonly why: string;
  readonly mark: Mark;
  readonly byPlayer: boolean;
};

export const schoolOf = (id: SchoolId): School => SCHOOLS[id];

/** Is the question asked about this instrument at all? */
export const isAsked = (id: SchoolId, kind: KindId, build: Build): boolean =>
  schoolOf(id).askedOf.some(({ kinds, build: wanted }) => kinds.includes(kind) && buildMeets(build, wanted));

/** Every question that is asked about this instrument, in the order of the work. */
export const schoolsFor = (kind: KindId, build: Build): SchoolId[] =>
  SCHOOL_IDS.filter((id) => isAsked(id, kind, build));

const holds = {
  kinds: ({ kinds }: SchoolCase, { kind }: SchoolContext) => kinds === undefined || kinds.includes(kind),
  build: ({ build: wanted }: SchoolCase, { build }: SchoolContext) => buildMeets(build, wanted),
  age: ({ newerThanDays }: SchoolCase, { ageDays }: SchoolContext) =>
    newerThanDays === undefined || (ageDays !== null && ageDays < newerThanDays),
  week: ({ weeklyMinutesAbove }: SchoolCase, { weeklyMinutes }: SchoolContext) =>
    weeklyMinutesAbove === undefined || weeklyMinutes > weeklyMinutesAbove,
  conditions: ({ conditions: wanted }: SchoolCase, { conditions }: SchoolContext) =>
    wanted === undefined || wanted.some((one) => conditions.includes(one)),
};
const caseHolds = (of: SchoolCase, context: SchoolContext): boolean =>
  Object.values(holds).every((test) => test(of, context));

/** The default worked out for this instrument, with its reason. */
export function usualSchool(id: SchoolId, context: SchoolContext): ChosenSchool {
  const { usual, choices } = schoolOf(id);
  const hit = usual.cases.find(({ of }) => caseHolds(of, context));
  const choice = hit?.choice ?? usual.otherwise;
  const offered = choices[choice];
  if (offered === undefined) throw new Error(`school ${id} has no choice ${choice}`);
  return {
    school: id,
    choice,
    words: offered.words,
    why: hit?.why ?? usual.why,
    mark: hit?.mark ?? offered.mark,
    byPlayer: false,
  };
}

const choiceOf = (id: SchoolId, choice: string): SchoolChoice | undefined => {
  const { choices } = schoolOf(id);
  return Object.hasOwn(choices, choice) ? choices[choice] : undefined;
};

/** Why a choice cannot be had here; null when it can. Only what the player has chosen elsewhere stands in its way. */
export function barredChoice(
  id: SchoolId,
  choice: string,
  choices: SchoolChoices,
  { build }: Pick<SchoolContext, 'build'>,
): string | null {
  const offered = choiceOf(id, choice);
  if (offered === undefined) return 'the book has no such choice';
  if (!buildMeets(build, offered.when)) return 'not on an instrument built like this';
  const { notWith } = offered;
  if (notWith === undefined) return null;
  const other = choices[notWith.school];
  return other !== undefined && notWith.choices.includes(other) ? notWith.why : null;
}

/**
 * The school in force: the player's choice, else the default worked out for this instrument, with its reason.
 * A stored choice that cannot be had (the book or the build no longer offers it, another choice stands in its way)
 * falls back to the default.
 */
export function chosenSchool(id: SchoolId, choices: SchoolChoices, context: SchoolContext): ChosenSchool {
  const own = choices[id];
  const offered = own === undefined ? undefined : choiceOf(id, own);
  if (own !== undefined && offered !== undefined && barredChoice(id, own, choices, context) === null)
    return { school: id, choice: own, words: offered.words, why: 'your choice', mark: 'yours', byPlayer: true };
  return usualSchool(id, context);
}

/** A school in force with everything the choice changes. */
export type SchoolInForce = ChosenSchool & { readonly effects: SchoolChoice };

/** Every school in force on an instrument. */
export const schoolsInForce = (choices: SchoolChoices, context: SchoolContext): SchoolInForce[] =>
  schoolsFor(context.kind, context.build).map((id) => {
    const chosen = chosenSchool(id, choices, context);
    const effects = choiceOf(id, chosen.choice);
    if (effects === undefined) throw new Error(`school ${id} has no choice ${chosen.choice}`);
    return { ...chosen, effects };
  });
