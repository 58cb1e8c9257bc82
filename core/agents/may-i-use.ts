import type { Agent, Material, SurfaceId, Verdict, VerdictRow } from '#core/agents/agent.ts';
import { AGENTS } from '#core/agents/tables/agents.ts';
import { SURFACES, SURFACES_OF, type Surface } from '#core/agents/tables/surfaces.ts';
import type { Mark } from '#core/explain/explained.ts';
import { buildMeets, type Build } from '#core/instruments/build.ts';
import { chosenSchool, isAsked, schoolOf } from '#core/schools/chosen-school.ts';
import type { SchoolSetting } from '#core/schools/school.ts';
import type { KindId } from '#core/instruments/kind.ts';

const byId: ReadonlyMap<string, Agent> = new Map(AGENTS.map((agent) => [agent.id, agent]));

export const agentWith = (id: string): Agent | undefined => byId.get(id);

/** A surface of one instrument with what it is made of; null where the build does not say. */
export type SurfaceHere = {
  readonly kind: KindId;
  readonly id: SurfaceId;
  readonly name: string;
  readonly material: Material | null;
};

export function surfacesOf(kind: KindId, build: Build): SurfaceHere[] {
  return SURFACES_OF[kind].flatMap((one): SurfaceHere[] => {
    const { id, when } = typeof one === 'string' ? { id: one, when: undefined } : one;
    if (!buildMeets(build, when)) return [];
    const surface: Surface = SURFACES[id];
    if (typeof surface.material === 'string') return [{ kind, id, name: surface.name, material: surface.material }];
    const { field, otherwise } = surface.material;
    const given = build[field] as Material | undefined;
    return [{ kind, id, name: surface.name, material: given ?? otherwise ?? null }];
  });
}

export type Judged = {
  readonly surface: SurfaceHere;
  readonly verdict: Verdict;
  readonly why: string;
  readonly mark: Mark;
};

const NOT_KNOWN = 'not known: ask the maker or the bench';

/** Is a line of the book about this surface, of what it is made and on which kind it is? */
export const isAbout = ({ on, of, among }: VerdictRow, { id, material, kind }: SurfaceHere): boolean =>
  on.includes(id) &&
  (of === undefined || (material !== null && of.includes(material))) &&
  (among === undefined || among.kinds.includes(kind));

/** Where practice differs, the question decides as it is answered on this instrument. */
function bySchool(row: VerdictRow, surface: SurfaceHere, schools: SchoolSetting): Judged | null {
  const { bySchool: differs, why } = row;
  const { kind, build } = schools.context;
  if (differs === undefined || !isAsked(differs.school, kind, build)) return null;
  const chosen = chosenSchool(differs.school, schools.choices, schools.context);
  const answer = `${schoolOf(differs.school).question} ${chosen.byPlayer ? 'Your choice' : 'By default'}: “${chosen.words}”`;
  return differs.allowedBy.includes(chosen.choice)
    ? { surface, verdict: 'care', why: `${differs.then}. ${answer}`, mark: chosen.mark }
    : { surface, verdict: 'no', why: `${why}. ${answer}`, mark: chosen.mark };
}

/**
 * May this agent touch this surface? What the book does not say is not known, never guessed. Where practice differs,
 * the schools of the instrument decide; without them, and where no question is asked of it, it stays "by school".
 */
export function judge(agent: Agent, surface: SurfaceHere, schools?: SchoolSetting): Judged {
  const row = agent.rows.find((one) => isAbout(one, surface));
  const decided = row && schools ? bySchool(row, surface, schools) : null;
  if (decided) return decided;
  return row
    ? { surface, verdict: row.verdict, why: row.why, mark: row.mark ?? 'practice' }
    : { surface, verdict: 'not-known', why: NOT_KNOWN, mark: 'practice' };
}

/** The verdict for every part of an instrument, from the mouth on. */
export const mayIUse = (agent: Agent, kind: KindId, build: Build, schools?: SchoolSetting): Judged[] =>
  surfacesOf(kind, build).map((surface) => judge(agent, surface, schools));
