import { isOneOf } from '#core/kernel/typed.ts';
import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ListedPlayer } from '#core/players/profile.ts';
import type { CareOverview } from '#contract/care.ts';
import { useToday } from '#web/clock/today.ts';
import { careQueries } from '#web/features/care/care.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { useWhyFold } from '#web/ui/WhyFold.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

type Row = { readonly place: CareOverview[number]; readonly clock: CareOverview[number]['calling'][number] };

const GROUPS = [
  { title: 'Overdue and due', states: ['overdue', 'due'] },
  { title: 'Waits for the bench', states: ['waiting'] },
  { title: 'Soon', states: ['soon'] },
  { title: 'Not known: say when it was last done', states: ['unknown'] },
] as const;

function CallingRow({ place, clock }: Row) {
  const { name, gauge, hands, because, partName, atBench } = clock;
  const handsWords = atBench ? null : HANDS_WORDS[hands];
  const why = useWhyFold({ lines: because, about: `${name} of ${place.name}, ${gauge.words}` });
  return (
    <PlainRow columns="auto auto 1fr auto">
      <TubeGauge gauge={gauge} atBench={hands === 'bench' || gauge.state === 'waiting'} />
      <Silhouette kind={place.kind} size={34} />
      <Space>
        <Text strong>
          {name} <Quiet>{place.name}</Quiet>
        </Text>
        <Text variant="body2" ink={gauge.state === 'overdue' ? 'stop.ink' : 'text.secondary'}>
          {gauge.words} · {partName.toLowerCase()}
          {handsWords && ` · ${handsWords}`}
        </Text>
      </Space>
      <Row gap={0} align="center">
        {why.button}
        <Button
          color="inherit"
          {...{ component: Link, to: `/care/${place.instrumentId}` }}
          aria-label={`Open ${place.name}: ${name}`}
        >
          Open
        </Button>
      </Row>
      {why.fold}
    </PlainRow>
  );
}

function Loaded({ overview, player }: { readonly overview: CareOverview; readonly player: ListedPlayer | undefined }) {
  const [whose, setWhose] = useState<'mine' | 'all'>('mine');
  const rows = overview
    .filter(({ playerId }) => whose === 'all' || playerId === player?.id)
    .flatMap((place) => place.calling.map((clock): Row => ({ place, clock })));
  const dueOn = ({ clock }: Row) => clock.due?.on ?? '9999';
  return (
    <Grid gap={2} width={860}>
      <Row gap={2} wrap between align="center">
        <Typography variant="h1">Care for every instrument</Typography>
        <ToggleButtonGroup
          exclusive
          value={whose}
          onChange={(_event, next: 'mine' | 'all' | null) => next && setWhose(next)}
          aria-label="Whose instruments"
        >
          {(['mine', 'all'] as const).map((one) => (
            <ToggleButton key={one} value={one}>
              {one === 'mine' ? `${player?.name.split(' ')[0] ?? 'Mine'}’s` : 'Everybody’s'}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Row>
      <Box>
        <Button variant="outlined" color="inherit" {...{ component: Link, to: '/may-i-use' }}>
          May I use …
        </Button>
      </Box>
      {rows.length === 0 && (
        <Compartment>
          <Typography>Nothing is due. All regular care is done.</Typography>
        </Compartment>
      )}
      {GROUPS.map(({ title, states }) => {
        const here = rows
          .filter(({ clock }) => isOneOf(states, clock.gauge.state))
          .toSorted(
            (a, b) => (b.clock.gauge.load ?? 0) - (a.clock.gauge.load ?? 0) || dueOn(a).localeCompare(dueOn(b)),
          );
        return (
          here.length > 0 && (
            <Compartment key={title} title={title}>
              <PlainList>
                {here.map(({ place, clock }) => (
                  <CallingRow key={`${place.instrumentId}-${clock.itemId}`} place={place} clock={clock} />
                ))}
              </PlainList>
            </Compartment>
          )
        );
      })}
    </Grid>
  );
}

/** Care of all instruments in one list, the most pressing first. */
export function CareAllPage() {
  const overview = useQuery(careQueries.overview(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={overview} height={400}>
      {(places) =>
        places.length === 0 ? (
          <Problem
            title="An empty shelf"
            text="Care shows what is due and when. Put your first instrument on the shelf."
            to="/add"
            action="Add an instrument"
          />
        ) : (
          <CurrentPlayer players={players} height={400}>
            {(player) => <Loaded overview={places} player={player} />}
          </CurrentPlayer>
        )
      }
    </QueryView>
  );
}
