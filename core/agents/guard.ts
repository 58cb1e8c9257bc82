import { agentWith, judge, surfacesOf } from '#core/agents/may-i-use.ts';
import { mixing, type Mixing } from '#core/agents/mixing.ts';
import type { AgentUse, Step } from '#core/care/step.ts';
import type { StepId } from '#core/care/care-ids.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import type { SchoolSetting } from '#core/schools/school.ts';

export type Forbidden = { readonly step: StepId; readonly agent: string; readonly why: string };

/**
 * What the book forbids among the agents a step calls for, on this kind and build. A surface the instrument does not
 * have, or of which nothing is known, forbids as well: no step may rest on "not known".
 */
export function forbiddenUses(
  { id, uses = [] }: Pick<Step, 'id' | 'uses'>,
  kind: KindId,
  build: Build,
  schools: SchoolSetting,
): Forbidden[] {
  const here = surfacesOf(kind, build);
  return uses.flatMap(({ agent: agentId, on }): Forbidden[] => {
    const agent = agentWith(agentId);
    const surface = here.find((one) => one.id === on);
    if (agent === undefined || surface === undefined)
      return [{ step: id, agent: agentId, why: `${agentId} on ${on}: not known here` }];
    const { verdict, why } = judge(agent, surface, schools);
    return verdict === 'no' || verdict === 'not-known' ? [{ step: id, agent: agentId, why }] : [];
  });
}

type Using = { readonly uses?: readonly AgentUse[] };

/** Does a step bring out anything that reacts with something else? */
export const isHazardous = ({ uses = [] }: Using): boolean =>
  uses.some(({ agent }) => (agentWith(agent)?.hazards ?? []).length > 0);

/** What two steps would bring together; null where nothing is known against it. */
export function clashOf(one: Using, other: Using): Extract<Mixing, { danger: true }> | null {
  for (const a of one.uses ?? [])
    for (const b of other.uses ?? []) {
      const found = mixing(agentWith(a.agent), agentWith(b.agent));
      if (found.danger) return found;
    }
  return null;
}
