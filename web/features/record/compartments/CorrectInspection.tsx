import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { InspectionSheet } from '#web/features/inspections/compartments/InspectionSheet.tsx';
import { inspectionQueries } from '#web/features/inspections/inspections.queries.ts';
import type { CorrectingProps } from '#web/features/record/compartments/correcting.ts';

/** Puts right what was read when an instrument was looked over. */
export function CorrectInspection({ entryKey, said, onClose }: CorrectingProps<'inspection'>) {
  const { data } = useQuery(inspectionQueries.of(said.instrumentId, useToday()));
  return data === undefined ? null : <InspectionSheet page={data} said={said} corrects={entryKey} onClose={onClose} />;
}
