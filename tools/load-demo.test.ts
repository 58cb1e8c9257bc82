import { BOOK } from '#core/tables/book.ts';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { awayUntil } from '#core/calendar/event.ts';
import { checkCondition } from '#core/conditions/check-condition.ts';
import { barredChoice } from '#core/methods/chosen-method.ts';
import type { MethodId } from '#core/book/method-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { onOwnDates, sittingBreaches, type SittingPlan } from '#core/sittings/sittings.ts';
import { localDate } from '#core/time/local-date.ts';
import { DEMO_CONDITIONS } from '#demo/judgements.demo.ts';
import { weeksOf } from '#server/features/calendar/sitting-weeks.ts';
import { testServer, TODAY, type TestServer } from '#server/testing/test-server.ts';
import { loadDemo } from '#tools/load-demo.ts';

/** Nobody lets anything go for longer than this in a world that should look lived in. */
const WORST_LOAD = 4;
const WAITING = ['marit-clarinet', 'marit-alto', 'marit-piccolo'];

describe('the demo world in the record', () => {
  const today = localDate(TODAY);
  let server: TestServer;
  beforeAll(() => {
    server = testServer();
    loadDemo(server.services(), today);
  });
  afterAll(() => server.stop());

  const situations = () =>
    server
      .services()
      .readings.onShelf()
      .flatMap((read) => read()?.situation(today) ?? []);
  const clocks = () =>
    situations().flatMap(({ instrument, care }) => care.clocks.map((clock) => ({ instrument, clock })));

  test('no care item of any instrument is let go absurdly long', () => {
    const absurd = clocks()
      .filter(({ clock }) => (clock.load ?? 0) > WORST_LOAD)
      .map(({ instrument, clock }) => `${instrument.id}: ${clock.item.id} ${clock.load}`);
    expect(absurd).toEqual([]);
  });

  test('something is overdue, something due, something soon, something fresh', () => {
    const states = clocks().map(({ clock }) => clock.state);
    for (const state of ['overdue', 'due', 'soon', 'fresh']) expect(states).toContain(state);
  });

  test('whoever does something otherwise may do so, and what is in force can be', () => {
    for (const { kind, methods, conditions, instrument } of situations()) {
      const { choices, context, practice } = methods;
      for (const [method, choice] of Object.entries(choices))
        expect([instrument.id, barredChoice(method as MethodId, choice, choices, context)]).toEqual([
          instrument.id,
          null,
        ]);
      for (const condition of conditions.standing)
        expect([kind.id, checkCondition({ book: BOOK, condition }, instrument, today).ok]).toEqual([kind.id, true]);
      expect(practice.steps.length).toBeGreaterThan(5);
    }
    expect(situations().flatMap(({ conditions }) => conditions.standing)).toHaveLength(DEMO_CONDITIONS.length);
  });

  test('the three of last night wait to be packed up, and no other', () => {
    const waiting = situations().filter(({ care }) => care.awaitsPackUp);
    expect(waiting.map(({ instrument }) => instrument.id)).toEqual(WAITING);
  });

  test('services stand in three states, and one instrument is at the bench now', () => {
    const states = clocks().flatMap(({ clock }) => (clock.item.id === 'wind/bench-service' ? [clock.state] : []));
    for (const state of ['fresh', 'soon', 'due']) expect(states).toContain(state);
    const { calendar } = server.services();
    expect(awayUntil(calendar.of('lucan' as PlayerId), 'lucan-tuba' as InstrumentId, today)).not.toBeNull();
  });

  test('a season with four shows a week, a tour and a break is packed into far fewer sittings, near the best', async () => {
    const services = server.services();
    const shows = services.calendar.of('marit' as PlayerId).filter(({ what }) => what === 'concert');
    expect(shows.length).toBeGreaterThan(8);
    const kinds = services.calendar.of('marit' as PlayerId).map(({ what }) => what);
    expect(kinds).toEqual(expect.arrayContaining(['travel', 'holiday']));
    for (const { id } of services.players.all()) {
      const weeks = await weeksOf(services, id, today);
      if (!weeks.ok) throw new Error(weeks.failure.refusal.code);
      const { of, plan, gap } = weeks.value;
      expect(sittingBreaches(of, plan)).toEqual([]);
      // A quarter of an hour a day binds in a theatre week.
      expect(gap ?? 1).toBeLessThanOrEqual(0.15);
      const daysOf = (one: SittingPlan) => new Set(one.flat()).size;
      if (id === 'marit') expect(daysOf(plan)).toBeLessThanOrEqual(0.6 * daysOf(onOwnDates(of)));
    }
  });
});
