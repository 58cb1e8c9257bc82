import { counted, type Format } from '#core/explain/format.ts';
import {
  LATELY_DAYS,
  LONGER_WHEN_DRY,
  WEATHER_FROM,
  type DoubleWeather,
  type WeatherReason,
} from '#core/reeds/reed-weather.ts';

const SITS = { flat: 'sits a little flat', 'in-tune': 'sits in tune', sharp: 'sits a little sharp' } as const;

/** One reason of the weather, without what it weighs. */
export function weatherReasonWords(reason: WeatherReason, format: Format): string {
  switch (reason.rule) {
    case 'not-lately':
      return reason.days === null
        ? 'It has not been played yet.'
        : `It was last played ${counted(reason.days, 'day')} ago; for a concert within ${LATELY_DAYS.value}.`;
    case 'cold':
      return `In the cold (up to ${format.celsius(WEATHER_FROM.cold.value)}) everything goes flat, and it ${SITS[reason.sits]}.`;
    case 'hot':
      return `In the heat (from ${format.celsius(WEATHER_FROM.hot.value)}) everything goes sharp, and it ${SITS[reason.sits]}.`;
    case 'damp':
      return `In damp air (from ${WEATHER_FROM.damp.value} %) reeds feel heavier, and its resistance is ${reason.resistance} of 5.`;
    case 'dry':
      return `In dry air (below ${WEATHER_FROM.dry.value} %) the tip closes, and its resistance is ${reason.resistance} of 5.`;
  }
}

/** What the weather asks of the choice, said once above all of them. */
export function weatherWords({ warmth, air }: DoubleWeather): string[] {
  return [
    ...(warmth === 'cold' ? ['It is cold, and everything goes flat: a reed that sits sharp comes first.'] : []),
    ...(warmth === 'hot' ? ['It is hot, and everything goes sharp: a reed that sits flat comes first.'] : []),
    ...(air === 'damp' ? ['The air is damp, and reeds feel heavier: an easier one comes first.'] : []),
    ...(air === 'dry'
      ? [
          `The air is dry: a more resistant reed comes first, and lies in water ${LONGER_WHEN_DRY.value} minutes longer than usual.`,
        ]
      : []),
  ];
}
