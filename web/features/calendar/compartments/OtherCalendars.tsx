import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import type { InstrumentId, PlayerId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { sittingPaths } from '#contract/sittings.ts';
import { useCalendarImport } from '#web/features/calendar/calendar.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Grid } from '#web/ui/layout.tsx';

const [FeedSheet] = lazyPart(async () => (await import('#web/features/calendar/FeedSheet.tsx')).FeedSheet);
const [ImportSheet] = lazyPart(async () => (await import('#web/features/calendar/ImportSheet.tsx')).ImportSheet);

type OtherCalendarsProps = {
  readonly playerId: PlayerId;
  readonly today: LocalDate;
  readonly instruments: readonly { readonly instrumentId: InstrumentId; readonly name: string }[];
};

/** Calendars in and out: a file, an address to subscribe to, what is imported, and a sheet for each case. */
export function OtherCalendars({ playerId, today, instruments }: OtherCalendarsProps) {
  const [sheet, setSheet] = useState<'feed' | 'import' | null>(null);
  const taking = useCalendarImport();
  const close = () => setSheet(null);
  return (
    <Compartment title="In, out and on paper">
      <Typography variant="body2" color="text.secondary">
        Concerts and rehearsals come in as a calendar file. Your weeks go out as one, or are subscribed to, or lie in
        the case.
      </Typography>
      <Grid gap={1} start above={1}>
        <Button
          color="inherit"
          onClick={() => {
            taking.open();
            setSheet('import');
          }}
        >
          Import a calendar (.ics)
        </Button>
        <Button color="inherit" href={sittingPaths.fileOf(playerId, today)}>
          Save my weeks as a file (.ics)
        </Button>
        <Button color="inherit" onClick={() => setSheet('feed')}>
          Subscribe from a calendar program
        </Button>
        {instruments.map(({ instrumentId, name }) => (
          <Button key={instrumentId} color="inherit" component={Link} to={`/calendar/${instrumentId}/case-lid`}>
            Sheet for the case lid: {name}
          </Button>
        ))}
      </Grid>
      {sheet === 'feed' && <FeedSheet playerId={playerId} onClose={close} />}
      {sheet === 'import' && <ImportSheet playerId={playerId} taking={taking} onClose={close} />}
    </Compartment>
  );
}
