import { Router } from 'express';
import { readinessQuery, reedPaths, reedPlanQuery, reedsOfRunQuery, reedsQuery } from '#contract/reeds.ts';
import { reedDaysOf } from '#server/features/reeds/reed-days.views.ts';
import { reedPlanOf } from '#server/features/reeds/reed-plan.views.ts';
import { readinessOf } from '#server/features/reeds/reed-readiness.views.ts';
import { reedsOfRunOf } from '#server/features/reeds/reed-run.views.ts';
import { reedsPageOf } from '#server/features/reeds/reeds.views.ts';
import { queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function reedsRoutes(services: Serving): Router {
  const router = Router();
  router.get(reedPaths.page, (req, res) => {
    const { playerId, today, atMinute } = queryOf(reedsQuery, req);
    sendOutcome(res, reedsPageOf(services(req), playerId, { on: today, atMinute: Number(atMinute) }));
  });
  router.get(reedPaths.days, async (req, res) => {
    const { playerId, today, atMinute } = queryOf(reedsQuery, req);
    sendOutcome(res, await reedDaysOf(services(req), playerId, { on: today, atMinute: Number(atMinute) }));
  });
  router.get(reedPaths.readiness, (req, res) => {
    const { playerId, kind, on, wanted, today } = queryOf(readinessQuery, req);
    sendOutcome(res, readinessOf(services(req), playerId, { kind, on, wanted: Number(wanted), today }));
  });
  router.get(reedPaths.run, (req, res) => {
    const { runKey, today, atMinute } = queryOf(reedsOfRunQuery, req);
    sendOutcome(res, reedsOfRunOf(services(req), runKey, { on: today, atMinute: Number(atMinute) }));
  });
  router.get(reedPaths.plan, async (req, res) => {
    const { playerId, kind, today, atMinute } = queryOf(reedPlanQuery, req);
    const now = { on: today, atMinute: Number(atMinute) };
    sendOutcome(res, await reedPlanOf(services(req), playerId, { kind, now }));
  });
  return router;
}
