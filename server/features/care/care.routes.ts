import { Router } from 'express';
import { carePaths } from '#contract/care.ts';
import { todayListQuery, todayPaths } from '#contract/today.ts';
import { todayQuery } from '#contract/scalars.ts';
import { careOverviewOf, instrumentPageOf } from '#server/features/care/care.use-cases.ts';
import { todayOf } from '#server/features/care/today.use-cases.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function careRoutes(services: Serving): Router {
  const router = Router();
  router.get(carePaths.log, async (req, res) => {
    const { today } = queryOf(todayQuery, req);
    res.json(await careOverviewOf(services(req), today));
  });
  router.get(todayPaths.list, async (req, res) => {
    const { playerId, today, atMinute } = queryOf(todayListQuery, req);
    sendOutcome(res, await todayOf(services(req), playerId, { on: today, atMinute: Number(atMinute) }));
  });
  router.get(`${carePaths.log}/:instrumentId`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, instrumentPageOf(services(req), param(req, 'instrumentId'), today));
  });
  return router;
}
