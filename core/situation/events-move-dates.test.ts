import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EVENT_KINDS, isPlayed, type CalendarEvent } from '#core/calendar/event.ts';
import type { Instrument, InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { MINUTES_PER_DAY } from '#core/plays/play.ts';
import { playColumns } from '#core/plays/play-columns.ts';
import { situationOf, type InstrumentFacts } from '#core/situation/situation.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, dayNumber, daysBetween, localDate } from '#core/time/local-date.ts';

const today = localDate('2026-11-27');
const [trumpet, clarinet] = ['trumpet' as InstrumentId, 'clarinet' as InstrumentId];
const player = 'ada' as PlayerId;
const instrument = (id: InstrumentId, kind: KindId, build: object): Instrument => ({
  id,
  name: id,
  kind,
  build,
  playerId: player,
  acquiredOn: addDays(today, -700),
  cameNew: true,
  leftOn: null,
});
const OF = {
  [trumpet]: instrument(trumpet, 'trumpet', { finish: 'lacquer', brassMouthpiece: 'plated' }),
  [clarinet]: instrument(clarinet, 'clarinet', {
    body: 'wood',
    tenons: 'cork',
    pads: 'skin',
    mouthpiece: 'hard-rubber',
  }),
};

/** Played on most days for a year; everything was looked after this morning. */
function factsWith(id: InstrumentId, events: readonly CalendarEvent[]): InstrumentFacts {
  const days = Array.from({ length: 360 }, (_, at) => dayNumber(today) - 360 + at).filter((day) => day % 7 !== 2);
  const plays = playColumns(
    Int32Array.from(days.map((day) => day * MINUTES_PER_DAY + 1140)),
    Int32Array.from(days.map((day) => 20 + ((day * 7) % 40))),
  );
  const atWallMinute = dayNumber(today) * MINUTES_PER_DAY;
  const kind = OF[id]?.kind ?? 'trumpet';
  const items = BOOK.pagesOf[kind].flatMap(({ page }) => page.items.map((item) => item.id));
  return {
    plays,
    care: {
      lastDone: new Map(items.map((item) => [item, { atWallMinute, by: 'player' as const }])),
      signs: new Map(),
      decisions: new Map(),
    },
    choices: {},
    conditions: [],
    events,
    air: [],
    faults: { interviews: [], mishaps: [] },
    inspections: [],
    handovers: [],
  };
}
const standing = (id: InstrumentId, events: readonly CalendarEvent[]) => {
  const of = OF[id];
  if (of === undefined) throw new Error(`no ${id}`);
  return situationOf(BOOK, of, factsWith(id, events), today);
};
const datesOf = (id: InstrumentId, events: readonly CalendarEvent[]) =>
  standing(id, events).care.clocks.map(({ item, due }) => [item.id, due?.on, due?.earliest, due?.latest] as const);

const eventWithin = (furthest: number) =>
  fc
    .record({
      what: fc.constantFrom(...EVENT_KINDS),
      from: fc.integer({ min: 0, max: furthest }),
      long: fc.integer({ min: 0, max: 10 }),
      minutes: fc.integer({ min: 1, max: 300 }),
    })
    .map(({ what, from, long, minutes }): CalendarEvent => ({
      key: `${what} ${from} ${long} ${minutes}`,
      playerId: player,
      what,
      on: addDays(today, from),
      until: isPlayed(what) || long === 0 ? null : addDays(today, from + long),
      minutes: isPlayed(what) ? minutes : null,
      name: null,
      instrumentIds: [trumpet],
      atMinute: null,
      minutesOf: [],
      repeats: null,
      stay: null,
      origin: null,
    }));

const anEvent = eventWithin(45);

describe('an event', () => {
  test('moves no date of another instrument, and none that was due before it', () => {
    const clarinetDates = datesOf(clarinet, []);
    fc.assert(
      fc.property(fc.array(anEvent, { maxLength: 4 }), anEvent, (others, event) => {
        expect(datesOf(clarinet, [...others, event])).toEqual(clarinetDates);
        const [without, with_] = [datesOf(trumpet, others), datesOf(trumpet, [...others, event])];
        without.forEach(([id, on, earliest, latest], at) => {
          const [sameId, nextOn, nextEarliest, nextLatest] = with_[at] ?? [];
          expect(sameId).toBe(id);
          // Each end of a range is moved by what lies before it, and by nothing else.
          if (on !== undefined && on < event.on) expect(nextOn).toBe(on);
          if (earliest !== undefined && earliest < event.on) expect(nextEarliest).toBe(earliest);
          if (latest !== undefined && latest < event.on) expect(nextLatest).toBe(latest);
        });
      }),
      { seed: 2, numRuns: 60 },
    );
  });

  test('counts the same in whatever order it was entered among others', () => {
    fc.assert(
      fc.property(fc.array(anEvent, { minLength: 2, maxLength: 5 }), (events) => {
        expect(datesOf(trumpet, events.toReversed())).toEqual(datesOf(trumpet, events));
      }),
      { seed: 4, numRuns: 25 },
    );
  });

  // The oracle walks the days by itself: oil after a week, after three hours of playing, or after three plays.
  test('moves the date of what goes by playing to the day its minutes or plays run out, counted by hand', () => {
    const { forecast } = standing(trumpet, []).plays;
    const since = standing(trumpet, []).care.clocks.find(({ item }) => item.id === 'piston-brass/valve-oil');
    const limb = (name: string) =>
      since?.because.flatMap((one) => (one.rule === 'limb' && one.reading.limb === name ? [one.reading] : []))[0];
    const [minutes, plays, days] = [limb('minutes'), limb('plays'), limb('days')];
    if (!minutes || !plays || !days) throw new Error('the valves are not oiled by days, minutes and plays');
    const plain = datesOf(trumpet, []).find(([id]) => id === 'piston-brass/valve-oil')?.[1];
    const dates = new Set([plain]);
    fc.assert(
      fc.property(fc.array(eventWithin(5), { maxLength: 5 }), (events) => {
        const found = standing(trumpet, events).care.clocks.find(({ item }) => item.id === 'piston-brass/valve-oil');
        let [left, playsLeft] = [minutes.interval.value - minutes.since, plays.interval.value - plays.since];
        const byCalendar = days.interval.value - days.since;
        let ahead = 0;
        while (left > 0 && playsLeft > 0 && ahead < byCalendar) {
          ahead += 1;
          const day = addDays(today, ahead);
          const played = events.filter(({ on, minutes: of }) => on === day && of !== null);
          const isOff = events.some(
            ({ what, on, until }) => (what === 'holiday' || what === 'bench') && on <= day && day <= (until ?? on),
          );
          left -=
            played.length > 0
              ? played.reduce((sum, one) => sum + (one.minutes ?? 0), 0)
              : isOff
                ? 0
                : forecast.minutesOn(dayNumber(day));
          playsLeft -= played.length > 0 ? played.length : isOff ? 0 : forecast.playsOn(dayNumber(day));
        }
        expect(found?.due && daysBetween(today, found.due.on)).toBe(ahead);
        dates.add(found?.due?.on);
      }),
      { seed: 6, numRuns: 60 },
    );
    // Events do move it, both ways.
    expect(dates.size).toBeGreaterThan(2);
  });
});
