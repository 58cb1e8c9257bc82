import { array, number, object, string, ValidationError, type InferType } from 'yup';
import { isStepId } from '#core/book/care-ids.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { keptOf, KeptPlan, KeptStep } from '#core/packup/kept-plan.ts';
import { isPlanReason, type PlanReason } from '#core/packup/plan-reason.ts';
import { runStepKey, stepKeyText } from '#core/packup/run-step.ts';
import { fieldOf } from '#core/record/fact.ts';
import { keptPlan } from '#contract/run-plan.ts';
import { amount, instrumentId, stepId } from '#contract/scalars.ts';

/** The version that is written. Whoever changes the shape of a plan adds a reader, and a fixture for its test. */
export const PLAN_VERSION = 6;

type StepOfBook = ReturnType<typeof keptOf>;
/** What the book says of a step today; undefined where it has none of that id for an instrument built like this. */
export type StepOf = (instrument: InstrumentId, id: string) => StepOfBook | undefined;

/** What most steps are; left out where a plan is written down, for plans are many. */
const PLAIN = {
  must: false,
  closing: false,
  look: null,
  onlyLooks: false,
  calledBy: null,
  unless: [],
  standsOn: [],
  wait: null,
  alsoDoes: [],
  away: 'now',
  expects: null,
  passes: false,
  count: null,
} satisfies Partial<KeptStep>;
const isPlain = (field: string, value: unknown): boolean =>
  Object.hasOwn(PLAIN, field) && JSON.stringify(value) === JSON.stringify(fieldOf(PLAIN, field));

const writtenStep = ({ key: _key, ...step }: KeptStep) =>
  Object.fromEntries(Object.entries(step).filter(([field, value]) => !isPlain(field, value)));

/** A plan as it is written down. */
export const writtenPlan = ({ steps, leftOut, ...plan }: KeptPlan): string =>
  JSON.stringify({
    version: PLAN_VERSION,
    ...plan,
    steps: steps.map(writtenStep),
    leftOut: leftOut.map((one) => ({ ...one, steps: one.steps.map(writtenStep) })),
  });

type Raw = Readonly<Record<string, unknown>>;
const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Every step of a raw plan, turned into what it is today; anything else in it stays as it is. */
function eachStep(plan: Raw, turn: (step: Raw) => unknown): Raw {
  const all = (steps: unknown) =>
    Array.isArray(steps) ? steps.map((step) => (isRaw(step) ? turn(step) : step)) : steps;
  const { steps, leftOut } = plan;
  return {
    ...plan,
    steps: all(steps),
    leftOut: Array.isArray(leftOut)
      ? leftOut.map((one: unknown) => (isRaw(one) ? { ...one, steps: all(one['steps']) } : one))
      : leftOut,
  };
}

const planSchema = object({ ...keptPlan, version: number().oneOf([PLAN_VERSION]).required() })
  .exact()
  .required();

function readSixth(raw: Raw): Omit<KeptPlan, 'because'> {
  const filled = eachStep(raw, (step) => ({
    ...PLAIN,
    key: stepKeyText(String(step['instrumentId']), String(step['id'])),
    ...step,
  }));
  const { version: _version, ...plan } = planSchema.validateSync(filled, { strict: true });
  return plan;
}

/** Every answer of a look in a raw step, turned into what it is today. */
const eachAnswer = (look: unknown, turn: (answer: Raw) => unknown): unknown =>
  !isRaw(look) || !Array.isArray(look['answers'])
    ? (look ?? null)
    : { ...look, answers: look['answers'].map((one: unknown) => (isRaw(one) ? turn(one) : one)) };

/** The fifth version knew which care a look calls for, and not by which sign. */
const readFifth = (raw: Raw): Omit<KeptPlan, 'because'> =>
  readSixth({
    ...eachStep(raw, (step) => ({ ...step, look: eachAnswer(step['look'], (one) => ({ ...one, sign: null })) })),
    version: PLAN_VERSION,
  });

/** The fourth version knew no most of a wait. */
function readFourth(raw: Raw): Omit<KeptPlan, 'because'> {
  const withMost = ({ wait, ...step }: Raw) => ({ ...step, ...(isRaw(wait) && { wait: { ...wait, most: null } }) });
  return readFifth(eachStep(raw, withMost));
}

