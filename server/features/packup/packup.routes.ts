import { Router } from 'express';
import { packupPaths, runEventRequest, startRunRequest, type RunEventRequest } from '#contract/packup.ts';
import { addRunEvent, findRun, startRun } from '#server/features/packup/packup.use-cases.ts';
import { bodyOf, param, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function packupRoutes(services: Services): Router {
  const router = Router();
  router.post(packupPaths.start, (req, res) => sendLogged(res, startRun(services, bodyOf(startRunRequest, req))));
  router.get(packupPaths.one(':key'), (req, res) => sendOutcome(res, findRun(services, param(req, 'key'))));
  router.post(packupPaths.events(':key'), (req, res) => {
    const request = runEventRequest.validateSync(req.body, { abortEarly: false, strict: true }) as RunEventRequest;
    sendLogged(res, addRunEvent(services, param(req, 'key'), request));
  });
  return router;
}
