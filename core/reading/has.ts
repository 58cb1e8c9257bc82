import type { Has } from '#core/book/lexicon.ts';
import type { Practice } from '#core/book/practice.ts';
import { buildMeets } from '#core/instruments/build.ts';
import { isOneOf } from '#core/kernel/typed.ts';

/** Does an instrument of this practice have any of it, as it is built? */
export function hasAny({ kind, build, anatomy, chosen }: Practice, has: Has): boolean {
  const { parts = [], pieces = [], builds = [], kinds = [], pads, chosen: way } = has;
  const mine = [
    ...kind.tube.filter(({ when }) => buildMeets(build, when)).map(({ id }) => id),
    ...kind.loose.map(({ id }) => id),
  ];
  const isThere = [
    pads === true && anatomy.pads === true,
    way?.choices.includes(chosen.get(way.method) ?? '') ?? false,
    isOneOf(kinds, kind.id),
    parts.some((part) => mine.includes(part)),
    anatomy.couplings.some(({ of, when }) => buildMeets(build, when) && of.some((one) => isOneOf(pieces, one))),
    builds.some((one) => buildMeets(build, one)),
  ];
  return isThere.includes(true);
}
