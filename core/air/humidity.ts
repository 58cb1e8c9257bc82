const GAS_CONSTANT_OF_VAPOUR = 461.52; // J/(kg K)
const KELVIN = 273.15;

/**
 * Saturation vapour pressure over water, Pa.
 *
 * `e = 610.94 · exp(17.625 t / (243.04 + t))`, −40…50 °C, stated error ≤ 0.384 %.
 * Source: Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601–609 ("AERK"; coefficients recalled from memory,
 * checked against psychrolib in the test).
 *
 * @param celsius air temperature, °C
 */
export const saturationPressure = (celsius: number): number =>
  610.94 * Math.exp((17.625 * celsius) / (243.04 + celsius));

/**
 * Water vapour in air, g/m³: `ρ = rh · e_s / (R_v T)`.
 *
 * @param relativeHumidity 0…1
 */
export const absoluteHumidity = (celsius: number, relativeHumidity: number): number =>
  (1000 * relativeHumidity * saturationPressure(celsius)) / (GAS_CONSTANT_OF_VAPOUR * (celsius + KELVIN));
