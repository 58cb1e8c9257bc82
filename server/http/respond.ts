import type { Request, Response } from 'express';
import type { AnyObject, Schema } from 'yup';
import type { Format } from '#core/explain/format.ts';
import type { Outcome } from '#core/kernel/outcome.ts';
import type { Failure, Logged } from '#server/failure.ts';
import { sendFailure } from '#server/http/problem.ts';
import type { Services } from '#server/services.ts';

/** The services of a request: made for whoever asks, as they write dates. */
export type Serving = (req: Request) => Services;

/** The body, checked against its schema. @throws ValidationError naming every field at fault */
export const bodyOf = <T>(schema: Schema<T, AnyObject>, req: Request): T =>
  schema.validateSync(req.body ?? {}, { abortEarly: false, strict: true }) as T;

/** The query, checked against its schema. @throws ValidationError naming every field at fault */
export const queryOf = <T>(schema: Schema<T, AnyObject>, req: Request): T =>
  schema.validateSync(req.query, { abortEarly: false, strict: true }) as T;

/** One path parameter. Express gives every `:name` of the route a value. */
export const param = (req: Request, name: string): string => String(req.params[name] ?? '');

export function sendOutcome<View>(res: Response, outcome: Outcome<View, Failure>): void {
  if (outcome.ok) res.json(outcome.value);
  else sendFailure(res, outcome.failure);
}

/** 201 for a new log entry, 200 for one that was already recorded under its key. */
export function sendLogged<View>(res: Response, outcome: Outcome<Logged<View>, Failure>): void {
  if (outcome.ok) res.status(outcome.value.created ? 201 : 200).json(outcome.value.view);
  else sendFailure(res, outcome.failure);
}

const LANGUAGES_KEPT = 50;
const formats = new Map<string, Format>();

function formatIn(language: string): Format {
  const options = { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' } as const;
  let formatter: Intl.DateTimeFormat;
  try {
    formatter = new Intl.DateTimeFormat(language, options);
  } catch {
    formatter = new Intl.DateTimeFormat('en-GB', options);
  }
  return { date: (date) => formatter.format(Date.parse(`${date}T00:00:00Z`)) };
}

/** Dates in the reader's own way of writing them. An unknown language falls back to English. */
export function formatOf(req: Request): Format {
  const [accepted = '*'] = req.acceptsLanguages();
  const language = accepted === '*' ? 'en-GB' : accepted;
  const known = formats.get(language);
  if (known) return known;
  // Making one costs more than the page it is for; whoever asks in many languages gets them made anew.
  if (formats.size >= LANGUAGES_KEPT) formats.clear();
  const made = formatIn(language);
  formats.set(language, made);
  return made;
}
