import { Router } from 'express';
import { inspectionPaths } from '#contract/inspections.ts';
import { todayQuery } from '#contract/scalars.ts';
import { inspectionsPageOf } from '#server/features/inspections/inspections.views.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function inspectionsRoutes(services: Serving): Router {
  const router = Router();
  router.get(`${inspectionPaths.log}/:instrumentId`, (req, res) => {
    sendOutcome(res, inspectionsPageOf(services(req), param(req, 'instrumentId'), queryOf(todayQuery, req).today));
  });
  return router;
}
