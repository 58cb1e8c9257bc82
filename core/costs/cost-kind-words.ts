import type { CostKind } from '#core/costs/bill.ts';

/** What money went into, as a chart and a table say it. */
export const COST_KIND_WORDS: Readonly<Record<CostKind, string>> = {
  service: 'Service',
  repair: 'Repairs',
  reeds: 'Reeds',
  things: 'Things bought',
};
