import { Router } from 'express';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { OWN_SERIES } from '#core/calendar/repeated-event.ts';
import { benchPaths, benchQuery } from '#contract/bench.ts';
import { calendarPaths, eventsQuery, type EventView } from '#contract/calendar.ts';
import { caseLidPaths, caseLidQuery } from '#contract/case-lid.ts';
import { ribbonPaths, ribbonQuery } from '#contract/ribbon.ts';
import { sittingPaths, sittingsQuery } from '#contract/sittings.ts';
import { knownRegions } from '#server/public-holidays.ts';
import { benchPageOf } from '#server/features/calendar/bench.views.ts';
import { caseLidOf } from '#server/features/calendar/case-lid.views.ts';
import { ribbonOf } from '#server/features/calendar/ribbon.views.ts';
import { sittingsPageOf } from '#server/features/calendar/sittings.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

/** An event as the calendar shows it. */
function eventViewOf(
  { origin, stay, repeats: _repeats, ...event }: CalendarEvent,
  typed: ReadonlyMap<string, CalendarEvent>,
): EventView {
  const series = origin?.calendar === OWN_SERIES ? typed.get(origin.uid) : undefined;
  const done =
    stay?.done.map(({ instrumentId, itemIds, works }) => ({
      instrumentId,
      itemIds: [...itemIds],
      ...(works && { works: [...works] }),
    })) ?? [];
  return {
    ...event,
    instrumentIds: [...event.instrumentIds],
    minutesOf: event.minutesOf.map((one) => ({ ...one })),
    series: series?.repeats ? { key: series.key, on: series.on, repeats: { ...series.repeats } } : null,
    stay: stay && { done, cost: stay.cost && { ...stay.cost } },
    calendar: origin === null || origin.calendar === OWN_SERIES ? null : origin.calendar,
    asImported: origin !== null && !typed.has(event.key),
  };
}

export function calendarRoutes(services: Serving): Router {
  const router = Router();
  router.get(calendarPaths.events, (req, res) => {
    const { playerId, today } = queryOf(eventsQuery, req);
    const { calendar } = services(req);
    const typed = new Map(calendar.typed(playerId).map((event) => [event.key, event]));
    res.json(
      calendar
        .of(playerId)
        .filter((event) => lastDayOf(event) >= today)
        .map((event) => eventViewOf(event, typed)),
    );
  });
  router.get(sittingPaths.plan, async (req, res) => {
    const { playerId, today } = queryOf(sittingsQuery, req);
    sendOutcome(res, await sittingsPageOf(services(req), playerId, today));
  });
  router.get(ribbonPaths.all, async (req, res) => {
    const { today } = queryOf(ribbonQuery, req);
    res.json(await ribbonOf(services(req), today));
  });
  router.get(caseLidPaths.sheet, async (req, res) => {
    const { instrumentId, today } = queryOf(caseLidQuery, req);
    sendOutcome(res, await caseLidOf(services(req), instrumentId, today));
  });
  router.get(benchPaths.regions, (req, res) => {
    // Who may ask nothing is refused here, too.
    services(req);
    res.json(knownRegions());
  });
  router.get(benchPaths.page, async (req, res) => {
    const { playerId, today } = queryOf(benchQuery, req);
    sendOutcome(res, await benchPageOf(services(req), playerId, today));
  });
  return router;
}
