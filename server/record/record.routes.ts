import { Router } from 'express';
import { object, string } from 'yup';
import { fail, succeed } from '#core/kernel/outcome.ts';
import type { Subject } from '#core/record/fact.ts';
import { recordPaths, withdrawRequest } from '#contract/record.ts';
import { noInstrument } from '#server/failure.ts';
import { bodyOf, param, queryOf, answerLogged, sendOutcome, type Serving } from '#server/http/respond.ts';
import { listRecord } from '#server/record/list-record.ts';
import { logAny } from '#server/record/log-fact.ts';
import { withdraw } from '#server/record/withdraw.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import type { Services } from '#server/services.ts';

const limitQuery = object({
  limit: string()
    .strict()
    .matches(/^([1-9]\d?|1\d\d|200)$/, 'limit must be 1 to 200')
    .required(),
})
  .exact()
  .required();

/** Of whom the record of an instrument tells, the instrument first; undefined where there is none. */
export type ToldOf = (services: Services, instrumentId: string) => readonly [Subject, ...Subject[]] | undefined;

/** Where each kind of fact is posted, taken back, and listed: the same for all of them. */
export function recordRoutes(services: Serving, definitions: readonly AnyFact<Services>[], toldOf: ToldOf): Router {
  const router = Router();
  router.get('/api/record/:instrumentId', (req, res) => {
    const { limit } = queryOf(limitQuery, req);
    const asked = services(req);
    const instrumentId = param(req, 'instrumentId');
    const subjects = toldOf(asked, instrumentId);
    sendOutcome(
      res,
      subjects === undefined
        ? fail(noInstrument())
        : succeed({ instrumentId, entries: listRecord(asked, subjects, Number(limit)) }),
    );
  });
  router.post(recordPaths.withdraw, (req, res) => {
    const [asked, request] = [services(req), bodyOf(withdrawRequest, req)];
    return answerLogged(res, () => withdraw(asked, request));
  });
  for (const definition of definitions) {
    const { path, request, hasOwnRoute } = definition;
    if (path !== undefined && request !== undefined && hasOwnRoute !== true)
      router.post(path, (req, res) => {
        const [asked, sent] = [services(req), bodyOf(request, req)];
        return answerLogged(res, () => logAny(asked, definition, sent));
      });
  }
  return router;
}
