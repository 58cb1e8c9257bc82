import type { AirRead } from '#core/air/air-record.ts';
import { estimate, general, type Marked } from '#core/explain/explained.ts';
import type { ReedState } from '#core/reeds/reed-state.ts';
import type { Resistance, Sits } from '#core/reeds/reed.ts';
import { daysBetween, type LocalDate } from '#core/time/local-date.ts';

/** What the air of the day asks of a double reed; null where it asks nothing, or nobody has read it. */
export type DoubleWeather = { readonly warmth: 'cold' | 'hot' | null; readonly air: 'damp' | 'dry' | null };

/** Where the air asks something: per cent and °C. Damp and dry are common practice, what is cold and hot an estimate. */
export const WEATHER_FROM = {
  damp: general(65),
  dry: general(35),
  cold: estimate(16),
  hot: estimate(27),
} as const;

export function weatherOf(read: Pick<AirRead, 'celsius' | 'humidityPercent'> | undefined): DoubleWeather {
  if (read === undefined) return { warmth: null, air: null };
  const { celsius, humidityPercent } = read;
  return {
    warmth: celsius <= WEATHER_FROM.cold.value ? 'cold' : celsius >= WEATHER_FROM.hot.value ? 'hot' : null,
    air: humidityPercent >= WEATHER_FROM.damp.value ? 'damp' : humidityPercent < WEATHER_FROM.dry.value ? 'dry' : null,
  };
}

/** Played within so many days it is known how it plays: for a concert. */
export const LATELY_DAYS = estimate(3);
/**
 * What speaks against a double reed in this weather, in penalty minutes: concert before cold or hot before damp or dry, so
 * that each outweighs all that come after it. Estimates.
 */
const AGAINST = { notLately: 50, warmthStep: 18, airStep: 3 } as const;

export type WeatherReason =
  | { readonly rule: 'not-lately'; readonly days: number | null; readonly penalty: number }
  | { readonly rule: 'cold' | 'hot'; readonly sits: Sits; readonly penalty: number }
  | { readonly rule: 'damp' | 'dry'; readonly resistance: Resistance; readonly penalty: number };

const OF_WEATHER: readonly string[] = ['not-lately', 'cold', 'hot', 'damp', 'dry'] satisfies WeatherReason['rule'][];
export const isOfWeather = <One extends { readonly rule: string }>(
  reason: One | WeatherReason,
): reason is WeatherReason => OF_WEATHER.includes(reason.rule);

/** In the cold everything goes flat: the one that sits sharp comes first; in the heat the one that sits flat. */
const FROM_SHARP: Readonly<Record<Sits, number>> = { sharp: 0, 'in-tune': 1, flat: 2 };
const MIDDLE_RESISTANCE = 3;

/** What weighs of a double reed beside its rest and its wear; what nobody said of it weighs nothing. */
export function weatherReasons(
  { grade, lastPlayedOn }: Pick<ReedState, 'grade' | 'lastPlayedOn'>,
  { warmth, air }: DoubleWeather,
  { isConcert, today }: { readonly isConcert: boolean; readonly today: LocalDate },
): WeatherReason[] {
  const days = lastPlayedOn === null ? null : daysBetween(lastPlayedOn, today);
  const { sits, resistance } = grade ?? {};
  const reasons: WeatherReason[] = [];
  if (isConcert && (days === null || days > LATELY_DAYS.value))
    reasons.push({ rule: 'not-lately', days, penalty: AGAINST.notLately });
  if (warmth !== null && sits !== undefined) {
    const steps = warmth === 'cold' ? FROM_SHARP[sits] : 2 - FROM_SHARP[sits];
    reasons.push({ rule: warmth, sits, penalty: (steps - 1) * AGAINST.warmthStep });
  }
  if (air !== null && resistance !== undefined) {
    const harder = resistance - MIDDLE_RESISTANCE;
    reasons.push({ rule: air, resistance, penalty: (air === 'damp' ? harder : -harder) * AGAINST.airStep });
  }
  return reasons;
}

/** Longer in the water where the air is dry: minutes beyond the usual (estimate). */
export const LONGER_WHEN_DRY: Marked = estimate(3);
