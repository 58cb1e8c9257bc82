import { Router } from 'express';
import { breakPaths } from '#contract/breaks.ts';
import { todayQuery } from '#contract/scalars.ts';
import { breakOf } from '#server/features/breaks/breaks.views.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function breaksRoutes(services: Serving): Router {
  const router = Router();
  router.get(`${breakPaths.all}/:instrumentId`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, breakOf(services(req), param(req, 'instrumentId'), today));
  });
  return router;
}
