import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { SittingsView } from '#contract/sittings.ts';
import { useToday } from '#web/clock/today.ts';
import type { Sitting } from '#web/features/calendar/parts/SittingDays.tsx';
import { partsOf } from '#web/features/calendar/parts/sitting-parts.ts';
import { OtherCalendars } from '#web/features/calendar/compartments/OtherCalendars.tsx';
import { ToTheBench } from '#web/features/calendar/compartments/ToTheBench.tsx';
import { SittingSheet } from '#web/features/calendar/parts/SittingSheet.tsx';
import { useSittingMoves } from '#web/features/calendar/use-sitting-moves.ts';
import { SixWeeks } from '#web/features/calendar/compartments/SixWeeks.tsx';
import { sittingQueries } from '#web/features/calendar/sittings.queries.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, Over, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { NextSitting } from '#web/features/calendar/compartments/NextSitting.tsx';
import { DayByDay } from '#web/features/calendar/compartments/DayByDay.tsx';
import {
  FindsNoDay,
  GoesNotTogether,
  InNoSittingYet,
  StoppedInstruments,
} from '#web/features/calendar/parts/NotPlaced.tsx';

type LoadedProps = {
  readonly view: SittingsView;
  readonly playerId: PlayerId;
  /** The instrument chosen on the shelf, where it is the player's. */
  readonly chosen: InstrumentId | null;
};

function Loaded({ view, playerId, chosen }: LoadedProps) {
  const moves = useSittingMoves(view, playerId);
  const { move, opened, open, close, busy: isMoving } = moves;
  const { begin, busy } = useBeginRun();
  const start = (sitting: Sitting) => begin({ kind: 'care', playerId, parts: partsOf(sitting) });
  return (
    <TwoColumns wide="left" longRight>
      <Over>
        <SixWeeks view={view} playerId={playerId} chosen={chosen} moves={moves} />
      </Over>
      <Column>
        <StoppedInstruments stopped={view.stopped} />
        <GoesNotTogether clashes={view.clashes} />
        <NextSitting view={view} busy={busy} onStart={start} />
        <FindsNoDay left={view.left} />
        <InNoSittingYet unknown={view.unknown} />
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
  const playerId = useCurrentPlayer(players.data)?.id;
  const query = useQuery({ ...sittingQueries.of(playerId ?? '', today), enabled: playerId !== undefined });
  const { instrumentId } = useParams();
  return (
    <QueryView query={query} height={520}>
      {(view) => (
        <Loaded
          key={`${view.playerId} ${instrumentId ?? ''}`}
          view={view}
          playerId={view.playerId}
          chosen={view.instruments.find((one) => one.instrumentId === instrumentId)?.instrumentId ?? null}
        />
      )}
    </QueryView>
  );
}
