import { Router } from 'express';
import { faultPaths, faultQuery } from '#contract/faults.ts';
import { todayQuery } from '#contract/scalars.ts';
import { faultBookOf } from '#server/features/faults/fault-book.views.ts';
import { faultsPageOf } from '#server/features/faults/faults.views.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function faultsRoutes(services: Serving): Router {
  const router = Router();
  router.get(`${faultPaths.begin}/:instrumentId`, (req, res) => {
    sendOutcome(res, faultsPageOf(services(req), param(req, 'instrumentId'), queryOf(faultQuery, req)));
  });
  router.get(`${faultPaths.begin}/:instrumentId/book`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, faultBookOf(services(req), param(req, 'instrumentId'), today));
  });
  return router;
}
