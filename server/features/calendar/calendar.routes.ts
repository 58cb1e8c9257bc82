import { Router } from 'express';
import { calendarPaths, eventsQuery } from '#contract/calendar.ts';
import { queryOf, type Serving } from '#server/http/respond.ts';

export function calendarRoutes(services: Serving): Router {
  const router = Router();
  router.get(calendarPaths.events, (req, res) => {
    const { playerId, today } = queryOf(eventsQuery, req);
    res.json(
      services(req)
        .calendar.of(playerId)
        .filter(({ on }) => on >= today),
    );
  });
  return router;
}
