import { keysOf } from '#core/kernel/typed.ts';
/**
 * What may be recorded about one instrument, and the words it may be recorded in.
 * One list for all kinds, so that a rule such as "no bore oil on plastic" is written once.
 */
const BUILD_FIELDS = {
  body: ['wood', 'plastic', 'hard-rubber', 'metal', 'bamboo'],
  tenons: ['cork', 'thread', 'metal', 'plastic'],
  pads: ['skin', 'leather', 'cork', 'synthetic'],
  mouthpiece: ['hard-rubber', 'plastic', 'glass', 'metal'],
  finish: ['lacquer', 'silver', 'bare-brass', 'nickel-silver'],
  brassMouthpiece: ['plated', 'bare-brass', 'stainless'],
  valves: ['piston', 'rotary'],
  rotor: ['none', 'one'],
  bell: ['fixed', 'screw'],
  pieces: ['one-piece', 'two-piece'],
  size: ['soprano', 'alto', 'tenor', 'bass'],
  swabTail: ['two-cords', 'no-tail'],
  scrape: ['long', 'short', 'unknown'],
  bag: ['hide', 'synthetic'],
  blowpipe: ['plastic', 'wood'],
  blowpipeValve: ['flap', 'in-line'],
  waterTrap: ['yes', 'no'],
} as const satisfies Record<string, readonly [string, ...string[]]>;

export type BuildField = keyof typeof BUILD_FIELDS;
export type BuildOption<Field extends BuildField> = (typeof BUILD_FIELDS)[Field][number];

/** One instrument's build: an option for every field its kind has, and no other field. */
export type Build = { readonly [Field in BuildField]?: BuildOption<Field> };

/** Holds where every named field has one of the options named for it. `{}` holds for every build. */
export type BuildCondition = { readonly [Field in BuildField]?: readonly BuildOption<Field>[] };

export const isBuildField = (text: string): text is BuildField => Object.hasOwn(BUILD_FIELDS, text);

const buildFields = keysOf(BUILD_FIELDS);

/** Does `build` meet `condition`? A field the build does not have meets no condition on it. */
export function buildMeets(build: Build, condition: BuildCondition | undefined): boolean {
  if (condition === undefined) return true;
  return buildFields.every((field) => {
    const wanted: readonly string[] | undefined = condition[field];
    const given = build[field];
    return wanted === undefined || (given !== undefined && wanted.includes(given));
  });
}
