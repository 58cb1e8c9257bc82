import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { isOnStage } from '#core/calendar/event.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ReedsOfKindView } from '#contract/reed-views.ts';
import { useToday } from '#web/clock/today.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { Concerts } from '#web/features/calendar/parts/Concerts.tsx';
import { Readiness, type Asked } from '#web/features/reeds/parts/Readiness.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Space } from '#web/ui/layout.tsx';

const [EventSheet] = lazyPart(async () => (await import('#web/features/calendar/parts/EventSheet.tsx')).EventSheet);

export type ReedsOfKindProps = { readonly of: ReedsOfKindView; readonly playerId: PlayerId };

/** Ready for the concert: the concerts to come, and for a day a number of reeds with its table. */
export function ReadyForConcert({ of, playerId }: ReedsOfKindProps) {
  const today = useToday();
  const [asked, setAsked] = useState<Asked>({ on: null, wanted: 2 });
  const [adding, setAdding] = useState(false);
  const event = useEvent();
  const events = useQuery(calendarQueries.of(playerId, today));
  const mine = new Set<string>(of.instruments.map(({ instrumentId }) => instrumentId));
  const concerts = (events.data ?? []).filter(
    ({ what, instrumentIds }) => isOnStage(what) && instrumentIds.some((id) => mine.has(id)),
  );
  const { on, wanted } = asked;
  const query = useQuery({
    ...reedQueries.readiness(playerId, of.kind, { on: on ?? today, wanted, today }),
    enabled: on !== null && on >= today,
  });
  const add = () => {
    event.open();
    setAdding(true);
  };
  return (
    <Compartment
      title="Ready for the concert"
      aside={
        of.instruments.length > 0 && (
          <Button color="inherit" onClick={add}>
            Add a concert
          </Button>
        )
      }
    >
      <Concerts
        events={concerts}
        onReady={({ on: day }) => setAsked({ ...asked, on: day })}
        onDelete={(one) => event.remove(one)}
      />
      <Space above={concerts.length > 0 ? 2 : 0}>
        <Readiness asked={asked} onAsk={setAsked} ready={on === null ? null : (query.data ?? null)} />
      </Space>
      {adding && (
        <EventSheet
          playerId={playerId}
          instruments={of.instruments}
          kinds={['concert', 'audition']}
          event={event}
          onClose={() => setAdding(false)}
        />
      )}
    </Compartment>
  );
}
