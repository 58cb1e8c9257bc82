import type { AloneId } from '#core/instruments/alone.ts';
import type { AloneStanding } from '#core/situation/alone-standing.ts';
import type { AloneView } from '#contract/instruments.ts';

/** What of an instrument may be played by itself, what is the usual for a while, and what stands wet. */
export const aloneView = ({ sets, usual }: AloneStanding, wet: AloneId | null): AloneView => ({
  sets: sets.map(({ id, name }) => ({ alone: id, name })),
  usual: usual && { alone: usual.alone.id, name: usual.alone.name, last: usual.last },
  wetName: sets.find(({ id }) => id === wet)?.name ?? null,
});
