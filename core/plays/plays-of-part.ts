import type { AloneId } from '#core/instruments/alone.ts';
import type { PartId } from '#core/instruments/kind.ts';
import { forecastDays, type Forecast, type PlannedDay } from '#core/plays/forecast.ts';
import { playsTouching, type PlayColumns } from '#core/plays/play-columns.ts';
import { usualWeek } from '#core/plays/usual-week.ts';

/** What was played of a part, and what is foreseen of it. */
export type PlaysOfPart = { readonly plays: PlayColumns; readonly forecast: Forecast };

type Playing = PlaysOfPart & {
  readonly planned: ReadonlyMap<number, PlannedDay>;
  /** Number of the player's today. */
  readonly today: number;
  /** Is care of this part the concern of somebody who plays these parts alone? */
  readonly isOf: (alone: AloneId, part: PartId) => boolean;
  /** Only these parts are played for a while, up to this day: the number of a day, or Infinity. */
  readonly resting: { readonly alone: AloneId; readonly last: number } | null;
};

/** A forecast in which nothing is played up to a day, that day among them. */
function restingUntil(forecast: Forecast, last: number): Forecast {
  const later = (of: (day: number) => number) => (day: number) => (day <= last ? 0 : of(day));
  return {
    ...forecast,
    minutesOn: later(forecast.minutesOn),
    spreadOn: later(forecast.spreadOn),
    playsOn: later(forecast.playsOn),
  };
}

/**
 * The plays and the forecast of each part: what stayed in the case was not played, and is not foreseen to be while only
 * other parts are. Where the whole was always played, every part has the plays of the whole.
 */
export function playsOfParts({
  plays,
  forecast,
  planned,
  today,
  isOf,
  resting,
}: Playing): (part: PartId) => PlaysOfPart {
  const made = new Map<PartId, PlaysOfPart>();
  const make = (part: PartId): PlaysOfPart => {
    const mine = playsTouching(plays, (alone) => isOf(alone, part));
    const usual = mine === plays ? forecast : forecastDays(usualWeek(mine, today), planned);
    const rests = resting !== null && !isOf(resting.alone, part);
    return { plays: mine, forecast: rests ? restingUntil(usual, resting.last) : usual };
  };
  return (part) => {
    const known = made.get(part) ?? make(part);
    made.set(part, known);
    return known;
  };
}
