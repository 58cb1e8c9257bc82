import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';

/** Which instruments wait to be packed up. */
export function PackUpAllPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  return (
    <QueryView query={shelf} height={300}>
      {(places) => {
        if (places.length === 0)
          return (
            <Problem
              title="An empty shelf"
              text="Nothing to pack up yet. Put your first instrument on the shelf."
              to="/add"
              action="Add an instrument"
            />
          );
        const waiting = places.filter(({ awaitsPackUp, openRunKey }) => awaitsPackUp || openRunKey !== null);
        return (
          <Compartment title={waiting.length === 0 ? 'Everything is packed up' : 'To pack up'}>
            {waiting.length === 0 && (
              <Typography>Choose an instrument on the shelf to pack it up all the same.</Typography>
            )}
            {waiting.map(({ id, name, kind, kindName, openRunKey }) => (
              <Box key={id} sx={{ display: 'flex', alignItems: 'center', gap: 2, py: 1 }}>
                <Silhouette kind={kind} size={44} />
                <Box sx={{ flexGrow: 1 }}>
                  <Typography sx={{ fontWeight: 650 }}>{name}</Typography>
                  <Typography variant="body2" color="text.secondary">
                    {kindName}
                  </Typography>
                </Box>
                <Button
                  variant="outlined"
                  color="inherit"
                  {...{ component: Link, to: openRunKey ? `/pack-up/${id}/${openRunKey}` : `/pack-up/${id}` }}
                  aria-label={`${openRunKey ? 'Go on' : 'Pack up'}: ${name}`}
                >
                  {openRunKey ? 'Go on' : 'Pack up'}
                </Button>
              </Box>
            ))}
          </Compartment>
        );
      }}
    </QueryView>
  );
}
