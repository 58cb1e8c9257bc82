import type { Lexicon } from '#core/book/lexicon.ts';
import type { Agent, SurfaceId } from '#core/book/agent.ts';
import type { AnatomyRow } from '#core/book/anatomy.ts';
import type { ConditionId } from '#core/book/condition-ids.ts';
import type { ConditionKind } from '#core/book/condition.ts';
import type { BenchWorks } from '#core/book/work.ts';
import type { Breaks } from '#core/book/break-line.ts';
import type { CareItemRow, PageUse } from '#core/book/page.ts';
import type { Faults } from '#core/book/fault.ts';
import type { Exception } from '#core/book/handling-exception.ts';
import type { Measures } from '#core/book/measure.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { Method } from '#core/book/method.ts';
import type { Packing } from '#core/book/packing.ts';
import type { Surface, SurfaceUse } from '#core/book/surface.ts';
import type { InstrumentKind, KindId } from '#core/instruments/kind.ts';

/**
 * The practice book as data. `core/tables/` writes it; whoever computes is handed it. Nothing in the core but the
 * tables themselves reaches a table.
 */
export type Book = {
  readonly kinds: Readonly<Record<KindId, InstrumentKind>>;
  /** Which pages each kind is made of, common pages first. */
  readonly pagesOf: Readonly<Record<KindId, readonly PageUse[]>>;
  /** Every question on which practice differs. */
  readonly methods: Readonly<Record<MethodId, Method>>;
  readonly conditions: Readonly<Record<ConditionId, ConditionKind>>;
  readonly agents: readonly Agent[];
  readonly anatomy: Readonly<Record<KindId, AnatomyRow>>;
  /** Rules of handling the trade breaks on purpose. */
  readonly exceptions: readonly Exception[];
  readonly surfaces: Readonly<Record<SurfaceId, Surface>>;
  /** The surfaces of each kind, from the mouth on. */
  readonly surfacesOf: Readonly<Record<KindId, readonly SurfaceUse[]>>;
  /** What can go wrong with each kind, its signs and what puts it right. */
  readonly faults: Faults;
  /** What can be measured on each kind when it is looked over. */
  readonly measures: Measures;
  /** What a bench does, how long it takes and what it costs. */
  readonly benchWorks: BenchWorks;
  /** What is seen to before an instrument goes there, and when it is back. */
  readonly packing: Packing;
  /** What is done on a break, and about what happens in the middle of playing. */
  readonly breaks: Breaks;
  /** What its words mean for hands: a reader holds the printed runs against it. */
  readonly lexicon: Lexicon;
};

const itemsOf = new WeakMap<Book, ReadonlyMap<string, CareItemRow>>();

/** The item as the book has it, whatever the build: histories name items their instrument no longer has. */
export function bookItem(book: Book, id: string): CareItemRow | undefined {
  const known =
    itemsOf.get(book) ??
    new Map(
      Object.values<readonly PageUse[]>(book.pagesOf).flatMap((uses) =>
        uses.flatMap(({ page }) => page.items.map((item) => [item.id, item] as const)),
      ),
    );
  itemsOf.set(book, known);
  return known.get(id);
}

/** The agent with this id, or undefined where the book does not name it. */
export const agentWith = ({ agents }: Pick<Book, 'agents'>, id: string): Agent | undefined =>
  agents.find((agent) => agent.id === id);
