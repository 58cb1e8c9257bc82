import { Router } from 'express';
import { addPlayerRequest, playerPaths } from '#contract/players.ts';
import { addPlayer, listPlayers } from '#server/features/players/players.use-cases.ts';
import { bodyOf, answerLogged, type Serving } from '#server/http/respond.ts';

export function playersRoutes(services: Serving): Router {
  const router = Router();
  router.get(playerPaths.list, (req, res) => void res.json(listPlayers(services(req))));
  router.post(playerPaths.list, (req, res) => {
    const [asked, request] = [services(req), bodyOf(addPlayerRequest, req)];
    return answerLogged(res, () => addPlayer(asked, request));
  });
  return router;
}
