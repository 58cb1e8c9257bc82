import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { ToTheBench } from '#web/features/calendar/compartments/ToTheBench.tsx';
import { WhatItCosts } from '#web/features/costs/compartments/WhatItCosts.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { HowItStands } from '#web/features/inspections/compartments/HowItStands.tsx';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

/** Before it goes there, when it comes back, and what is printed of it: for the bench, and for whoever pays. */
const ThereAndBack = ({ instrumentId }: { readonly instrumentId: string }) => (
  <Compartment title="There and back">
    <PlainList>
      <PlainRow>
        <TallLink to={`/bench/${instrumentId}/pack`}>Pack it for the bench, line by line</TallLink>
      </PlainRow>
      <PlainRow>
        <TallLink to={`/bench/${instrumentId}/fetch`}>Look at it when you fetch it, line by line</TallLink>
      </PlainRow>
      <PlainRow>
        <TallLink to={`/bench/${instrumentId}/ticket`}>The ticket for the bench, on paper</TallLink>
      </PlainRow>
      <PlainRow>
        <TallLink to={`/bench/${instrumentId}/year`}>Its year on one page, for whoever pays</TallLink>
      </PlainRow>
    </PlainList>
  </Compartment>
);

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
            <ThereAndBack instrumentId={instrumentId} />
          </>
        )}
      </Column>
    </TwoColumns>
  );
}
