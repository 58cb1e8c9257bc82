import { Button } from '@mui/material';
import { Link } from 'react-router';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import { FORMAT } from '#web/clock/format.ts';
import { Text } from '#web/ui/Text.tsx';
import { Space } from '#web/ui/layout.tsx';

/** It is at the bench, or goes there today: until when, and what may have changed. */
export const AtTheBench = ({
  instrumentId,
  until,
  goesToday,
  busy,
  onPlayed,
}: {
  readonly instrumentId: InstrumentId;
  readonly until: LocalDate;
  readonly goesToday: boolean;
  readonly busy: boolean;
  readonly onPlayed: () => void;
}) => (
  <>
    <Text variant="h1" below={1}>
      {goesToday ? 'It goes to the bench today.' : 'At the bench.'}
    </Text>
    <Text below={2}>It is expected back on {FORMAT.weekdayDate(until)}.</Text>
    <Button variant="outlined" color="inherit" {...{ component: Link, to: `/calendar/${instrumentId}` }}>
      {goesToday ? 'It goes another day' : 'It is back, or comes later'}
    </Button>
    <Space above={1}>
      <Button color="inherit" disabled={busy} onClick={onPlayed}>
        I have played it
      </Button>
    </Space>
  </>
);
