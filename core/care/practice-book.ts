import type { CareItem, CareItemId, StepId } from '#core/care/care-item.ts';
import type { PracticeLayer } from '#core/care/practice-layer.ts';
import type { Step } from '#core/care/step.ts';
import { brass } from '#core/care/tables/brass.ts';
import { clarinet } from '#core/care/tables/clarinet.ts';
import { pistonBrass } from '#core/care/tables/piston-brass.ts';
import { wind } from '#core/care/tables/wind.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import type { KindId, NeverDo } from '#core/instruments/kind.ts';

/** Which pages of the book each kind is made of, common pages first. A kind without pages does not compile. */
export const PRACTICE_BOOK = {
  clarinet: [wind, clarinet],
  trumpet: [wind, brass, pistonBrass],
} as const satisfies Record<KindId, readonly PracticeLayer[]>;

/** The practice of one kind and build: what applies to this very instrument, whatever the schools chosen. */
export type Practice = {
  readonly items: readonly CareItem[];
  readonly steps: readonly Step[];
  readonly neverDos: readonly NeverDo[];
};

const made = new Map<string, Practice>();

/** The practice for a kind and build. Made once for each and shared, so treat it as read-only. */
export function practiceFor(kind: KindId, build: Build): Practice {
  const key = `${kind} ${JSON.stringify(Object.entries(build).sort())}`;
  const known = made.get(key);
  if (known) return known;
  const layers: readonly PracticeLayer[] = PRACTICE_BOOK[kind];
  const items = layers.flatMap((layer) => layer.items).filter(({ when }) => buildMeets(build, when));
  const itemIds = new Set<CareItemId>(items.map(({ id }) => id));
  const practice: Practice = {
    items,
    steps: layers
      .flatMap((layer) => layer.steps)
      .filter((step) => itemIds.has(step.item) && buildMeets(build, step.when)),
    neverDos: layers.flatMap((layer) => layer.neverDos).filter(({ when }) => buildMeets(build, when)),
  };
  made.set(key, practice);
  return practice;
}

/** The item with this id in a practice, or undefined when it does not apply to the build. */
export const itemIn = (practice: Practice, id: CareItemId): CareItem | undefined =>
  practice.items.find((item) => item.id === id);

/** The step with this id in a practice, or undefined when it does not apply to the build. */
export const stepIn = (practice: Practice, id: StepId): Step | undefined =>
  practice.steps.find((step) => step.id === id);
