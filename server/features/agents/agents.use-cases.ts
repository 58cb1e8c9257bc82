import { agentWith, mayIUse } from '#core/agents/may-i-use.ts';
import { mixing } from '#core/agents/mixing.ts';
import { mayIUseAnywhere } from '#core/agents/anywhere.ts';
import { AGENTS } from '#core/agents/tables/agents.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { AgentList, MixingView, VerdictsView } from '#contract/agents.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { situationIn } from '#server/situations.ts';
import { notFound, type Failure } from '#server/failure.ts';
import type { Services } from '#server/repositories.ts';

export const listAgents = (): AgentList => AGENTS.map(({ id, name, group }) => ({ id, name, group }));

/** The verdict for every part of one instrument; where practice differs, as it is done on it. */
export function verdictsFor(
  services: Services,
  agentId: string,
  instrumentId: string,
  today: LocalDate,
): Outcome<VerdictsView, Failure> {
  const agent = agentWith(agentId);
  if (!agent) return fail(notFound('agentId', 'Not in the book: ask the maker or the bench.'));
  const instrument = services.instruments.find(instrumentId);
  if (!instrument) return fail(notFound('instrumentId', 'No such instrument in the record.'));
  return succeed({
    agentId,
    agentName: agent.name,
    instrumentId: instrument.id,
    cautions: [...(agent.cautions ?? [])],
    parts: mayIUse(agent, instrument.kind, instrument.build, situationIn(services, instrument, today)).map(
      ({ surface, verdict, why, mark }) => ({
        surface: surface.id,
        name: surface.name,
        material: surface.material,
        verdict,
        why,
        mark,
      }),
    ),
  });
}

/** What the book says of an agent on anything; where practice differs it says so, for no instrument decides. */
export function verdictsAnywhere(agentId: string): Outcome<VerdictsView, Failure> {
  const agent = agentWith(agentId);
  if (!agent) return fail(notFound('agentId', 'Not in the book: ask the maker or the bench.'));
  return succeed({
    agentId,
    agentName: agent.name,
    instrumentId: null,
    cautions: [...(agent.cautions ?? [])],
    parts: mayIUseAnywhere(agent).map(({ on, of, ...said }) => ({ surface: on, material: of, ...said })),
  });
}

/** What two agents make together; one that is not in the book is a stranger, and never goes with bleach. */
export function mixingOf(one: string, other: string): MixingView {
  const { danger, text } = mixing(agentWith(one), agentWith(other));
  return { danger, text };
}
