import { Router } from 'express';
import { schoolSetSchema } from '#core/schools/school-set-schema.ts';
import { localDate } from '#core/time/local-date.ts';
import {
  chooseSchoolRequest,
  readSetRequest,
  schoolPaths,
  setQuery,
  takeSetRequest,
  type ReadSetRequest,
  type TakeSetRequest,
} from '#contract/schools.ts';
import { todayQuery } from '#contract/scalars.ts';
import { chooseSchool, readSetFor, schoolSetFor, takeSet } from '#server/features/schools/schools.use-cases.ts';
import { schoolsPageOf } from '#server/features/schools/schools.views.ts';
import { bodyOf, formatOf, param, queryOf, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

export function schoolsRoutes(services: Services): Router {
  const router = Router();
  router.get(schoolPaths.setSchema, (_req, res) => void res.type('application/schema+json').json(schoolSetSchema()));
  router.get('/api/schools/:instrumentId', (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, schoolsPageOf(services, param(req, 'instrumentId'), localDate(today), formatOf(req)));
  });
  router.get('/api/schools/:instrumentId/set', (req, res) => {
    const { name, today } = queryOf(setQuery, req);
    sendOutcome(res, schoolSetFor(services, param(req, 'instrumentId'), name, localDate(today)));
  });
  router.post(schoolPaths.choices, (req, res) =>
    sendLogged(res, chooseSchool(services, bodyOf(chooseSchoolRequest, req))),
  );
  router.post(schoolPaths.readSet, (req, res) =>
    sendOutcome(res, readSetFor(services, bodyOf(readSetRequest, req) as ReadSetRequest)),
  );
  router.post(schoolPaths.takeSet, (req, res) =>
    sendLogged(res, takeSet(services, bodyOf(takeSetRequest, req) as TakeSetRequest)),
  );
  return router;
}
