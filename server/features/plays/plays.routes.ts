import { Router } from 'express';
import { logPlayRequest, playPaths } from '#contract/plays.ts';
import { logPlay } from '#server/features/plays/plays.use-cases.ts';
import { bodyOf, formatOf, sendLogged } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function playsRoutes(services: Services): Router {
  const router = Router();
  router.post(playPaths.log, (req, res) =>
    sendLogged(res, logPlay(services, bodyOf(logPlayRequest, req), formatOf(req))),
  );
  return router;
}
