import type { CareItemId, StepId } from '#core/care/care-ids.ts';
import type { CareItem } from '#core/care/care-item.ts';
import type { CareItemRow, LayerUse } from '#core/care/practice-layer.ts';
import type { Step } from '#core/care/step.ts';
import type { ChosenSchool } from '#core/schools/chosen-school.ts';
import { PAGES } from '#core/care/tables/pages.ts';
import { buildMeets, type Build, type BuildCondition } from '#core/instruments/build.ts';
import {
  PART_ROLES,
  type InstrumentKind,
  type KindId,
  type NeverDo,
  type PartId,
  type PartRole,
} from '#core/instruments/kind.ts';
import { kindOf } from '#core/instruments/kinds.ts';

/** The practice of one kind and build, and of one player once schools have been chosen. */
export type Practice = {
  readonly items: readonly CareItem[];
  /** The steps there are to do; before any school is chosen, those of every school. */
  readonly steps: readonly Step[];
  /** These and the ones left out: an order may run through a step that is not done. */
  readonly chain: readonly Step[];
  /** Every step of every school: a run under way may hold one of a school that was chosen then. */
  readonly book: readonly Step[];
  /** Care the schools in force do without, and which school says so. */
  readonly off: ReadonlyMap<CareItemId, ChosenSchool>;
  /** How thirsty the player's cloth is beside the one the book counts with: it multiplies λ (estimate). */
  readonly thirst: number;
  readonly neverDos: readonly NeverDo[];
};

const isRole = (part: PartId | PartRole): part is PartRole => (PART_ROLES as readonly string[]).includes(part);

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

const made = new Map<string, Practice>();
/** The same build object is asked for again and again; naming it is the dearest part of finding its practice. */
const ofBuild = new WeakMap<Build, { readonly kindId: KindId; readonly practice: Practice }>();

/**
 * The practice for a kind and build. Made once for each and shared, so treat it as read-only.
 *
 * @throws Error when a shared page speaks of a part the kind does not name: a fault of the book, found at start-up
 */
export function practiceFor(kindId: KindId, build: Build): Practice {
  const before = ofBuild.get(build);
  if (before?.kindId === kindId) return before.practice;
  const practice = madeFor(kindId, build);
  ofBuild.set(build, { kindId, practice });
  return practice;
}

function madeFor(kindId: KindId, build: Build): Practice {
  const key = `${kindId} ${JSON.stringify(Object.entries(build).sort())}`;
  const known = made.get(key);
  if (known) return known;
  const kind = kindOf(kindId);
  const layers = (PAGES[kindId] as readonly LayerUse[])
    .filter(({ when }) => buildMeets(build, when))
    .map(({ layer, without = [] }) => {
      const applies = ({ id, when }: { readonly id: string; readonly when?: BuildCondition }) =>
        buildMeets(build, when) && !(without as readonly string[]).includes(id);
      return {
        items: layer.items.filter(applies),
        steps: layer.steps.filter(applies),
        neverDos: layer.neverDos.filter(applies),
      };
    });
  const items = layers.flatMap((layer) => layer.items).map((item) => placed(kind, item));
  const itemIds = new Set<CareItemId>(items.map(({ id }) => id));
  const steps = layers
    .flatMap((layer) => layer.steps)
    .filter(({ item }) => itemIds.has(item))
    .map((step) => placed(kind, step));
  const practice: Practice = {
    items,
    steps,
    chain: steps,
    book: steps,
    off: new Map(),
    thirst: 1,
    neverDos: layers.flatMap((layer) => layer.neverDos),
  };
  made.set(key, practice);
  return practice;
}

/** The item with this id in a practice, or undefined when it does not apply to the build. */
export const itemIn = (practice: Practice, id: CareItemId): CareItem | undefined =>
  practice.items.find((item) => item.id === id);

/** The step with this id in a practice, whatever the school; undefined when it does not apply to the build. */
export const stepIn = (practice: Practice, id: StepId): Step | undefined =>
  practice.book.find((step) => step.id === id);

const book = new Map<CareItemId, CareItemRow>(
  Object.values<readonly LayerUse[]>(PAGES).flatMap((uses) =>
    uses.flatMap(({ layer }) => layer.items.map((item) => [item.id, item] as const)),
  ),
);

/** The item as the book has it, whatever the build: histories name items their instrument no longer has. */
export const bookItem = (id: CareItemId): CareItemRow | undefined => book.get(id);
