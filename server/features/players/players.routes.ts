import { Router } from 'express';
import { addPlayerRequest, playerPaths, revisePlayerRequest } from '#contract/players.ts';
import { addPlayer, listPlayers, revisePlayer } from '#server/features/players/players.use-cases.ts';
import { bodyOf, param, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function playersRoutes(services: Services): Router {
  const router = Router();
  router.get(playerPaths.list, (_req, res) => void res.json(listPlayers(services)));
  router.post(playerPaths.list, (req, res) => sendLogged(res, addPlayer(services, bodyOf(addPlayerRequest, req))));
  router.put(playerPaths.one(':id'), (req, res) =>
    sendOutcome(res, revisePlayer(services, param(req, 'id'), bodyOf(revisePlayerRequest, req))),
  );
  return router;
}
