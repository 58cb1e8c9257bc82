import { keptWithdrawal } from '#contract/record.ts';
import { withdrawals } from '#server/record/record.table.ts';
import { bodyTable } from '#server/record/body-table.repository.ts';
import { defineFact } from '#server/record/define-fact.ts';

export const WITHDRAWAL = 'withdrawal';
export type Withdrawal = { readonly targetKey: string };

/** A fact was taken back. A fact of its own, which itself is not taken back. */
export const withdrawalDefinition = defineFact<unknown, Withdrawal>()(
  { kind: WITHDRAWAL, about: () => [], kept: keptWithdrawal },
  { store: bodyTable(withdrawals, { toRow: (body) => body, fromRow: ({ targetKey }) => ({ targetKey }) }) },
);
