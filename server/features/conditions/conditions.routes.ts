import { Router } from 'express';
import { conditionPaths } from '#contract/conditions.ts';
import { todayQuery } from '#contract/scalars.ts';
import { conditionsPageOf } from '#server/features/conditions/conditions.views.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function conditionsRoutes(services: Serving): Router {
  const router = Router();
  router.get(`${conditionPaths.begin}/:instrumentId`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, conditionsPageOf(services(req), param(req, 'instrumentId'), today));
  });
  return router;
}
