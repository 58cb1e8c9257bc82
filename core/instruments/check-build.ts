import { isBuildField, type Build } from '#core/instruments/build.ts';
import type { InstrumentKind } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';

export type BuildRefusal = {
  readonly code: 'no-such-field' | 'no-such-option' | 'field-missing';
  readonly field: string;
  readonly allowed: readonly string[];
};

/**
 * Makes a build of what somebody filled in: every field the kind has, each with one of its options, and nothing
 * else (a trumpet has no tenons). The first fault found is returned with what would have been allowed.
 */
export function checkBuild(
  kind: InstrumentKind,
  given: Readonly<Record<string, string>>,
): Outcome<Build, BuildRefusal> {
  const known: readonly string[] = kind.fields.map(({ field }) => field);
  const stray = Object.keys(given).find((field) => !isBuildField(field) || !known.includes(field));
  if (stray !== undefined) return fail({ code: 'no-such-field', field: stray, allowed: known });
  const build: Record<string, string> = {};
  for (const { field, options } of kind.fields) {
    const allowed: readonly string[] = options.map(({ id }) => id);
    const chosen = given[field];
    if (chosen === undefined) return fail({ code: 'field-missing', field, allowed });
    if (!allowed.includes(chosen)) return fail({ code: 'no-such-option', field, allowed });
    build[field] = chosen;
  }
  return succeed(build as Build);
}
