import { Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { EventView } from '#contract/calendar.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { SittingDays, type Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';

type DayByDayProps = {
  readonly view: SittingsView;
  readonly playerId: PlayerId;
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
  readonly onMove: (sitting: Sitting) => void;
};

/** The list of the weeks, with what is added to it and put right in it. */
export function DayByDay({ view, playerId, busy, onStart, onMove }: DayByDayProps) {
  const [sheet, setSheet] = useState<'new' | EventView | null>(null);
  const event = useEvent();
  const events = useQuery(calendarQueries.of(playerId, view.today)).data ?? [];
  const open = (what: typeof sheet) => {
    event.open();
    setSheet(what);
  };
  return (
    <Compartment
      title="Day by day"
      aside={
        view.instruments.length > 0 && (
          <Button color="inherit" onClick={() => open('new')}>
            Add to the calendar
          </Button>
        )
      }
    >
      <SittingDays
        sittings={view.sittings}
        events={view.events.filter(({ until }) => until >= view.today)}
        busy={busy}
        onStart={onStart}
        onMove={onMove}
        onEvent={(key) => open(events.find((one) => one.key === key) ?? null)}
      />
      {sheet !== null && (
        <EventSheet
          playerId={playerId}
          instruments={view.instruments}
          {...(sheet === 'new' ? {} : { old: sheet })}
          event={event}
          onClose={() => setSheet(null)}
        />
      )}
    </Compartment>
  );
}
