import { Button, Typography } from '@mui/material';
import { counted, duration } from '#core/explain/format.ts';
import type { EventView } from '#contract/calendar.ts';
import { FORMAT } from '#web/clock/format.ts';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

type ConcertsProps = {
  readonly events: readonly EventView[];
  readonly onReady: (event: EventView) => void;
  readonly onDelete: (event: EventView) => void;
};

type RowProps = Omit<ConcertsProps, 'events'> & { readonly event: EventView };

function ConcertRow({ event, onReady, onDelete }: RowProps) {
  const day = FORMAT.weekdayDate(event.on);
  return (
    <PlainRow between>
      <Space>
        <Typography>{event.name ?? 'Concert'}</Typography>
        <Typography variant="body2" color="text.secondary">
          {day}, {duration(event.minutes ?? 0)}
        </Typography>
      </Space>
      <Row gap={0}>
        <Button color="inherit" onClick={() => onReady(event)} aria-label={`Ready for it: ${day}`}>
          Ready for it?
        </Button>
        {event.calendar === null && (
          <Button color="inherit" onClick={() => onDelete(event)} aria-label={`Delete the concert: ${day}`}>
            Delete
          </Button>
        )}
      </Row>
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
        <ConcertRow key={event.key} event={event} onReady={onReady} onDelete={onDelete} />
      ))}
    </PlainList>
    {events.length > LISTED && (
      <Typography variant="body2" color="text.secondary">
        {counted(events.length - LISTED, 'concert')} more in the <TallLink to="/calendar">calendar</TallLink>.
      </Typography>
    )}
  </>
);
