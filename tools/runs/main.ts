/**
 * `npm run runs -- --kind alto-saxophone,clarinet --due after`: any run in the words a player sees, for reading aloud.
 * `docs/reading-runs.md` says what can be asked of it.
 */
import { parseArgs } from 'node:util';
import { checkBook } from '#core/check/check-book.ts';
import { asError } from '#core/kernel/as-error.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import { PLAIN_FORMAT, counted, duration } from '#core/explain/format.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import type { Build } from '#core/instruments/build.ts';
import { isKindId, type InstrumentKind } from '#core/instruments/kind.ts';
import { aloneIn } from '#core/methods/practice-alone.ts';
import { planReasonWords } from '#core/packup/packup-words.ts';
import { BOOK } from '#core/tables/book.ts';
import { doneIn, type DoneStep } from '#core/testing/answered-run.ts';
import { printUnread } from './unread.ts';
import { isConditionId, planOf, practiceOf, type AnyInstrument, type AnyRun, type Due } from '#core/testing/any-run.ts';

const { values } = parseArgs({
  options: {
    kind: { type: 'string' },
    build: { type: 'string', multiple: true, default: [] },
    method: { type: 'string', multiple: true, default: [] },
    condition: { type: 'string', multiple: true, default: [] },
    /** The parts that are played by themselves. */
    alone: { type: 'string' },
    answer: { type: 'string', multiple: true, default: [] },
    due: { type: 'string', default: 'after' },
    played: { type: 'string', default: '45' },
    minutes: { type: 'string' },
    /** Packed up on the way, or laid out at home after that. */
    place: { type: 'string' },
    child: { type: 'boolean', default: false },
    json: { type: 'boolean', default: false },
    /** Every line of the book that nobody has read yet; `mark` keeps that they have been read now. */
    unread: { type: 'boolean', default: false },
    mark: { type: 'boolean', default: false },
  },
});

const stop = (text: string): never => {
  console.error(text);
  process.exit(1);
};

try {
  checkBook(BOOK);
} catch (cause) {
  stop(`The book does not hold together: ${asError(cause).message}`);
}

if (values.unread) {
  printUnread(values.mark);
  process.exit(0);
}

const pairs = (said: readonly string[]): [string, string][] =>
  said
    .flatMap((one) => one.split(','))
    .map((one) => {
      const at = one.indexOf('=');
      return at > 0 ? [one.slice(0, at).trim(), one.slice(at + 1).trim()] : stop(`${one}: say it as name=choice`);
    });

function numberOf(name: string, text: string): number {
  const value = Number(text);
  return Number.isFinite(value) && value >= 0 && value <= 1440
    ? value
    : stop(`--${name} is 0 to 1440 minutes, not ${text}`);
}

/** What was said of the build, as far as this kind has such a field. */
function buildFor({ fields }: InstrumentKind): Build {
  const mine = pairs(values.build).filter(([name]) => fields.some(({ field }) => field === name));
  for (const [name, option] of mine) {
    const { options = [] } = fields.find(({ field }) => field === name) ?? {};
    const known = options.map(({ id }) => id as string);
    if (!known.includes(option)) stop(`--build ${name}=${option}: ${known.join(', ')}`);
  }
  return Object.fromEntries(mine) as Build;
}

function methodsSaid(): MethodChoices {
  for (const [id, choice] of pairs(values.method)) {
    const method = Object.entries(BOOK.methods).find(([name]) => name === id)?.[1] ?? stop(`no such method: ${id}`);
    if (!(choice in method.choices)) stop(`--method ${id}=${choice}: ${Object.keys(method.choices).join(', ')}`);
  }
  return Object.fromEntries(pairs(values.method));
}

function instrumentsSaid(): AnyInstrument[] {
  const named = (values.kind ?? stop('--kind says which instrument, or several')).split(',');
  const conditions = values.condition
    .flatMap((one) => one.split(','))
    .map((one) => (isConditionId(one) ? one : stop(`no such condition: ${one}`)));
  const methods = methodsSaid();
  const kinds = named.map((kind) =>
    isKindId(kind) ? kind : stop(`no such kind: ${kind}. Known: ${Object.keys(BOOK.kinds).join(', ')}`),
  );
  for (const [name] of pairs(values.build))
    if (!kinds.some((kind) => BOOK.kinds[kind].fields.some(({ field }) => field === name)))
      stop(`--build ${name}: ${kinds.flatMap((kind) => BOOK.kinds[kind].fields.map(({ field }) => field)).join(', ')}`);
  const { alone } = values;
  const whole = kinds.map((kind) => ({ kind, build: buildFor(BOOK.kinds[kind]), methods, conditions }));
  return alone === undefined ? whole : whole.map((one) => ({ ...one, alone: partsOf(one, alone) }));
}

