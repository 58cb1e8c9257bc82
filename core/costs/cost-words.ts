import type { Bill } from '#core/costs/bill.ts';
import { SAVED_AHEAD_MONTHS, type Coming, type SavingPlan } from '#core/costs/coming-costs.ts';
import { anHour } from '#core/costs/costs-of-years.ts';
import type { FirstPrice, PriceRange } from '#core/costs/prices.ts';
import type { Book } from '#core/book/book.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { asSentence, counted, listed, type Format } from '#core/explain/format.ts';
import type { Money } from '#core/money/money.ts';

/** "€40.00 to €60.00", or one price. */
export function rangeWords({ least, most }: PriceRange, currency: string, format: Format): string {
  const money = (minor: number): string => format.money({ minor, currency });
  return least === most ? money(most) : `${money(least)} to ${money(most)}`;
}

/** What a bill is for. */
export function billFor({ works, what }: Pick<Bill, 'works' | 'what'>, { benchWorks }: Book): string {
  const names = works.map((work) => benchWorks.works[work].name.toLowerCase());
  return asSentence(what === null ? listed(names) : names.length === 0 ? what : `${what} (${listed(names)})`);
}

/** A bill as it stands in the record. */
export const billSaid = (bill: Pick<Bill, 'works' | 'what' | 'sort' | 'cost'>, book: Book, format: Format): string =>
  `${bill.sort === 'quote' ? 'A quote' : 'A bill'}: ${billFor(bill, book)}, ${format.money(bill.cost)}`;

export const savedSaid = (amount: Money, format: Format): string => `Put aside so far: ${format.money(amount)}.`;

/** Paid since it was noted what is put aside: nobody knows out of which purse; null where nothing was. */
export const paidSinceWords = (minor: number, currency: string, format: Format): string | null =>
  minor === 0 ? null : `Since then ${format.money({ minor, currency })} were paid: note anew what is put aside.`;

/** What is to be put aside, in one or two sentences. */
export function savingWords(
  { steps: [first, second], short }: SavingPlan,
  coming: readonly Coming[],
  {
    currency,
    isToday = false,
    format,
  }: { readonly currency: string; readonly isToday?: boolean; readonly format: Format },
): string {
  const money = (minor: number): string => format.money({ minor, currency });
  if (coming.length === 0)
    return `Nothing is to be paid in the next ${SAVED_AHEAD_MONTHS} months, as far as anybody knows.`;
  const missing = short > 0 ? `${money(short)} are missing for what is due before the next can be put aside. ` : '';
  if (first === undefined) return `${missing}What is put aside is enough for the next ${SAVED_AHEAD_MONTHS} months.`;
  const until = format.date(first.decidedBy.on);
  const then = second === undefined ? 'nothing' : money(second.deposit);
  const each = first.times === 1 ? 'on the first of next month' : 'on the first of each month';
  const when = isToday ? (first.times === 1 ? 'today' : 'today and on the first of each month') : each;
  const amount = `Put ${money(first.deposit)} aside ${when}`;
  return `${missing}${amount} for ${until}, then ${then}${second === undefined ? '' : ' a month'}.`;
}

type SavingWhy = {
  readonly plan: SavingPlan;
  readonly coming: readonly Coming[];
  readonly first: FirstPrice | null;
  readonly nameOf: (coming: Coming) => string;
  readonly currency: string;
  readonly format: Format;
};

/** Why so much a month. */
export function savingWhy({ plan, coming, first, nameOf, currency, format }: SavingWhy): WhyLine[] {
  const money = (minor: number): string => format.money({ minor, currency });
  return [
    {
      rule: 'upper-end',
      text: 'Each cost is counted at its upper end and on its date, and the amount is rounded up to a coin: so it is never short.',
      mark: 'published',
    },
    ...plan.steps.map(
      ({ deposit, times, decidedBy }) =>
        ({
          rule: 'decides',
          text: `${counted(times, 'time')} ${money(deposit)}: ${nameOf(decidedBy)} on ${format.date(decidedBy.on)} decides. Until then ${money(upTo(coming, decidedBy))} have to be there in all.`,
          mark: 'estimate',
        }) as const,
    ),
    ...(first === null || coming.every(({ isSaid }) => isSaid)
      ? []
      : [
          {
            rule: 'first-price',
            text: `Prices nobody has said are reckoned from the first real one: ${first.what} for ${money(first.minor)} on ${format.date(first.on)}.`,
            mark: 'estimate',
          } as const,
        ]),
    { rule: 'interest', text: 'No interest is counted.', mark: 'estimate' },
  ];
}

const upTo = (coming: readonly Coming[], until: Coming): number =>
  coming.filter(({ on }) => on <= until.on).reduce((sum, { most }) => sum + most, 0);

/** What it changes to put a cost off; null where it changes nothing. */
export function putOffWords(more: number, months: number, money: (minor: number) => string): string | null {
  const when = `Put off by ${counted(months, 'month')}`;
  if (more === 0) return null;
  return more < 0 ? `${when}, it saves ${money(-more)} a month.` : `${when}, it takes ${money(more)} a month more.`;
}

/** What the last twelve months cost, and an hour of them. */
export function costWords(
  { minor, minutes }: { readonly minor: number; readonly minutes: number },
  currency: string | null,
  format: Format,
): string {
  if (currency === null) return 'No price is known yet.';
  const money = (coins: number): string => format.money({ minor: coins, currency });
  const hour = anHour(minor, minutes);
  if (minor === 0) return 'It has cost nothing in the last twelve months, as far as it is written down.';
  return hour === null
    ? `It has cost ${money(minor)} in the last twelve months, and was not played.`
    : `It has cost ${money(minor)} in the last twelve months: ${money(hour)} an hour of playing.`;
}
