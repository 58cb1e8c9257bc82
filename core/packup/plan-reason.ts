/**
 * Every reason a plan may give, with its figures and words. Plans are kept for years: a reason is read back only as far
 * as it is still told, so this declaration is what reads them as well.
 */
const DECLARED = {
  'minutes-are-estimates': { pace: 'number', learned: 'number' },
  order: { proved: 'boolean', gapMinutes: 'number' },
  'waits-overlapped': { waitMinutes: 'number', idleMinutes: 'number' },
  'most-of-waits': { waits: 'number', isKept: 'boolean' },
  'set-aside': { instruments: 'number' },
  turning: { turns: 'number', seconds: 'number' },
  'usual-look': { question: 'string', answer: 'string' },
  'own-look': { question: 'string', answer: 'string', times: 'number', looks: 'number' },
  'time-at-hand': { minutes: 'number', mustMinutes: 'number', proved: 'boolean' },
  'kept-apart': { first: 'string', second: 'string' },
  'not-together': { left: 'string', meets: 'string', gas: 'string' },
  'must-exceeds': { minutes: 'number', mustMinutes: 'number' },
} as const;

type Types = { readonly number: number; readonly boolean: boolean; readonly string: string };
type Declared = typeof DECLARED;

/** Why a plan is as it is. */
export type PlanReason = {
  [Rule in keyof Declared]: { readonly rule: Rule } & {
    readonly [Field in keyof Declared[Rule]]: Types[Declared[Rule][Field] & keyof Types];
  };
}[keyof Declared];

/** Is it a reason that is still told, with every figure it needs? */
export function isPlanReason(value: unknown): value is PlanReason {
  if (typeof value !== 'object' || value === null || !('rule' in value)) return false;
  const { rule, ...figures } = value as Readonly<Record<string, unknown>>;
  if (typeof rule !== 'string' || !Object.hasOwn(DECLARED, rule)) return false;
  const wanted = Object.entries(DECLARED[rule as keyof Declared]);
  return wanted.every(([field, type]) => typeof figures[field] === type);
}
