import { createFormat } from '#core/explain/format.ts';

/**
 * How numbers, days, temperatures and weights are written for whoever holds this device: in the language the browser asks
 * the server for as well, so that both write a day alike.
 */
export const FORMAT = createFormat(globalThis.navigator?.language);
