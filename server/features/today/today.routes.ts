import { Router } from 'express';
import { todayListQuery, todayPaths } from '#contract/today.ts';
import { todayOf } from '#server/features/today/today.use-cases.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function todayRoutes(services: Serving): Router {
  const router = Router();
  router.get(todayPaths.list, async (req, res) => {
    const { playerId, today, atMinute } = queryOf(todayListQuery, req);
    sendOutcome(res, await todayOf(services(req), playerId, { on: today, atMinute: Number(atMinute) }));
  });
  return router;
}