/** Parts by this name of this instrument; what it has no such parts of is said. */
function partsOf(one: AnyInstrument, named: string): AloneId {
  const ids = aloneIn(practiceOf(BOOK, one)).map(({ id }) => id);
  return (
    ids.find((id) => id === named) ??
    stop(`--alone ${named}: ${ids.join(', ') || `no parts of a ${one.kind} are played alone`}`)
  );
}

function dueSaid(instruments: readonly AnyInstrument[]): Due[] {
  const items = new Set<string>(instruments.flatMap((one) => practiceOf(BOOK, one).items.map(({ id }) => id)));
  return values.due.split(',').map((one) => {
    if (!['after', 'before', 'all'].includes(one) && !items.has(one))
      stop(`--due ${one}: after, before, all, or ${[...items].join(', ')}`);
    return one as Due;
  });
}

function placeSaid(): Pick<AnyRun, 'place'> {
  const { place } = values;
  if (place === undefined) return {};
  return place === 'on-the-way' || place === 'back-home' ? { place } : stop(`--place ${place}: on-the-way, back-home`);
}

const instruments = instrumentsSaid();
const plan = planOf(BOOK, {
  instruments,
  due: dueSaid(instruments),
  playedMinutes: numberOf('played', values.played),
  minutesAtHand: values.minutes === undefined ? null : numberOf('minutes', values.minutes),
  standing: values.child ? 'child' : 'grown-up',
  ...placeSaid(),
});
const answers = new Map(pairs(values.answer)) as Map<StepId, string>;
for (const [id, answer] of answers) {
  const look = plan.steps.find(({ step }) => step.id === id)?.step.look;
  if (!look) stop(`--answer ${id}: this run has no such look`);
  else if (!look.answers.some((one) => one.id === answer))
    stop(`--answer ${id}=${answer}: ${look.answers.map((one) => one.id).join(', ')}`);
}
const steps = doneIn(plan, answers, { isAway: values.place === 'on-the-way' });
const nameOf = (id: string): string => id.replace(/^\d+-/, '');

/** What goes on from other words, up to its full stop. */
const sentence = (text: string | undefined): string | undefined => text && `${text}.`;

function waitWords(wait: DoneStep['step']['wait']): string | undefined {
  if (wait === undefined) return undefined;
  const most = wait.most ? `, not longer than ${duration(wait.most.value)}` : '';
  return `${duration(wait.minutes.value)}${most}: ${wait.why}`;
}

function print(one: DoneStep, index: number): void {
  const { step, hands, repeats, instrumentId } = one;
  const several = instruments.length > 1 ? `[${nameOf(instrumentId)}] ` : '';
  const times = repeats && repeats.count > 1 ? ` × ${counted(repeats.count, repeats.noun)}` : '';
  const marks = [step.must ? 'must' : '', hands === 'player' ? '' : hands].filter(Boolean).join(', ');
  console.log(`${String(index + 1).padStart(3)}. ${several}${step.heading}${times}${marks ? `  (${marks})` : ''}`);
  const say = (label: string, text: string | undefined) => text && console.log(`     ${label}${text}`);
  say('', step.how);
  say('Only if: ', step.onlyIf);
  if (step.look)
    say(
      '',
      `${step.look.question} ${step.look.answers.map(({ id, words }) => `${id}: ${words}`).join(' / ')} → ${one.answer}`,
    );
  say('Why: ', step.why);
  say('If you skip this: ', sentence(step.harm));
  for (const caution of step.cautions ?? []) say('! ', caution);
  say('With: ', step.supplies?.join(', '));
  say('Then wait ', waitWords(step.wait));
}

if (values.json) {
  const rows = (list: readonly Pick<DoneStep, 'instrumentId' | 'step'>[]) =>
    list.map(({ instrumentId, step }) => ({
      instrument: instrumentId,
      step: step.id,
      item: step.item,
      part: step.part,
      heading: step.heading,
      must: step.must === true,
      waitMinutes: step.wait?.minutes.value ?? 0,
    }));
  console.log(JSON.stringify({ steps: rows(steps), leftOut: rows(plan.leftOut.flatMap((one) => one.steps)) }));
} else {
  console.log(`\n${instruments.map(({ kind }) => BOOK.kinds[kind].name).join(' and ')}: ${values.due}`);
  console.log(`${counted(steps.length, 'step')}, about ${PLAIN_FORMAT.number(Math.round(plan.elapsedMinutes))} min\n`);
  steps.forEach(print);
  const left = plan.leftOut.flatMap((one) => one.steps);
  if (left.length > 0) console.log('\nWhat did not fit into the minutes:');
  for (const { step, instrumentId } of left)
    console.log(`   – ${instruments.length > 1 ? `[${nameOf(instrumentId)}] ` : ''}${step.heading}`);
  console.log('');
  for (const reason of plan.because) console.log(`   ${planReasonWords(reason).text}`);
}
