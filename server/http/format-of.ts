import type { Request, RequestHandler } from 'express';
import { createFormat, type Format } from '#core/explain/format.ts';
import { lengthsIn, type Units } from '#core/explain/units.ts';
import { unitsIn, UNITS_HEADER } from '#contract/device.ts';

const FORMATS_KEPT = 50;
const formats = new Map<string, Format>();

/** In which units whoever asks reads; metric where they do not say. */
const unitsOf = (req: Request): Units => unitsIn(req.get(UNITS_HEADER) ?? '');

/** How numbers, days and temperatures are written for whoever asks. An unknown language falls back to English. */
export function formatOf(req: Request): Format {
  const [accepted = '*'] = req.acceptsLanguages();
  const language = accepted === '*' ? 'en-GB' : accepted;
  const units = unitsOf(req);
  const name = `${language} ${units.temperature} ${units.length}`;
  const known = formats.get(name);
  if (known) return known;
  // Making one costs more than the page it is for; whoever asks in many languages gets them made anew.
  if (formats.size >= FORMATS_KEPT) formats.clear();
  const made = createFormat(language, units);
  formats.set(name, made);
  return made;
}

/** Lengths in the words of the book are written in the reader's unit where they leave. */
export const lengthsInUnits: RequestHandler = (req, res, next) => {
  const units = unitsOf(req);
  if (units.length !== 'mm') {
    const json = res.json.bind(res);
    res.json = (body: unknown) =>
      json(
        JSON.parse(
          JSON.stringify(body, (_field, value: unknown) =>
            typeof value === 'string' ? lengthsIn(value, units) : value,
          ),
        ),
      );
  }
  next();
};
