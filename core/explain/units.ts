/** In which units somebody reads and types. */
export const TEMPERATURES = ['celsius', 'fahrenheit'] as const;
export const LENGTHS = ['mm', 'inch'] as const;
export type Units = {
  readonly temperature: (typeof TEMPERATURES)[number];
  readonly length: (typeof LENGTHS)[number];
};
export const METRIC: Units = { temperature: 'celsius', length: 'mm' };

const FREEZING_FAHRENHEIT = 32;
const FAHRENHEIT_A_CELSIUS = 1.8;
const MM_AN_INCH = 25.4;
const MM_A_CM = 10;

/** Degrees as they are shown, of °C. Exact by definition: °F = 1.8 °C + 32 (NIST SP 811, B.8). */
export const degreesShown = (celsius: number, { temperature }: Units): number =>
  temperature === 'celsius' ? celsius : celsius * FAHRENHEIT_A_CELSIUS + FREEZING_FAHRENHEIT;

/** °C of degrees as they were typed; a tenth is more than any hygrometer knows. */
export const celsiusTyped = (degrees: number, { temperature }: Units): number =>
  temperature === 'celsius' ? degrees : Math.round(((degrees - FREEZING_FAHRENHEIT) / FAHRENHEIT_A_CELSIUS) * 10) / 10;

export const temperatureUnit = ({ temperature }: Units): string => (temperature === 'celsius' ? '°C' : '°F');

const LENGTH = /(\d+(?:[.,]\d+)?)\s?(mm|cm)\b/g;

/** A tenth of an inch is as fine as anybody reads off a rule; what is finer keeps one figure. */
const rounded = (inches: number): string =>
  inches < 0.1 ? inches.toPrecision(1) : String(Math.round(inches * 10) / 10);

/** Words with their lengths in the reader's unit: 1 inch = 25.4 mm exactly (NIST SP 811, B.8). */
export const lengthsIn = (words: string, { length }: Units): string =>
  length === 'mm'
    ? words
    : words.replace(LENGTH, (_all, figure: string, unit: string) => {
        const mm = Number(figure.replace(',', '.')) * (unit === 'cm' ? MM_A_CM : 1);
        return `${rounded(mm / MM_AN_INCH)} in`;
      });
