import { isOneOf } from '#core/kernel/typed.ts';
import type { Agent } from '#core/book/agent.ts';
import { agentWith, type Book } from '#core/book/book.ts';
import type { CareItemId } from '#core/book/care-ids.ts';
import { isCalledBy, type CareItem } from '#core/book/care-item.ts';
import type { FaultPageUse, SignId } from '#core/book/fault.ts';
import type { StepRow, StepSaid } from '#core/book/page.ts';
import type { Words } from '#core/book/words.ts';
import type { Anatomy, AnatomyRow } from '#core/book/anatomy.ts';
import type { Practice } from '#core/book/practice.ts';
import type { LookAnswer, Step } from '#core/book/step.ts';
import { hangsOnMore, textSaid, wordless } from '#core/methods/said-step.ts';
import { buildMeets, type Build, type BuildCondition } from '#core/instruments/build.ts';
import { PART_ROLES, type InstrumentKind, type KindId, type PartId, type PartRole } from '#core/instruments/kind.ts';

const agentsOf = (book: Book, steps: readonly Step[]): ReadonlyMap<string, Agent> =>
  new Map(
    steps
      .flatMap(({ uses = [] }) => uses)
      .flatMap(({ agent }) => {
        const found = agentWith(book, agent);
        return found ? [[agent, found] as const] : [];
      }),
  );

const isRole = (part: PartId | PartRole): part is PartRole => isOneOf(PART_ROLES, part);

/** The row on the kind's own part. @throws Error when the kind does not say which part it means */
function placed<Row extends { readonly id: string; readonly part: PartId | PartRole }>(
  kind: InstrumentKind,
  row: Row,
): Row & { readonly part: PartId } {
  const { part } = row;
  const own = isRole(part) ? kind.standsFor[part] : part;
  if (own === undefined) throw new Error(`${row.id}: ${kind.id} does not say which part is ${part}`);
  return { ...row, part: own };
}

/** A step of a shared page as this kind says it. */
function saidHere<Row extends StepRow>(step: Row, said: StepSaid | undefined): Row {
  if (said === undefined) return step;
  const { holdsNothing, ...words } = said;
  const { holds: _holds, ...free } = step;
  return { ...(holdsNothing ? (free as Row) : step), ...words };
}

/** The anatomy of this build. */
function builtSo({ staysDry, pads, ...anatomy }: AnatomyRow, build: Build): Anatomy {
  const dry =
    staysDry === undefined || 'length' in staysDry
      ? staysDry
      : buildMeets(build, staysDry.when)
        ? staysDry.pieces
        : undefined;
  return {
    ...anatomy,
    ...(dry === undefined ? {} : { staysDry: dry }),
    ...(pads === true || (pads !== undefined && buildMeets(build, pads)) ? { pads: true } : {}),
  };
}

/** A reason as far as the build decides it. */
function whySaid<Row extends { readonly id: string; readonly why: Words }>(
  row: Row,
  build: Build,
): Omit<Row, 'why'> & { readonly why: string } {
  const { why } = textSaid({ why: row.why }, [], { build, chosen: new Map(), conditions: [] });
  if (why === undefined) throw new Error(`${row.id}: nothing says why on this build`);
  return { ...row, why };
}

/** The step with its words as far as the build decides them; a line that hangs on a method waits for it. */
function asStep(row: Omit<StepRow, 'part'> & { readonly part: PartId }, build: Build): Step {
  return { ...wordless(row), ...textSaid(row, row.does, { build, chosen: new Map(), conditions: [] }) };
}

/** The item with the signs this kind can show as it is built; the others are of instruments it shares its page with. */
function withSignsHere<Item extends CareItem>(item: Item, known: ReadonlySet<SignId>): Item {
  const { trigger } = item;
  if (trigger.kind !== 'when-noticed') return item;
  return { ...item, trigger: { ...trigger, signs: trigger.signs.filter(({ id }) => known.has(id)) } };
}

/**
 * What an answer of a look comes to on this instrument: the care its sign calls for, and all that waits for that care. What
 * this build cannot show (lime, in a metal mouthpiece) is looked for and calls for nothing.
 */
