import { dueSince, intervalOf } from '#core/bench/bench-jobs.ts';
import { workName } from '#core/bench/bench-words.ts';
import { WORK_IDS } from '#core/book/work.ts';
import type { Bill } from '#core/costs/bill.ts';
import {
  comingCosts,
  depositsFrom,
  firstDeposit,
  PUT_OFF_MONTHS,
  purseByMonth,
  savingPlan,
  SAVED_AHEAD_MONTHS,
  type Coming,
  type SavingPlan,
} from '#core/costs/coming-costs.ts';
import {
  billSaid,
  costWords,
  paidSinceWords,
  putOffWords,
  rangeWords,
  savingWhy,
  savingWords,
} from '#core/costs/cost-words.ts';
import { billsAndStays, paidStays, unbilledStays } from '#core/costs/paid-stays.ts';
import { costsOfYears, sharedOut, type Spent } from '#core/costs/costs-of-years.ts';
import { firstPrice, type FirstPrice } from '#core/costs/prices.ts';
import { listed } from '#core/explain/format.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { playedSince } from '#core/plays/play-columns.ts';
import { reedFamilyOf } from '#core/reeds/reed.ts';
import { addDays, addMonths, dayNumber, localDate, type LocalDate } from '#core/time/local-date.ts';
import type { ComingView, CostsView, InstrumentCosts } from '#contract/costs.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { benchAsked, nextStays, type BenchAskedOf } from '#server/views/bench-asked.ts';
import type { Reading } from '#server/readings.ts';
import { currencyOfRecord } from '#server/record-currency.ts';
import type { Services } from '#server/services.ts';

const SERVICE = 'wind/bench-service';
/** What the book takes for a box of ten. */
const REEDS_IN_BOX = 10;
const A_YEAR_DAYS = 365;

/** Minutes it was played from one day to before another. */
function minutesBetween({ facts }: Reading, from: LocalDate, until: LocalDate): number {
  const since = (day: LocalDate) => playedSince(facts.plays, dayNumber(day) * MINUTES_PER_DAY).minutes;
  return Math.max(0, since(from) - since(until));
}
const minutesInYear =
  (reading: Reading) =>
  (year: number): number =>
    minutesBetween(reading, localDate(`${year}-01-01`), localDate(`${year + 1}-01-01`));

/** What was said at the bench of one instrument, with what its stays cost. */
function paidOf({ services, events }: BenchAskedOf, { instrument: { id } }: Reading) {
  const bills = services.costs.billsOf(id);
  return { bills, stays: paidStays(events, id) };
}

/** What stays at the bench cost it; one of which a bill speaks as well counts once. */
const spentAtBench = (asked: BenchAskedOf, reading: Reading): Spent[] => {
  const { bills, stays } = paidOf(asked, reading);
  return unbilledStays(stays, bills).map(({ until, works, minor }) => ({
    on: until,
    kind: works.includes('service') ? 'service' : 'repair',
    minor,
  }));
};
/** What is known to have been paid or asked for it. */
const pricesOf = (asked: BenchAskedOf, reading: Reading): Bill[] => {
  const { bills, stays } = paidOf(asked, reading);
  return billsAndStays(bills, stays, reading.instrument.id);
};

/** What its reeds cost: each box shared out among the instruments of its kind by the minutes of the year it came in. */
function spentOnReeds({ own, services }: BenchAskedOf, reading: Reading): Spent[] {
  const kin = own.filter(({ instrument }) => instrument.kind === reading.instrument.kind);
  const at = kin.indexOf(reading);
  return services.reeds.boxes(reading.player.id).flatMap(({ kind, cost, cameOn }) => {
    if (kind !== reading.instrument.kind || cost === null) return [];
    const year = Number(cameOn.slice(0, 4));
    const minor =
      sharedOut(
        cost.minor,
        kin.map((one) => minutesInYear(one)(year)),
      )[at] ?? 0;
    return [{ on: cameOn, kind: 'reeds' as const, minor }];
  });
}

