import { SCHOOL_SET_FORMAT, SCHOOL_SET_VERSION, type SchoolSet } from '#core/schools/school-set-format.ts';
import { barredChoice, chosenSchool, isAsked, schoolOf } from '#core/schools/chosen-school.ts';
import { isSchoolId, SCHOOL_IDS, type SchoolId } from '#core/schools/school-ids.ts';
import type { SchoolChoices, SchoolSetting } from '#core/schools/school.ts';

/** What taking one choice of a set would do to an instrument. */
export type SetLine = {
  readonly school: string;
  readonly choice: string;
  readonly question: string | null;
  readonly words: string | null;
  /** `new`: it would be another choice · `same` · the rest is left out, with the reason. */
  readonly verdict: 'new' | 'same' | 'not-asked' | 'barred' | 'unknown';
  readonly why: string | null;
};

/** The player's own choices as a set; defaults are left to be worked out for whoever takes it. */
export function schoolSetOf(name: string, setting: SchoolSetting): SchoolSet {
  const { kind, build } = setting.context;
  const own = SCHOOL_IDS.filter((id) => isAsked(id, kind, build))
    .map((id) => chosenSchool(id, setting.choices, setting.context))
    .filter(({ byPlayer }) => byPlayer);
  return {
    format: SCHOOL_SET_FORMAT,
    version: SCHOOL_SET_VERSION,
    name,
    kind,
    choices: Object.fromEntries(own.map(({ school, choice }) => [school, choice])),
  };
}

type Fate = Omit<SetLine, 'school' | 'choice'>;

function knownFate(id: SchoolId, choice: string, taken: SchoolChoices, setting: SchoolSetting): Fate {
  const { question, choices } = schoolOf(id);
  const { kind, build } = setting.context;
  const words = Object.hasOwn(choices, choice) ? (choices[choice]?.words ?? null) : null;
  const left = (verdict: 'not-asked' | 'barred' | 'unknown', why: string): Fate => ({ question, words, verdict, why });
  if (words === null) return left('unknown', 'This version of the book has no such choice.');
  if (!isAsked(id, kind, build)) return left('not-asked', 'Not asked about an instrument of this kind and build.');
  const barred = barredChoice(id, choice, taken, setting.context);
  if (barred !== null) return left('barred', `${barred[0]?.toUpperCase()}${barred.slice(1)}.`);
  const now = chosenSchool(id, setting.choices, setting.context);
  const isSame = now.byPlayer && now.choice === choice;
  return { question, words, verdict: isSame ? 'same' : 'new', why: null };
}

/**
 * What a set would do to an instrument, line by line: what would change, what is so already, and what is left out
 * because it is not asked here, cannot be had here, or is not in this version of the book.
 */
export function readSet({ choices }: Pick<SchoolSet, 'choices'>, setting: SchoolSetting): SetLine[] {
  // A choice is tried beside those of the set, which will be in force together with it.
  const known = Object.entries(choices).filter(([school]) => isSchoolId(school));
  const taken: SchoolChoices = { ...setting.choices, ...Object.fromEntries(known) };
  return Object.entries(choices).map(([school, choice]) => {
    const fate: Fate = isSchoolId(school)
      ? knownFate(school, choice, taken, setting)
      : { question: null, words: null, verdict: 'unknown', why: 'This version of the book has no such question.' };
    return { school, choice, ...fate };
  });
}
