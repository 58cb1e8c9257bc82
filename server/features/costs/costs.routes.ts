import { Router } from 'express';
import { costPaths, costsQuery } from '#contract/costs.ts';
import { costsPageOf } from '#server/views/costs-page.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function costsRoutes(services: Serving): Router {
  const router = Router();
  router.get(costPaths.read, async (req, res) => {
    const { playerId, today } = queryOf(costsQuery, req);
    sendOutcome(res, await costsPageOf(services(req), playerId, today));
  });
  return router;
}
