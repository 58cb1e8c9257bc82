import { duration, figure, type Format } from '#core/explain/format.ts';
import type { PlayFault } from '#core/plays/play.ts';

/** 1140 → "19:00". */
export const clockTime = (minuteOfDay: number): string =>
  `${String(Math.floor(minuteOfDay / 60)).padStart(2, '0')}:${String(minuteOfDay % 60).padStart(2, '0')}`;

/** Why a play cannot be written down, and what was kept. */
export function playFaultWords(fault: PlayFault, format: Format): string {
  switch (fault.code) {
    case 'in-the-future':
      return 'That has not happened yet. A play ends now or earlier.';
    case 'before-it-came':
      return `It came to you on ${format.date(fault.acquiredOn)}; an earlier play is not in this record.`;
    case 'after-it-left':
      return `It left the shelf on ${format.date(fault.leftOn)}.`;
    case 'overlaps': {
      const { endedOn, endedAtMinute, minutes } = fault.other;
      const at = endedAtMinute === null ? '' : ` at ${clockTime(endedAtMinute)}`;
      return `It runs into a play already in the record: ${duration(minutes)}, ended ${format.date(endedOn)}${at}.`;
    }
    case 'day-is-full':
      return `That day already holds ${duration(fault.alreadyMinutes)} on this instrument; a day has 24 h.`;
  }
}

/** A play as it stands in the record. */
export const playWords = (minutes: number, roomCelsius: number | null): string =>
  `Played ${duration(minutes)}${roomCelsius === null ? '' : ` at about ${figure(roomCelsius)} °C`}`;
