import { duration, type Format } from '#core/explain/format.ts';
import type { PlaySpan } from '#core/plays/play.ts';
import { clockTime } from '#core/plays/play-words.ts';
import type { LocalDate } from '#core/time/local-date.ts';

/** Why a play cannot be written down, and what was kept. */
export const PLAY_REFUSALS = {
  'in-the-future': () => 'That has not happened yet. A play ends now or earlier.',
  'before-it-came': ({ acquiredOn }: { acquiredOn: LocalDate }, format: Format) =>
    `It came to you on ${format.date(acquiredOn)}; an earlier play is not in this record.`,
  'after-it-left': ({ leftOn }: { leftOn: LocalDate }, format: Format) =>
    `It left the shelf on ${format.date(leftOn)}.`,
  overlaps: ({ other: { endedOn, endedAtMinute, minutes } }: { other: PlaySpan }, format: Format) => {
    const at = endedAtMinute === null ? '' : ` at ${clockTime(endedAtMinute)}`;
    return `It runs into a play already in the record: ${duration(minutes)}, ended ${format.date(endedOn)}${at}.`;
  },
  'day-is-full': ({ alreadyMinutes }: { alreadyMinutes: number }) =>
    `That day already holds ${duration(alreadyMinutes)} on this instrument; a day has 24 h.`,
  'not-played-so': () => 'These parts of this instrument are not played by themselves.',
  'no-such-play': () => 'No such play of this instrument in the record.',
  'played-twice-in-one': () => 'An instrument is in an evening once.',
  'played-on-another': () => 'It was played on another instrument. Take it back and log it there.',
};
