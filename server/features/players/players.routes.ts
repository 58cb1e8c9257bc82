import { Router } from 'express';
import { addPlayerRequest, playerPaths } from '#contract/players.ts';
import { addPlayer, listPlayers } from '#server/features/players/players.use-cases.ts';
import { bodyOf, sendLogged, type Serving } from '#server/http/respond.ts';

export function playersRoutes(services: Serving): Router {
  const router = Router();
  router.get(playerPaths.list, (req, res) => void res.json(listPlayers(services(req))));
  router.post(playerPaths.list, (req, res) => sendLogged(res, addPlayer(services(req), bodyOf(addPlayerRequest, req))));
  return router;
}
