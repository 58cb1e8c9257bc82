import type { Book } from '#core/book/book.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Mark } from '#core/explain/explained.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';

/** What a player has chosen; what is missing follows the default. */
export type MethodChoices = { readonly [Id in MethodId]?: string };

/** A method in force: the player's choice, or the default with its reason. */
export type ChosenMethod = {
  readonly method: MethodId;
  readonly question: string;
  readonly choice: string;
  readonly words: string;
  readonly why: string;
  readonly mark: Mark;
  readonly byPlayer: boolean;
};

/** What the default of a method may look at, and the book it stands in. `ageDays` is null for an instrument that did not come new. */
export type MethodContext = {
  readonly book: Book;
  readonly kind: KindId;
  readonly build: Build;
  readonly ageDays: number | null;
  readonly weeklyMinutes: number;
  readonly conditions: readonly ConditionId[];
};

/** An instrument's methods: what was chosen, and what the defaults are worked out from. */
export type MethodSetting = { readonly choices: MethodChoices; readonly context: MethodContext };
