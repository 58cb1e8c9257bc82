import type { Book } from '#core/book/book.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import type { PageUse } from '#core/book/page.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { Step } from '#core/book/step.ts';
import { linesOf, SAID_OF_A_STEP } from '#core/book/words.ts';
import { concerns } from '#core/conditions/in-force.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { aloneIn } from '#core/methods/practice-alone.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';

/** A fault of the book that no run shows: where it stands, and what to do about it. */
export type BookFault = { readonly where: string; readonly what: string };

const usesOf = (book: Book, kind: KindId): readonly PageUse[] => book.pagesOf[kind];

/** What one kind comes to, on any build, under any choice, whole or in parts. */
function reachedBy(book: Book, kind: KindId): ReadonlySet<string> {
  const reached = new Set<string>();
  for (const one of casesOf(book, kind)) {
    const whole = practiceOf(book, one);
    const all = [whole, ...aloneIn(whole).map(({ id }) => practiceOf(book, { ...one, alone: id }))];
    for (const { chain, items, neverDos } of all)
      for (const rows of [chain, items, neverDos]) for (const { id } of rows) reached.add(id);
  }
  return reached;
}

/**
 * Steps, items and never-dos that nothing comes to. Of a page that other kinds use as well these may come to them: only
 * pages that no other kind has are held against these kinds.
 */
export function neverReached(book: Book, kinds: readonly KindId[]): BookFault[] {
  const others = new Set<PageUse['page']>(
    KIND_IDS.filter((kind) => !kinds.includes(kind)).flatMap((kind) => usesOf(book, kind).map(({ page }) => page)),
  );
  const reached = new Set(kinds.flatMap((kind) => [...reachedBy(book, kind)]));
  const pages = new Set(kinds.flatMap((kind) => usesOf(book, kind).map(({ page }) => page)));
  return [...pages]
    .filter((page) => !others.has(page))
    .flatMap((page) => [...page.steps, ...page.items, ...page.neverDos].map(({ id }) => ({ page, id: id as string })))
    .filter(({ id }) => !reached.has(id))
    .map(({ page, id }) => ({
      where: `page ${page.id}: ${id}`,
      what: 'no build comes to it: look at its `when`, or leave it out',
    }));
}

/** Names that name nothing: a page left without a row it has not got, words for a step it has not got. */
export function namesOfNothing(book: Book, kind: KindId): BookFault[] {
  return usesOf(book, kind).flatMap(({ page, without = [], says = {}, calls = {} }) => {
    const rows = new Set<string>([...page.steps, ...page.items, ...page.neverDos].map(({ id }) => id));
    const named = [
      ...without.map((id) => ['without', id] as const),
      ...Object.keys(says).map((id) => ['says', id] as const),
      ...Object.keys(calls).map((id) => ['calls', id] as const),
    ];
    return named
      .filter(([, id]) => !rows.has(id))
      .map(([how, id]) => ({
        where: `${kind}, page ${page.id}`,
        what: `\`${how}\` names ${id}, which the page has not got`,
      }));
  });
}

function allSteps(book: Book, kind: KindId): readonly Step[] {
  const steps = new Map<StepId, Step>();
  for (const one of casesOf(book, kind)) for (const step of practiceOf(book, one).book) steps.set(step.id, step);
  return [...steps.values()];
}

/** What a step names of other steps: each must be somewhere in the book. */
export function stepsOfNothing(book: Book, kind: KindId): BookFault[] {
  const known = new Set<string>(
    Object.values<readonly PageUse[]>(book.pagesOf).flatMap((uses) =>
      uses.flatMap(({ page }) => page.steps.map(({ id }) => id)),
    ),
  );
  return allSteps(book, kind).flatMap(({ id, after, laterThan = [], uses = [], wait, calledBy }) =>
    [
      ...after,
      ...laterThan,
      ...uses.flatMap(({ rinsedBy }) => rinsedBy ?? []),
      ...(wait?.until ?? []),
      ...(calledBy ? [calledBy.look] : []),
    ]
      .filter((one) => !known.has(one))
      .map((one) => ({ where: `${kind}: ${id}`, what: `it names the step ${one}, which is nowhere in the book` })),
  );
}

/** A step that waits for a look this kind has not got. */
export function looksElsewhere(book: Book, kind: KindId): BookFault[] {
  const steps = allSteps(book, kind);
  const looks = new Map(
    steps.flatMap(({ id, look }) => (look ? [[id, look.answers.map((one) => one.id)] as const] : [])),
  );
  return steps.flatMap(({ id, calledBy }) => {
    if (calledBy === undefined) return [];
    const answers = looks.get(calledBy.look);
    const where = `${kind}: ${id}`;
    if (answers === undefined)
      return [{ where, what: `it is called by ${calledBy.look}, which is no look of this kind` }];
    return calledBy.answers
      .filter((one) => !answers.includes(one))
      .map((one) => ({ where, what: `it is called by the answer ${one}, which ${calledBy.look} has not got` }));
  });
}

/** Lines that say nothing. */
export function emptyLines(book: Book, kind: KindId): BookFault[] {
  return usesOf(book, kind).flatMap(({ page }) =>
    page.steps.flatMap((step) =>
      SAID_OF_A_STEP.flatMap((said) =>
        linesOf(step[said])
          .filter(({ say }) => say.trim() === '')
          .map(() => ({ where: `${kind}: ${step.id}`, what: `an empty line in \`${said}\`` })),
      ),
    ),
  );
}

const HAZARDS = ['alcohol', 'peroxide', 'vinegar', 'contact cleaner', 'lighter fluid', 'ammonia', 'bleach'] as const;

/** A hazardous agent that a step tells to use, and does not declare: the guard then does not see it. */
export function undeclaredAgents(book: Book, kind: KindId): BookFault[] {
  return allSteps(book, kind).flatMap(({ id, how = '', supplies = [], uses = [], method, skill }) => {
    const told = [how, ...supplies].join(' ').toLowerCase();
    const isDeclared = uses.length > 0 || method !== undefined || skill !== undefined;
    return HAZARDS.filter((one) => new RegExp(`\\b(?:use|with|in) (?:\\w+ ){0,3}${one}`).test(told) && !isDeclared).map(
      (one) => ({
        where: `${kind}: ${id}`,
        what: `it tells to use ${one} and does not declare it in \`uses\``,
      }),
    );
  });
}

/** Conditions that no build of any kind is ever in. */
export function conditionsOfNobody(book: Book): BookFault[] {
  const builds = KIND_IDS.flatMap((kind) => casesOf(book, kind).map((one) => practiceOf(book, one)));
  return Object.values<ConditionKind>(book.conditions)
    .filter((condition) => !builds.some(({ kind, build }) => concerns(condition, kind.id, build)))
    .map(({ id }) => ({ where: `core/tables/conditions: ${id}`, what: 'no build of any kind is ever in it' }));
}

/** Everything of this kind that names nothing or says nothing. */
export const bookFaults = (book: Book, kind: KindId): BookFault[] =>
  [namesOfNothing, stepsOfNothing, looksElsewhere, emptyLines, undeclaredAgents].flatMap((check) => check(book, kind));
