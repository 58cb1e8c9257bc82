import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { ShelfPlace } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { Grid, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

/** How what is wrong with it stands, in a few words. */
const standsWords = ({ faults }: ShelfPlace): string | null =>
  faults === 'stopped' ? 'Stopped: not to be played' : faults === 'open' ? 'Something is being looked for' : null;

function Row({ place }: { readonly place: ShelfPlace }) {
  const { id, name, kind, kindName } = place;
  const stands = standsWords(place);
  return (
    <PlainRow columns="auto 1fr auto">
      <Silhouette kind={kind} size={44} />
      <Space>
        <Text strong>{name}</Text>
        <Text variant="body2" ink={place.faults === 'stopped' ? 'stop.ink' : 'text.secondary'}>
          {stands ?? kindName}
        </Text>
      </Space>
      <Button
        variant="outlined"
        color="inherit"
        {...{ component: Link, to: `/faults/${id}` }}
        aria-label={`${stands === null ? 'Something is wrong with' : 'Go on with'} ${name}`}
        size="large"
      >
        {stands === null ? 'Something is wrong' : 'Go on'}
      </Button>
    </PlainRow>
  );
}

function Loaded({ own }: { readonly own: readonly ShelfPlace[] }) {
  const rank = ({ faults }: ShelfPlace) => ['stopped', 'open', 'none'].indexOf(faults);
  if (own.length === 0)
    return (
      <Problem
        title="No instrument yet"
        text="Once there is one, this is where you say what you notice on it."
        to="/add"
        action="Add an instrument"
      />
    );
  return (
    <Grid gap={2} width={860}>
      <Typography variant="h1">Something is wrong</Typography>
      <Compartment title="With which instrument?">
        <PlainList>
          {own
            .toSorted((a, b) => rank(a) - rank(b))
            .map((place) => (
              <Row key={place.id} place={place} />
            ))}
        </PlainList>
      </Compartment>
    </Grid>
  );
}

/** Which instrument is it? The player’s own, what is stopped first. */
export function FaultsAllPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={shelf} height={400}>
      {(places) => (
        <CurrentPlayer players={players} height={400}>
          {(player) => <Loaded own={places.filter(({ playerId }) => playerId === player?.id)} />}
        </CurrentPlayer>
      )}
    </QueryView>
  );
}
