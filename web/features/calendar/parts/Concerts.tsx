import { Box, Button, Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { EventView } from '#contract/calendar.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';

type ConcertsProps = {
  readonly events: readonly EventView[];
  readonly onReady: (event: EventView) => void;
  readonly onDelete: (event: EventView) => void;
};

/** The concerts to come, each a tap away from how many reeds it needs. */
export const Concerts = ({ events, onReady, onDelete }: ConcertsProps) => (
  <PlainList>
    {events.map((event) => {
      const day = FORMAT.weekdayDate(event.on);
      return (
        <PlainRow
          key={event.key}
          sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1, py: 0.5 }}
        >
          <Box sx={{ minWidth: 0 }}>
            <Typography sx={{ overflowWrap: 'anywhere' }}>{event.name ?? 'Concert'}</Typography>
            <Typography variant="body2" color="text.secondary">
              {day}, {duration(event.minutes ?? 0)}
            </Typography>
          </Box>
          <Box sx={{ display: 'flex' }}>
            <Button color="inherit" onClick={() => onReady(event)} aria-label={`Ready for it: ${day}`}>
              Ready for it?
            </Button>
            <Button color="inherit" onClick={() => onDelete(event)} aria-label={`Delete the concert: ${day}`}>
              Delete
            </Button>
          </Box>
        </PlainRow>
      );
    })}
  </PlainList>
);
