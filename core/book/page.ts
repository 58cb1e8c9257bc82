import type { CareItemId, PageId, StepId } from '#core/book/care-ids.ts';
import type { CareItem } from '#core/book/care-item.ts';
import type { Step } from '#core/book/step.ts';
import type { SaidOfAStep, StepText, Words } from '#core/book/words.ts';
import type { BuildCondition } from '#core/instruments/build.ts';
import type { NeverDo, PartId, PartRole } from '#core/instruments/kind.ts';

/** On a shared page a row may name the role a part plays; each kind finds its own part for it. */
type OnSharedPart<Row extends { readonly part: PartId }> = Omit<Row, 'part'> & { readonly part: PartId | PartRole };
/** An item as a page writes it: its reason may hang on the build. */
export type CareItemRow = Omit<OnSharedPart<CareItem>, 'why'> & { readonly why: Words };
export type NeverDoRow = Omit<NeverDo, 'why'> & { readonly why: Words };
/** A step as a page writes it: its words may be lines that are said only of some builds, methods or deeds. */
export type StepRow = Omit<OnSharedPart<Step>, SaidOfAStep> & StepText;

/** A page of the practice book as data: what a family or one kind adds to the pages below it. */
export type Page = {
  readonly id: PageId;
  readonly items: readonly CareItemRow[];
  /** In the book's own order, which breaks ties where the precedence leaves a choice. */
  readonly steps: readonly StepRow[];
  readonly neverDos: readonly NeverDoRow[];
};

/** What may be said otherwise of a step where its page is used; `after`: its other place among the others; `method`: only then. */
export type StepSaid = Partial<
  Pick<Step, 'heading' | 'does' | 'after' | 'thread' | 'method' | 'wait' | 'repeats' | 'minutes'>
> &
  StepText & {
    /** Here no key is held meanwhile: a trombone without a rotor has no valve to press. */
    readonly holdsNothing?: true;
  };

/** A page as a kind uses it: for every build or only for some, and without the rows that are not true of this kind. */
export type PageUse = {
  readonly page: Page;
  readonly when?: BuildCondition;
  readonly without?: readonly (CareItemId | StepId | NeverDo['id'])[];
  /** What is said otherwise of its steps here: a saxophone’s mouthpiece has no cork to keep dry. */
  readonly says?: { readonly [Id in StepId]?: StepSaid };
  /** What its items are called here: a soprano in one piece gets no end plug. */
  readonly calls?: { readonly [Id in CareItemId]?: Partial<Pick<CareItemRow, 'name' | 'why'>> };
};
