import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { ToTheBench } from '#web/features/calendar/compartments/ToTheBench.tsx';
import { WhatItCosts } from '#web/features/costs/compartments/WhatItCosts.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { HowItStands } from '#web/features/inspections/compartments/HowItStands.tsx';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

/** How an instrument stands by its numbers, when it goes to the bench, and what that costs. */
export function BenchPage() {
  const instrumentId = useInstrumentId();
  const today = useToday();
  const shelf = useQuery(instrumentQueries.shelf(today));
  const playerId = shelf.data?.find(({ id }) => id === instrumentId)?.playerId;
  return (
    <TwoColumns wide="left">
      <Column>
        <HowItStands key={instrumentId} instrumentId={instrumentId} />
      </Column>
      <Column last>
        {playerId !== undefined && (
          <>
            <ToTheBench playerId={playerId} today={today} about={instrumentId} />
            <WhatItCosts playerId={playerId} instrumentId={instrumentId} />
          </>
        )}
      </Column>
    </TwoColumns>
  );
}
