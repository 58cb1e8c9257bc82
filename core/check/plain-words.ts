import type { Step } from '#core/book/step.ts';

const LONGEST_HEADING = 45;
const MOST_SENTENCES = 3;
const LONGEST_SENTENCE = 20;

/** What hands and eyes do, as a teacher says it: the word a heading begins with. */
const VERBS = new Set(
  `Blot Blow Brush Cap Clean Close Cream Draw Dry Empty Feel Fill Freshen Grease Hang Hold Hook Join Lay Leave Let Lift
   Line Lock Look Lower Lubricate Oil Open Part Plug Pour Press Prop Pull Push Put Raise Rinse Run Screw Season Set Shake
   Slide Slip Soak Spray Stand Stow Swab Take Tap Tighten Try Turn Unhook Unscrew Warm Wash Wax Wet Wipe Work`.split(
    /\s+/,
  ),
);

export const sentences = (text: string): string[] => text.split(/(?<=[.?])\s+/);

/** What is wrong with the words of a step, in words; nothing where nothing is. */
export function plainWordRefusals({ id, heading, how = '', harm, cautions = [], supplies = [] }: Step): string[] {
  const refusals: string[] = [];
  const refusal = (what: string, text: string) => refusals.push(`${id}: ${what}: “${text}”`);
  const [first = ''] = heading.split(/[\s,]/);
  if (heading.length > LONGEST_HEADING) refusal('too long a heading', heading);
  if (!VERBS.has(first)) refusal('begins with no verb', heading);
  if (heading.endsWith('.')) refusal('a heading ends without a full stop', heading);
  if (how === '') refusal('nothing says how', heading);
  if (how !== '' && sentences(how).length > MOST_SENTENCES) refusal('too many sentences', how);
  for (const one of how === '' ? [] : sentences(how)) {
    if (one.split(/\s+/).length > LONGEST_SENTENCE) refusal('too long a sentence', one);
    if (!/^[A-Z0-9].*[.?]$/.test(one)) refusal('no whole sentence', one);
  }
  for (const one of cautions.flatMap(sentences)) if (!/^[A-Z].*\.$/.test(one)) refusal('no whole sentence', one);
  if (harm !== undefined && (/[.;]$/.test(harm) || harm.split(/\s+/).length < 3 || !/^([a-z]|[A-G],? )/.test(harm)))
    refusal('does not go on from “If you skip this:”', harm);
  for (const one of supplies) if (/[.;]/.test(one)) refusal('a supply is a thing, not prose', one);
  return refusals;
}
