import { entriesOf } from '#core/kernel/typed.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { Book } from '#core/book/book.ts';
import type { Practice } from '#core/book/practice.ts';
import { practiceFor } from '#core/methods/practice-for.ts';
import { isOnlyAlone, type Step } from '#core/book/step.ts';
import {
  choiceInForce,
  methodOf,
  methodsFor,
  methodsInForce,
  usualMethod,
  type MethodInForce,
} from '#core/methods/chosen-method.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { StepWords } from '#core/book/method.ts';
import { SAID_OF_A_STEP, type StepText, type Words } from '#core/book/words.ts';
import { conditionsIn, inTurn, isSaid, textSaid, wordless, type Saying } from '#core/methods/said-step.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { MethodChoices, MethodContext, MethodSetting } from '#core/book/method-setting.ts';

const variants = new WeakMap<Step, Map<string, Step>>();

/** One object for each way a step is said and placed, so that what is worked out from a step can be kept with it. */
function variantOf(step: Step, otherwise: Partial<Step>): Step {
  const key = JSON.stringify(otherwise);
  const mine = variants.get(step) ?? new Map<string, Step>();
  const known = mine.get(key);
  if (known) return known;
  const made: Step = { ...wordless(step), ...otherwise };
  variants.set(step, mine.set(key, made));
  return made;
}

/** What the methods say of each step, in their order. */
function wordsOf(methods: readonly MethodInForce[], saying: Saying): ReadonlyMap<StepId, readonly StepWords[]> {
  const words = new Map<StepId, StepWords[]>();
  for (const { effects } of methods)
    for (const [id, otherwise] of entriesOf<StepId, StepWords | readonly StepWords[]>(effects.says ?? {}))
      for (const one of [otherwise].flat())
        if (isSaid(one.when, saying)) words.set(id, [...(words.get(id) ?? []), one]);
  return words;
}

/** What is known of one step: its own lines, what the methods say of it and which steps they put before it. */
type Otherwise = {
  readonly lines: StepText | undefined;
  readonly words: readonly StepWords[];
  readonly later: readonly StepId[];
};

/** The step as these methods say it: their whole step instead of the book's, their lines after its own. */
function said(step: Step, { lines, words, later }: Otherwise, saying: Saying): Step {
  if (words.length === 0 && later.length === 0 && lines === undefined) return step;
  const { heading, does, ...text } = words.findLast(({ whole }) => whole !== undefined)?.whole ?? {
    ...(lines ?? step),
    heading: step.heading,
    does: step.does,
  };
  const added = words.flatMap(({ adds }) => adds ?? []);
  const all = Object.fromEntries(
    SAID_OF_A_STEP.map((one) => [
      one,
      added.reduce((first: Words | undefined, then) => inTurn(first, then[one]), text[one]),
    ]),
  ) as StepText;
  return variantOf(step, {
    heading,
    does,
    ...textSaid(all, does, saying),
    ...(later.length === 0 ? {} : { laterThan: later }),
  });
}

/** The conditions that any line of a practice hangs on; every request asks. */
const saidWhile = new WeakMap<Practice, ReadonlySet<ConditionId>>();

function conditionsSaid(practice: Practice, inForce: readonly ConditionId[]): ConditionId[] {
  const hung = saidWhile.get(practice) ?? new Set([...practice.lines.values()].flatMap(conditionsIn));
  saidWhile.set(practice, hung);
  return inForce.filter((one) => hung.has(one));
}

/** Which steps a method puts before each step. */
function orderOf(methods: readonly MethodInForce[]): ReadonlyMap<StepId, readonly StepId[]> {
  const before = new Map<StepId, StepId[]>();
  for (const [first, second] of methods.flatMap(({ effects }) => effects.order ?? []))
    before.set(second, [...(before.get(second) ?? []), first]);
  return before;
}

/** The cloth chosen beside the cloth the book counts with on this kind, which is its default. */
function thirstOf(methods: readonly MethodInForce[], context: MethodSetting['context']): number {
  const own = methods.find(({ effects }) => effects.thirst !== undefined);
  if (own?.effects.thirst === undefined) return 1;
  const usual = methodOf(context.book, own.method).choices[usualMethod(own.method, context).choice]?.thirst;
  return own.effects.thirst.value / (usual?.value ?? 1);
}

/** Is it done by these choices, of an instrument that is played whole? */
const belongsTo = (step: Step, chosen: ReadonlyMap<string, string>): boolean =>
  !isOnlyAlone(step) && (step.method === undefined || step.method.choices.includes(chosen.get(step.method.id) ?? ''));

/** The questions asked of a practice; it is one object for a kind and build. */
const asked = new WeakMap<Practice, readonly MethodId[]>();
const made = new WeakMap<Practice, Map<string, Practice>>();

/**
 * The practice as this player does it: the book's practice of the kind and build with the steps of the methods in force,
 * in their order and words, and the care they do without switched off. The same choices share one object, so treat it
 * as read-only.
 */
export function practiceUnder(practice: Practice, { choices, context }: MethodSetting): Practice {
  const ids = asked.get(practice) ?? methodsFor(context.book, context.kind, context.build);
  asked.set(practice, ids);
  const conditions = conditionsSaid(practice, context.conditions);
  const key = [...ids.map((id) => choiceInForce(id, choices, context)), ...conditions].join(' ');
  const known = made.get(practice)?.get(key);
  if (known) return known;
  const methods = methodsInForce(choices, context);
  const chosen = new Map<string, string>(methods.map(({ method, choice }) => [method, choice]));
  const left = new Set<StepId>(methods.flatMap(({ effects }) => effects.without ?? []));
  const off = new Map<CareItemId, MethodInForce>(
    methods.flatMap((method) => (method.effects.off ?? []).map((item) => [item, method] as const)),
  );
  const order = orderOf(methods);
  const saying: Saying = { build: practice.build, chosen, conditions };
  const words = wordsOf(methods, saying);
  const book = practice.book.map((step) =>
    said(
      step,
      { lines: practice.lines.get(step.id), words: words.get(step.id) ?? [], later: order.get(step.id) ?? [] },
      saying,
    ),
  );
  const chain = book.filter((step) => belongsTo(step, chosen));
  const under: Practice = {
    ...practice,
    chosen,
    book,
    chain,
    steps: chain.filter(({ id, item }) => !left.has(id) && !off.has(item)),
    off,
    thirst: thirstOf(methods, context),
  };
  const mine = made.get(practice) ?? new Map<string, Practice>();
  made.set(practice, mine.set(key, under));
  return under;
}

/** An instrument of which nothing is known but its kind and build. */
export const plainContext = (book: Book, kind: KindId, build: Build): MethodContext => ({
  book,
  kind,
  build,
  ageDays: null,
  weeklyMinutes: 0,
  conditions: [],
});

/** The practice of a kind and build where nobody has chosen anything. */
export const usualPractice = (book: Book, kind: KindId, build: Build, choices: MethodChoices = {}): Practice =>
  practiceUnder(practiceFor(book, kind, build), { choices, context: plainContext(book, kind, build) });
