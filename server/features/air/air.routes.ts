import { Router } from 'express';
import { airOn, type AirRead } from '#core/air/air-record.ts';
import { airPaths, airQuery, type AirView } from '#contract/air.ts';
import { queryOf, type Serving } from '#server/http/respond.ts';

const shownRead = ({ on: _on, ...read }: AirRead) => read;

export function airRoutes(services: Serving): Router {
  const router = Router();
  router.get(airPaths.page, (req, res) => {
    const { playerId, today } = queryOf(airQuery, req);
    const read = airOn(services(req).air.of(playerId), today);
    const view: AirView = { read: read && shownRead(read) };
    res.json(view);
  });
  return router;
}
