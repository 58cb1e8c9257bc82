import { Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { addDays } from '#core/time/local-date.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { EventView } from '#contract/calendar.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { SittingDays, type Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';

/** Days that are listed at once; the weeks after unfold. */
const FIRST_DAYS = 14;

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
  const [isWhole, setIsWhole] = useState(false);
  const last = addDays(view.today, FIRST_DAYS);
  const events = useQuery(calendarQueries.of(playerId, view.today)).data ?? [];
  // The next one stands by itself beside this list.
  const sittings = view.sittings.slice(1);
  const ahead = view.events.filter(({ until }) => until >= view.today);
  const later = [...sittings, ...ahead].filter(({ on }) => on >= last).length;
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
        sittings={sittings.filter(({ on }) => isWhole || on < last)}
        events={ahead.filter(({ on }) => isWhole || on < last)}
        busy={busy}
        onStart={onStart}
        onMove={onMove}
        onEvent={(key) => open(events.find((one) => one.key === key) ?? null)}
      />
      {!isWhole && later > 0 && (
        <Button color="inherit" onClick={() => setIsWhole(true)}>
          {`Show the four weeks after, ${later === 1 ? '1 entry' : `${later} entries`}`}
        </Button>
      )}
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
