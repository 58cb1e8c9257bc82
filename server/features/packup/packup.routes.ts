import { Router } from 'express';
import { packupPaths, runEventRequest } from '#contract/packup.ts';
import { findRun } from '#server/features/packup/packup.views.ts';
import { runEventDefinition } from '#server/features/packup/run-event.fact.ts';
import { bodyOf, param, answerLogged, sendOutcome, type Serving } from '#server/http/respond.ts';
import { logFact } from '#server/record/log-fact.ts';

export function packupRoutes(services: Serving): Router {
  const router = Router();
  router.get(packupPaths.one(':key'), (req, res) => sendOutcome(res, findRun(services(req), param(req, 'key'))));
  router.post(packupPaths.events(':key'), (req, res) => {
    const asked = services(req);
    const sent = { ...bodyOf(runEventRequest, req), runKey: param(req, 'key') };
    return answerLogged(res, () => logFact(asked, runEventDefinition, sent));
  });
  return router;
}
