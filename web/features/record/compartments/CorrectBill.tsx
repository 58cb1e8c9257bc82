import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { BillSheet } from '#web/features/costs/compartments/BillSheet.tsx';
import { costQueries } from '#web/features/costs/costs.queries.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';

/** Puts a bill or a quote right. */
export function CorrectBill({ entryKey, said, onClose }: CorrectingProps<'bill'>) {
  const today = useToday();
  const shelf = useQuery(instrumentQueries.shelf(today));
  const playerId = shelf.data?.find(({ id }) => id === said.instrumentId)?.playerId;
  const costs = useQuery({ ...costQueries.of(playerId ?? ('' as never), today), enabled: playerId !== undefined });
  return costs.data === undefined ? null : (
    <BillSheet view={costs.data} instrumentId={said.instrumentId} said={said} corrects={entryKey} onClose={onClose} />
  );
}