const spentOnBills = (bills: readonly Bill[]): Spent[] =>
  bills
    .filter(({ sort }) => sort === 'bill')
    .map(({ on, works, cost }) => ({
      on,
      kind: works.includes('service') ? 'service' : works.length > 0 ? 'repair' : 'things',
      minor: cost.minor,
    }));

function instrumentCosts(asked: BenchAskedOf, reading: Reading, currency: string | null): InstrumentCosts {
  const { services, today } = asked;
  const { instrument } = reading;
  const { format, book } = services;
  const bills = services.costs.billsOf(instrument.id);
  const spent = [...spentOnBills(bills), ...spentAtBench(asked, reading), ...spentOnReeds(asked, reading)].filter(
    ({ on }) => on <= today,
  );
  const yearAgo = addDays(today, -A_YEAR_DAYS);
  const lately = spent.filter(({ on }) => on > yearAgo).reduce((sum, { minor }) => sum + minor, 0);
  const minutes = minutesBetween(reading, addDays(yearAgo, 1), addDays(today, 1));
  return {
    instrumentId: instrument.id,
    name: instrument.name,
    years: costsOfYears(spent, minutesInYear(reading), { from: instrument.acquiredOn, today }),
    words: costWords({ minor: lately, minutes }, currency, format),
    bills: bills.toReversed().map((bill) => ({ key: bill.key, on: bill.on, words: billSaid(bill, book, format) })),
  };
}

/** Every price that was said of one thing, by which the rest is reckoned. */
function firstPriceOf(asked: BenchAskedOf): FirstPrice | null {
  const { own, services } = asked;
  const { book } = services;
  const bills = own.flatMap((reading) =>
    pricesOf(asked, reading).map((bill) => ({ ...bill, kind: reading.instrument.kind })),
  );
  const [reading] = own;
  const boxes = reading ? services.reeds.boxes(reading.player.id) : [];
  return firstPrice(
    book,
    bills,
    boxes.flatMap(({ cameOn, cost, before, kind }) => {
      const isDouble = reedFamilyOf(book.kinds[kind]) === 'double';
      const inBoxes = isDouble ? book.benchWorks.doubleReedBoxes.value * before.length : before.length / REEDS_IN_BOX;
      return cost === null ? [] : [{ cameOn, minor: cost.minor, reeds: before.length, boxes: inBoxes }];
    }),
  );
}

