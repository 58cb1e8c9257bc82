import { judge, surfacesOf } from '#core/agents/may-i-use.ts';
import type { Agent } from '#core/book/agent.ts';
import { agentWith } from '#core/book/book.ts';
import { mixing, type Mixing } from '#core/agents/mixing.ts';
import type { AgentUse, Step } from '#core/book/step.ts';
import type { StepId } from '#core/book/care-ids.ts';
import type { MethodSetting } from '#core/book/method-setting.ts';

export type Forbidden = { readonly step: StepId; readonly agent: string; readonly why: string };

/**
 * What the book forbids among the agents a step calls for, on an instrument of this kind and build. A surface the instrument does not
 * have, or of which nothing is known, forbids as well: no step may rest on "not known".
 */
export function forbiddenUses({ id, uses = [] }: Pick<Step, 'id' | 'uses'>, methods: MethodSetting): Forbidden[] {
  const { book, kind, build } = methods.context;
  const here = surfacesOf(book, kind, build);
  return uses.flatMap(({ agent: agentId, on }): Forbidden[] => {
    const agent = agentWith(book, agentId);
    const surface = here.find((one) => one.id === on);
    if (agent === undefined || surface === undefined)
      return [{ step: id, agent: agentId, why: `${agentId} on ${on}: not known here` }];
    const { verdict, why } = judge(agent, surface, methods);
    return verdict === 'no' || verdict === 'not-known' ? [{ step: id, agent: agentId, why }] : [];
  });
}

type Using = { readonly uses?: readonly AgentUse[] };
/** The agents the steps of a run call for, by id. */
export type Agents = ReadonlyMap<string, Agent>;

/** Does a step bring out anything that reacts with something else? */
export const isHazardous = ({ uses = [] }: Using, agents: Agents): boolean =>
  uses.some(({ agent }) => (agents.get(agent)?.hazards ?? []).length > 0);

/** What two steps would bring together; null where nothing is known against it. */
export function clashOf(one: Using, other: Using, agents: Agents): Extract<Mixing, { danger: true }> | null {
  for (const a of one.uses ?? [])
    for (const b of other.uses ?? []) {
      const found = mixing(agents.get(a.agent), agents.get(b.agent));
      if (found.danger) return found;
    }
  return null;
}
