import type { Deed, Thing } from '#core/book/deed.ts';
import type { Practice } from '#core/book/practice.ts';
import { PART_ROLES, type PartRole } from '#core/instruments/kind.ts';
import { isOneOf } from '#core/kernel/typed.ts';

const isRole = (thing: Thing): thing is PartRole => isOneOf(PART_ROLES, thing);

/** Every thing a deed names, as this kind has it: a role is its own part, an "every" all it has of it. */
export function thingsOfDeed({ kind, anatomy }: Pick<Practice, 'kind' | 'anatomy'>, deed: Deed): readonly Thing[] {
  const named = deed.do === 'draw' || deed.do === 'to-and-fro' ? deed.through : [deed.thing];
  return ('with' in deed ? [...named, deed.with] : named).flatMap((thing): readonly Thing[] => {
    if (thing === 'every-bore') return anatomy.bores ?? [];
    if (thing === 'every-slide') return anatomy.slides ?? [];
    return isRole(thing) ? [kind.standsFor[thing] ?? thing] : [thing];
  });
}
