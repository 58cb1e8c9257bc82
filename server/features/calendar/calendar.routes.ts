import { Router } from 'express';
import { lastDayOf } from '#core/calendar/event.ts';
import { calendarPaths, eventsQuery } from '#contract/calendar.ts';
import { sittingPaths, sittingsQuery } from '#contract/sittings.ts';
import { calendarFileOf } from '#server/features/calendar/calendar-file.ts';
import { sittingsPageOf } from '#server/features/calendar/sittings.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function calendarRoutes(services: Serving): Router {
  const router = Router();
  router.get(calendarPaths.events, (req, res) => {
    const { playerId, today } = queryOf(eventsQuery, req);
    res.json(
      services(req)
        .calendar.of(playerId)
        .filter((event) => lastDayOf(event) >= today),
    );
  });
  router.get(sittingPaths.plan, async (req, res) => {
    const { playerId, today } = queryOf(sittingsQuery, req);
    sendOutcome(res, await sittingsPageOf(services(req), playerId, today));
  });
  router.get(sittingPaths.file, async (req, res) => {
    const { playerId, today } = queryOf(sittingsQuery, req);
    const found = await sittingsPageOf(services(req), playerId, today);
    if (!found.ok) return sendOutcome(res, found);
    res
      .attachment('ulu.ics')
      .type('text/calendar')
      .send(calendarFileOf(found.value, services(req).nowMs()));
  });
  return router;
}
