import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { counted } from '#core/explain/format.ts';
import { useToday } from '#web/clock/today.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Problem } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';

/** Care of all instruments: the most pressing of each, the fullest list first. */
export function CareAllPage() {
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  return (
    <QueryView query={shelf} height={300}>
      {(places) =>
        places.length === 0 ? (
          <Problem
            title="An empty shelf"
            text="Care shows what is due and when. Put your first instrument on the shelf."
            to="/add"
            action="Add an instrument"
          />
        ) : (
          <Compartment title="What is due, by instrument">
            {places
              .toSorted((a, b) => (b.gauge?.load ?? 0) - (a.gauge?.load ?? 0))
              .map(({ id, name, kindName, gauge, calling }) => (
                <Box key={id} sx={{ display: 'flex', alignItems: 'center', gap: 2, py: 1 }}>
                  {gauge ? <TubeGauge gauge={gauge} height={44} /> : <Box sx={{ width: 18 }} />}
                  <Box sx={{ flexGrow: 1, minWidth: 0 }}>
                    <Typography sx={{ fontWeight: 650 }}>
                      {name}{' '}
                      <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
                        {kindName}
                      </Box>
                    </Typography>
                    <Typography variant="body2" color="text.secondary">
                      {gauge ? `${gauge.itemName}: ${gauge.words}` : 'No clock runs yet'} · {counted(calling, 'thing')}{' '}
                      to look at
                    </Typography>
                  </Box>
                  <Button
                    variant="outlined"
                    color="inherit"
                    {...{ component: Link, to: `/care/${id}` }}
                    aria-label={`Care of ${name}, ${kindName}`}
                  >
                    Care
                  </Button>
                </Box>
              ))}
          </Compartment>
        )
      }
    </QueryView>
  );
}
