import type { Book } from '#core/book/book.ts';
import type { MeasurePageUse } from '#core/book/measure.ts';
import type { FaultPage, FaultPageUse } from '#core/book/fault.ts';
import type { PageUse } from '#core/book/page.ts';

/** Everything of the book that records, runs and files of players name, by what it is; in the order of the alphabet. */
export type BookIds = Readonly<Record<string, readonly string[]>>;

const sorted = (ids: Iterable<string>): readonly string[] => [...new Set(ids)].toSorted();

const faultPages = ({ faults }: Book): FaultPage[] =>
  Object.values<readonly FaultPageUse[]>(faults.pagesOf).flatMap((uses) => uses.map(({ page }) => page));

/**
 * The ids a book gives away: whoever has logged with one keeps it, so it is never renamed or given to another thing.
 * Fields of a build stand as `kind field option`, choices of a method as `method choice`, parts as `kind part`.
 */
export function idsOfBook(book: Book): BookIds {
  const pages = Object.values<readonly PageUse[]>(book.pagesOf).flatMap((uses) => uses.map(({ page }) => page));
  const kinds = Object.values(book.kinds);
  return {
    kinds: sorted(Object.keys(book.kinds)),
    parts: sorted(kinds.flatMap(({ id, tube, loose }) => [...tube, ...loose].map((part) => `${id} ${part.id}`))),
    builds: sorted(
      kinds.flatMap(({ id, fields }) =>
        fields.flatMap(({ field, options = [] }) => options.map((option) => `${id} ${field} ${option.id}`)),
      ),
    ),
    items: sorted(pages.flatMap(({ items }) => items.map(({ id }) => id))),
    steps: sorted(pages.flatMap(({ steps }) => steps.map(({ id }) => id))),
    methods: sorted(
      Object.entries(book.methods).flatMap(([id, { choices }]) =>
        Object.keys(choices).map((choice) => `${id} ${choice}`),
      ),
    ),
    agents: sorted(book.agents.map(({ id }) => id)),
    conditions: sorted(Object.keys(book.conditions)),
    signs: sorted(faultPages(book).flatMap(({ signs }) => signs.map(({ id }) => id))),
    measures: sorted(
      Object.values<readonly MeasurePageUse[]>(book.measures.pagesOf).flatMap((uses) =>
        uses.flatMap(({ page }) =>
          page.measures.flatMap(({ id, ways }) => [id, ...ways.map((way) => `${id} ${way.id}`)]),
        ),
      ),
    ),
    works: sorted(Object.keys(book.benchWorks.works)),
    causes: sorted(faultPages(book).flatMap(({ causes }) => causes.map(({ id }) => id))),
  };
}

/** What was given away and is no longer in the book, each as `what id`. */
export const goneFrom = (shipped: BookIds, now: BookIds): readonly string[] =>
  Object.entries(shipped).flatMap(([what, ids]) => {
    const known = new Set(now[what]);
    return ids.filter((id) => !known.has(id)).map((id) => `${what}: ${id}`);
  });
