import { forbiddenUses } from '#core/agents/guard.ts';
import type { Book } from '#core/book/book.ts';
import { bookFaults, neverReached, type BookFault } from '#core/check/book-names.ts';
import { plainWordRefusals } from '#core/check/plain-words.ts';
import { faultsFor } from '#core/faults/faults-for.ts';
import { brokenWords } from '#core/handling/handling-words.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { misreadWords } from '#core/reading/misread.ts';
import { readPractice } from '#core/reading/read-practice.ts';
import { practiceOf } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { proveRun } from '#core/testing/prove-run.ts';
import { situationsOf } from '#core/testing/situations.ts';

/** What is looked at, in the order in which somebody who adds a kind has to put it right. */
export type KindCheck = { readonly what: string; readonly faults: readonly BookFault[] };

/** So many causes and signs every kind has, however it is built. */
const LEAST_CAUSES = 12;
const LEAST_SIGNS = 18;

/** The shares of water sum to 1, and shared pages find the parts they speak of. */
function shapeOf(book: Book, id: KindId): BookFault[] {
  const { tube, name } = book.kinds[id];
  const water = tube.reduce((sum, { waterShare }) => sum + waterShare, 0);
  const where = `core/tables/instruments: ${name}`;
  return Math.abs(water - 1) > 1e-9
    ? [{ where, what: `its water shares sum to ${water.toFixed(3)}, and not to 1` }]
    : [];
}

/** Agents that the book forbids where a step calls for them. */
const agentsOf = (book: Book, kind: KindId): BookFault[] =>
  casesOf(book, kind).flatMap((one) => {
    const practice = practiceOf(book, one);
    const context = {
      book,
      kind,
      build: practice.build,
      ageDays: null,
      weeklyMinutes: 0,
      conditions: one.conditions ?? [],
    };
    return practice.steps.flatMap((step) =>
      forbiddenUses(step, { choices: one.methods ?? {}, context }).map(({ agent, why }) => ({
        where: step.id,
        what: `it calls for ${agent}: ${why} Declare the surface in core/tables/agents/surfaces.ts, or give the agent a line`,
      })),
    );
  });

/** Words of steps and items, apart from any run. */
const wordsOf = (book: Book, kind: KindId): BookFault[] =>
  casesOf(book, kind).flatMap((one) => {
    const practice = practiceOf(book, one);
    return [
      ...practice.steps.flatMap((step) =>
        plainWordRefusals(step, book.lexicon).map((what) => ({ where: step.id, what })),
      ),
      ...readPractice(book, practice).map(({ of, text, why }) => ({ where: of, what: `“${text}”: ${why}` })),
    ];
  });

/** Of the usual case every so-manieth situation. */
const SHARE = 12;

/** A share of the runs of the usual case and of every other, played and read. */
function runsOf(book: Book, kind: KindId): BookFault[] {
  const shares = casesOf(book, kind).flatMap((one, row) => {
    if (row === 0) return [...situationsOf(book, one, row)].filter((_, at) => at % SHARE === 0);
    const [first] = situationsOf(book, one, row);
    return first === undefined ? [] : [first];
  });
  return shares.flatMap((situation) => {
    const { broken, misread } = proveRun(book, situation, null);
    return [
      ...broken.map((one) => ({ where: one.step ?? 'the end of a run', what: brokenWords(one) })),
      ...misread.map((one) => ({ where: one.step, what: misreadWords(one) })),
    ];
  });
}

/** Causes and signs of what can go wrong, on every build. */
const troubleOf = (book: Book, kind: KindId): BookFault[] =>
  casesOf(book, kind).flatMap((one) => {
    const { causes, signs } = faultsFor(book, kind, practiceOf(book, one).build);
    return causes.length < LEAST_CAUSES || signs.length < LEAST_SIGNS
      ? [
          {
            where: `core/tables/faults: ${kind}`,
            what: `${causes.length} causes and ${signs.length} signs on ${JSON.stringify(one.build)}, and ${LEAST_CAUSES} and ${LEAST_SIGNS} are the least`,
          },
        ]
      : [];
  });

/** The same fault once, however many builds show it. */
const once = (faults: readonly BookFault[]): BookFault[] => [
  ...new Map(faults.map((one) => [`${one.where} ${one.what}`, one])).values(),
];

/**
 * Proves one kind in some seconds: its shape, its names, agents, words, what can go wrong with it, and a share of its runs
 * played and read. The whole proof is `npm run prove`.
 */
export function checkKind(book: Book, kind: KindId): KindCheck[] {
  const checks: readonly (readonly [string, () => BookFault[]])[] = [
    ['its shape', () => shapeOf(book, kind)],
    ['names', () => [...bookFaults(book, kind), ...neverReached(book, [kind])]],
    ['agents', () => agentsOf(book, kind)],
    ['words', () => wordsOf(book, kind)],
    ['what can go wrong', () => troubleOf(book, kind)],
    ['runs, played and read', () => runsOf(book, kind)],
  ];
  return checks.map(([what, check]) => ({ what, faults: once(check()) }));
}
