import { Router } from 'express';
import { localDate } from '#core/time/local-date.ts';
import { carePaths, logCareRequest, logDecisionRequest, logSignRequest, resetWetnessRequest } from '#contract/care.ts';
import { todayQuery } from '#contract/scalars.ts';
import {
  careOverviewOf,
  instrumentPageOf,
  logCare,
  logDecision,
  logSign,
  resetWetness,
} from '#server/features/care/care.use-cases.ts';
import { bodyOf, formatOf, param, queryOf, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function careRoutes(services: Services): Router {
  const router = Router();
  router.get(carePaths.log, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    res.json(careOverviewOf(services, localDate(today), formatOf(req)));
  });
  router.get(`${carePaths.log}/:instrumentId`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, instrumentPageOf(services, param(req, 'instrumentId'), localDate(today), formatOf(req)));
  });
  router.post(carePaths.log, (req, res) => sendLogged(res, logCare(services, bodyOf(logCareRequest, req))));
  router.post(carePaths.signs, (req, res) => sendLogged(res, logSign(services, bodyOf(logSignRequest, req))));
  router.post(carePaths.decisions, (req, res) =>
    sendLogged(res, logDecision(services, bodyOf(logDecisionRequest, req))),
  );
  router.post(carePaths.wetnessResets, (req, res) =>
    sendLogged(res, resetWetness(services, bodyOf(resetWetnessRequest, req))),
  );
  return router;
}
