import type { CareItem, LayerId } from '#core/care/care-item.ts';
import type { Step } from '#core/care/step.ts';
import type { NeverDo } from '#core/instruments/kind.ts';

/** A page of the practice book as data: what a family or one kind adds to the layers below it. */
export type PracticeLayer = {
  readonly id: LayerId;
  readonly items: readonly CareItem[];
  /** In the book's own order, which breaks ties where the precedence leaves a choice. */
  readonly steps: readonly Step[];
  readonly neverDos: readonly NeverDo[];
};
