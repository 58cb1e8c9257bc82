import type { Request } from 'express';
import { createFormat, type Format } from '#core/explain/format.ts';

const LANGUAGES_KEPT = 50;
const formats = new Map<string, Format>();

/** How numbers and days are written for whoever asks. An unknown language falls back to English. */
export function formatOf(req: Request): Format {
  const [accepted = '*'] = req.acceptsLanguages();
  const language = accepted === '*' ? 'en-GB' : accepted;
  const known = formats.get(language);
  if (known) return known;
  // Making one costs more than the page it is for; whoever asks in many languages gets them made anew.
  if (formats.size >= LANGUAGES_KEPT) formats.clear();
  const made = createFormat(language);
  formats.set(language, made);
  return made;
}
