import { Router } from 'express';
import { doubleReedPaths, tableQuery } from '#contract/doublereeds.ts';
import { cardOf } from '#server/features/doublereeds/card.views.ts';
import { tableOf } from '#server/features/doublereeds/table.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function doubleReedsRoutes(services: Serving): Router {
  const router = Router();
  router.get(doubleReedPaths.table, (req, res) => {
    const { reedId } = queryOf(tableQuery, req);
    sendOutcome(res, tableOf(services(req), reedId));
  });
  router.get(doubleReedPaths.card, (req, res) => {
    const { reedId, today } = queryOf(tableQuery, req);
    sendOutcome(res, cardOf(services(req), reedId, today));
  });
  return router;
}
