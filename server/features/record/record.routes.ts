import { Router } from 'express';
import { object, string } from 'yup';
import { recordPaths, withdrawRequest } from '#contract/record.ts';
import { recordOf, withdraw } from '#server/features/record/record.use-cases.ts';
import { bodyOf, formatOf, param, queryOf, sendLogged, sendOutcome } from '#server/http/respond.ts';
import type { Services } from '#server/repositories.ts';

const limitQuery = object({
  limit: string()
    .strict()
    .matches(/^([1-9]\d?|1\d\d|200)$/, 'limit must be 1 to 200')
    .required(),
})
  .exact()
  .required();

export function recordRoutes(services: Services): Router {
  const router = Router();
  router.get('/api/record/:instrumentId', (req, res) => {
    const { limit } = queryOf(limitQuery, req);
    sendOutcome(res, recordOf(services, param(req, 'instrumentId'), Number(limit), formatOf(req)));
  });
  router.post(recordPaths.withdraw, (req, res) => sendLogged(res, withdraw(services, bodyOf(withdrawRequest, req))));
  return router;
}
