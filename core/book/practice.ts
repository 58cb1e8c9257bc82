import type { Agent } from '#core/book/agent.ts';
import type { Anatomy } from '#core/book/anatomy.ts';
import type { CareItemId, StepId } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import type { ChosenMethod } from '#core/book/method-setting.ts';
import type { Step } from '#core/book/step.ts';
import type { StepText } from '#core/book/words.ts';
import type { Build } from '#core/instruments/build.ts';
import type { InstrumentKind, NeverDo } from '#core/instruments/kind.ts';

/**
 * Everything the book says of one kind and build, and of one player once methods have been chosen. Plain data: clocks
 * and plans are worked out from it, wherever they run, and reach no table.
 */
export type Practice = {
  readonly kind: InstrumentKind;
  readonly build: Build;
  /** What comes apart on this kind. */
  readonly anatomy: Anatomy;
  /** The choice in force of each question asked; none before methods are chosen. */
  readonly chosen: ReadonlyMap<string, string>;
  readonly items: readonly CareItem[];
  /** The steps there are to do; before any method is chosen, those of every method. */
  readonly steps: readonly Step[];
  /** These and the ones left out: an order may run through a step that is not done. */
  readonly chain: readonly Step[];
  /** Every step of every method: a run under way may hold one of a method that was chosen then. */
  readonly book: readonly Step[];
  /** The words of its steps line by line, where what is said hangs on more than the build. */
  readonly lines: ReadonlyMap<StepId, StepText>;
  /** Care the methods in force do without, and which method says so. */
  readonly off: ReadonlyMap<CareItemId, ChosenMethod>;
  /** How thirsty the player's cloth is beside the one the book counts with: it multiplies λ (estimate). */
  readonly thirst: number;
  readonly neverDos: readonly NeverDo[];
  /** The agents its steps call for, by id. */
  readonly agents: ReadonlyMap<string, Agent>;
};

/** The item with this id in a practice, or undefined when it does not apply to the build. */
export const itemIn = ({ items }: Pick<Practice, 'items'>, id: string): CareItem | undefined =>
  items.find((item) => item.id === id);

/** The step with this id in a practice, whatever the method; undefined when it does not apply to the build. */
export const stepIn = ({ book }: Pick<Practice, 'book'>, id: StepId): Step | undefined =>
  book.find((step) => step.id === id);
