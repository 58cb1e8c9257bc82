import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { counted } from '#core/explain/format.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { EventView } from '#contract/calendar.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { EventSheet } from '#web/features/calendar/parts/EventSheet.tsx';
import { PlacedItems, placedWhy, SittingDays, type Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { partsOf } from '#web/features/calendar/parts/sitting-parts.ts';
import { nearDay } from '#web/features/calendar/parts/near-day.ts';
import { OneOrAll, type Shown } from '#web/features/calendar/parts/OneOrAll.tsx';
import { OtherCalendars } from '#web/features/calendar/OtherCalendars.tsx';
import { ToTheBench } from '#web/features/calendar/ToTheBench.tsx';
import { SittingSheet } from '#web/features/calendar/parts/SittingSheet.tsx';
import { SittingTimes } from '#web/features/calendar/parts/SittingTimes.tsx';
import { useSittingMoves } from '#web/features/calendar/use-sitting-moves.ts';
import { WeekRibbon } from '#web/features/calendar/parts/WeekRibbon.tsx';
import { useSittingTime } from '#web/features/calendar/sittings.actions.ts';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import { useBeginRun } from '#web/features/packup/begin-run.actions.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

const [EverybodysRibbon] = lazyPart(
  async () => (await import('#web/features/calendar/EverybodysRibbon.tsx')).EverybodysRibbon,
);

type NextProps = {
  readonly view: SittingsView;
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
};

/** What to do next, and when: the first sitting of the plan. */
function Next({ view, busy, onStart }: NextProps) {
  const { sittings, today, words, because, said } = view;
  const [isAsking, setIsAsking] = useState(false);
  const time = useSittingTime();
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
      <Button
        color="inherit"
        onClick={() => {
          time.open();
          setIsAsking(true);
        }}
      >
        When have you time?
      </Button>
      {isAsking && <SittingTimes view={view} time={time} onClose={() => setIsAsking(false)} />}
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

/** Care that is in no sitting, for nobody knows when it was last done. */
function Unknown({ unknown }: Pick<SittingsView, 'unknown'>) {
  if (unknown.length === 0) return null;
  return (
    <Compartment title="In no sitting yet">
      {unknown.map(({ instrumentId, name, count }) => (
        <Typography key={instrumentId} sx={{ overflowWrap: 'anywhere' }}>
          Nobody knows when {counted(count, 'thing')} on {name} {count === 1 ? 'was' : 'were'} last done.{' '}
          <MuiLink component={Link} to={`/care/${instrumentId}`} color="inherit" sx={TALL_LINK}>
            Say when
          </MuiLink>
        </Typography>
      ))}
    </Compartment>
  );
}
const TALL_LINK = { display: 'inline-block', py: 1.5, my: -1 };

type DayByDayProps = {
  readonly view: SittingsView;
  readonly playerId: PlayerId;
  readonly busy: boolean;
  readonly onStart: (sitting: Sitting) => void;
  readonly onMove: (sitting: Sitting) => void;
};

/** The list of the weeks, with what is added to it and put right in it. */
function DayByDay({ view, playerId, busy, onStart, onMove }: DayByDayProps) {
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

type LoadedProps = {
  readonly view: SittingsView;
  readonly playerId: PlayerId;
  /** The instrument chosen on the shelf, where it is the player's. */
  readonly chosen: InstrumentId | null;
};

function Loaded({ view, playerId, chosen }: LoadedProps) {
  const [shown, setShown] = useState<Shown>(() => ({ kind: 'mine', only: chosen }));
  const { moving, move, opened, open, close, busy: isMoving } = useSittingMoves(view, playerId);
  const reeds = useQuery(sittingQueries.reedDays(playerId, wallNow()));
  const { begin, busy } = useBeginRun();
  const start = (sitting: Sitting) => begin({ kind: 'care', playerId, parts: partsOf(sitting) });
  return (
    <TwoColumns wide="left" longRight>
      <Box sx={{ gridColumn: '1 / -1', minWidth: 0 }}>
        <Compartment
          title="Six weeks"
          aside={<OneOrAll instruments={view.instruments} shown={shown} onChange={setShown} />}
        >
          {shown.kind === 'everybody' ? (
            <EverybodysRibbon today={view.today} />
          ) : (
            <WeekRibbon
              view={view}
              reeds={reeds.data}
              only={shown.only}
              moving={moving}
              onMove={(uid, to) => move(view.sittings.find((one) => one.uid === uid)?.items ?? [], to, uid)}
              onOpen={open}
            />
          )}
        </Compartment>
      </Box>
      <Column>
        <Next view={view} busy={busy} onStart={start} />
        <Left left={view.left} />
        <Unknown unknown={view.unknown} />
      </Column>
      <Column long>
        <DayByDay view={view} playerId={playerId} busy={busy} onStart={start} onMove={({ uid }) => open(uid)} />
      </Column>
      <Column>
        <ToTheBench playerId={playerId} today={view.today} />
        <OtherCalendars playerId={playerId} today={view.today} instruments={view.instruments} />
      </Column>
      {opened && (
        <SittingSheet
          view={view}
          sitting={opened}
          busy={busy || isMoving}
          onSet={(items, on) => {
            move(items, on);
            close();
          }}
          onStart={start}
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
  const { instrumentId } = useParams();
  return (
    <QueryView query={query} height={520}>
      {(view) => (
        <Loaded
          key={`${view.playerId} ${instrumentId ?? ''}`}
          view={view}
          playerId={view.playerId as PlayerId}
          chosen={view.instruments.find((one) => one.instrumentId === instrumentId)?.instrumentId ?? null}
        />
      )}
    </QueryView>
  );
}
