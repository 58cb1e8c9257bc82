import type { AirRead } from '#core/air/air-record.ts';
import { withAir } from '#core/conditions/air-conditions.ts';
import type { StandingCondition } from '#server/features/conditions/conditions.repository.ts';

/** The conditions in the record, and what readings of the air make of them. */
export function standingWithAir(
  standing: readonly StandingCondition[],
  reads: readonly AirRead[],
): readonly StandingCondition[] {
  const { entered, read } = withAir(
    standing.map(({ condition }) => condition),
    reads,
  );
  return [
    ...standing.map((one, at) => ({ ...one, condition: entered[at] ?? one.condition })),
    ...read.map((condition) => ({ condition, ofPlayer: true, endKey: null, byReading: true })),
  ];
}
