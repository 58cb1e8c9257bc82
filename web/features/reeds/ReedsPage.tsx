import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { isOnStage } from '#core/calendar/event.ts';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { ReedBoxView, ReedsOfKindView } from '#contract/reed-views.ts';
import { useToday, wallNow } from '#web/clock/today.ts';
import { useReadAir } from '#web/features/air/air.actions.ts';
import { airQueries } from '#web/features/air/air.queries.ts';
import { AirToday } from '#web/features/air/parts/AirToday.tsx';
import { useEvent } from '#web/features/calendar/calendar.actions.ts';
import { calendarQueries } from '#web/features/calendar/calendar.queries.ts';
import { Concerts } from '#web/features/calendar/parts/Concerts.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Boxes, type Opened } from '#web/features/reeds/parts/Boxes.tsx';
import { PlayReeds } from '#web/features/reeds/parts/PlayReeds.tsx';
import { Readiness, type Asked } from '#web/features/reeds/parts/Readiness.tsx';
import { ReedNow } from '#web/features/reeds/parts/ReedNow.tsx';
import { ReedPlan } from '#web/features/reeds/ReedPlan.tsx';
import { Supply } from '#web/features/reeds/parts/Supply.tsx';
import { useReedPlay } from '#web/features/reeds/reed-play.actions.ts';
import { useReedBox, useReedSaid } from '#web/features/reeds/reeds.actions.ts';
import { reedQueries } from '#web/features/reeds/reeds.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';

const [LifeChart] = lazyPart(async () => (await import('#web/features/reeds/parts/LifeChart.tsx')).LifeChart);
const [ReedSheet] = lazyPart(async () => (await import('#web/features/reeds/parts/ReedSheet.tsx')).ReedSheet);
const [EventSheet] = lazyPart(async () => (await import('#web/features/calendar/parts/EventSheet.tsx')).EventSheet);
const [BoxSheet] = lazyPart(async () => (await import('#web/features/reeds/parts/BoxSheet.tsx')).BoxSheet);

type OfKindProps = { readonly of: ReedsOfKindView; readonly playerId: PlayerId };

/** Ready for the concert: the concerts to come, and for a day a number of reeds with its table. */
function Ready({ of, playerId }: OfKindProps) {
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
      <Box sx={{ mt: concerts.length > 0 ? 2 : 0 }}>
        <Readiness asked={asked} onAsk={setAsked} ready={on === null ? null : (query.data ?? null)} />
      </Box>
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

/** The reeds of one kind of instrument: which one now, the boxes, the last plays, and what is to come. */
function OfKind({ of, playerId, currency }: OfKindProps & { readonly currency: string | null }) {
  const today = useToday();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [editing, setEditing] = useState<{ readonly old: ReedBoxView | null } | null>(null);
  const said = useReedSaid();
  const air = useReadAir();
  const read = useQuery(airQueries.of(playerId, today)).data?.read ?? null;
  const playing = useReedPlay();
  const box = useReedBox();
  const reed = of.boxes.flatMap(({ reeds }) => reeds).find(({ reedId }) => reedId === opened?.reedId);
  const edit = (old: ReedBoxView | null) => {
    box.open();
    setEditing({ old });
  };
  const add = () => edit(null);
  return (
    <Box component="section" aria-label={of.kindName} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {of.kindName}
      </Typography>
      <TwoColumns wide="left">
        <Column>
          <Compartment>
            <ReedNow of={of} onAddBox={add} />
            {of.boxes.length > 0 && <AirToday playerId={playerId} read={read} air={air} />}
          </Compartment>
          {of.boxes.length > 0 && (
            <>
              <Compartment title="Last played">
                <PlayReeds of={of} playing={playing} />
              </Compartment>
              <Compartment title="How long they live">
                <Typography>{of.life.words}</Typography>
                <WhyFold lines={of.life.because} about="how long the reeds live" />
                <LifeChart life={of.life} />
              </Compartment>
              <Compartment title="Supply">
                <Supply supply={of.supply} currency={currency} />
              </Compartment>
            </>
          )}
        </Column>
        <Column>
          <Boxes of={of} onReed={setOpened} onEdit={edit} onAdd={add} />
          {of.boxes.length > 0 && <Ready of={of} playerId={playerId} />}
        </Column>
      </TwoColumns>
      {of.boxes.length > 0 && <ReedPlan kind={of.kind} playerId={playerId} />}
      {opened && reed && <ReedSheet name={opened.name} reed={reed} said={said} onClose={() => setOpened(null)} />}
      {editing && (
        <BoxSheet
          playerId={playerId}
          of={of}
          old={editing.old}
          currency={currency}
          today={today}
          box={box}
          onClose={() => setEditing(null)}
        />
      )}
    </Box>
  );
}

function ReedsOf({
  playerId,
  instrumentId,
}: {
  readonly playerId: PlayerId;
  readonly instrumentId: InstrumentId | null;
}) {
  useToday();
  const query = useQuery(reedQueries.of(playerId, wallNow()));
  return (
    <QueryView query={query} height={520}>
      {({ kinds, currency }) => {
        const shown = kinds.filter(
          ({ instruments }) => instrumentId === null || instruments.some((one) => one.instrumentId === instrumentId),
        );
        if (shown.length === 0)
          return (
            <Problem
              title="No reeds here"
              text="This page keeps the reeds of clarinets, saxophones, double reeds and pipes."
              to="/now"
              action="Go to Now"
            />
          );
        return shown.map((of) => <OfKind key={of.kind} of={of} playerId={playerId} currency={currency} />);
      }}
    </QueryView>
  );
}

/** The reeds of whoever holds the device, or of the instrument the address names and its player. */
export function ReedsPage() {
  const instrumentId = (useParams()['instrumentId'] ?? null) as InstrumentId | null;
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={shelf} height={520}>
      {(places) => (
        <CurrentPlayer players={players} height={520}>
          {(current) => {
            const playerId = places.find(({ id }) => id === instrumentId)?.playerId ?? current?.id;
            return playerId === undefined ? null : (
              <ReedsOf
                key={`${playerId} ${instrumentId ?? ''}`}
                playerId={playerId as PlayerId}
                instrumentId={instrumentId}
              />
            );
          }}
        </CurrentPlayer>
      )}
    </QueryView>
  );
}
