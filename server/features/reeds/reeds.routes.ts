import { Router } from 'express';
import { readinessQuery, reedPaths, reedsQuery } from '#contract/reeds.ts';
import { readinessOf, reedsPageOf } from '#server/features/reeds/reeds.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function reedsRoutes(services: Serving): Router {
  const router = Router();
  router.get(reedPaths.page, (req, res) => {
    const { playerId, today, atMinute } = queryOf(reedsQuery, req);
    sendOutcome(res, reedsPageOf(services(req), playerId, { on: today, atMinute: Number(atMinute) }));
  });
  router.get(reedPaths.readiness, (req, res) => {
    const { playerId, kind, on, wanted, today } = queryOf(readinessQuery, req);
    sendOutcome(res, readinessOf(services(req), playerId, { kind, on, wanted: Number(wanted), today }));
  });
  return router;
}