/** Everything that is to be paid in the next two years. */
async function comingOf(asked: BenchAskedOf, first: FirstPrice | null): Promise<Coming[]> {
  const { own, services, today, terms } = asked;
  const stays = await nextStays(asked);
  return own
    .flatMap((reading) => {
      const { instrument } = reading;
      const stay = stays.find((one) => one.reading === reading);
      const clock = reading.situation(today).care.clocks.find(({ item }) => item.id === SERVICE);
      const everyDays = clock && intervalOf(clock, today);
      const due = clock && dueSince(clock, today);
      return comingCosts({
        book: services.book,
        today,
        instrument,
        stay: stay ? { work: stay.work, on: stay.back } : null,
        service: everyDays && due ? { due, everyDays: Math.round(everyDays) } : null,
        bills: pricesOf(asked, reading),
        first,
        shippingDays: terms.shippingDays,
      });
    })
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** What there will be month by month, for the chart. */
function monthsOf(today: LocalDate, saved: number, plan: SavingPlan, coming: readonly Coming[]) {
  const first = localDate(`${today.slice(0, 7)}-01`);
  return purseByMonth({ today, saved, months: SAVED_AHEAD_MONTHS }, plan, coming).map(({ left, paid }, at) => ({
    from: addMonths(first, at),
    left,
    paid,
  }));
}

type Planned = {
  readonly asked: BenchAskedOf;
  readonly currency: string;
  readonly first: FirstPrice | null;
  readonly coming: readonly Coming[];
  readonly plan: SavingPlan;
  /** From which day on deposits count, and what is there. */
  readonly from: LocalDate;
  readonly saved: number;
};

/** What is to be paid and put aside; null where no price is known: it is asked for, and nothing is said to cost nothing. */
async function plannedOf(asked: BenchAskedOf, currency: string | null): Promise<Planned | null> {
  const { services, today, own } = asked;
  const first = firstPriceOf(asked);
  if (currency === null) return null;
  const coming = await comingOf(asked, first);
  if (first === null && coming.length === 0) return null;
  const put = own[0] ? services.costs.savedOf(own[0].player.id) : null;
  const from = depositsFrom(today, put?.on ?? null);
  const saved = put?.amount.minor ?? 0;
  return { asked, currency, first, coming, plan: savingPlan(from, saved, coming), from, saved };
}

/** The instrument and what is done: "Clarinet: yearly service". */
const nameOf =
  ({ own, services: { book } }: BenchAskedOf) =>
  ({ instrumentId, works }: Coming): string => {
    const name = own.find(({ instrument }) => instrument.id === instrumentId)?.instrument.name ?? instrumentId;
    return `${name}: ${listed([...new Set(works)].map((work) => workName(book, work).toLowerCase()))}`;
  };

function comingViews({ asked, currency, coming, plan }: Planned): ComingView[] {
  const { format } = asked.services;
  const now = firstDeposit(plan);
  return coming.map((one) => {
    const later = plan.putOff.find(({ key }) => key === one.key)?.deposit ?? now;
    return {
      key: one.key,
      instrumentId: one.instrumentId,
      name: nameOf(asked)(one),
      on: one.on,
      least: one.least,
      most: one.most,
      words: rangeWords(one, currency, format),
      isSaid: one.isSaid,
      putOff: putOffWords(later - now, PUT_OFF_MONTHS, (minor) => format.money({ minor, currency })),
    };
  });
}

function planView({ asked, currency, first, coming, plan, from, saved }: Planned): CostsView['plan'] {
  const { services, today } = asked;
  const { format } = services;
  const words = savingWords(plan, coming, { currency, isToday: from < today, format });
  const since = paidSinceWords(paidSince(asked), currency, format);
  return {
    deposit: firstDeposit(plan),
    short: plan.short,
    words: since === null ? words : `${words} ${since}`,
    because: savingWhy({ plan, coming, first, nameOf: nameOf(asked), currency, format }),
    months: monthsOf(from, saved, plan, coming),
  };
}

/** What was paid since it was noted what is put aside; 0 where nothing was. */
function paidSince(asked: BenchAskedOf): number {
  const [own] = asked.own;
  const put = own && asked.services.costs.savedOf(own.player.id);
  if (!put) return 0;
  return asked.own
    .flatMap((reading) => [...spentOnBills(paidOf(asked, reading).bills), ...spentAtBench(asked, reading)])
    .filter(({ on }) => on > put.on && on <= asked.today)
    .reduce((sum, { minor }) => sum + minor, 0);
}

/** What the instruments of a player cost, what is to come, and what to put aside for it. */
export async function costsPageOf(
  services: Services,
  playerId: PlayerId,
  today: LocalDate,
): Promise<Outcome<CostsView, Failure>> {
  const asked = benchAsked(services, playerId, today);
  if (!asked) return fail(notFound('playerId', { code: 'no-such-player' }));
  const currency = currencyOfRecord(services);
  const planned = await plannedOf(asked, currency);
  const saved = services.costs.savedOf(playerId);
  return succeed({
    playerId,
    today,
    currency,
    saved: saved && { on: saved.on, minor: saved.amount.minor },
    instruments: asked.own.map((reading) => instrumentCosts(asked, reading, currency)),
    coming: planned === null ? [] : comingViews(planned),
    plan: planned && planView(planned),
    works: WORK_IDS.map((work) => ({ work, name: workName(services.book, work) })),
  });
}