function answeredHere({ notice, ...answer }: LookAnswer, items: readonly CareItem[]): LookAnswer {
  const called = notice === undefined ? undefined : items.find((one) => isCalledBy(one, notice));
  if (notice === undefined || called === undefined) return answer;
  const blocked = items.flatMap(({ id, blockedBy }) => (blockedBy === called.id ? [id] : []));
  const alsoEnds = blocked.length === 0 ? {} : { alsoEnds: [...new Set([...(answer.alsoEnds ?? []), ...blocked])] };
  return { ...answer, notice, calls: called.id, ...alsoEnds };
}

/** What a look has found keeps all that waits for it from being done, in this run as in the days after it. */
function withAnswersHere(step: Step, items: readonly CareItem[]): Step {
  if (step.look === undefined) return step;
  return { ...step, look: { ...step.look, answers: step.look.answers.map((one) => answeredHere(one, items)) } };
}

/** Every sign of the pages of what can go wrong with it, as it is built. */
function signsKnown(book: Book, kindId: KindId, build: Build): ReadonlySet<SignId> {
  const uses: readonly FaultPageUse[] = book.faults.pagesOf[kindId];
  const signs = uses.filter(({ when }) => buildMeets(build, when)).flatMap(({ page }) => page.signs);
  return new Set(signs.filter(({ when }) => buildMeets(build, when)).map(({ id }) => id));
}

const made = new WeakMap<Book, Map<string, Practice>>();
/** The same build object is asked for again and again; naming it is the dearest part of finding its practice. */
const ofBuild = new WeakMap<Build, { readonly book: Book; readonly kindId: KindId; readonly practice: Practice }>();

/**
 * The practice for a kind and build. Made once for each and shared, so treat it as read-only.
 *
 * @throws Error when a shared page speaks of a part the kind does not name, or an item has no reason on this build: a fault of the book, found at start-up
 */
export function practiceFor(book: Book, kindId: KindId, build: Build): Practice {
  const before = ofBuild.get(build);
  if (before?.book === book && before.kindId === kindId) return before.practice;
  const practice = madeFor(book, kindId, build);
  ofBuild.set(build, { book, kindId, practice });
  return practice;
}

function madeFor(book: Book, kindId: KindId, build: Build): Practice {
  const key = `${kindId} ${JSON.stringify(Object.entries(build).sort())}`;
  const ofBook = made.get(book) ?? new Map<string, Practice>();
  const before = ofBook.get(key);
  if (before) return before;
  const kind = book.kinds[kindId];
  const pages = book.pagesOf[kindId]
    .filter(({ when }) => buildMeets(build, when))
    .map(({ page, without = [], says = {}, calls = {} }) => {
      const applies = ({ id, when }: { readonly id: string; readonly when?: BuildCondition }) =>
        buildMeets(build, when) && !isOneOf(without, id);
      return {
        items: page.items.filter(applies).map((item) => ({ ...item, ...calls[item.id] })),
        steps: page.steps.filter(applies).map((step) => saidHere(step, says[step.id])),
        neverDos: page.neverDos.filter(applies),
      };
    });
  const known = signsKnown(book, kindId, build);
  const items = pages
    .flatMap((page) => page.items)
    .map((item) => withSignsHere(whySaid(placed(kind, item), build), known));
  const itemIds = new Set<CareItemId>(items.map(({ id }) => id));
  const rows = pages.flatMap((page) => page.steps).filter(({ item }) => itemIds.has(item));
  const steps = rows.map((row) => withAnswersHere(asStep(placed(kind, row), build), items));
  const practice: Practice = {
    kind,
    build,
    anatomy: builtSo(book.anatomy[kindId], build),
    chosen: new Map(),
    items,
    steps,
    chain: steps,
    book: steps,
    lines: new Map(rows.filter(hangsOnMore).map((row) => [row.id, row])),
    off: new Map(),
    thirst: 1,
    neverDos: pages.flatMap((page) => page.neverDos).map((one) => whySaid(one, build)),
    agents: agentsOf(book, steps),
  };
  made.set(book, ofBook.set(key, practice));
  return practice;
}
