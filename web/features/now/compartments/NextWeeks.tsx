import { useQuery } from '@tanstack/react-query';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { useToday } from '#web/clock/today.ts';
import { partsOf } from '#web/features/calendar/parts/sitting-parts.ts';
import { SittingToday } from '#web/features/calendar/parts/SittingToday.tsx';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Space } from '#web/ui/layout.tsx';

/** The next sitting of a player; nothing where none is planned. */
export function NextWeeks({ playerId }: { readonly playerId: PlayerId }) {
  const { data } = useQuery(sittingQueries.of(playerId, useToday()));
  const { begin, busy } = useBeginRun();
  const [next] = data?.sittings ?? [];
  if (data === undefined || next === undefined) return null;
  return (
    <Space above={2}>
      <Compartment title="The next weeks">
        <SittingToday
          today={data.today}
          next={next}
          busy={busy}
          onStart={() => begin({ kind: 'care', playerId, parts: partsOf(next) })}
        />
      </Compartment>
    </Space>
  );
}
