import type { CareClockView } from '#contract/care.ts';

/** What "Do all" does in one go: what is due, is not the bench's work, and was not put off. */
export const isDueAtHome = ({
  gauge: { state },
  hands,
  postponedUntil,
}: Pick<CareClockView, 'gauge' | 'hands' | 'postponedUntil'>): boolean =>
  (state === 'due' || state === 'overdue') && hands !== 'bench' && postponedUntil === null;
