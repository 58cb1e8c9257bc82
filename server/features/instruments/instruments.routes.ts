import { Router } from 'express';
import { addInstrumentRequest, instrumentPaths } from '#contract/instruments.ts';
import { todayQuery } from '#contract/scalars.ts';
import { addInstrument, listKinds, listShelf } from '#server/features/instruments/instruments.use-cases.ts';
import { bodyOf, queryOf, answerLogged, type Serving } from '#server/http/respond.ts';

export function instrumentsRoutes(services: Serving): Router {
  const router = Router();
  router.get(instrumentPaths.kinds, (req, res) => void res.json(listKinds(services(req))));
  router.get(instrumentPaths.add, async (req, res) => {
    const { today } = queryOf(todayQuery, req);
    res.json(await listShelf(services(req), today));
  });
  router.post(instrumentPaths.add, (req, res) => {
    const [asked, request] = [services(req), bodyOf(addInstrumentRequest, req)];
    return answerLogged(res, () => addInstrument(asked, request));
  });
  return router;
}
