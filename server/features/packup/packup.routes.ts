import { Router, type Request } from 'express';
import { packupPaths, runEventRequest, type RunEventRequest } from '#contract/packup.ts';
import { findRun } from '#server/features/packup/packup.views.ts';
import { runEventFact } from '#server/features/packup/run-event.fact.ts';
import { param, sendLogged, sendOutcome, type Serving } from '#server/http/respond.ts';
import { logFact } from '#server/record/log-fact.ts';

/** Which fields belong to an event follows from its kind. @throws ValidationError naming every field at fault */
const eventOf = (req: Request): RunEventRequest =>
  runEventRequest.validateSync(req.body ?? {}, { abortEarly: false, strict: true }) as RunEventRequest;

export function packupRoutes(services: Serving): Router {
  const router = Router();
  router.get(packupPaths.one(':key'), (req, res) => sendOutcome(res, findRun(services(req), param(req, 'key'))));
  router.post(packupPaths.events(':key'), (req, res) => {
    const request = eventOf(req);
    sendLogged(res, logFact(services(req), runEventFact, { ...request, runKey: param(req, 'key') }));
  });
  return router;
}
