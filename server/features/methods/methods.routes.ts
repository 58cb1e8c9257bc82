import { Router } from 'express';
import { methodSetSchema } from '#core/methods/method-set-schema.ts';
import { methodPaths, readSetRequest, setQuery } from '#contract/methods.ts';
import { todayQuery } from '#contract/scalars.ts';
import { methodSetFor, readSetFor } from '#server/features/methods/methods.use-cases.ts';
import { methodsPageOf } from '#server/features/methods/methods.views.ts';
import { bodyOf, param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function methodsRoutes(services: Serving): Router {
  const router = Router();
  router.get(methodPaths.setSchema, (req, res) => {
    res.type('application/schema+json').json(methodSetSchema(services(req).book));
  });
  router.get('/api/methods/:instrumentId', async (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, await methodsPageOf(services(req), param(req, 'instrumentId'), today));
  });
  router.get('/api/methods/:instrumentId/set', (req, res) => {
    const { name, today } = queryOf(setQuery, req);
    sendOutcome(res, methodSetFor(services(req), param(req, 'instrumentId'), name, today));
  });
  router.post(methodPaths.readSet, (req, res) =>
    sendOutcome(res, readSetFor(services(req), bodyOf(readSetRequest, req))),
  );
  return router;
}
