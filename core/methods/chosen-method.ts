import type { Book } from '#core/book/book.ts';
import type { Step } from '#core/book/step.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { METHOD_IDS, type MethodId } from '#core/book/method-ids.ts';
import type { Method, MethodCase, MethodChoice } from '#core/book/method.ts';
import type { ChosenMethod, MethodChoices, MethodContext, MethodSetting } from '#core/book/method-setting.ts';

/** A choice as the record has it. */
export type MethodChosen = {
  readonly instrumentId: InstrumentId;
  /** One that has left the book since stays in the record. */
  readonly method: string;
  /** Null: back to the default. */
  readonly choice: string | null;
};

type InBook = Pick<MethodContext, 'book'>;

export const methodOf = ({ methods }: Pick<Book, 'methods'>, id: MethodId): Method => methods[id];

/** Is the question asked about this instrument at all? */
export const isAsked = (book: Pick<Book, 'methods'>, id: MethodId, kind: KindId, build: Build): boolean =>
  methodOf(book, id).askedOf.some(({ kinds, build: wanted }) => kinds.includes(kind) && buildMeets(build, wanted));

/** Every question that is asked about this instrument, in the order of the work. */
export const methodsFor = (book: Pick<Book, 'methods'>, kind: KindId, build: Build): MethodId[] =>
  METHOD_IDS.filter((id) => isAsked(book, id, kind, build));

const instrumentIs = ({ kinds, build: wanted }: MethodCase, { kind, build }: MethodContext): boolean =>
  (kinds === undefined || kinds.includes(kind)) && buildMeets(build, wanted);

const recordSays = ({ newerThanDays, weeklyMinutesAbove }: MethodCase, context: MethodContext): boolean =>
  (newerThanDays === undefined || (context.ageDays !== null && context.ageDays < newerThanDays)) &&
  (weeklyMinutesAbove === undefined || context.weeklyMinutes > weeklyMinutesAbove);

const caseHolds = (methodCase: MethodCase, context: MethodContext): boolean =>
  instrumentIs(methodCase, context) &&
  recordSays(methodCase, context) &&
  (methodCase.conditions === undefined || methodCase.conditions.some((one) => context.conditions.includes(one)));

/** The default worked out for this instrument, with its reason. */
export function usualMethod(id: MethodId, context: MethodContext): ChosenMethod {
  const { usual, choices, question } = methodOf(context.book, id);
  const hit = usual.cases.find(({ of }) => caseHolds(of, context));
  const choice = hit?.choice ?? usual.otherwise;
  const offered = choices[choice];
  if (offered === undefined) throw new Error(`method ${id} has no choice ${choice}`);
  return {
    method: id,
    question,
    choice,
    words: offered.words,
    why: hit?.why ?? usual.why,
    mark: hit?.mark ?? offered.mark,
    byPlayer: false,
  };
}

const choiceOf = ({ book }: InBook, id: MethodId, choice: string): MethodChoice | undefined => {
  const { choices } = methodOf(book, id);
  return Object.hasOwn(choices, choice) ? choices[choice] : undefined;
};

/** The choices there are on a kind and build; a question with one of them left is none. */
export const offeredChoices = (
  id: MethodId,
  { book, kind, build }: Pick<MethodContext, 'book' | 'kind' | 'build'>,
): string[] =>
  Object.entries(methodOf(book, id).choices).flatMap(([choice, { kinds, when }]) =>
    (kinds === undefined || kinds.includes(kind)) && buildMeets(build, when) ? [choice] : [],
  );

/** Why a choice cannot be had here; null when it can. Only what the player has chosen elsewhere stands in its way. */
export function barredChoice(
  id: MethodId,
  choice: string,
  choices: MethodChoices,
  { book, kind, build }: Pick<MethodContext, 'book' | 'kind' | 'build'>,
): string | null {
  const offered = choiceOf({ book }, id, choice);
  if (offered === undefined) return 'the book has no such choice';
  if (offered.kinds !== undefined && !offered.kinds.includes(kind)) return 'not on an instrument of this kind';
  if (!buildMeets(build, offered.when)) return 'not on an instrument built like this';
  const { notWith } = offered;
  if (notWith === undefined) return null;
  const other = choices[notWith.method];
  return other !== undefined && notWith.choices.includes(other) ? notWith.why : null;
}

/** The player's own choice, if it can be had. */
function ownChoice(id: MethodId, choices: MethodChoices, context: MethodContext): string | undefined {
  const own = choices[id];
  return own !== undefined && barredChoice(id, own, choices, context) === null ? own : undefined;
}

/** The key of the choice in force alone: what {@link chosenMethod} finds, without its reasons. */
export function choiceInForce(id: MethodId, choices: MethodChoices, context: MethodContext): string {
  const own = ownChoice(id, choices, context);
  if (own !== undefined) return own;
  const { usual } = methodOf(context.book, id);
  return usual.cases.find(({ of }) => caseHolds(of, context))?.choice ?? usual.otherwise;
}

/**
 * The method in force: the player's choice, else the default worked out for this instrument, with its reason.
 * A stored choice that cannot be had (the book or the build no longer offers it, another choice stands in its way)
 * falls back to the default.
 */
export function chosenMethod(id: MethodId, choices: MethodChoices, context: MethodContext): ChosenMethod {
  const own = ownChoice(id, choices, context);
  const offered = own === undefined ? undefined : choiceOf(context, id, own);
  if (own !== undefined && offered !== undefined)
    return {
      method: id,
      question: methodOf(context.book, id).question,
      choice: own,
      words: offered.words,
      why: 'your choice',
      mark: 'yours',
      byPlayer: true,
    };
  return usualMethod(id, context);
}

/** A method in force with everything the choice changes. */
export type MethodInForce = ChosenMethod & { readonly effects: MethodChoice };

const inForce = new WeakMap<
  MethodContext,
  { readonly choices: MethodChoices; readonly methods: readonly MethodInForce[] }
>();

/** Every method in force on an instrument. Asked for once a step of a run, so the last answer is kept. */
export function methodsInForce(choices: MethodChoices, context: MethodContext): readonly MethodInForce[] {
  const known = inForce.get(context);
  if (known?.choices === choices) return known.methods;
  const methods = methodsFor(context.book, context.kind, context.build).map((id) => {
    const chosen = chosenMethod(id, choices, context);
    const effects = choiceOf(context, id, chosen.choice);
    if (effects === undefined) throw new Error(`method ${id} has no choice ${chosen.choice}`);
    return { ...chosen, effects };
  });
  inForce.set(context, { choices, methods });
  return methods;
}

/** The methods that put a step where it is, or have it said as it is. */
export const methodsOfStep = (
  { id, method }: Pick<Step, 'id' | 'method'>,
  { choices, context }: MethodSetting,
): MethodInForce[] =>
  methodsInForce(choices, context).filter(
    (one) => (one.method === method?.id && method.choices.includes(one.choice)) || one.effects.says?.[id] !== undefined,
  );
