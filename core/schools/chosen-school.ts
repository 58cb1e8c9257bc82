import type { Step } from '#core/care/step.ts';
import type { Mark } from '#core/explain/explained.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { SCHOOL_IDS, type SchoolId } from '#core/schools/school-ids.ts';
import type {
  School,
  SchoolCase,
  SchoolChoice,
  SchoolChoices,
  SchoolContext,
  SchoolSetting,
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

const instrumentIs = ({ kinds, build: wanted }: SchoolCase, { kind, build }: SchoolContext): boolean =>
  (kinds === undefined || kinds.includes(kind)) && buildMeets(build, wanted);

const recordSays = ({ newerThanDays, weeklyMinutesAbove }: SchoolCase, of: SchoolContext): boolean =>
  (newerThanDays === undefined || (of.ageDays !== null && of.ageDays < newerThanDays)) &&
  (weeklyMinutesAbove === undefined || of.weeklyMinutes > weeklyMinutesAbove);

const caseHolds = (of: SchoolCase, context: SchoolContext): boolean =>
  instrumentIs(of, context) &&
  recordSays(of, context) &&
  (of.conditions === undefined || of.conditions.some((one) => context.conditions.includes(one)));

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

/** The choices there are on a kind and build; a question with one of them left is none. */
export const offeredChoices = (id: SchoolId, kind: KindId, build: Build): string[] =>
  Object.entries(schoolOf(id).choices).flatMap(([choice, { kinds, when }]) =>
    (kinds === undefined || kinds.includes(kind)) && buildMeets(build, when) ? [choice] : [],
  );

/** Why a choice cannot be had here; null when it can. Only what the player has chosen elsewhere stands in its way. */
export function barredChoice(
  id: SchoolId,
  choice: string,
  choices: SchoolChoices,
  { kind, build }: Pick<SchoolContext, 'kind' | 'build'>,
): string | null {
  const offered = choiceOf(id, choice);
  if (offered === undefined) return 'the book has no such choice';
  if (offered.kinds !== undefined && !offered.kinds.includes(kind)) return 'not on an instrument of this kind';
  if (!buildMeets(build, offered.when)) return 'not on an instrument built like this';
  const { notWith } = offered;
  if (notWith === undefined) return null;
  const other = choices[notWith.school];
  return other !== undefined && notWith.choices.includes(other) ? notWith.why : null;
}

/** The player's own choice, if it can be had. */
function ownChoice(id: SchoolId, choices: SchoolChoices, context: SchoolContext): string | undefined {
  const own = choices[id];
  return own !== undefined && barredChoice(id, own, choices, context) === null ? own : undefined;
}

/** The key of the choice in force alone: what {@link chosenSchool} finds, without its reasons. */
export function choiceInForce(id: SchoolId, choices: SchoolChoices, context: SchoolContext): string {
  const own = ownChoice(id, choices, context);
  if (own !== undefined) return own;
  const { usual } = schoolOf(id);
  return usual.cases.find(({ of }) => caseHolds(of, context))?.choice ?? usual.otherwise;
}

/**
 * The school in force: the player's choice, else the default worked out for this instrument, with its reason.
 * A stored choice that cannot be had (the book or the build no longer offers it, another choice stands in its way)
 * falls back to the default.
 */
export function chosenSchool(id: SchoolId, choices: SchoolChoices, context: SchoolContext): ChosenSchool {
  const own = ownChoice(id, choices, context);
  const offered = own === undefined ? undefined : choiceOf(id, own);
  if (own !== undefined && offered !== undefined)
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

/** The schools that put a step where it is, or have it said as it is. */
export const schoolsOfStep = (
  { id, school }: Pick<Step, 'id' | 'school'>,
  { choices, context }: SchoolSetting,
): SchoolInForce[] =>
  schoolsInForce(choices, context).filter(
    (one) => (one.school === school?.id && school.choices.includes(one.choice)) || one.effects.says?.[id] !== undefined,
  );