/** The third version called a heading an action. */
const readThird = (raw: Raw): Omit<KeptPlan, 'because'> =>
  readFourth(eachStep(raw, ({ action, ...step }) => ({ ...step, heading: action })));

/** The second version knew no steps that stand in for others, and looks that end their own item only. */
const readSecond = (raw: Raw): Omit<KeptPlan, 'because'> =>
  readThird(
    eachStep(raw, (step) => ({ ...step, look: eachAnswer(step['look'], (one) => ({ ...one, alsoEnds: [] })) })),
  );

/** The first version kept ids and figures only: what each step is, the book says. */
const firstStep = object({
  key: string().strict().required(),
  instrumentId: instrumentId().required(),
  id: stepId().required(),
  count: amount().integer().min(0).nullable().defined(),
  activeMinutes: amount().min(0).required(),
  startsAtMinute: amount().min(0).nullable().defined(),
})
  .exact()
  .required();
const firstPlan = object({
  steps: array(firstStep).required(),
  leftOut: array(
    object({ steps: array(firstStep).required(), value: amount().required(), moreMinutes: amount().required() })
      .exact()
      .required(),
  ).required(),
  activeMinutes: amount().min(0).required(),
  elapsedMinutes: amount().min(0).required(),
})
  .exact()
  .required();

function readFirst(raw: Raw, stepOf: StepOf): Omit<KeptPlan, 'because'> {
  const { steps, leftOut, ...figures } = firstPlan.validateSync(raw, { strict: true });
  const kept = ({ instrumentId: of, id, count, activeMinutes, startsAtMinute }: InferType<typeof firstStep>) => {
    const step = stepOf(of, id);
    const key = runStepKey(of, id);
    return step ? [{ key, instrumentId: of, ...step, count, activeMinutes, startsAtMinute }] : [];
  };
  return {
    ...figures,
    steps: steps.flatMap(kept),
    leftOut: leftOut.map((one) => ({ ...one, steps: one.steps.flatMap(kept) })),
  };
}

const READERS: ReadonlyMap<unknown, (raw: Raw, stepOf: StepOf) => Omit<KeptPlan, 'because'>> = new Map([
  [undefined, readFirst],
  [2, readSecond],
  [3, readThird],
  [4, readFourth],
  [5, readFifth],
  [PLAN_VERSION, readSixth],
]);

/** Reasons that are no longer told are left out: a plan does not become unreadable by them. */
const reasonsIn = (because: unknown): PlanReason[] => (Array.isArray(because) ? because.filter(isPlanReason) : []);

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Plans of this version, which say all of themselves: every tick of a run asks for its plan. */
const readBefore = new Map<string, KeptPlan>();
const MOST_REMEMBERED = 16;

function rememberPlan(raw: Raw, text: string, plan: KeptPlan): KeptPlan {
  if (raw['version'] !== PLAN_VERSION) return plan;
  const [oldest] = readBefore.keys();
  if (readBefore.size >= MOST_REMEMBERED && oldest !== undefined) readBefore.delete(oldest);
  readBefore.set(text, plan);
  return plan;
}

/**
 * Reads a stored plan, of whatever version it was written by.
 *
 * @returns undefined for what is no plan, or one of a version that is not known here
 */
export function readPlan(text: string, stepOf: StepOf): KeptPlan | undefined {
  const known = readBefore.get(text);
  if (known) return known;
  const raw = parsed(text);
  if (!isRaw(raw)) return undefined;
  const { because, ...rest } = raw;
  try {
    const plan = READERS.get(raw['version'])?.(rest, stepOf);
    return plan && rememberPlan(raw, text, { ...plan, because: reasonsIn(because) });
  } catch (error) {
    if (error instanceof ValidationError) return undefined;
    throw error;
  }
}

/**
 * How often each step was planned to be repeated, by its key: all that learning from a run asks of its plan. Every
 * version writes it alike; a step that does not say so is left out.
 */
export function countsIn(text: string): ReadonlyMap<string, { readonly id: KeptStep['id']; readonly count: number }> {
  const raw = parsed(text);
  const steps = isRaw(raw) && Array.isArray(raw['steps']) ? raw['steps'] : [];
  return new Map(
    steps.filter(isRaw).flatMap(({ instrumentId: of, id, count }) => {
      if (typeof of !== 'string' || typeof id !== 'string' || !isStepId(id)) return [];
      return [[stepKeyText(of, id), { id, count: typeof count === 'number' ? count : 1 }] as const];
    }),
  );
}
