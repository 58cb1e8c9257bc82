import { benchPaths, benchView, ticketView, type BenchView } from '#contract/bench.ts';
import { calendarPaths } from '#contract/calendar.ts';
import { costPaths, costsView, type CostsView } from '#contract/costs.ts';
import { inspectionPaths, inspectionsPage } from '#contract/inspections.ts';
import type { MeasureId, PlaceId, WayId } from '#core/book/measure.ts';
import type { WorkId } from '#core/book/work.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import type { Person } from '#tools/lives/person.ts';

/** What the room of the bench says. */
export async function benchSeen(person: Person): Promise<{ readonly bench: BenchView; readonly costs: CostsView }> {
  const { id, today } = person;
  return {
    bench: benchView.validateSync(await person.get(benchPaths.of(id, today)), { strict: true }),
    costs: costsView.validateSync(await person.get(costPaths.page(id, today)), { strict: true }),
  };
}

type Read = {
  readonly instrumentId: string;
  readonly measure: MeasureId;
  readonly place?: PlaceId;
  readonly way: WayId;
  readonly value: number;
};

/** Reads one thing of an instrument, and hears what it says. */
export async function reads(person: Person, { instrumentId, measure, place, way, value }: Read): Promise<void> {
  const readings = [{ measure, place: place ?? null, way, value }];
  await person.log(inspectionPaths.log, { instrumentId, readOn: person.today, by: 'player', readings });
  const asked = await person.get(inspectionPaths.page(instrumentId, person.today));
  const page = inspectionsPage.validateSync(asked, { strict: true });
  const stands = page.measures.find((one) => one.measure === measure && one.place === (place ?? null));
  person.deeds.push({ did: 'read', instrumentId, measure, grade: stands?.newest?.grade ?? 'good' });
  person.note(`  read ${measure} of ${instrumentId}: ${stands?.newest?.words}. ${stands?.words}`);
}

type Stay = {
  readonly key: string;
  readonly on: LocalDate;
  readonly back: LocalDate;
  readonly works: readonly WorkId[];
};

/**
 * Somebody who does about the bench what is said: takes an instrument there on the best day, fetches it when it is ready,
 * pays at the upper end, and puts aside on the first of each month what they are told.
 */
export class AtTheBench {
  private readonly stays = new Map<string, Stay>();
  private purse = 0;

  constructor(private readonly currency: string) {}

  /** Is it there, on this day? */
  isAway(instrumentId: string, today: LocalDate): boolean {
    const stay = this.stays.get(instrumentId);
    return stay !== undefined && stay.on <= today && today < stay.back;
  }

  /** Goes through the lines of packing on the day it goes there, and of fetching on the day it is back. */
  private async goesThrough(person: Person, instrumentId: string): Promise<void> {
    const stay = this.stays.get(instrumentId);
    const lists = [
      { list: 'out', did: 'packed', on: stay?.on },
      { list: 'back', did: 'fetched', on: stay?.back },
    ] as const;
    for (const { list, did, on } of lists) {
      if (on !== person.today) continue;
      const asked = await person.get(benchPaths.ticket(instrumentId, person.today));
      const { packing, pickUp } = ticketView.validateSync(asked, { strict: true });
      const lines = list === 'out' ? packing : pickUp;
      await person.log(benchPaths.handover, {
        ...{ instrumentId, list },
        lines: lines.map(({ id: line }) => ({ line, answer: 'so' })),
      });
      person.deeds.push({ did, instrumentId });
      person.note(`  ${instrumentId} ${did}: ${lines.map(({ text }) => text).join(' ')}`);
    }
  }

  /** What was done on it and that it is back; undefined where it is not back today. */
  private async comesBack(person: Person, instrumentId: string): Promise<void> {
    const stay = this.stays.get(instrumentId);
    if (stay === undefined || stay.back !== person.today) return;
    this.stays.delete(instrumentId);
    const { costs, bench } = await benchSeen(person);
    const asked = costs.coming.find((one) => one.instrumentId === instrumentId)?.most ?? 0;
    const offered = bench.stays
      .flatMap(({ instruments }) => instruments)
      .find((one) => one.instrumentId === instrumentId);
    const itemIds = stay.works.includes('service') ? ['wind/bench-service'] : [];
    const works = (offered?.works ?? []).map(({ work }) => work).filter((work) => stay.works.includes(work));
    person.deeds.push({ did: 'came-back', instrumentId, works: stay.works, asked, purse: this.purse });
    person.note(`  ${instrumentId} is back: ${stay.works.join(', ')}; ${asked} to pay, ${this.purse} put aside`);
    this.purse = Math.max(0, this.purse - asked);
    const cost = { minor: asked, currency: this.currency };
    await person.log(calendarPaths.events, {
      ...eventOf(person, instrumentId, stay.on, stay.back),
      corrects: stay.key,
      stay: { done: [{ instrumentId, itemIds, works }], cost },
    });
    await this.says(person);
  }

  private async says(person: Person): Promise<void> {
    await person.log(costPaths.saved, { playerId: person.id, amount: { minor: this.purse, currency: this.currency } });
  }

  /** A day of it: what is back, what is put aside, and what is planned once its day is near. */
  async day(person: Person): Promise<void> {
    for (const instrumentId of person.instruments.keys()) {
      await this.goesThrough(person, instrumentId);
      await this.comesBack(person, instrumentId);
    }
    const { bench, costs } = await benchSeen(person);
    if (person.today.endsWith('-01') && costs.plan !== null) {
      this.purse += costs.plan.deposit;
      person.note(`  put aside ${costs.plan.deposit}: ${costs.plan.words}`);
      await this.says(person);
    }
    for (const { instrumentId, days, jobs, headline } of bench.instruments) {
      const [best] = days;
      if (best === undefined || best.on > addDays(person.today, 7) || this.stays.has(instrumentId)) continue;
      const key = await person.log(calendarPaths.events, eventOf(person, instrumentId, best.on, best.back));
      this.stays.set(instrumentId, { key, on: best.on, back: best.back, works: jobs.map(({ work }) => work) });
      person.deeds.push({ did: 'to-the-bench', instrumentId, works: jobs.map(({ work }) => work) });
      person.note(`  ${instrumentId}: ${jobs.map(({ name }) => name).join(', ')}. ${headline}`);
    }
  }
}

const eventOf = (person: Person, instrumentId: string, on: LocalDate, back: LocalDate) => ({
  playerId: person.id,
  what: 'bench',
  on,
  until: back === on ? null : back,
  minutes: null,
  name: null,
  instrumentIds: [instrumentId],
});
