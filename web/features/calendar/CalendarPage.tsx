import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CareItemId } from '#core/book/care-ids.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { EventView } from '#contract/calendar.ts';
import { sittingPaths, type SittingsView } from '#contract/sittings.ts';
import { useToday } from '#web/clock/today.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { PlacedItems, placedWhy, SittingDays, type Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';
import { SittingTimes } from '#web/features/calendar/parts/SittingTimes.tsx';
import { WeekRibbon } from '#web/features/calendar/parts/WeekRibbon.tsx';
import { useSittingTime } from '#web/features/calendar/sittings.actions.ts';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import { useBeginRun } from '#web/features/packup/begin-run.actions.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

/** The instruments of a sitting, each with what is done on it. */
function partsOf({ items }: Sitting) {
  const parts = new Map<InstrumentId, CareItemId[]>();
  for (const { instrumentId, itemId } of items) parts.set(instrumentId, [...(parts.get(instrumentId) ?? []), itemId]);
  return [...parts].map(([instrumentId, itemIds]) => ({ instrumentId, itemIds }));
}

type NextProps = {
  readonly view: SittingsView;
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
  readonly onTimes: () => void;
};

/** What to do next, and when: the first sitting of the plan. */
function Next({ view: { sittings, today, words, because, said }, busy, onStart, onTimes }: NextProps) {
  const [next] = sittings;
  return (
    <Compartment>
      {next ? (
        <>
          <Typography color="text.secondary">Next sitting</Typography>
          <Typography variant="h1">
            {nearDay(next.on, today)}, {next.words}
          </Typography>
          <Box sx={{ my: 1 }}>
            <PlacedItems items={next.items} />
          </Box>
          <WhyFold lines={placedWhy(next.items)} about="the next sitting" />
          <BrassButton disabled={busy} onClick={() => onStart(next)} sx={{ my: 1 }}>
            {next.on === today ? 'Start it' : 'Do it now instead'}
          </BrassButton>
        </>
      ) : (
        <Typography variant="h1" sx={{ mb: 1 }}>
          No sitting in six weeks.
        </Typography>
      )}
      <Typography sx={{ mt: 1 }}>{words}</Typography>
      <WhyFold lines={because} about="the plan of six weeks" />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {said === null
          ? 'Ulu takes a quarter of an hour on weekdays and an hour at the weekend, until you say when you have time.'
          : 'Planned within the time you have said you have.'}
      </Typography>
      <Button color="inherit" onClick={onTimes}>
        When have you time?
      </Button>
    </Compartment>
  );
}

/** What finds no day in six weeks, and what it needs. */
function Left({ left }: Pick<SittingsView, 'left'>) {
  if (left.length === 0) return null;
  return (
    <Compartment title="Finds no day">
      <PlacedItems items={left} />
      <WhyFold lines={placedWhy(left)} about="what finds no day" />
    </Compartment>
  );
}

function Loaded({ view, playerId }: { readonly view: SittingsView; readonly playerId: PlayerId }) {
  const [sheet, setSheet] = useState<'times' | 'event' | EventView | null>(null);
  const time = useSittingTime();
  const event = useEvent();
  const { begin, busy } = useBeginRun();
  const events = useQuery(calendarQueries.of(playerId, view.today)).data ?? [];
  const open = (what: typeof sheet) => {
    time.open();
    event.open();
    setSheet(what);
  };
  const close = () => setSheet(null);
  const start = (sitting: Sitting) => begin({ kind: 'care', playerId, parts: partsOf(sitting) });
  return (
    <TwoColumns wide="left">
      <Box sx={{ gridColumn: '1 / -1', minWidth: 0 }}>
        <Compartment title="Six weeks">
          <WeekRibbon {...view} />
        </Compartment>
      </Box>
      <Column>
        <Next view={view} busy={busy} onStart={start} onTimes={() => open('times')} />
        <Left left={view.left} />
      </Column>
      <Column>
        <Compartment
          title="Day by day"
          aside={
            view.instruments.length > 0 && (
              <Button color="inherit" onClick={() => open('event')}>
                Add to the calendar
              </Button>
            )
          }
        >
          <SittingDays
            sittings={view.sittings}
            events={view.events}
            busy={busy}
            onStart={start}
            onEvent={(key) => open(events.find((one) => one.key === key) ?? null)}
          />
          <Button color="inherit" href={sittingPaths.fileOf(playerId, view.today)} sx={{ mt: 1 }}>
            Save as a calendar file (.ics)
          </Button>
        </Compartment>
      </Column>
      {sheet === 'times' && <SittingTimes view={view} time={time} onClose={close} />}
      {sheet !== null && sheet !== 'times' && (
        <EventSheet
          playerId={playerId}
          instruments={view.instruments}
          {...(sheet === 'event' ? {} : { old: sheet })}
          event={event}
          onClose={close}
        />
      )}
    </TwoColumns>
  );
}

/** Six weeks of whoever holds the device: what falls due packed into few sittings, around what is on. */
export function CalendarPage() {
  const today = useToday();
  const players = useQuery(playerQueries.list());
  const playerId = useCurrentPlayer(players.data)?.id as PlayerId | undefined;
  const query = useQuery({ ...sittingQueries.of(playerId ?? '', today), enabled: playerId !== undefined });
  return (
    <QueryView query={query} height={520}>
      {(view) => <Loaded key={view.playerId} view={view} playerId={view.playerId as PlayerId} />}
    </QueryView>
  );
}
