import { mayIUse } from '#core/agents/may-i-use.ts';
import type { Verdict } from '#core/agents/agent.ts';
import { AGENTS } from '#core/agents/tables/agents.ts';
import type { Situation } from '#core/care/situation.ts';
import type { SchoolId } from '#core/schools/school-ids.ts';
import type { SchoolSetting } from '#core/schools/school.ts';
import type { UsualRun, UsualYear } from '#core/schools/usual-year.ts';
import type { LocalDate } from '#core/time/local-date.ts';

export type RunMoment = 'before' | 'after';

/** One thing another choice changes, for this instrument in the coming year. */
export type Change =
  | { readonly rule: 'steps-added'; readonly moment: RunMoment; readonly actions: readonly string[] }
  | { readonly rule: 'steps-gone'; readonly moment: RunMoment; readonly actions: readonly string[] }
  | { readonly rule: 'order'; readonly moment: RunMoment }
  | { readonly rule: 'said'; readonly action: string; readonly how: string | null }
  | { readonly rule: 'minutes-per-play'; readonly moment: RunMoment; readonly from: number; readonly to: number }
  | { readonly rule: 'passes'; readonly from: number; readonly to: number }
  | {
      readonly rule: 'times';
      readonly item: string;
      readonly from: number;
      readonly to: number;
      readonly next: LocalDate | null;
    }
  | {
      readonly rule: 'verdict';
      readonly agent: string;
      readonly surface: string;
      readonly from: Verdict;
      readonly to: Verdict;
    }
  | { readonly rule: 'minutes-a-year'; readonly from: number; readonly to: number; readonly plays: number };

/** Below this nobody notices: 0.05 min a play, half a minute a year. */
const LEAST_PER_PLAY = 0.05;
const LEAST_A_YEAR = 0.5;

function runChanges(moment: RunMoment, from: UsualRun, to: UsualRun): Change[] {
  const [had, has] = [from, to].map(({ steps }) => new Map(steps.map((step) => [step.id, step])));
  if (had === undefined || has === undefined) return [];
  const added = to.steps.filter(({ id }) => !had.has(id)).map(({ action }) => action);
  const gone = from.steps.filter(({ id }) => !has.has(id)).map(({ action }) => action);
  const kept = (run: UsualRun) => run.steps.map(({ id }) => id).filter((id) => had.has(id) && has.has(id));
  const said = to.steps.flatMap((step): Change[] => {
    const old = had.get(step.id);
    const isSame = old === undefined || (old.action === step.action && old.how === step.how);
    return isSame ? [] : [{ rule: 'said', action: step.action, how: step.how ?? null }];
  });
  return [
    ...(added.length > 0 ? [{ rule: 'steps-added', moment, actions: added } as const] : []),
    ...(gone.length > 0 ? [{ rule: 'steps-gone', moment, actions: gone } as const] : []),
    ...(kept(from).join() === kept(to).join() ? [] : [{ rule: 'order', moment } as const]),
    ...said,
    ...(Math.abs(to.minutes - from.minutes) >= LEAST_PER_PLAY
      ? [{ rule: 'minutes-per-play', moment, from: from.minutes, to: to.minutes } as const]
      : []),
  ];
}

/** Items whose number or next day is another one. */
function timesChanges(from: UsualYear, to: UsualYear): Change[] {
  const ids = new Set([...from.items.keys(), ...to.items.keys()]);
  return [...ids].flatMap((id): Change[] => {
    const [old, other] = [from.items.get(id), to.items.get(id)];
    const [had, has] = [old?.dates ?? [], other?.dates ?? []];
    if (had.length === has.length && had[0] === has[0]) return [];
    const item = other?.item.name ?? old?.item.name ?? id;
    return [{ rule: 'times', item, from: had.length, to: has.length, next: has[0] ?? null }];
  });
}

/** What periodic work is said or made of otherwise, though neither its number nor its day changes. */
function periodicChanges(from: Situation, to: Situation): Change[] {
  const everyPlay = new Set(
    from.practice.items.filter(({ trigger }) => trigger.kind === 'every-play').map(({ id }) => id),
  );
  const periodic = ({ practice }: Situation) =>
    new Map(practice.steps.filter(({ item }) => !everyPlay.has(item)).map((step) => [step.id, step]));
  const [had, has] = [periodic(from), periodic(to)];
  return [...has.values()].flatMap((step): Change[] => {
    const old = had.get(step.id);
    const isSame = old !== undefined && old.action === step.action && old.how === step.how;
    return isSame ? [] : [{ rule: 'said', action: step.action, how: step.how ?? null }];
  });
}

/** What may be used where, as far as this question decides it. */
function verdictChanges(school: SchoolId, from: SchoolSetting, to: SchoolSetting): Change[] {
  const { kind, build } = from.context;
  const concerned = AGENTS.filter(({ rows }) => rows.some(({ bySchool }) => bySchool?.school === school));
  return concerned.flatMap((agent) => {
    const now = mayIUse(agent, kind, build, from);
    return mayIUse(agent, kind, build, to).flatMap(({ surface, verdict }, index): Change[] => {
      const old = now[index]?.verdict ?? verdict;
      return old === verdict
        ? []
        : [{ rule: 'verdict', agent: agent.name, surface: surface.name, from: old, to: verdict }];
    });
  });
}

type Side = { readonly situation: Situation; readonly year: UsualYear };

/**
 * What changes for one instrument in the coming year when one question is answered otherwise: steps, their order and
 * words, minutes and passes of an ordinary play, how often and when what is due, what may be used. Empty when nothing
 * does.
 */
export function consequenceOf(school: SchoolId, from: Side, to: Side): Change[] {
  const minutes = { from: from.year.minutes, to: to.year.minutes };
  return [
    ...runChanges('before', from.year.before, to.year.before),
    ...runChanges('after', from.year.after, to.year.after),
    ...(from.year.after.passes === to.year.after.passes
      ? []
      : [{ rule: 'passes', from: from.year.after.passes, to: to.year.after.passes } as const]),
    ...timesChanges(from.year, to.year),
    ...periodicChanges(from.situation, to.situation),
    ...verdictChanges(school, from.situation, to.situation),
    ...(Math.abs(minutes.to - minutes.from) >= LEAST_A_YEAR
      ? [{ rule: 'minutes-a-year', ...minutes, plays: to.year.plays } as const]
      : []),
  ];
}
