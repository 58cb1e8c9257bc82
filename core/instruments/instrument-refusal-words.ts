import type { Format } from '#core/explain/format.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Why something cannot be written down about an instrument. */
export const INSTRUMENT_REFUSALS = {
  'no-such-instrument': () => 'No such instrument in the record.',
  'not-on-shelf': () => 'It is no longer on the shelf. Put it back first.',
  'no-such-part': () => 'This instrument has no such part.',
  'instrument-taken-back': () => 'This instrument was taken back. Add it under another id.',
  'id-of-another-instrument': ({ fields }: { fields: readonly string[] }) =>
    `This id belongs to another instrument: ${fields.join(', ')} differ.`,
  'comes-later': () => 'It cannot have come to you later than today.',
  'left-outside-its-time': () => 'It left between the day it came and today.',
  'played-after-it-left': ({ on }: { on: LocalDate }, format: Format) =>
    `It was played after that, last on ${format.date(on)}.`,
  'has-a-record': () => 'It has a record of its own. Let it leave the shelf instead.',
  'came-built-like-this': () => 'It came built like this. Say how it is built now instead.',
  'built-otherwise': ({ kind, allowed }: { kind: string; allowed: readonly string[] }) =>
    `A ${kind} takes here: ${allowed.join(', ')}.`,
};
