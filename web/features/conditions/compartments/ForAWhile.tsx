import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import { useQuery } from '@tanstack/react-query';
import { useToday } from '#web/clock/today.ts';
import { useConditionActions } from '#web/features/conditions/conditions.actions.ts';
import { conditionQueries } from '#web/features/conditions/conditions.queries.ts';
import { useReadAir } from '#web/features/air/air.actions.ts';
import { airQueries } from '#web/features/air/air.queries.ts';
import { AirToday } from '#web/features/air/parts/AirToday.tsx';
import { StandingConditions } from '#web/features/conditions/parts/StandingConditions.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

/** Illness, a new cork, dry air …: what changes what is due for a while. */
export function ForAWhile({
  instrumentId,
  playerId,
}: {
  readonly instrumentId: InstrumentId;
  readonly playerId: PlayerId;
}) {
  const today = useToday();
  const query = useQuery(conditionQueries.page(instrumentId, today));
  const actions = useConditionActions(instrumentId);
  const air = useReadAir();
  const read = useQuery(airQueries.of(playerId, today)).data?.read ?? null;
  return (
    <QueryView query={query} height={120}>
      {(page) => (
        <StandingConditions page={page} today={today} actions={actions}>
          {page.offers.some(({ asks }) => asks === 'air') && <AirToday playerId={playerId} read={read} air={air} />}
        </StandingConditions>
      )}
    </QueryView>
  );
}
