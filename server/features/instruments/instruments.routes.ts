import { Router } from 'express';
import { localDate } from '#core/time/local-date.ts';
import {
  addInstrumentRequest,
  departureRequest,
  instrumentPaths,
  reviseBuildRequest,
  type AddInstrumentRequest,
  type ReviseBuildRequest,
} from '#contract/instruments.ts';
import { todayQuery } from '#contract/scalars.ts';
import {
  addInstrument,
  listKinds,
  listShelf,
  reviseBuild,
  setDeparture,
} from '#server/features/instruments/instruments.use-cases.ts';
import { bodyOf, param, queryOf, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function instrumentsRoutes(services: Services): Router {
  const router = Router();
  router.get(instrumentPaths.kinds, (_req, res) => void res.json(listKinds()));
  router.get(instrumentPaths.add, (req, res) => {
    const { today } = queryOf(todayQuery, req);
    res.json(listShelf(services, localDate(today)));
  });
  router.post(instrumentPaths.add, (req, res) =>
    sendLogged(res, addInstrument(services, bodyOf(addInstrumentRequest, req) as AddInstrumentRequest)),
  );
  router.put(instrumentPaths.departure(':id'), (req, res) =>
    sendOutcome(res, setDeparture(services, param(req, 'id'), bodyOf(departureRequest, req))),
  );
  router.put(instrumentPaths.build(':id'), (req, res) =>
    sendOutcome(res, reviseBuild(services, param(req, 'id'), bodyOf(reviseBuildRequest, req) as ReviseBuildRequest)),
  );
  return router;
}
