import { Router } from 'express';
import { chooseQuery, doubleReedPaths, tableQuery } from '#contract/doublereeds.ts';
import { cardOf } from '#server/features/doublereeds/card.views.ts';
import { chooseOf } from '#server/features/doublereeds/choose.views.ts';
import { tableOf } from '#server/features/doublereeds/table.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function doubleReedsRoutes(services: Serving): Router {
  const router = Router();
  router.get(doubleReedPaths.table, (req, res) => {
    const { reedId } = queryOf(tableQuery, req);
    sendOutcome(res, tableOf(services(req), reedId));
  });
  router.get(doubleReedPaths.choose, (req, res) => {
    const { instrumentId, today } = queryOf(chooseQuery, req);
    sendOutcome(res, chooseOf(services(req), instrumentId, today));
  });
  router.get(doubleReedPaths.card, (req, res) => {
    const { reedId, today } = queryOf(tableQuery, req);
    sendOutcome(res, cardOf(services(req), reedId, today));
  });
  return router;
}
