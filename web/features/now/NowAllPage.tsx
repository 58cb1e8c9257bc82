import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { ShelfPlace } from '#contract/instruments.ts';
import { counted } from '#core/explain/format.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';

const headline = ({ awaitsPackUp, openRunKey, gauge }: ShelfPlace): string => {
  if (openRunKey !== null) return 'A run is under way';
  if (awaitsPackUp) return 'Not packed up yet';
  return gauge && gauge.state !== 'fresh' ? `${gauge.itemName}: ${gauge.words}` : 'Nothing is due';
};

function Place({ place, owner }: { readonly place: ShelfPlace; readonly owner: string }) {
  return (
    <Compartment>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Silhouette kind={place.kind} size={56} />
        <Box sx={{ flexGrow: 1, minWidth: 0 }}>
          <Typography variant="h2">{place.name}</Typography>
          <Typography color="text.secondary" variant="body2">
            {place.kindName} · {owner}
          </Typography>
        </Box>
        {place.gauge && <TubeGauge gauge={place.gauge} height={56} />}
      </Box>
      <Typography sx={{ mt: 1.5, fontWeight: 650 }}>{headline(place)}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
        {place.lastPlayedOn ? `Last played ${FORMAT.weekdayDate(place.lastPlayedOn)}` : 'Not played yet'} ·{' '}
        {place.calling === 0 ? 'nothing calls' : `${counted(place.calling, 'thing')} to look at`}
      </Typography>
      <Button
        variant="outlined"
        color="inherit"
        {...{ component: Link, to: place.openRunKey ? `/pack-up/${place.id}/${place.openRunKey}` : `/now/${place.id}` }}
        aria-label={`Open ${place.name}, ${owner}`}
      >
        Open
      </Button>
    </Compartment>
  );
}

/** Now, for all instruments: the chosen player's first, what must be packed up before the rest. */
export function NowAllPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  const player = useCurrentPlayer(players.data);
  const nameOf = (id: string) => players.data?.find((one) => one.id === id)?.name ?? '';
  return (
    <QueryView query={shelf} height={400}>
      {(places) => {
        if (places.length === 0)
          return (
            <Problem
              title="An empty shelf"
              text="Ulu tells you what to do when you have played, and when the rest is due. Put your first instrument on the shelf; it takes less than a minute."
              to="/add"
              action="Add an instrument"
            />
          );
        const rank = ({ playerId, awaitsPackUp }: ShelfPlace) =>
          (playerId === player?.id ? 0 : 2) + (awaitsPackUp ? 0 : 1);
        return (
          <>
            <Typography variant="h1" sx={{ mb: 2 }}>
              Which one did you play?
            </Typography>
            <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: '1fr 1fr 1fr' } }}>
              {places
                .toSorted((a, b) => rank(a) - rank(b))
                .map((place) => (
                  <Place key={place.id} place={place} owner={nameOf(place.playerId)} />
                ))}
            </Box>
          </>
        );
      }}
    </QueryView>
  );
}
