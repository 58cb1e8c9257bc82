import type { InstrumentPage } from '#contract/care.ts';

/** What the care of a stopped instrument waits for; null where it does not wait. */
export function careWaits({ stopped }: Pick<InstrumentPage, 'stopped'>): string | null {
  if (!stopped || stopped.mayBePlayed) return null;
  return `waits until ${stopped.clearedBy === 'self' ? 'you say that this is done' : 'somebody has looked at it'}`;
}
