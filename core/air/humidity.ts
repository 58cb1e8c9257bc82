const GAS_CONSTANT_OF_VAPOUR = 461.52; // J/(kg K)
const KELVIN = 273.15;

/**
 * Saturation vapour pressure, Pa: over water, below 0 °C over ice.
 *
 * `e = 610.94 · exp(17.625 t / (243.04 + t))` over water, stated error ≤ 0.384 %; over ice `exp(22.587 t / (273.86 + t))`
 * with the same factor (the paper has 611.21), so that it nowhere falls as the air grows warmer.
 * Source: Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601–609 ("AERK", "AERKi"; coefficients recalled from memory,
 * checked against psychrolib in the test).
 *
 * @param celsius air temperature, °C
 */
export const saturationPressure = (celsius: number): number =>
  610.94 * Math.exp(celsius < 0 ? (22.587 * celsius) / (273.86 + celsius) : (17.625 * celsius) / (243.04 + celsius));

/**
 * Water vapour in air, g/m³: `ρ = rh · e_s / (R_v T)`.
 *
 * @param relativeHumidity 0…1
 */
export const absoluteHumidity = (celsius: number, relativeHumidity: number): number =>
  (1000 * relativeHumidity * saturationPressure(celsius)) / (GAS_CONSTANT_OF_VAPOUR * (celsius + KELVIN));
