import type { Between, WorkId } from '#core/book/work.ts';
import type { Book } from '#core/book/book.ts';
import type { Bill } from '#core/costs/bill.ts';
import { portion } from '#core/money/portion.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** A price from one end to the other, in the smallest coins. */
export type PriceRange = { readonly least: number; readonly most: number };

/**
 * The first real price there is: all that nobody has said are reckoned from it. `boxes` is what the practice book takes
 * for the same thing, in hundredths of a box of ten reeds.
 */
export type FirstPrice = {
  readonly minor: number;
  readonly hundredths: number;
  readonly on: LocalDate;
  readonly what: string;
};

/** Where a price comes from: it was said for this very work, it was paid for it before, or it is reckoned from another. */
export type Price = PriceRange & { readonly from: 'quote' | 'bill' | 'first-price' };

/** A quote counts for half a year (estimate); what was paid counts until it is paid again. */
const QUOTE_DAYS = 182;

const hundredths = (boxes: number): number => Math.round(boxes * 100);

/** What the book takes for a work on a kind, in boxes. */
export const boxesOf = ({ benchWorks }: Book, work: WorkId, kind: KindId): Between =>
  benchWorks.works[work].boxesOf?.[kind] ?? benchWorks.works[work].boxes;

/** The first price that was ever said of one known thing: a bill for one work, or a box of reeds. */
export function firstPrice(
  book: Book,
  bills: readonly (Bill & { readonly kind: KindId })[],
  boxes: readonly {
    readonly cameOn: LocalDate;
    readonly minor: number;
    readonly reeds: number;
    readonly boxes: number;
  }[],
): FirstPrice | null {
  const ofBills = bills
    .filter(({ works, cost }) => works.length === 1 && cost.minor > 0)
    .flatMap(({ works: [work], kind, cost, on }): FirstPrice[] => {
      if (work === undefined) return [];
      const { least, most } = boxesOf(book, work, kind);
      const middle = hundredths((least.value + most.value) / 2);
      return [{ minor: cost.minor, hundredths: middle, on, what: book.benchWorks.works[work].name.toLowerCase() }];
    });
  const ofBoxes = boxes
    .filter(({ minor, reeds }) => minor > 0 && reeds > 0)
    .map(({ cameOn, minor, boxes: seed }): FirstPrice => ({
      minor,
      hundredths: hundredths(seed),
      on: cameOn,
      what: 'a box of reeds',
    }));
  return [...ofBills, ...ofBoxes].toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))[0] ?? null;
}

/** Boxes in money, by the first price: the lower end rounded down, the upper end up. */
export function inMoney({ least, most }: Between, { minor, hundredths: per }: FirstPrice): PriceRange {
  return {
    least: portion(minor, hundredths(least.value), per, 'down'),
    most: portion(minor, hundredths(most.value), per, 'up'),
  };
}

type PriceAsked = {
  readonly book: Book;
  readonly work: WorkId;
  readonly kind: KindId;
  readonly today: LocalDate;
  /** Bills and quotes of this instrument, the oldest first. */
  readonly bills: readonly Bill[];
  readonly first: FirstPrice | null;
};

/** What a work will cost: what was quoted for it lately, what was paid for it last, else reckoned; null with no price at all. */
export function priceOf({ book, work, kind, today, bills, first }: PriceAsked): Price | null {
  const own = bills.filter(({ works }) => works.length === 1 && works[0] === work);
  const quoted = own.findLast(({ sort, on }) => sort === 'quote' && on >= addDays(today, -QUOTE_DAYS));
  const paid = own.findLast(({ sort }) => sort === 'bill');
  const said = quoted && (!paid || paid.on < quoted.on) ? quoted : paid;
  if (said) return { least: said.cost.minor, most: said.cost.minor, from: said.sort };
  return first && { ...inMoney(boxesOf(book, work, kind), first), from: 'first-price' };
}

/** What sending it there and back costs, by the first price; nothing where it is carried. */
export function shippingPrice({ benchWorks }: Book, first: FirstPrice | null, shippingDays: number): PriceRange {
  if (first === null || shippingDays === 0) return { least: 0, most: 0 };
  return inMoney({ least: benchWorks.shippingBoxes, most: benchWorks.shippingBoxes }, first);
}
