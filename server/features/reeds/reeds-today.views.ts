import type { Format } from '#core/explain/format.ts';
import type { WallClock } from '#core/plays/play.ts';
import { nextConcertWords, secondReedWords } from '#core/reeds/next-concert-words.ts';
import { readinessWhy } from '#core/reeds/reed-plan-words.ts';
import { reedsToday, type ReedsToday } from '#core/reeds/reeds-today.ts';
import { addDays, daysBetween, type LocalDate } from '#core/time/local-date.ts';
import type { ReedsOfKindView } from '#contract/reed-views.ts';
import { nextConcertOf } from '#server/features/reeds/reed-readiness.views.ts';
import { playAtHand, proposalOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';

/** New reeds are opened from so many days before the last day on: a few at a time, not all on that day (estimate). */
const OPENED_FROM_DAYS = 7;

/** What is played in the play at hand, reed after reed, and what else is to be done about reeds today. */
export function reedsTodayOf(ofKind: OfKind, now: WallClock): ReedsToday {
  const { reeds, family } = ofKind;
  const ready = nextConcertOf(ofKind, now.on);
  const isTime =
    ready?.openBy !== undefined && ready.openBy !== null && ready.openBy <= addDays(now.on, OPENED_FROM_DAYS);
  return reedsToday({
    today: now.on,
    reeds,
    family,
    proposal: proposalOf(ofKind, now),
    ...playAtHand(ofKind, now),
    forConcert: isTime ? ready.advised : 0,
  });
}

/** The next concert and its reeds, until it is over; null where none is known. */
export function concertView(ofKind: OfKind, today: LocalDate, format: Format): ReedsOfKindView['concert'] {
  const ready = nextConcertOf(ofKind, today);
  if (ready === null) return null;
  return {
    on: ready.on,
    words: [
      nextConcertWords(ready, ofKind.reeds, today, format),
      ofKind.family === 'double' ? secondReedWords(ofKind.reeds, daysBetween(today, ready.on)) : null,
    ]
      .filter((one) => one !== null)
      .join(' '),
    because: readinessWhy(ready, ofKind.family, format),
  };
}
