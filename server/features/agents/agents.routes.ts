import { Router } from 'express';
import { agentPaths } from '#contract/agents.ts';
import { listAgents, mixingOf, verdictsAnywhere, verdictsFor } from '#server/features/agents/agents.use-cases.ts';
import { todayQuery } from '#contract/scalars.ts';
import { param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

export function agentsRoutes(services: Serving): Router {
  const router = Router();
  router.get(agentPaths.list, (req, res) => void res.json(listAgents(services(req))));
  router.get('/api/agents/:agentId/verdicts/:instrumentId', (req, res) => {
    const { today } = queryOf(todayQuery, req);
    sendOutcome(res, verdictsFor(services(req), param(req, 'agentId'), param(req, 'instrumentId'), today));
  });
  router.get('/api/agents/:agentId/verdicts', (req, res) =>
    sendOutcome(res, verdictsAnywhere(services(req), param(req, 'agentId'))),
  );
  router.get(
    agentPaths.mixing(':one', ':other'),
    (req, res) => void res.json(mixingOf(services(req), param(req, 'one'), param(req, 'other'))),
  );
  return router;
}
