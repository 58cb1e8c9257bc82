import { createFormat } from '#core/explain/format.ts';

/** How numbers, days, temperatures and weights are written for whoever holds this device. */
export const FORMAT = createFormat();
