import type { Request, Response } from 'express';
import type { Outcome } from '#core/kernel/outcome.ts';
import type { Failure, Logged } from '#server/failure.ts';
import { lengthRefusal, lengthsIn, type Lengths } from '#server/http/lengths.ts';
import { sendFailure } from '#server/http/problem.ts';
import { whenFree } from '#server/http/when-free.ts';
import type { Services } from '#server/services.ts';

/** The services of a request: made for whoever asks, as they write dates. */
export type Serving = (req: Request) => Services;

/** Any schema, lazy ones among them, that says what it lets through. */
type Checking<Value> = {
  /** Itself, or of a lazy one the schema that this value calls for. */
  resolve(options: { value: unknown }): { describe(): unknown };
  validateSync(value: unknown, options: { abortEarly: boolean; strict: boolean }): Value;
};
const lengthsOf = new WeakMap<object, Lengths>();
function checked<Value>(schema: Checking<Value>, value: unknown): Value {
  // Yup looks at every element before it says that there are too many of them.
  const asked = schema.resolve({ value });
  const lengths = lengthsOf.get(asked) ?? lengthsIn(asked);
  lengthsOf.set(asked, lengths);
  const tooLong = lengthRefusal(lengths, value);
  if (tooLong) throw tooLong;
  return schema.validateSync(value, { abortEarly: false, strict: true });
}

/** The body, checked against its schema. @throws ValidationError naming every field at fault */
export const bodyOf = <Value>(schema: Checking<Value>, req: Request): Value => checked(schema, req.body ?? {});

/** The query, checked against its schema. @throws ValidationError naming every field at fault */
export const queryOf = <Value>(schema: Checking<Value>, req: Request): Value => checked(schema, req.query);

/** One path parameter. Express gives every `:name` of the route a value. */
export const param = (req: Request, name: string): string => String(req.params[name] ?? '');

export function sendOutcome<View>(res: Response, outcome: Outcome<View, Failure>): void {
  if (outcome.ok) res.json(outcome.value);
  else sendFailure(res, outcome.failure);
}

/** Writes something down and says whose pages look again; 201 for a new log entry, 200 for one that was already recorded under its key. */
export async function answerLogged<View extends object>(
  res: Response,
  log: () => Outcome<Logged<View>, Failure>,
): Promise<void> {
  const outcome = await whenFree(log);
  if (!outcome.ok) return sendFailure(res, outcome.failure);
  const { created, view, touched } = outcome.value;
  res.status(created ? 201 : 200).json({ ...view, touched });
}
