import { Router } from 'express';
import { localDate } from '#core/time/local-date.ts';
import { beginConditionRequest, conditionPaths, endConditionRequest } from '#contract/conditions.ts';
import { todayQuery } from '#contract/scalars.ts';
import { beginCondition, endCondition } from '#server/features/conditions/conditions.use-cases.ts';
import { conditionsPageOf } from '#server/features/conditions/conditions.views.ts';
import { bodyOf, param, queryOf, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function conditionsRoutes(services: Services): Router {
  const router = Router();
  router.get(`${conditionPaths.begin}/:instrumentId`, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, conditionsPageOf(services, param(req, 'instrumentId'), localDate(today)));
  });
  router.post(conditionPaths.end, (req, res) =>
    sendLogged(res, endCondition(services, bodyOf(endConditionRequest, req))),
  );
  router.post(conditionPaths.begin, (req, res) =>
    sendLogged(res, beginCondition(services, bodyOf(beginConditionRequest, req))),
  );
  return router;
}
