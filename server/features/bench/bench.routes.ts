import { Router } from 'express';
import { benchPaths } from '#contract/bench.ts';
import { todayQuery } from '#contract/scalars.ts';
import { ticketViewOf } from '#server/features/bench/ticket.views.ts';
import { yearOf } from '#server/features/bench/year.views.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function benchRoutes(services: Serving): Router {
  const router = Router();
  router.get(benchPaths.ticketRoute, (req, res) => {
    sendOutcome(res, ticketViewOf(services(req), param(req, 'instrumentId'), queryOf(todayQuery, req).today));
  });
  router.get(benchPaths.yearRoute, async (req, res) => {
    sendOutcome(res, await yearOf(services(req), param(req, 'instrumentId'), queryOf(todayQuery, req).today));
  });
  return router;
}
