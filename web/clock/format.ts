import { createFormat } from '#core/explain/format.ts';
import { language, units } from '#web/session/settings.ts';

/**
 * How numbers, days, temperatures and weights are written for whoever holds this device: as it was told, else as its
 * browser says. The server is asked for the same, so that both write a day alike.
 */
export const FORMAT = createFormat(language(), units());
