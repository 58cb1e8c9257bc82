import { Button, Checkbox, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted } from '#core/explain/format.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import { MOST_INSTRUMENTS_AT_ONCE } from '#contract/packup.ts';
import type { ShelfPlace } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { useBeginRun } from '#web/record/begin-run.actions.ts';
import { PlaceRow } from '#web/features/packup/parts/PlaceRow.tsx';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { MinutesAtHand } from '#web/ui/MinutesAtHand.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Grid } from '#web/ui/layout.tsx';

const runOf = ({ id, openRunKey }: ShelfPlace): string =>
  openRunKey ? `/pack-up/${id}/${openRunKey}` : `/pack-up/${id}`;

type WaitingProps = {
  readonly place: ShelfPlace;
  readonly chosen: boolean;
  readonly onToggle: () => void;
};

function Waiting({ place, chosen, onToggle }: WaitingProps) {
  const { name, openRunKey } = place;
  const choice = (
    <Checkbox
      checked={chosen}
      disabled={openRunKey !== null}
      onChange={onToggle}
      slotProps={{ input: { 'aria-label': `${name} in this run` } }}
    />
  );
  return (
    <PlaceRow place={place} before={choice}>
      <Button
        color="inherit"
        {...{ component: Link, to: runOf(place) }}
        aria-label={`${openRunKey ? 'Go on' : 'Only this'}: ${name}`}
      >
        {openRunKey ? 'Go on' : 'Only this'}
      </Button>
    </PlaceRow>
  );
}

/** What waits to be packed up: the player's own, several in one go. */
function Loaded({
  places,
  player,
}: {
  readonly places: readonly ShelfPlace[];
  readonly player: ListedPlayer | undefined;
}) {
  const { begin, busy } = useBeginRun();
  const [left, setLeft] = useState<readonly string[]>([]);
  const [minutesAtHand, setMinutesAtHand] = useState<number | null>(null);
  const waiting = places
    .filter(({ awaitsPackUp, openRunKey }) => awaitsPackUp || openRunKey !== null)
    .toSorted((a, b) => Number(b.playerId === player?.id) - Number(a.playerId === player?.id));
  const chosen = waiting
    .filter(({ id, openRunKey, playerId }) => openRunKey === null && playerId === player?.id && !left.includes(id))
    .slice(0, MOST_INSTRUMENTS_AT_ONCE);
  const damp = places.filter(
    ({ isCasedDamp, openRunKey, awaitsPackUp, playerId }) =>
      isCasedDamp && openRunKey === null && !awaitsPackUp && playerId === player?.id,
  );
  const mine = waiting.filter(({ playerId }) => playerId === player?.id);
  const others = waiting.filter(({ playerId }) => playerId !== player?.id);
  const toggle = (id: string) => setLeft(left.includes(id) ? left.filter((one) => one !== id) : [...left, id]);
  return (
    <Grid gap={2} width={760}>
      {(mine.length > 0 || damp.length === 0) && (
        <Compartment title={mine.length === 0 ? 'Nothing of yours to pack up' : 'To pack up'}>
          {mine.length === 0 && <Typography>Choose an instrument on the shelf to pack it up all the same.</Typography>}
          {mine.map((place) => (
            <Waiting
              key={place.id}
              place={place}
              chosen={chosen.some(({ id }) => id === place.id)}
              onToggle={() => toggle(place.id)}
            />
          ))}
          {chosen.length > 0 && player && (
            <Grid gap={2} above={2}>
              <MinutesAtHand value={minutesAtHand} onChange={setMinutesAtHand} />
              <BrassButton
                disabled={busy}
                onClick={() =>
                  begin({
                    kind: 'after',
                    playerId: player.id,
                    parts: chosen.map(({ id }) => ({ instrumentId: id })),
                    minutesAtHand,
                  })
                }
              >
                {chosen.length === 1
                  ? `Pack up: ${chosen[0]?.name ?? ''}`
                  : `Pack up ${counted(chosen.length, 'instrument')} in one go`}
              </BrassButton>
            </Grid>
          )}
        </Compartment>
      )}
      {damp.length > 0 && (
        <Compartment title="Cased damp">
          {damp.map((place) => (
            <PlaceRow key={place.id} place={place}>
              <Button
                variant="outlined"
                color="inherit"
                {...{ component: Link, to: runOf(place) }}
                aria-label={`Lay it out: ${place.name}`}
              >
                Lay it out
              </Button>
            </PlaceRow>
          ))}
        </Compartment>
      )}
      {others.length > 0 && (
        <Compartment title="Other players’">
          {others.map((place) => (
            <PlaceRow key={place.id} place={place}>
              <Button
                color="inherit"
                {...{ component: Link, to: runOf(place) }}
                aria-label={`${place.openRunKey ? 'Go on' : 'Open'}: ${place.name}, ${place.kindName}`}
              >
                {place.openRunKey ? 'Go on' : 'Open'}
              </Button>
            </PlaceRow>
          ))}
        </Compartment>
      )}
    </Grid>
  );
}

/** Which instruments wait to be packed up. */
export function PackUpAllPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={shelf} height={300}>
      {(places) =>
        places.length === 0 ? (
          <Problem
            title="An empty shelf"
            text="Nothing to pack up yet. Put your first instrument on the shelf."
            to="/add"
            action="Add an instrument"
          />
        ) : (
          <CurrentPlayer players={players} height={300}>
            {(player) => <Loaded places={places} player={player} />}
          </CurrentPlayer>
        )
      }
    </QueryView>
  );
}
