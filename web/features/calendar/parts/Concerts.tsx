import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { Link } from 'react-router';
import { counted, duration } from '#core/explain/format.ts';
import type { EventView } from '#contract/calendar.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Space } from '#web/ui/layout.tsx';

type ConcertsProps = {
  readonly events: readonly EventView[];
  readonly onReady: (event: EventView) => void;
  readonly onDelete: (event: EventView) => void;
};

type RowProps = Omit<ConcertsProps, 'events'> & { readonly event: EventView };

function Row({ event, onReady, onDelete }: RowProps) {
  const day = FORMAT.weekdayDate(event.on);
  return (
    <PlainRow sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1, py: 0.5 }}>
      <Space>
        <Typography>{event.name ?? 'Concert'}</Typography>
        <Typography variant="body2" color="text.secondary">
          {day}, {duration(event.minutes ?? 0)}
        </Typography>
      </Space>
      <Box sx={{ display: 'flex' }}>
        <Button color="inherit" onClick={() => onReady(event)} aria-label={`Ready for it: ${day}`}>
          Ready for it?
        </Button>
        {event.calendar === null && (
          <Button color="inherit" onClick={() => onDelete(event)} aria-label={`Delete the concert: ${day}`}>
            Delete
          </Button>
        )}
      </Box>
    </PlainRow>
  );
}

/** So many are listed; the others are in the calendar. */
const LISTED = 5;

/** The next concerts, each a tap away from how many reeds it needs. */
export const Concerts = ({ events, onReady, onDelete }: ConcertsProps) => (
  <>
    <PlainList>
      {events.slice(0, LISTED).map((event) => (
        <Row key={event.key} event={event} onReady={onReady} onDelete={onDelete} />
      ))}
    </PlainList>
    {events.length > LISTED && (
      <Typography variant="body2" color="text.secondary">
        {counted(events.length - LISTED, 'concert')} more in the{' '}
        <MuiLink component={Link} to="/calendar" color="inherit" sx={{ display: 'inline-block', py: 1.5, my: -1 }}>
          calendar
        </MuiLink>
        .
      </Typography>
    )}
  </>
);
