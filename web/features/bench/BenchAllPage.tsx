import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { ShelfPlace } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import { ToTheBench } from '#web/features/calendar/compartments/ToTheBench.tsx';
import { PutAside } from '#web/features/costs/compartments/PutAside.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { Column, Over, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

const Row = ({ place: { id, name, kind, kindName } }: { readonly place: ShelfPlace }) => (
  <PlainRow columns="auto 1fr auto">
    <Silhouette kind={kind} size={44} />
    <Space>
      <Text strong>{name}</Text>
      <Text variant="body2" ink="text.secondary">
        {kindName}
      </Text>
    </Space>
    <Button
      variant="outlined"
      color="inherit"
      {...{ component: Link, to: `/bench/${id}` }}
      aria-label={`See how it stands: ${name}`}
      size="large"
    >
      See how it stands
    </Button>
  </PlainRow>
);

function Loaded({ own }: { readonly own: readonly ShelfPlace[] }) {
  const today = useToday();
  const playerId = own[0]?.playerId;
  if (playerId === undefined)
    return (
      <Problem
        title="No instrument yet"
        text="Once there is one, this is where it is looked over, and where you see when it goes to the bench and what that costs."
        to="/add"
        action="Add an instrument"
      />
    );
  return (
    <TwoColumns wide="left">
      <Over>
        <Typography variant="h1">The bench</Typography>
      </Over>
      <Column>
        <ToTheBench playerId={playerId} today={today} />
      </Column>
      <Column>
        <PutAside playerId={playerId} />
        <Compartment title="How they stand">
          <PlainList>
            {own.map((place) => (
              <Row key={place.id} place={place} />
            ))}
          </PlainList>
        </Compartment>
      </Column>
    </TwoColumns>
  );
}

/** When the instruments of whoever holds the device go to the bench, and how each of them stands. */
export function BenchAllPage() {
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
