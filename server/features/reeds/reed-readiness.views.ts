import type { PlayerId } from '#core/instruments/instrument.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { readinessFor, type Readiness } from '#core/reeds/readiness.ts';
import { readinessWhy, readinessWords } from '#core/reeds/reed-plan-words.ts';
import { nextOpened } from '#core/reeds/reeds-today.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';
import type { ReadinessView } from '#contract/reed-views.ts';
import { notFound, type Failure } from '#server/failure.ts';
import { concertDays, reedsOf, type OfKind } from '#server/features/reeds/reeds-of-kind.ts';
import type { Services } from '#server/services.ts';

/** A second reed stands ready at a concert. */
const AT_A_CONCERT = 2;

/** What one player asks of the reeds for a day. */
function readinessBy(ofKind: OfKind, { on, wanted, today }: Omit<Wanting, 'kind'>): Readiness {
  const from = dayNumber(today);
  const days = Array.from({ length: Math.max(0, dayNumber(on) - from) }, (_, index) => ofKind.minutesOn(from + index));
  return readinessFor({
    on,
    wanted,
    today,
    reeds: ofKind.reeds,
    lives: ofKind.lives,
    minutesUntil: days.reduce((sum, one) => sum + one, 0),
    family: ofKind.family,
    wish: ofKind.wish,
    breakIn: (nextOpened(ofKind.reeds)?.box ?? ofKind.boxes.at(-1))?.breakIn ?? 'week',
  });
}

/** The next concert on these instruments, today's among them, with the reeds there are for it; null where none is known. */
export function nextConcertOf(ofKind: OfKind, today: LocalDate): Readiness | null {
  const [coming] = concertDays(ofKind, today);
  return coming === undefined ? null : readinessBy(ofKind, { on: dateOfDay(coming), wanted: AT_A_CONCERT, today });
}

type Wanting = { readonly kind: KindId; readonly on: LocalDate; readonly wanted: number; readonly today: LocalDate };

/** How many reeds to open for a day, and by when. */
export function readinessOf(
  services: Services,
  playerId: PlayerId,
  { kind, on, wanted, today }: Wanting,
): Outcome<ReadinessView, Failure> {
  const ofKind = reedsOf(services, playerId, today).find((one) => one.kind === kind);
  if (ofKind === undefined) return fail(notFound('kind', { code: 'no-reeds-on-it' }));
  const ready = readinessBy(ofKind, { on, wanted, today });
  const { format } = services;
  return succeed({
    words: readinessWords(ready, format),
    because: readinessWhy(ready, ofKind.family, format),
    table: ready.table.map(({ opened, chance }) => ({ opened, chance })),
  });
}
